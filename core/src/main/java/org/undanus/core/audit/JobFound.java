package org.undanus.core.audit;

import java.util.Optional;

/**
 * What a check of several records came to.
 *
 * @param record the one it speaks of; empty where it speaks of all
 * @param other the one it was held against
 * @param copy whether it says that one of the two may have been written from the other
 */
public record JobFound(
        Found found, Optional<CommissioningRecord> record, Optional<CommissioningRecord> other, boolean copy) {

    JobFound(Found found, Optional<CommissioningRecord> record, Optional<CommissioningRecord> other) {
        this(found, record, other, false);
    }

    static JobFound copied(Found found, CommissioningRecord record, CommissioningRecord other) {
        return new JobFound(found, Optional.of(record), Optional.of(other), true);
    }

    JobFound with(Found.Consistency judged) {
        return new JobFound(found.with(judged), record, other, copy);
    }
}
