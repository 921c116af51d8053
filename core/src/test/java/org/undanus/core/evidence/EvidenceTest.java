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
}
