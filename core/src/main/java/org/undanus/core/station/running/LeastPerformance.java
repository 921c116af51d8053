package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;

/** Heat for each watt of electricity by itself, where a programme asks for so much of it ({@code COP 1.75}); no sheet is needed. */
final class LeastPerformance implements Requirement {
    private static final LimitKey PERFORMANCE = new LimitKey(
            "running.coefficient-of-performance", Dimension.PERFORMANCE, "Coefficient of performance in heating (COP)");
    private static final double COARSE = 0.01;
    private static final About ABOUT = About.of(
                    "running.coefficient-of-performance",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Coefficient of performance in heating (COP)",
                    Severity.PERFORMANCE)
            .sources("Coefficient of performance Q/P; AHRI 210/240")
            .needs(OperationPoints.MODE)
            .limits(PERFORMANCE)
            .settings(Airflow.settings())
            .restingOn(SteadyOperation.ABOUT)
            .cautions(RunningPoints.POWER.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (x.rules().limits(PERFORMANCE).isEmpty()) {
            return x.finding().nobodyLimits();
        }
        Optional<Judgement> notYet =
                SheetHeating.unread(x, RunningPoints.POWER).or(() -> SheetHeating.noPerformance(x));
        return notYet.orElseGet(() -> SheetHeating.performanceExplained(x)
                .compare(
                        PERFORMANCE,
                        SheetHeating.performance(x),
                        COARSE,
                        x.rules().limits(PERFORMANCE),
                        SheetHeating.LOOK));
    }
}
