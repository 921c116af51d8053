package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;

class EntryTest {
    private static final Point LENGTH =
            Point.quantity("x.length", Scope.SYSTEM, Dimension.LENGTH, "Length", "Tape it.", 0, 30);
    private static final Point BORE = Point.quantity("x.bore", Scope.SYSTEM, Dimension.LENGTH, "Bore", "", 0.004, 0.04);
    private static final Point THINGS = Point.quantity("x.things", Scope.SYSTEM, Dimension.COUNT, "Things", "", 1, 20);
    private static final Point AIR = Point.quantity("x.air", Scope.SYSTEM, Dimension.TEMPERATURE, "Air", "", 253, 333);
    private static final Point MONTH = Point.month("x.made", Scope.SYSTEM, "Made", "On the plate.");
    private static final Point CHOICE = Point.choice(
            "x.metal", Scope.SYSTEM, "Metal", "", List.of(Option.of("cu", "copper"), Option.of("al", "aluminium")));
    private static final Point YES_NO = Point.yesNo("x.there", Scope.SYSTEM, "There", "");
    private static final Point TEXT = Point.text("x.model", Scope.SYSTEM, "Model", "");

    private static Value value(Point point, String typed) {
        return Entry.understand(point, typed, Accuracy.EXACT).value();
    }

