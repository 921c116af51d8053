package org.undanus.core.audit;

import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;

/**
 * What a record says of one line.
 *
 * @param typed as it was written
 * @param at when it claims to have been read, by the clock on the wall there
 * @param instrument the instrument it names
 */
public record Claim(
        UUID id,
        PointKey key,
        String typed,
        Value value,
        String unit,
        Optional<LocalDateTime> at,
        Optional<String> instrument) {

    /** Where it is a number. */
    public Optional<Value.Measured> measured() {
        return value instanceof Value.Measured number ? Optional.of(number) : Optional.empty();
    }
}
