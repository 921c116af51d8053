package org.undanus.core.evidence;

import java.time.Duration;
import java.time.Instant;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;

/**
 * A curve that was logged: which one it is, and what is known of it without going through its samples.
 *
 * @param sha256 of its file as {@link TraceCsv} writes it
 * @param unit its values are written in
 * @param samples how many
 * @param least smallest value, SI
 * @param most largest value, SI
 * @param resolution step of the last digit written, SI
 */
public record Trace(
        String sha256,
        Dimension dimension,
        FieldUnit unit,
        Instant from,
        Instant to,
        long samples,
        double least,
        double most,
        double resolution) {

    /** From the first sample to the last. */
    public Duration lasting() {
        return Duration.between(from, to);
    }
}
