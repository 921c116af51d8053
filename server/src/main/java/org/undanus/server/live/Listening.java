package org.undanus.server.live;

import java.time.Instant;
import org.undanus.core.evidence.PointKey;
import org.undanus.server.account.Person;

/**
 * A line that takes what an instrument sends.
 *
 * @param samples so far
 */
public record Listening(
        String id,
        String installationId,
        String point,
        String component,
        String instrument,
        String startedBy,
        Instant startedAt,
        long samples) {

    /** As the journal keeps it: what comes is counted in its curve. */
    record State(
            String id,
            String installationId,
            String point,
            String component,
            String instrument,
            String startedBy,
            Instant startedAt) {}

    State state() {
        return new State(id, installationId, point, component, instrument, startedBy, startedAt);
    }

    /** Whether this person may end it, or say what was done at it: who let it listen, or the office. */
    public boolean isOf(Person person) {
        return person.inspects() || startedBy.equals(person.name());
    }

    public PointKey key() {
        return new PointKey(point, component);
    }
}
