package org.undanus.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;

/**
 * Which instruments at hand would settle a line whose judgement is too close to call: those of the kind it is read with whose
 * expanded uncertainty is at most the margin found. Right for judgements that rest on this one reading.
 */
public final class BetterInstrument {
    private BetterInstrument() {}

    /** The best first, none where none at hand is good enough; empty where nothing on the line alone is too close to call. */
    public static Optional<List<Instrument>> forLine(
            PointKey line, InstrumentKind kind, Case facts, Evidence evidence, Judgements judgements, LocalDate on) {
        Optional<Value.Measured> read = evidence.latest(line)
                .map(Reading::value)
                .filter(Value.Measured.class::isInstance)
                .map(Value.Measured.class::cast)
                .filter(value -> value.standardUncertainty() > 0);
        return read.flatMap(value -> judgements.all().stream()
                .filter(j -> j.verdict() == Verdict.TOO_CLOSE
                        && j.evidence().contains(line)
                        && j.comparison()
                                .filter(c -> c.dimension() == value.quantity().dimension()
                                        && c.measured().value()
                                                == value.quantity().si())
                                .isPresent())
                .findFirst()
                .map(j -> facts.toolcase()
                        .goodEnough(
                                kind,
                                value.quantity().si(),
                                Math.abs(j.comparison().orElseThrow().margin()),
                                Examination.use(
                                        facts,
                                        evidence,
                                        Optional.of(value.quantity().si()),
                                        on))));
    }
}
