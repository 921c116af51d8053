package org.undanus.core.station.siting;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.evidence.Point;
import org.undanus.core.geometry.WallGeometry;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Holds a distance, taped or drawn, against the rule book's limits and the figure of the unit's data sheet. */
final class Clearance {
    private Clearance() {}

    /** The rule book's limits with the sheet's value beside them. */
    static List<Limit> limits(Examination x, LimitKey key, Optional<Length> least) {
        List<Limit> limits = x.limits(key);
        least.ifPresent(value -> limits.add(x.bySheet(Bound.AT_LEAST, value)));
        return limits;
    }

    /** The least distance that binds, m; nothing where nobody asks for any. */
    static double asked(Examination x, LimitKey key, List<Limit> limits) {
        List<Limit> lower =
                limits.stream().filter(l -> l.bound() == Bound.AT_LEAST).toList();
        return lower.isEmpty()
                ? 0
                : Comparison.of(key, Uncertain.exact(0), 0, lower, x.rules())
                        .binding()
                        .limit()
                        .value()
                        .si();
    }

    /** Judges what was taped; without it what is drawn; without both it is Not shown. */
    static Judgement judge(
            Examination x,
            Point point,
            LimitKey key,
            List<Limit> limits,
            Optional<Drawn.Distance> drawn,
            Text whatToMove) {
        Finding finding = x.finding();
        Optional<TapedOrDrawn> length = TapedOrDrawn.of(x, finding, point, drawn);
        return length.isEmpty()
                ? x.notShown(List.of(point))
                : WithinLimits.judge(
                        finding, key, length.get().length(), length.get().resolution(), limits, whatToMove);
    }

    /**
     * Judges a distance that a drawing which shows nothing there settles.
     *
     * @param there whether the unit stands in a drawing at all
     * @param nothing the sentence for a drawing that shows nothing
     */
    static Judgement judgeOrNothing(
            Examination x,
            Point point,
            LimitKey key,
            List<Limit> limits,
            boolean there,
            Optional<Drawn.Distance> drawn,
            String nothing,
            Text whatToMove) {
        return there && drawn.isEmpty() && !x.read(point)
                ? nothingThere(x, nothing)
                : judge(x, point, key, limits, drawn, whatToMove);
    }

    /**
     * Judges a distance on an indoor unit's wall.
     *
     * @param found what the wall's elevation shows
     */
    static Judgement judgeOnWall(
            Examination x,
            Point point,
            LimitKey key,
            List<Limit> limits,
            Function<WallGeometry, Optional<WallGeometry.Distance>> found,
            String nothing,
            Text whatToMove) {
        Optional<WallGeometry> wall = Drawn.wall(x);
        return judgeOrNothing(
                x,
                point,
                key,
                limits,
                wall.isPresent(),
                wall.flatMap(found).map(d -> Drawn.distance(x, d.metres(), d.to())),
                nothing,
                whatToMove);
    }

    /** What a drawing settles by showing nothing there; a tape reading would go before it. */
    static Judgement nothingThere(Examination x, String sentence) {
        return x.finding()
                .step("From the drawing", "", Text.of("nothing"), "Site drawing")
                .conclude(Verdict.MEETS, Text.plain(sentence), "");
    }
}
