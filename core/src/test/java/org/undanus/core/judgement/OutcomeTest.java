package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Scope;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

class OutcomeTest {

    private static Judgement judgement(String id, Station station, Severity severity, Verdict verdict) {
        return judgement(About.of(station.key() + "." + id, station, Scope.SYSTEM, id, severity), verdict);
    }

    private static Judgement judgement(About about, Verdict verdict) {
        return new Judgement(
                about,
                "system",
                "",
                verdict,
                Text.of("because"),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty());
    }

    private static List<Judgement> some(String verdicts) {
        return Stream.of(verdicts.isEmpty() ? new String[0] : verdicts.split(" "))
                .map(word -> {
                    String[] parts = word.split("/");
                    return judgement(word, Station.SITING, Severity.valueOf(parts[1]), Verdict.valueOf(parts[0]));
                })
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|Nothing has been judged yet.",
                "MEETS/SAFETY DOES_NOT_APPLY/RECORD|Everything that applies meets its limits.",
                "NOT_SHOWN/RECORD MEETS/SAFETY|"
                        + "Nothing that was shown fails. One requirement is not settled or not shown yet, which is no pass.",
                "NOT_SHOWN/RECORD TOO_CLOSE/SAFETY REFER/DAMAGE|"
                        + "Nothing that was shown fails. 3 requirements are not settled or not shown yet, which is no pass.",
                "FAILS/RECORD|One thing must be put right.",
                "FAILS/SAFETY|One thing must be put right, for safety.",
                "FAILS/SAFETY FAILS/DAMAGE NOT_SHOWN/SAFETY|"
                        + "2 things must be put right, 1 of them for safety. One more is not settled or not shown.",
            })
    void theOutcomeIsASentence(String verdicts, String sentence) {
        assertThat(Outcome.of(some(verdicts)).sentence().in(UnitSystem.SI)).isEqualTo(sentence);
    }

    @Test
    void whatIsMostAtStakeComesFirstThenTheOrderOfTheWalk() {
        Outcome outcome = Outcome.of(List.of(
                judgement("a", Station.RUNNING, Severity.DAMAGE, Verdict.FAILS),
                judgement("b", Station.SITING, Severity.DAMAGE, Verdict.FAILS),
                judgement("c", Station.RUNNING, Severity.SAFETY, Verdict.FAILS),
                judgement("d", Station.PAPERS, Severity.SAFETY, Verdict.NOT_SHOWN)));
        assertThat(outcome.failing()).extracting(j -> j.about().title()).containsExactly("c", "b", "a");
        assertThat(outcome.mostPressing()).map(j -> j.about().title()).contains("c");
        assertThat(outcome.failing(Severity.DAMAGE)).isEqualTo(2);
        assertThat(Outcome.of(some("MEETS/SAFETY")).mostPressing()).isEmpty();
    }

    @Test
    void lifeComesFirst() {
        Outcome outcome = Outcome.of(List.of(
                judgement("wiring", Station.ELECTRICAL, Severity.SAFETY, Verdict.FAILS),
                judgement("burner", Station.FUEL, Severity.DAMAGE, Verdict.FAILS),
                judgement("flue", Station.FUEL, Severity.SAFETY, Verdict.FAILS),
                judgement("siting", Station.SITING, Severity.SAFETY, Verdict.FAILS),
                judgement(
                        About.of("handover.leave", Station.HANDOVER, Scope.SYSTEM, "leave", Severity.SAFETY)
                                .stopping(),
                        Verdict.FAILS)));
        assertThat(outcome.failing())
                .extracting(j -> j.about().title())
                .containsExactly("leave", "flue", "siting", "wiring", "burner");
    }

    @Test
    void whatWasFoundIsTheReadingAndItsRoomElseTheReason() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.minimum-circuit-ampacity", "12 A")
                .outdoor("plate.maximum-overcurrent-device", "20 A")
                .outdoor("electrical.device-rating", "25 A")
                .outdoor("siting.support", "ground pad")
                .outdoor("siting.pad-sound", "no");
        assertThat(fixture.judge("electrical.overcurrent-device").finding().in(UnitSystem.SI))
                .isEqualTo("25 A, 5 A over the maker's 20 A");
        assertThat(fixture.judge("siting.pad-sound").finding().in(UnitSystem.SI))
                .isEqualTo("The pad is not sound.");
    }

    @ParameterizedTest(name = "{0} before {1}")
    @CsvSource({
        "FAILS/SAFETY, FAILS/DAMAGE FAILS/DAMAGE FAILS/PERFORMANCE",
        "FAILS/RECORD, TOO_CLOSE/SAFETY REFER/SAFETY NOT_SHOWN/SAFETY",
        "FAILS/DAMAGE FAILS/DAMAGE, FAILS/DAMAGE FAILS/PERFORMANCE",
        "TOO_CLOSE/RECORD, NOT_SHOWN/SAFETY NOT_SHOWN/SAFETY",
        "NOT_SHOWN/RECORD, MEETS/SAFETY",
    })
    void whatIsMoreAtStakeSortsFirst(String more, String less) {
        assertThat(Outcome.of(some(more)).stake())
                .isGreaterThan(Outcome.of(some(less)).stake());
    }

    @Test
    void manyOfAKindNeverCountAsOneOfAWorse() {
        String many = "FAILS/DAMAGE ".repeat(500).strip();
        assertThat(Outcome.of(some(many)).stake())
                .isLessThan(Outcome.of(some("FAILS/SAFETY")).stake());
        assertThat(Outcome.of(some("FAILS/SAFETY ".repeat(500).strip())).stake())
                .isPositive();
    }

    @Test
    void theMostPressingIsSaidWithItsTitle() {
        assertThat(Outcome.of(some("MEETS/SAFETY")).pressing()).isEmpty();
        assertThat(Outcome.of(some("NOT_SHOWN/RECORD FAILS/DAMAGE")).pressing().map(text -> text.in(UnitSystem.SI)))
                .contains("FAILS/DAMAGE: because");
    }
}
