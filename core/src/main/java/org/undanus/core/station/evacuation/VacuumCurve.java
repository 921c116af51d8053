package org.undanus.core.station.evacuation;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.Marks;
import org.undanus.core.derived.Marks.Act;
import org.undanus.core.evidence.Outline;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;

/**
 * A curve of vacuum with the part in which the pump was valved off: from the last mark that says so; where nothing is marked, from
 * where it began to rise.
 *
 * @param curve all of it
 * @param rise the part after isolation; empty where it has none
 * @param isolated when that began, s from the first sample
 * @param marked whether a mark says so
 * @param told whether it is known at all: by a mark, by a rise, or because the curve begins then
 */
record VacuumCurve(Curve curve, Outline rise, double isolated, boolean marked, boolean told) {
    /** A curve that begins at less than so many times its deepest begins after the pull. */
    private static final double PULLED_DOWN = 3;

    /** A rise takes at least this share of what comes after the deepest sample; less is chance. */
    private static final double LEFT_TO_RISE = 0.2;
    /** So many standard deviations are alike. */
    private static final double ALIKE = 3;
    /** The median of a normal scatter, in standard deviations. */
    private static final double MEDIAN = 0.6745;

    static Optional<VacuumCurve> of(Examination x) {
        Optional<Marks> marks = x.listed(EvacuationPoints.MARKS, Marks.class);
        return Curve.of(x, EvacuationPoints.LOG, EvacuationPoints.READINGS).map(curve -> of(curve, marks));
    }

    private static VacuumCurve of(Curve curve, Optional<Marks> marks) {
        OptionalDouble said = marks.map(m -> m.last(Act.ISOLATED)).orElse(OptionalDouble.empty());
        double whole = curve.outline().lasting();
        Turn turn = turned(curve);
        double from = said.orElse(turn.seconds);
        double to = marks.map(m -> m.after(from)).orElse(OptionalDouble.empty()).orElse(whole);
        return new VacuumCurve(
                curve, curve.between(from, Math.min(to, whole)), from, said.isPresent(), said.isPresent() || turn.told);
    }

    /** @param told whether the curve shows it: one that stays flat to its end may have the pump on it still */
    private record Turn(double seconds, boolean told) {}

    /** When it began to rise, s: from the last sample that chance does not tell from the deepest one. */
    private static Turn turned(Curve curve) {
        Outline all = curve.outline();
        int deepest = 0;
        for (int i = 1; i < all.size(); i++) {
            deepest = all.mean(i) < all.mean(deepest) ? i : deepest;
        }
        double alike = all.mean(deepest) + Math.max(curve.step(), ALIKE * scatter(all, deepest));
        int last = deepest;
        for (int i = deepest; i < all.size(); i++) {
            last = all.mean(i) <= alike ? i : last;
        }
        // one that hardly rises is alike to its end: then nothing tells the pump's part from its own
        double after = curve.since(all.size() - 1) - curve.since(deepest);
        boolean rises = curve.since(all.size() - 1) - curve.since(last) >= after * LEFT_TO_RISE;
        boolean pulled = all.mean(0) > PULLED_DOWN * all.mean(deepest);
        return new Turn(curve.since(rises ? last : deepest), rises && last < all.size() - 1 || !pulled);
    }

    /** Standard deviation of chance: the median of second differences, which a smooth course leaves out. */
    private static double scatter(Outline all, int from) {
        double[] bends = IntStream.range(from + 1, all.size() - 1)
                .mapToDouble(i -> Math.abs(all.mean(i + 1) - 2 * all.mean(i) + all.mean(i - 1)))
                .sorted()
                .toArray();
        return bends.length == 0 ? 0 : bends[bends.length / 2] / (MEDIAN * Math.sqrt(6));
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
