package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Heat for each watt of electricity, as a share of what the sheet's table gives at this outdoor temperature. */
final class HeatingEfficiency implements Requirement {
    private static final LimitKey SHARE =
            new LimitKey("running.efficiency", Dimension.RATIO, "Heat for the power taken, of the sheet's");
    private static final double COARSE = 0.01;
    private static final About ABOUT = About.of(
                    "running.efficiency",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Heat for the power taken",
                    Severity.PERFORMANCE)
            .sources("Coefficient of performance Q/P; AHRI 210/240")
            .needs(OperationPoints.MODE)
            .limits(SHARE)
            .settings(Airflow.settings())
            .restingOn(SteadyOperation.ABOUT)
            .cautions(RunningPoints.POWER.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet =
                SheetHeating.notYet(x, RunningPoints.POWER).or(() -> SheetHeating.noPerformance(x));
        if (notYet.isPresent()) {
            return notYet.get();
        }
        Uncertain performance = SheetHeating.performance(x);
        SheetHeating sheet = SheetHeating.of(x).orElseThrow();
        Finding finding = SheetHeating.performanceExplained(x)
                .step(
                        "Coefficient of performance",
                        "Q/P",
                        tenths(performance.value()),
                        ABOUT.sources().get(0));
        Optional<Power> input = sheet.pair().input(DataSheet.Mode.HEATING, sheet.outdoors(), sheet.indoors());
        if (input.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "{tenths} of heat for each watt; no sheet tells what it should be at {outdoors} outdoors.",
                            tenths(performance.value()),
                            sheet.outdoors()),
                    "Bring the maker's table with the power taken.");
        }
        double expected = sheet.capacity().si() / input.get().si();
        return finding.step(
                        "By the sheet", Text.of("Q/P at {outdoors} outdoors", sheet.outdoors()), tenths(expected), "")
                .compare(
                        SHARE,
                        new Uncertain(performance.value() / expected, performance.standardUncertainty() / expected),
                        COARSE,
                        x.rules().limits(SHARE),
                        SheetHeating.LOOK);
    }

    private static Text tenths(double performance) {
        return Text.of("{performance}", Math.round(10 * performance) / 10.0);
    }
}
