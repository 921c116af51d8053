package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class EvidenceTest {
    private static final PointKey MODEL = new PointKey("plate.model", "outdoor-1");

    private static Reading reading(int number, PointKey key, String typed) {
        return new Reading(
                new UUID(0, number),
                key,
                typed,
                new Value.Written(typed),
                "",
                Optional.empty(),
                Grade.WITNESSED,
                "inspector",
                Instant.EPOCH.plusSeconds(number),
                Stage.FINAL);
    }

    @Test
    void theLastReadingStandsAndTheEarlierStayVisible() {
        Evidence evidence = Evidence.of(List.of(reading(1, MODEL, "A"), reading(2, MODEL, "B")));
        assertThat(evidence.latest(MODEL)).map(Reading::typed).contains("B");
        assertThat(evidence.history(MODEL)).extracting(Reading::typed).containsExactly("A", "B");
    }

    @Test
    void addingMakesNewEvidenceAndLeavesTheOldAlone() {
        Evidence before = Evidence.NONE.with(reading(1, MODEL, "A"));
        Evidence after = before.with(reading(2, MODEL, "B"));
        assertThat(before.latest(MODEL)).map(Reading::typed).contains("A");
        assertThat(after.readings()).hasSize(2);
    }

    @Test
    void unitsDoNotShareReadings() {
        Evidence evidence = Evidence.NONE.with(reading(1, MODEL, "A"));
        assertThat(evidence.latest(new PointKey("plate.model", "indoor-1"))).isEmpty();
        assertThat(evidence.history(new PointKey("plate.model", "indoor-1"))).isEmpty();
    }

    @Test
    void gradesAreOrderedByStrength() {
        assertThat(Grade.WITNESSED.atLeast(Grade.LOGGED)).isTrue();
        assertThat(Grade.RECORDED.atLeast(Grade.RECORDED)).isTrue();
        assertThat(Grade.STATED.atLeast(Grade.RECORDED)).isFalse();
    }

    private static Reading said(String typed, Grade grade, String by, boolean crew) {
        return new Reading(
                UUID.randomUUID(),
                KEY,
                typed,
                new Value.Written(typed),
                "",
                Optional.empty(),
                grade,
                by,
                Instant.EPOCH,
                Stage.FINAL,
                crew);
    }

    private static final PointKey KEY = new PointKey("x.model", "outdoor");
    private static final Reading SEEN = said("12 mm", Grade.WITNESSED, "inspector", false);

    @Test
    void aCrewNeverTakesThePlaceOfTheOffice() {
        for (Grade grade : Grade.values()) {
            Reading crew = said("20 mm", grade, "nettlebank", true);
            Evidence evidence = Evidence.of(List.of(SEEN, crew));
            assertThat(evidence.latest(KEY)).contains(SEEN);
            assertThat(evidence.beside(KEY)).contains(crew);
            assertThat(evidence.history(KEY)).containsExactly(SEEN, crew);
        }
    }

    @Test
    void aWeakerGradeStandsBesideAStrongerOne() {
        Reading told = said("20 mm", Grade.STATED, "inspector", false);
        assertThat(Evidence.of(List.of(SEEN, told)).latest(KEY)).contains(SEEN);
        Reading again = said("21 mm", Grade.WITNESSED, "lead", false);
        Evidence evidence = Evidence.of(List.of(SEEN, told, again));
        assertThat(evidence.latest(KEY)).contains(again);
        assertThat(evidence.beside(KEY)).isEmpty();
    }

    @Test
    void whoSaysTheSameAgainCorrectsTheGrade() {
        Reading regraded = said("12 mm", Grade.STATED, "inspector", false);
        assertThat(Evidence.of(List.of(SEEN, regraded)).latest(KEY)).contains(regraded);
        Reading another = said("12 mm", Grade.STATED, "lead", false);
        assertThat(Evidence.of(List.of(SEEN, another)).latest(KEY)).contains(SEEN);
    }

    private static Reading answered(Value value, boolean crew) {
        return new Reading(
                UUID.randomUUID(),
                KEY,
                "",
                value,
                "",
                Optional.empty(),
                Grade.WITNESSED,
                crew ? "nettlebank" : "inspector",
                Instant.EPOCH,
                Stage.FINAL,
                crew);
    }

    private static final Reading STRUCK = answered(new Value.TakenBack("wrong line"), false);
    private static final Reading NOT_ACCESSIBLE =
            answered(new Value.Unread(Value.Unread.Why.NOT_ACCESSIBLE, "hatch screwed shut"), false);

    @Test
    void whatIsTakenBackIsStruckAndWhatWasReadBeforeStandsAgain() {
        Reading later = said("13 mm", Grade.WITNESSED, "inspector", false);
        Evidence evidence = Evidence.of(List.of(SEEN, later, STRUCK));
        assertThat(evidence.latest(KEY)).contains(SEEN);
        assertThat(evidence.beside(KEY)).isEmpty();
        assertThat(evidence.history(KEY)).containsExactly(SEEN, later, STRUCK);
        Evidence none = evidence.with(answered(new Value.TakenBack("that one too"), false));
        assertThat(none.latest(KEY)).isEmpty();
        assertThat(none.with(STRUCK).latest(KEY)).isEmpty();
        assertThat(none.with(later).latest(KEY)).contains(later);
    }

    @Test
    void aCrewTakesBackItsOwnAlone() {
        Reading crews = said("20 mm", Grade.RECORDED, "nettlebank", true);
        Reading struck = answered(new Value.TakenBack("misread"), true);
        assertThat(Evidence.of(List.of(SEEN, struck)).latest(KEY)).contains(SEEN);
        assertThat(Evidence.of(List.of(crews, struck)).latest(KEY)).isEmpty();
        Evidence beside = Evidence.of(List.of(SEEN, crews, struck));
        assertThat(beside.latest(KEY)).contains(SEEN);
        assertThat(beside.beside(KEY)).isEmpty();
    }

    @Test
    void whyNothingWasReadShowsNothingAndGivesWayToAnyReading() {
        Evidence evidence = Evidence.of(List.of(NOT_ACCESSIBLE));
        assertThat(evidence.latest(KEY)).isEmpty();
        assertThat(evidence.answer(KEY)).contains(NOT_ACCESSIBLE);
        assertThat(evidence.unread(KEY))
                .map(said -> said.said().toString())
                .contains("Not accessible: hatch screwed shut");
        Reading crews = said("20 mm", Grade.STATED, "nettlebank", true);
        assertThat(evidence.with(crews).latest(KEY)).contains(crews);
        Evidence read = Evidence.of(List.of(SEEN, NOT_ACCESSIBLE));
        assertThat(read.latest(KEY)).contains(SEEN);
        assertThat(read.unread(KEY)).isEmpty();
        Reading otherwise = answered(new Value.Unread(Value.Unread.Why.NOT_LOOKED_AT, ""), false);
        assertThat(evidence.with(otherwise).answer(KEY)).contains(otherwise);
        assertThat(otherwise.said()).hasToString("Not looked at");
    }

    @Test
    void theOfficeTakesThePlaceOfACrewOfTheSameGradeAndACrewOfItself() {
        Reading crew = said("20 mm", Grade.RECORDED, "nettlebank", true);
        Reading later = said("21 mm", Grade.RECORDED, "nettlebank", true);
        Reading office = said("22 mm", Grade.RECORDED, "inspector", false);
        assertThat(Evidence.of(List.of(crew, later)).latest(KEY)).contains(later);
        assertThat(Evidence.of(List.of(crew, later, office)).latest(KEY)).contains(office);
        assertThat(Evidence.of(List.of(crew, SEEN)).latest(KEY)).contains(SEEN);
        assertThat(Evidence.NONE.beside(KEY)).isEmpty();
    }
}
