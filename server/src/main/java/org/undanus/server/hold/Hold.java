package org.undanus.server.hold;

import java.time.Duration;
import java.time.Instant;
import org.undanus.core.evidence.PointKey;

/**
 * Something left alone for a while, whose time goes on a line.
 *
 * @param witnessed whether who started it inspects
 * @param endedAt null while it runs
 * @param readingId of the reading its time became; null while it runs, and where it was left
 */
public record Hold(
        String id,
        String installationId,
        String point,
        String component,
        boolean witnessed,
        String startedBy,
        Instant startedAt,
        String endedBy,
        Instant endedAt,
        String readingId) {

    public PointKey key() {
        return new PointKey(point, component);
    }

    /** Whether it goes on. */
    public boolean runs() {
        return endedAt == null;
    }

    /** For how long it has been going on at a moment, or went on where it has ended. */
    public Duration lasting(Instant now) {
        return Duration.between(startedAt, runs() ? now : endedAt);
    }

    Hold ended(String by, Instant at, String reading) {
        return new Hold(id, installationId, point, component, witnessed, startedBy, startedAt, by, at, reading);
    }
}
