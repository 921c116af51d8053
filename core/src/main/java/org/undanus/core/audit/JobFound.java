package org.undanus.core.audit;

import java.util.Optional;

/**
 * What a check of several records came to.
 *
 * @param record the one it speaks of; empty where it speaks of all
 * @param other the one it was held against
 */
public record JobFound(Found found, Optional<CommissioningRecord> record, Optional<CommissioningRecord> other) {
    JobFound with(Found.Outcome judged) {
        return new JobFound(found.with(judged), record, other);
    }
}
