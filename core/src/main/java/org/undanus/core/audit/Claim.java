package org.undanus.core.audit;

import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Traces;
import org.undanus.core.evidence.Value;
import org.undanus.core.words.Text;

/**
 * What a record says of one line.
 *
 * @param typed as it was written
 * @param at when it claims to have been read, by the clock on the wall there
 * @param instrument the instrument it names
 * @param course of a curve, in few points; of what was written down one after another, as it was
 */
public record Claim(
        UUID id,
        PointKey key,
        String typed,
        Value value,
        String unit,
        Optional<LocalDateTime> at,
        Optional<String> instrument,
        Optional<Outline> course) {

    /** @param traces where curves that it names are kept */
    public static Claim of(
            UUID id,
            PointKey key,
            String typed,
            Entry.Understood understood,
            Optional<LocalDateTime> at,
            Optional<String> instrument,
            Traces traces) {
        return new Claim(
                id,
                key,
                typed,
                understood.value(),
                understood.unit(),
                at,
                instrument,
                course(understood.value(), traces));
    }

    /** As people say it: of a choice by its words. */
    public Text said() {
        return Text.plain(value instanceof Value.Chosen chosen ? chosen.option().words() : typed);
    }

    private static Optional<Outline> course(Value value, Traces traces) {
        if (value instanceof Value.Listed listed && listed.listing() instanceof WrittenCurve readings) {
            return Optional.of(readings.outline());
        }
        return value instanceof Value.Logged logged
                ? Optional.of(traces.outline(
                        logged.trace(), logged.trace().from(), logged.trace().to()))
                : Optional.empty();
    }

    /** Where it is a number. */
    public Optional<Value.Measured> measured() {
        return value instanceof Value.Measured number ? Optional.of(number) : Optional.empty();
    }
}
