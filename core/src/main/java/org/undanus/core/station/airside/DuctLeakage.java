package org.undanus.core.station.airside;

import static org.undanus.core.station.airside.DuctPoints.LEAK_FLOW;
import static org.undanus.core.station.airside.DuctPoints.LEAK_PRESSURE;
import static org.undanus.core.station.airside.DuctPoints.SERVED_AREA;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Ducts leak no more than the code allows for the floor they serve: Q = C·Δp^n, brought to the reference pressure. */
public final class DuctLeakage implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("airside.duct-leakage", Dimension.VOLUME_FLOW, "Leakage at the reference pressure");
    private static final Setting EXPONENT =
            new Setting("airside.leakage-exponent", Dimension.COUNT, "Exponent n of leakage over pressure");
    private static final Setting REFERENCE =
            new Setting("airside.leakage-pressure", Dimension.PRESSURE_DIFFERENCE, "Reference pressure of leakage");
    private static final Setting PER_AREA = Setting.usefulOfPlace(
            "airside.leakage-per-area", Dimension.VELOCITY, "Leakage allowed for each area of floor");
    static final About ABOUT = About.of(
                    "airside.duct-leakage", Station.AIRSIDE, Scope.DUCT_SYSTEM, "Duct leakage", Severity.PERFORMANCE)
            .sources("ASTM E1554; energy code, duct tightness; check the adopted edition")
            .limits(LIMIT)
            .settings(EXPONENT, REFERENCE, PER_AREA);

    @Override
    public About about() {
        return ABOUT;
    }

    /** Leakage at another pressure, in the unit of flow: Q·(p/Δp)^n. */
    public static double at(double reference, double flow, double pressure, double exponent) {
        return flow * Math.pow(reference / pressure, exponent);
    }

    @Override
    public Judgement judge(Examination x) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        boolean asked = x.rules().decides(PER_AREA);
        if (!asked && limits.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("The programme does not test duct leakage."), "");
        }
        double reference = x.rules().number(REFERENCE);
        List<Point> missing =
                asked ? x.missing(LEAK_FLOW, LEAK_PRESSURE, SERVED_AREA) : x.missing(LEAK_FLOW, LEAK_PRESSURE);
        if (!missing.isEmpty()) {
            return x.number(SERVED_AREA)
                    .filter(area -> asked)
                    .map(area -> x.notShown(
                            missing,
                            Text.of(
                                    "It may come to {area} at {reference}.",
                                    VolumeFlow.ofCubicMetresPerSecond(
                                            area * x.rules().number(PER_AREA)),
                                    PressureDifference.ofPascals(reference))))
                    .orElseGet(() -> x.notShown(missing));
        }
        double exponent = x.rules().number(EXPONENT);
        Uncertain leakage = Propagation.through(
                in -> in[1] > 0 ? at(reference, in[0], in[1], exponent) : Double.NaN,
                x.need(LEAK_FLOW).uncertain(),
                x.need(LEAK_PRESSURE).uncertain());
        if (asked) {
            double area = x.need(SERVED_AREA).quantity().si();
            limits.add(new Limit(
                    x.rules().code(),
                    Bound.AT_MOST,
                    VolumeFlow.ofCubicMetresPerSecond(area * x.rules().number(PER_AREA)),
                    x.rules().setting(PER_AREA).source()));
        }
        Finding finding = x.finding()
                .step(
                        "Leakage at the reference pressure",
                        "Q·(p ref/Δp)^n",
                        VolumeFlow.ofCubicMetresPerSecond(leakage.value()),
                        x.rules().setting(EXPONENT).source());
        return WithinLimits.judge(
                finding, LIMIT, leakage, 0, limits, "Seal joints, boots and cabinet, then test again");
    }
}
