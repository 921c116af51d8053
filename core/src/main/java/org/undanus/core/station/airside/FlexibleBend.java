package org.undanus.core.station.airside;

import static org.undanus.core.station.airside.DuctPoints.FLEX_DIAMETER;
import static org.undanus.core.station.airside.DuctPoints.FLEX_RADIUS;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;

/** Flexible duct is bent no tighter than its diameter allows. */
final class FlexibleBend implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("airside.flexible-bend", Dimension.LENGTH, "Radius of the tightest bend");
    private static final Setting DIAMETERS =
            new Setting("airside.flexible-diameters", Dimension.COUNT, "Least radius of flexible duct in diameters");
    static final About ABOUT = About.of(
                    "airside.flexible-bend",
                    Station.AIRSIDE,
                    Scope.DUCT_SYSTEM,
                    "Flexible duct bent wide enough",
                    Severity.PERFORMANCE)
            .sources("Flexible duct makers' common standard; check the duct's own sheet")
            .needs(FLEX_DIAMETER, FLEX_RADIUS)
            .limits(LIMIT)
            .settings(DIAMETERS);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Measured radius = x.need(FLEX_RADIUS);
        double least =
                x.rules().number(DIAMETERS) * x.need(FLEX_DIAMETER).quantity().si();
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(new Limit(
                x.rules().practice(),
                Bound.AT_LEAST,
                Length.ofMetres(least),
                x.rules().setting(DIAMETERS).source()));
        return WithinLimits.judge(
                x.finding(), LIMIT, radius.uncertain(), radius.resolution(), limits, "Reroute it in a wider bend");
    }
}
