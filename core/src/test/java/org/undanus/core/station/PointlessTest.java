package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.RandomCases;
import org.undanus.core.Rounds;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judge;
import org.undanus.core.words.Text;

/** Lines that an answer elsewhere makes pointless. */
class PointlessTest {
    private static final int CASES = Rounds.of(60, 150);

    private static Point point(String id) {
        return Walk.point(id).orElseThrow();
    }

    private static Optional<String> pointless(CaseFixture fixture, String id, String component) {
        return fixture.evidence().pointless(point(id), component).map(Reading::typed);
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "no, no", "yes, -",
            })
    void withoutADisconnectItsRatingMeansNothing(String fitted, String because) {
        CaseFixture fixture = new CaseFixture().outdoor("electrical.disconnect-present", fitted);

        assertThat(pointless(fixture, "electrical.disconnect-rating", "outdoor"))
                .isEqualTo(Optional.ofNullable(because));
    }

    @Test
    void whileNobodyHasAnsweredEveryLineIsAsked() {
        assertThat(pointless(new CaseFixture(), "electrical.disconnect-rating", "outdoor"))
                .isEmpty();
    }

    @Test
    void whatHangsOnAPointlessLineIsPointlessToo() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("electrical.panel-visible", "yes")
                .outdoor("electrical.disconnect-present", "yes");

        assertThat(pointless(fixture, "electrical.panel-distance", "outdoor")).contains("yes");
    }

    @Test
    void anAnswerThatCanNoLongerBeTakenMakesNothingPointless() {
        Reading answered = new CaseFixture()
                .outdoor("electrical.disconnect-present", "no")
                .evidence()
                .readings()
                .get(0);
        Reading aside = new Reading(
                answered.id(),
                answered.key(),
                answered.typed(),
                new Value.SetAside(Text.of("unknown")),
                "",
                Optional.empty(),
                answered.grade(),
                answered.by(),
                answered.at(),
                answered.stage());

        assertThat(Evidence.of(List.of(aside)).pointless(point("electrical.disconnect-rating"), "outdoor"))
                .isEmpty();
    }

    /** What is declared pointless must be so: nothing is judged otherwise with its reading or without. */
    @Test
    void noJudgementChangesByWhatIsReadOnAPointlessLine() {
        Judge judge = Walk.judge();
        int without = 0;
        for (int seed = 0; seed < CASES; seed++) {
            Random random = new Random(seed);
            Case facts = RandomCases.facts(random);
            Evidence all = RandomCases.evidence(random, facts);
            List<Reading> needed = new ArrayList<>(all.readings());
            needed.removeIf(reading -> all.pointless(
                            point(reading.key().point()), reading.key().component())
                    .isPresent());
            without += all.readings().size() - needed.size();
            assertThat(verdicts(judge, facts, Evidence.of(needed)))
                    .as("case %d", seed)
                    .isEqualTo(verdicts(judge, facts, all));
        }
        assertThat(without).isGreaterThan(500);
    }

    private static List<String> verdicts(Judge judge, Case facts, Evidence evidence) {
        return judge.judge(facts, evidence, CaseFixture.PLATE_BOOK).stream()
                .map(j -> j.key() + " " + j.verdict())
                .toList();
    }
}
