package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.station.Walk;

class SpokenRunTest {
    private static final Map<InstrumentKind, List<String>> NOTHING_HELD = Map.of();

    private static Stream<SpokenRun.Line> lines(Station station, Scope scope, String component, String subject) {
        return Walk.plan(station).map(StationPlan::points).orElseThrow().stream()
                .filter(point -> point.scope() == scope)
                .map(point -> new SpokenRun.Line(point, component, subject));
    }

    private static List<SpokenRun.Line> siting() {
        return Stream.of(
                        lines(Station.SITING, Scope.OUTDOOR_UNIT, "outdoor", "Outdoor unit"),
                        lines(Station.SITING, Scope.WALL_UNIT, "indoor", "Indoor unit"),
                        lines(Station.SITING, Scope.INDOOR_UNIT, "indoor", "Indoor unit"),
                        lines(Station.SITING, Scope.SPLIT_UNIT, "indoor", "Indoor unit"),
                        lines(Station.SITING, Scope.COIL_UNIT, "indoor", "Indoor unit"))
                .flatMap(some -> some)
                .toList();
    }

    private static SpokenRun.Heard hear(String text) {
        return SpokenRun.hear(text, siting(), "outdoor", NOTHING_HELD);
    }

    private static List<String> placed(SpokenRun.Heard heard) {
        return heard.placed().stream()
                .map(one -> one.line().point().id().replace("siting.", "") + "@"
                        + one.line().component() + "=" + one.typed())
                .toList();
    }

    @Test
    void a_run_of_readings_goes_each_to_its_line_and_the_unit_said_holds_on() {
        SpokenRun.Heard heard = hear("back 7 in, left 12, right 14 1/2, above clear");

        assertThat(placed(heard))
                .containsExactly(
                        "outdoor-clearance-back@outdoor=7 in",
                        "outdoor-clearance-left@outdoor=12 in",
                        "outdoor-clearance-right@outdoor=14 1/2 in");
        assertThat(heard.left()).singleElement().satisfies(left -> {
            assertThat(left.words()).isEqualTo("above clear");
            assertThat(left.why().toString()).startsWith("Clearance, above: ");
        });
    }

