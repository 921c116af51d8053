package org.undanus.core.station.airside;

import static org.undanus.core.station.airside.DuctPoints.FILTER_HEIGHT;
import static org.undanus.core.station.airside.DuctPoints.FILTER_WIDTH;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Area;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Air passes the filter slowly enough: airflow over face area, at the rated airflow where none was read. */
final class FaceVelocity implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("airside.face-velocity", Dimension.VELOCITY, "Velocity at the filter's face");
    static final About ABOUT = About.of(
                    "airside.face-velocity",
                    Station.AIRSIDE,
                    Scope.DUCT_SYSTEM,
                    "Filter, face velocity",
                    Severity.PERFORMANCE)
            .sources("ASHRAE 52.2, velocity at which filters are rated")
            .needs(FILTER_WIDTH, FILTER_HEIGHT)
            .limits(LIMIT)
            .settings(Airflow.FAN_TABLE, Airflow.GRID_METHOD);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        var unit = x.at(x.indoor().orElseThrow());
        Optional<Uncertain> flow = Airflow.of(x, x.indoor().orElseThrow())
                .agreed()
                .or(() -> unit.number(PlatePoints.AIRFLOW).map(Uncertain::exact));
        if (flow.isEmpty()) {
            return x.notShown(List.of(AirPoints.STATIC_RETURN, AirPoints.STATIC_SUPPLY));
        }
        Uncertain velocity = Propagation.through(
                in -> in[0] / (in[1] * in[2]),
                flow.get(),
                x.need(FILTER_WIDTH).uncertain(),
                x.need(FILTER_HEIGHT).uncertain());
        List<Limit> limits = x.rules().limits(LIMIT);
        Finding finding = x.finding().step("Airflow", "", Amount.of(Dimension.VOLUME_FLOW, flow.get(), 0), "");
        Optional<Comparison> held = finding.hold(LIMIT, velocity, 0, limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        double most = held.get().binding().limit().value().si();
        return finding.conclude(
                held.get().verdict(),
                finding.room(),
                Text.of(
                        "Fit filters of {flow} face area in all, or more of them.",
                        new AtLeast(Area.ofSquareMetres(flow.get().value() / most))));
    }
}