    @Test
    void quantityCarriesTheInstrumentsUncertainty() {
        var read = Entry.understand(LENGTH, "24 in", Accuracy.ofConstant(0.003));
        Value.Measured measured = (Value.Measured) read.value();
        assertThat(measured.standardUncertainty()).isCloseTo(0.003 / Math.sqrt(3), within(1e-12));
        assertThat(read.unit()).isEqualTo("in");
        assertThat(read.plausible()).isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
        not accessible: the hatch is screwed shut | Not accessible: the hatch is screwed shut
        Not accessible, because locked | Not accessible: locked
        NOT LOOKED AT | Not looked at
        not looked at: no time | Not looked at: no time
        """)
    void anyLineTakesWhyNothingWasRead(String typed, String said) {
        for (Point point : List.of(LENGTH, MONTH, CHOICE, YES_NO, TEXT)) {
            Value value =
                    Entry.answer(point, typed, Accuracy.EXACT, Traces.NONE).value();
            assertThat(((Value.Unread) value).said()).hasToString(said);
            assertThat(value.answer()).isEmpty();
        }
    }

    @Test
    void takingBackAndNotAccessibleWantAReason() {
        assertThat(Entry.answer(LENGTH, "taken back: wrong line", Accuracy.EXACT, Traces.NONE)
                        .value())
                .isEqualTo(new Value.TakenBack("wrong line"));
        for (String bare : List.of("taken back", "Taken back: ", "not accessible", "not accessible:")) {
            assertThatThrownBy(() -> Entry.answer(LENGTH, bare, Accuracy.EXACT, Traces.NONE))
                    .isInstanceOf(Entry.Unsuitable.class)
                    .hasMessageStartingWith("Say why");
        }
        assertThatThrownBy(
                        () -> Entry.answer(LENGTH, "not accessible: " + "x".repeat(201), Accuracy.EXACT, Traces.NONE))
                .isInstanceOf(Entry.Unsuitable.class);
        assertThatThrownBy(() -> Entry.understand(LENGTH, "not accessible: locked", Accuracy.EXACT))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(Entry.answer(TEXT, "not accessible ladder", Accuracy.EXACT, Traces.NONE)
                        .value())
                .isInstanceOf(Value.Unread.class);
        assertThat(Entry.answer(TEXT, "not accessibles", Accuracy.EXACT, Traces.NONE)
                        .value())
                .isInstanceOf(Value.Written.class);
    }

    @Test
    void absurdValueIsTakenButMarked() {
        assertThat(Entry.understand(LENGTH, "400 m", Accuracy.EXACT).plausible())
                .isFalse();
        assertThat(Entry.understand(LENGTH, "0 m", Accuracy.EXACT).plausible()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "LENGTH, -1 m, never under 0 mm",
        "LENGTH, 4000 m, never over 3000.00 m",
        "LENGTH, 1e160 m, never over",
        "BORE, 0 mm, more than zero",
        "BORE, -5 mm, more than zero",
        "BORE, 0.01 mm, never under",
        "THINGS, 2.5, whole numbers",
        "THINGS, 0, never under 1",
        "AIR, -200 °C, never under",
        "AIR, 1000 °C, never over",
    })
    void impossibleValuesAreRefusedWhateverIsConfirmed(String line, String typed, String words) {
        Point point = Map.of("LENGTH", LENGTH, "BORE", BORE, "THINGS", THINGS, "AIR", AIR)
                .get(line);
        assertThatThrownBy(() -> value(point, typed))
                .isInstanceOf(Entry.Unsuitable.class)
                .hasMessageContaining(words)
                .hasMessageContaining("cannot be the");
    }

    /** A laser shows metres to the millimetre: 2288 m of a length of 0 to 30 m is not what was meant. */
    @ParameterizedTest
    @CsvSource({
        "2.288 m, 2.288, 0.001",
        "'1,220 mm', , ",
        "2.500 mm, , ",
        "1.005 m, 1.005, 0.001",
        "'12,500 cm', 0.125, 0.00001"
    })
    void whereOnlyOneReadingIsUsualItIsMeant(String typed, Double si, Double resolution) {
        if (si == null) {
            assertThatThrownBy(() -> value(LENGTH, typed)).hasMessageContaining("two ways");
        } else {
            var read = (Value.Measured) value(LENGTH, typed);
            assertThat(read.quantity().si()).isCloseTo(si, within(1e-9));
            assertThat(read.resolution()).isCloseTo(resolution, within(1e-9));
        }
    }

    @Test
    void aThousandIsMeantWhereOnlyThatIsUsual() {
        Point airflow = Point.quantity("x.flow", Scope.SYSTEM, Dimension.VOLUME_FLOW, "Airflow", "", 0.02, 10);
        var read = (Value.Measured) value(airflow, "1,200 cfm");
        assertThat(read.quantity().si()).isCloseTo(1200 * 4.719474e-4, within(1e-9));
        assertThat(read.resolution()).isCloseTo(4.719474e-4, within(1e-12));
    }

    @Test
    void whatIsPossibleIsMuchWiderThanWhatIsUsual() {
        assertThat(BORE.possible(BORE.least() / 10)).isTrue();
        assertThat(BORE.possible(BORE.most() * 10)).isTrue();
        assertThat(AIR.possible(AIR.least() - 50)).isTrue();
        assertThat(THINGS.possible(500)).isTrue();
    }

    /** 1 % of a reading is 1 % of what the thermometer shows: 0.24 K of 24 °C, 0.42 K of 75 °F, not 3 K. */
    @ParameterizedTest
    @CsvSource({"24.0 °C, 0.24", "75.0 °F, 0.4166667", "-10.0 °C, 0.10", "297.2 K, 2.972"})
    void percentOfAReadingIsOfTheReadingShown(String typed, double limit) {
        var read = (Value.Measured)
                Entry.understand(AIR, typed, new Accuracy(0.01, 0, 0, 0, 0)).value();
        double step = read.resolution();
        assertThat(read.standardUncertainty()).isCloseTo(Math.sqrt(limit * limit / 3 + step * step / 12), within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "2025-03, 2025-03-01, 2025-03-31",
        "03/2025, 2025-03-01, 2025-03-31",
        "2025-W14, 2025-03-31, 2025-04-06",
        "2025w1, 2024-12-30, 2025-01-05",
        "wk 12 2020, 2020-03-16, 2020-03-22",
        "Week 12/2020, 2020-03-16, 2020-03-22",
        "2020 wk. 53, 2020-12-28, 2021-01-03",
        "May 2021, 2021-05-01, 2021-05-31",
        "sept. 2019, 2019-09-01, 2019-09-30",
        "2021 December, 2021-12-01, 2021-12-31",
        "12/2020, 2020-12-01, 2020-12-31",
        "12.2020, 2020-12-01, 2020-12-31",
    })
    void monthsAndWeeksAreSpans(String typed, LocalDate first, LocalDate last) {
        assertThat(value(MONTH, typed)).isEqualTo(new Value.Within(first, last));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2025-13",
                "2025-W60",
                "last spring",
                "",
                "25-3",
                "2025-00",
                "2021-W53",
                "wk 53 2021",
                "Mayhem 2021",
                "May 21",
                "0001-05",
                "9999-01"
            })
    void otherDatesAreRefused(String typed) {
        assertThatThrownBy(() -> value(MONTH, typed)).hasMessageContaining("2025-03");
    }

    @Test
    void choicesAndAnswersFoldCase() {
        assertThat(value(CHOICE, " Copper ")).isEqualTo(new Value.Chosen(Option.of("cu", "copper")));
        assertThat(value(YES_NO, "Y")).isEqualTo(new Value.Affirmed(true));
        assertThat(value(YES_NO, "no")).isEqualTo(new Value.Affirmed(false));
        assertThatThrownBy(() -> value(CHOICE, "gold")).hasMessageContaining("copper, aluminium");
        assertThatThrownBy(() -> value(YES_NO, "perhaps")).hasMessageContaining("yes or no");
        assertThatThrownBy(() -> value(YES_NO, null)).hasMessageContaining("yes or no");
    }

    @Test
    void textIsKeptAsWrittenButBounded() {
        assertThat(value(TEXT, " DX-42 <b> ")).isEqualTo(new Value.Written("DX-42 <b>"));
        assertThatThrownBy(() -> value(TEXT, "x".repeat(201))).hasMessageContaining("200");
        assertThatThrownBy(() -> value(TEXT, "a\u0000b")).hasMessageContaining("Control");
        assertThatThrownBy(() -> value(TEXT, " ")).hasMessageContaining("Nothing");
    }
}