    @Test
    void yes_and_no_are_said_by_naming_and_denying() {
        SpokenRun.Heard heard = hear("pad sound, stand anchored, no salt air");

        assertThat(heard.left()).isEmpty();
        assertThat(placed(heard))
                .containsExactly("pad-sound@outdoor=yes", "stand-fixed@outdoor=yes", "salt-air@outdoor=no");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "behind 0,18 m|outdoor-clearance-back@outdoor=0,18 m",
                "7 inches at the back|outdoor-clearance-back@outdoor=7 inches",
                "Back: seven and a half inches|outdoor-clearance-back@outdoor=7 1/2 inches",
                "the pad is not sound|pad-sound@outdoor=no",
                "pad is sound: no|pad-sound@outdoor=no",
                "in the full afternoon sun|sun-kept-off@outdoor=no",
                "not in the full afternoon sun|sun-kept-off@outdoor=yes",
                "wall bracket|support@outdoor=wall bracket",
                "stands on raised stand|support@outdoor=raised stand",
                "indoor unit room above 20 cm|indoor-clearance-above@indoor=20 cm",
                "no flammable vapour|no-vapours@indoor=yes",
                "flammable vapour|no-vapours@indoor=no",
            })
    void the_words_of_the_trade_find_their_line(String said, String expected) {
        assertThat(placed(hear(said))).containsExactly(expected);
    }

    @Test
    void a_unit_named_alone_is_meant_by_what_follows() {
        assertThat(placed(hear("Indoor unit, above 20 cm, left 30 cm")))
                .containsExactly("indoor-clearance-above@indoor=20 cm", "indoor-clearance-left@indoor=30 cm");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "back 7|The unit is missing",
                "back 7 kg|a unit of a mass",
                "roof 7 in|No line here is called so",
                "distance 7 ft|could be",
                "7 in|No line here is called so",
                "back 900 ft|far from what is usual",
                "back|No line here is called so",
                ", ; , and|No line here is called so",
            })
    void what_cannot_be_placed_stays_with_its_reason(String said, String reason) {
        SpokenRun.Heard heard = hear(said);

        assertThat(heard.placed()).isEmpty();
        assertThat(heard.left())
                .singleElement()
                .satisfies(left -> assertThat(left.why().toString()).contains(reason));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "back 7, left 12, right 14 inches|back@outdoor=7 in left@outdoor=12 in right@outdoor=14 inches",
                "all in inches, back 7, left 12|back@outdoor=7 in left@outdoor=12 in",
                "back 7 in, left the same, right ditto|back@outdoor=7 in left@outdoor=7 in right@outdoor=7 in",
                "left and right 12 in|right@outdoor=12 in left@outdoor=12 in",
                "back 7 in, no, 14, left 9 in|back@outdoor=14 in left@outdoor=9 in",
                "back 7 in, make that 14 cm|back@outdoor=14 cm",
            })
    void people_correct_themselves_and_say_a_unit_or_a_value_once(String said, String expected) {
        SpokenRun.Heard heard = hear(said);

        assertThat(heard.left()).isEmpty();
        assertThat(String.join(" ", placed(heard)).replace("outdoor-clearance-", ""))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "back 7, left 12 in, right 30 cm|back 7|The unit is missing",
                "back 7 in, no, 9000 ft|9000 ft|far from what is usual",
                "left the same|left the same|No line here",
            })
    void what_is_not_certain_is_given_back(String said, String words, String why) {
        assertThat(hear(said).left()).anySatisfy(left -> {
            assertThat(left.words()).isEqualTo(words);
            assertThat(left.why().toString()).contains(why);
        });
    }

    @Test
    void a_line_said_twice_keeps_the_first_and_gives_the_second_back() {
        SpokenRun.Heard heard = hear("back 7 in, back 8 in");

        assertThat(placed(heard)).containsExactly("outdoor-clearance-back@outdoor=7 in");
        assertThat(heard.left()).extracting(SpokenRun.Left::words).containsExactly("back 8 in");
    }

    @Test
    void a_bare_number_before_another_unit_than_the_tapes_own_is_asked_about() {
        var held = Map.of(InstrumentKind.TAPE, List.of("in"));

        SpokenRun.Heard heard = SpokenRun.hear("back 7, left 12 cm, right 14", siting(), "outdoor", held);
        assertThat(placed(heard))
                .containsExactly("outdoor-clearance-left@outdoor=12 cm", "outdoor-clearance-right@outdoor=14 cm");
        assertThat(heard.left()).singleElement().satisfies(left -> assertThat(left.words())
                .isEqualTo("back 7"));
        assertThat(placed(SpokenRun.hear("back 7, left 12 inches", siting(), "outdoor", held)))
                .containsExactly("outdoor-clearance-back@outdoor=7 in", "outdoor-clearance-left@outdoor=12 inches");
        assertThat(placed(SpokenRun.hear("back 17, left 32, all in cm", siting(), "outdoor", held)))
                .containsExactly("outdoor-clearance-back@outdoor=17 cm", "outdoor-clearance-left@outdoor=32 cm");
    }

    @Test
    void a_unit_held_by_the_tape_serves_a_bare_number_where_it_suits_the_line() {
        var held = Map.of(InstrumentKind.TAPE, List.of("kg", "cm"));

        assertThat(placed(SpokenRun.hear("back 18", siting(), "outdoor", held)))
                .containsExactly("outdoor-clearance-back@outdoor=18 cm");
    }

    @Test
    void of_two_units_without_one_in_hand_it_asks_which() {
        List<SpokenRun.Line> two = Stream.concat(
                        lines(Station.RUNNING, Scope.COIL_UNIT, "a", "Indoor unit 1"),
                        lines(Station.RUNNING, Scope.COIL_UNIT, "b", "Indoor unit 2"))
                .toList();

        SpokenRun.Heard heard = SpokenRun.hear("return 24 C; indoor unit 2 return 25 C", two, "", NOTHING_HELD);

        assertThat(heard.left()).singleElement().satisfies(left -> assertThat(
                        left.why().toString())
                .isEqualTo("This could be Return air, dry bulb of Indoor unit 1 or"
                        + " Return air, dry bulb of Indoor unit 2."));
        assertThat(heard.placed()).extracting(one -> one.line().component()).containsExactly("b");
    }

    @Test
    void a_run_too_long_to_read_over_is_given_back() {
        SpokenRun.Heard heard = hear("back 7 in, ".repeat(200));

        assertThat(heard.placed()).isEmpty();
        assertThat(heard.left()).hasSize(1);
    }
}
