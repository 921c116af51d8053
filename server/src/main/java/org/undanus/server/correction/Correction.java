package org.undanus.server.correction;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Something to put right.
 *
 * @param number counted within the installation
 * @param what requirement and unit
 * @param finding why, in the words of the judgement when it was raised
 * @param limits the limits it was held against, with their sources
 * @param words what the inspector asks for
 */
public record Correction(
        String id,
        int number,
        String installationId,
        String requirement,
        String component,
        String what,
        String finding,
        String limits,
        String words,
        Optional<LocalDate> due,
        State state,
        String raisedBy,
        Instant raisedAt,
        int version) {

    /** Where it stands. */
    public enum State {
        OPEN,
        WITHDRAWN
    }
}
