package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.DRAIN_EXIT;
import static org.undanus.core.station.siting.SitingPoints.DRAIN_OUTLET;
import static org.undanus.core.station.siting.SitingPoints.DRAIN_RUN;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The drain has the height to fall from the unit to its end: (outlet − end) / length. Source: plumbing and mechanical codes. */
final class DrainFallAvailable implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("siting.drain-fall", Dimension.RATIO, "Fall the drain can have");
    private static final About ABOUT = About.of(
                    "siting.drain-fall", Station.SITING, Scope.SPLIT_UNIT, "Drain can fall", Severity.DAMAGE)
            .sources("Adopted mechanical code, condensate disposal", "Data sheet, drain")
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Finding finding = x.finding();
        Optional<SitePlan.WallView> wall = Drawn.wallView(x);
        Optional<TapedOrDrawn> outlet = length(x, finding, DRAIN_OUTLET, wall.flatMap(SitePlan.WallView::drainOutlet));
        Optional<TapedOrDrawn> exit = length(x, finding, DRAIN_EXIT, wall.flatMap(SitePlan.WallView::drainExit));
        Optional<TapedOrDrawn> run = length(x, finding, DRAIN_RUN, wall.flatMap(SitePlan.WallView::drainRun));
        List<Point> missing = new ArrayList<>();
        if (outlet.isEmpty()) {
            missing.add(DRAIN_OUTLET);
        }
        if (exit.isEmpty()) {
            missing.add(DRAIN_EXIT);
        }
        if (run.isEmpty() || run.get().length().value() <= 0) {
            missing.add(DRAIN_RUN);
        }
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Uncertain fall = Propagation.through(
                v -> (v[0] - v[1]) / v[2],
                outlet.get().length(),
                exit.get().length(),
                run.get().length());
        finding.step(
                "Height to fall",
                "outlet − end",
                Text.of(
                        "{fall} over {run}",
                        Length.ofMetres(outlet.get().length().value()
                                - exit.get().length().value()),
                        Length.ofMetres(run.get().length().value())),
                "");
        return WithinLimits.judge(
                finding,
                LIMIT,
                fall,
                0,
                x.limits(LIMIT, SheetLimit.atLeast(SheetValue.LEAST_DRAIN_FALL)),
                "Find a lower end or a shorter way, or install a pump; fall");
    }

    private static Optional<TapedOrDrawn> length(Examination x, Finding finding, Point point, Optional<Double> drawn) {
        return TapedOrDrawn.of(x, finding, point, drawn.map(metres -> Drawn.distance(x, metres, "")));
    }
}
