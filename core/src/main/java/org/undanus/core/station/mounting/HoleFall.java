package org.undanus.core.station.mounting;

import static org.undanus.core.station.mounting.MountingPoints.INNER_HEIGHT;
import static org.undanus.core.station.mounting.MountingPoints.OUTER_HEIGHT;
import static org.undanus.core.station.mounting.MountingPoints.WALL_THICKNESS;

import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;

/** The hole falls outward enough for the drain to run, and no rain runs in. */
public final class HoleFall implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("mounting.hole-fall", Dimension.RATIO, "Fall of the hole outward");
    static final About ABOUT = About.of(
                    "mounting.hole-fall", Station.MOUNTING, Scope.SPLIT_UNIT, "Hole falls outward", Severity.DAMAGE)
            .sources("Data sheet, drain; plumbing code, fall of condensate drains; check the adopted edition")
            .needs(INNER_HEIGHT, OUTER_HEIGHT, WALL_THICKNESS)
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    /** Fall as a ratio to the length of hole: (inner − outer height) / thickness. */
    public static double fall(double inner, double outer, double thickness) {
        return (inner - outer) / thickness;
    }

    @Override
    public Judgement judge(Examination x) {
        Uncertain fall = Propagation.through(
                v -> fall(v[0], v[1], v[2]),
                x.need(INNER_HEIGHT).uncertain(),
                x.need(OUTER_HEIGHT).uncertain(),
                x.need(WALL_THICKNESS).uncertain());
        return WithinLimits.judge(
                x.finding()
                        .step(
                                "Fall of the hole",
                                "(height inside − height outside) / wall thickness",
                                Ratio.ofFraction(fall.value()),
                                ""),
                LIMIT,
                fall,
                0,
                x.limits(LIMIT, SheetLimit.atLeast(SheetValue.LEAST_DRAIN_FALL)),
                "Redrill the hole with more fall outward");
    }
}
