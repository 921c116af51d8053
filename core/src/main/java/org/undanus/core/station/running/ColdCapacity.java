package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.derived.Airflow;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * What is left of the heating capacity on a cold day: by the sheet's curve, lowered or raised by what was measured today. Without
 * airflow and power the sheet alone speaks, and that shows nothing of this machine.
 */
final class ColdCapacity implements Requirement {
    private static final LimitKey SHARE = new LimitKey(
            "running.cold-capacity", Dimension.RATIO, "Heating capacity at the cold point, of that at the mild one");
    private static final Setting COLD =
            new Setting("running.cold-point", Dimension.TEMPERATURE, "Outdoor air of the cold point");
    private static final Setting MILD =
            new Setting("running.mild-point", Dimension.TEMPERATURE, "Outdoor air that the cold point is held against");
    private static final double COARSE = 0.01;
    private static final About ABOUT = About.of(
                    "running.cold-capacity",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Heating capacity on a cold day",
                    Severity.PERFORMANCE)
            .sources("Q_measured/Q_sheet today · Q_sheet(cold)/Q_sheet(mild); test points of AHRI 210/240")
            .needs(OperationPoints.MODE)
            .limits(SHARE)
            .restingOn(SteadyOperation.ABOUT)
            .settings(COLD, MILD, Airflow.FAN_TABLE, Airflow.GRID_METHOD)
            .cautions(RunningPoints.POWER.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet = SheetHeating.notYet(x, RunningPoints.POWER).or(() -> SheetHeating.noAirflow(x));
        if (notYet.isPresent()) {
            return notYet.get();
        }
        SheetHeating sheet = SheetHeating.of(x).orElseThrow();
        Temperature cold = (Temperature) x.rules().setting(COLD).value();
        Temperature mild = (Temperature) x.rules().setting(MILD).value();
        Optional<Power> atCold = sheet.pair().capacity(DataSheet.Mode.HEATING, cold, sheet.indoors());
        Optional<Power> atMild = sheet.pair().capacity(DataSheet.Mode.HEATING, mild, sheet.indoors());
        if (atCold.isEmpty() || atMild.isEmpty()) {
            return x.noSheetTells(
                    Text.of("the heating capacity at {cold} and at {mild} outdoors", cold, mild),
                    "Bring the maker's capacity table.");
        }
        Uncertain given = SheetHeating.given(x);
        double left = atCold.get().si() / atMild.get().si() / sheet.capacity().si();
        return x.finding()
                .step("Sheet, cold", Text.of("at {cold} outdoors", cold), atCold.get(), "")
                .step("Sheet, mild", Text.of("at {mild} outdoors", mild), atMild.get(), "")
                .step("Sheet, today", Text.of("at {outdoors} outdoors", sheet.outdoors()), sheet.capacity(), "")
                .step("Measured today", Power.ofWatts(given.value()))
                .step(RunningPoints.POWER.title(), x.need(RunningPoints.POWER).quantity())
                .compare(
                        SHARE,
                        new Uncertain(given.value() * left, given.standardUncertainty() * left),
                        COARSE,
                        x.rules().limits(SHARE),
                        Text.of("It needs back-up heat on cold days, or another machine: tell whoever pays by it."));
    }
}
