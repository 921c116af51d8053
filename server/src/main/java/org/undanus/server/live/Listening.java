package org.undanus.server.live;

import java.time.Instant;
import org.undanus.core.evidence.PointKey;

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

    public PointKey key() {
        return new PointKey(point, component);
    }
}
