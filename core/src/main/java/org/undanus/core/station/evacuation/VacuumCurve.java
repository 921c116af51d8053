package org.undanus.core.station.evacuation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.undanus.core.curve.Falling;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.evidence.Outline;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;

/**
 * A curve of vacuum with the part in which the pump was valved off: from the last mark that says so; where nothing is marked, from
 * where it began to rise.
 *
 * @param curve all of it
 * @param pulls its parts between the times nitrogen broke the vacuum; one where it never did
 * @param rise the part after isolation; empty where it has none
 * @param isolated when that began, s from the first sample
 * @param marked whether a mark says so
 * @param told whether it is known at all: by a mark, by a rise, or because the curve begins then
 */
record VacuumCurve(Curve curve, List<Outline> pulls, Outline rise, double isolated, boolean marked, boolean told) {
    /** A curve that begins at less than so many times its deepest begins after the pull. */
    private static final double PULLED_DOWN = 3;

    /** A rise takes at least this share of what comes after the deepest sample; less is chance. */
    private static final double LEFT_TO_RISE = 0.2;
    /** So many standard deviations are alike. */
    private static final double ALIKE = 3;
    /** The median of a normal scatter, in standard deviations. */
    private static final double MEDIAN = 0.6745;

    static Optional<VacuumCurve> of(Examination x) {
        Optional<Marks> marks = x.listedOf(EvacuationPoints.LOG, EvacuationPoints.MARKS, Marks.class);
        return Curve.of(x, EvacuationPoints.LOG, EvacuationPoints.READINGS).map(curve -> of(curve, marks));
    }

    private static VacuumCurve of(Curve curve, Optional<Marks> marks) {
        List<Outline> pulls = pulls(curve, marks);
        Outline pull = pulls.get(pulls.size() - 1);
        double began = pull.seconds(0) - curve.outline().seconds(0);
        OptionalDouble said = marks.map(m -> m.last(Act.ISOLATED)).orElse(OptionalDouble.empty()).stream()
                .filter(at -> at >= began)
                .findFirst();
        double whole = curve.outline().lasting();
        Turn turn = turned(curve, pull);
        double from = said.orElse(turn.seconds);
        double to = marks.map(m -> m.undisturbed(from))
                .orElse(OptionalDouble.empty())
                .orElse(whole);
        return new VacuumCurve(
                curve,
                pulls,
                curve.between(from, Math.min(to, whole)),
                from,
                said.isPresent(),
                said.isPresent() || turn.told);
    }

    /** The parts between the times nitrogen broke the vacuum, each from its highest pressure on; one where it never did. */
    private static List<Outline> pulls(Curve curve, Optional<Marks> marks) {
        double whole = curve.outline().lasting();
        List<Double> broken = new ArrayList<>(List.of(0.0));
        marks.ifPresent(m -> m.times(Act.NITROGEN_IN).filter(at -> at < whole).forEach(broken::add));
        broken.add(whole);
        List<Outline> pulls = new ArrayList<>();
        for (int i = 0; i + 1 < broken.size(); i++) {
            Outline part = curve.between(broken.get(i), broken.get(i + 1));
            Outline fallen =
                    part.size() == 0 ? part : part.between(part.seconds(highest(part)), part.seconds(part.size() - 1));
            // nitrogen that is let in last of all is no pull
            if (fallen.size() > 0 && (i == 0 || fallen.mean(0) > PULLED_DOWN * fallen.mean(deepest(fallen)))) {
                pulls.add(i == 0 ? part : fallen);
            }
        }
        return pulls.isEmpty() ? List.of(curve.outline()) : pulls;
    }

    private static int deepest(Outline part) {
        return IntStream.range(0, part.size())
                .reduce((best, i) -> part.mean(i) < part.mean(best) ? i : best)
                .orElseThrow();
    }

    private static int highest(Outline part) {
        return IntStream.range(0, part.size())
                .reduce((best, i) -> part.mean(i) > part.mean(best) ? i : best)
                .orElseThrow();
    }

    /** How deep each pull went, where nitrogen broke the vacuum meanwhile. */
    Optional<Pulls> depths() {
        return pulls.size() < 2
                ? Optional.empty()
                : Optional.of(new Pulls(
                        pulls.stream().map(part -> part.mean(deepest(part))).toList()));
    }

    /** Whether a pull is in it. */
    boolean pulled() {
        return curve.outline().mean(0) > PULLED_DOWN * curve.outline().mean(deepest(curve.outline()));
    }

    /** How it falls just now, where the pump may still draw. */
    Optional<Falling> falling() {
        return told ? Optional.empty() : Falling.of(pulls.get(pulls.size() - 1), curve.step());
    }

    /** @param told whether the curve shows it: one that stays flat to its end may have the pump on it still */
    private record Turn(double seconds, boolean told) {}

    /** When it began to rise, s: from the last sample that chance does not tell from the deepest one. */
    private static Turn turned(Curve curve, Outline all) {
        int deepest = deepest(all);
        double alike = all.mean(deepest) + Math.max(curve.step(), ALIKE * scatter(all, deepest));
        int last = deepest;
        for (int i = deepest; i < all.size(); i++) {
            last = all.mean(i) <= alike ? i : last;
        }
        // one that hardly rises is alike to its end: then nothing tells the pump's part from its own
        double end = all.seconds(all.size() - 1);
        boolean rises = end - all.seconds(last) >= (end - all.seconds(deepest)) * LEFT_TO_RISE;
        boolean pulled = all.mean(0) > PULLED_DOWN * all.mean(deepest);
        return new Turn(
                all.seconds(rises ? last : deepest) - curve.outline().seconds(0),
                rises && last < all.size() - 1 || !pulled);
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
