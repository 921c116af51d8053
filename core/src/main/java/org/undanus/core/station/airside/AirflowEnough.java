package org.undanus.core.station.airside;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Airflow lies near the rated one, by the best estimate of all methods that were read; none where they disagree. */
final class AirflowEnough implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("airside.airflow", Dimension.VOLUME_FLOW, "Airflow");
    private static final Setting TOLERANCE =
            new Setting("airside.airflow-tolerance", Dimension.RATIO, "How far airflow may lie from the rated one");
    static final About ABOUT = About.of(
                    "airside.airflow", Station.AIRSIDE, Scope.DUCT_SYSTEM, "Airflow", Severity.PERFORMANCE)
            .sources("Data sheet, airflow; ASHRAE 111; ISO 3966; weighed by 1/u², JCGM 100")
            .limits(LIMIT)
            .settings(TOLERANCE, Airflow.FAN_TABLE, Airflow.GRID_METHOD);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Component unit = x.indoor().orElseThrow();
        Airflow airflow = Airflow.of(x, unit);
        Optional<Quantity> rated = x.at(unit).measured(PlatePoints.AIRFLOW).map(read -> read.quantity());
        Optional<Airflow.Best> best = airflow.best();
        if (best.isEmpty()) {
            return x.notShown(
                    List.of(AirPoints.STATIC_RETURN, AirPoints.STATIC_SUPPLY),
                    rated.map(flow -> Text.of("By hood, grid, fan table or strip heat it must come near {flow}.", flow))
                            .orElse(Text.empty()));
        }
        Finding finding = x.finding();
        airflow.estimates()
                .forEach(estimate ->
                        finding.step(estimate.method(), "", Amount.of(Dimension.VOLUME_FLOW, estimate.flow(), 0), ""));
        if (best.get().disagree()) {
            return finding.step(
                            "Do they agree?",
                            "χ² over its 5 % point",
                            Text.of(
                                    "{chiSquared} over {critical}",
                                    String.format(
                                            Locale.ROOT, "%.1f", best.get().chiSquared()),
                                    String.format(
                                            Locale.ROOT, "%.1f", best.get().critical())),
                            "JCGM 100")
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of(
                                    "The methods disagree by more than their uncertainties can explain: {methods}.",
                                    airflow.named()),
                            "Read the one that is out of line again; until then none of them is used.");
        }
        if (rated.isEmpty()) {
            return x.at(unit).notShown(List.of(PlatePoints.AIRFLOW));
        }
        double tolerance = x.rules().number(TOLERANCE);
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(side(x, Bound.AT_LEAST, rated.get().si() * (1 - tolerance)));
        limits.add(side(x, Bound.AT_MOST, rated.get().si() * (1 + tolerance)));
        Comparison held = finding.hold(LIMIT, best.get().flow(), 0, limits).orElseThrow();
        boolean tooMuch = held.binding().limit().bound() == Bound.AT_MOST;
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        tooMuch
                                ? "Set the fan slower: {required}."
                                : "Find the largest drop in the static pressure profile, then set the fan's speed: {required}.",
                        finding.required()));
    }

    private static Limit side(Examination x, Bound bound, double flow) {
        return new Limit(
                x.rules().computed(),
                bound,
                VolumeFlow.ofCubicMetresPerSecond(flow),
                Text.of("Rated airflow, {source}", x.rules().setting(TOLERANCE).source()));
    }
}
