package org.undanus.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.installation.Case;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.Quantity;

/**
 * Which instruments at hand would settle a line whose judgement is too close to call: those of the kind it is read with, other
 * than the one it was read with, whose expanded uncertainty is at most the margin found. Right for judgements that rest on
 * this one reading.
 */
public final class BetterInstrument {
    private BetterInstrument() {}

    /** The best first, none where none at hand is good enough; empty where nothing on the line alone is too close to call. */
    public static Optional<List<Instrument>> forLine(
            PointKey line, InstrumentKind kind, Case facts, Evidence evidence, Judgements judgements, LocalDate on) {
        return evidence.latest(line).flatMap(reading -> judgements.all().stream()
                .filter(j -> j.verdict() == Verdict.TOO_CLOSE && j.evidence().contains(line))
                .flatMap(j -> j.comparison().stream())
                .filter(comparison -> comparison.isOf(reading.value()))
                .findFirst()
                .map(comparison -> better(reading, comparison, kind, facts, evidence, on)));
    }

    private static List<Instrument> better(
            Reading reading, Comparison comparison, InstrumentKind kind, Case facts, Evidence evidence, LocalDate on) {
        Quantity value = comparison.dimension().of(comparison.measured().value());
        return facts
                .toolcase()
                .goodEnough(
                        kind,
                        value.dimension(),
                        FieldUnit.size(value, reading.unit()),
                        comparison.allowed(),
                        Admission.use(facts, evidence, List.of(value), on))
                .stream()
                .filter(instrument -> !reading.instrument().equals(Optional.of(instrument.id())))
                .toList();
    }
}
