package org.undanus.core.station.evacuation;

import java.util.Optional;
import java.util.OptionalDouble;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.Marks;
import org.undanus.core.derived.Marks.Act;
import org.undanus.core.evidence.Outline;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;

/**
 * A curve of vacuum with the part in which the pump was valved off: from the last mark that says so; where nothing is marked, from its
 * least pressure on.
 *
 * @param curve all of it
 * @param rise the part after isolation; empty where it has none
 * @param isolated when that began, s from the first sample
 * @param marked whether a mark says so
 */
record VacuumCurve(Curve curve, Outline rise, double isolated, boolean marked) {

    static Optional<VacuumCurve> of(Examination x) {
        Optional<Marks> marks = x.listed(EvacuationPoints.MARKS, Marks.class);
        return Curve.of(x, EvacuationPoints.LOG, EvacuationPoints.READINGS).map(curve -> of(curve, marks));
    }

    private static VacuumCurve of(Curve curve, Optional<Marks> marks) {
        OptionalDouble said = marks.map(m -> m.last(Act.ISOLATED)).orElse(OptionalDouble.empty());
        double whole = curve.outline().lasting();
        double from = said.orElseGet(() -> deepest(curve));
        double to = marks.map(m -> m.after(from)).orElse(OptionalDouble.empty()).orElse(whole);
        return new VacuumCurve(curve, curve.between(from, Math.min(to, whole)), from, said.isPresent());
    }

    private static double deepest(Curve curve) {
        int found = 0;
        for (int i = 1; i < curve.outline().size(); i++) {
            found = curve.outline().mean(i) < curve.outline().mean(found) ? i : found;
        }
        return curve.since(found);
    }

    /** How long it was watched after isolation, s. */
    double lasting() {
        return rise.lasting();
    }

    /** What it had come down to when it was isolated; empty where the curve begins later. */
    Optional<Uncertain> reached() {
        return rise.size() == 0 ? Optional.empty() : Optional.of(curve.uncertain(rise.mean(0)));
    }

    /** Where it stood some time after isolation, or at its end. */
    Uncertain after(double seconds) {
        return curve.uncertain(rise.at(rise.seconds(0) + seconds));
    }

    /** How it rose; empty where too few samples came after isolation. */
    Optional<Rise> read(double mostMoisture) {
        return rise.size() < Rise.FEWEST || !(rise.lasting() > 0)
                ? Optional.empty()
                : Optional.of(Rise.of(rise, curve.step(), mostMoisture));
    }
}
