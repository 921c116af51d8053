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
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Heat given to the air, as a share of what the sheet gives at this outdoor temperature. */
final class HeatingCapacity implements Requirement {
    private static final LimitKey SHARE =
            new LimitKey("running.heating-capacity", Dimension.RATIO, "Heating capacity, of the sheet's");
    private static final double COARSE = 0.01;
    static final About ABOUT = About.of(
                    "running.heating-capacity",
                    Station.RUNNING,
                    Scope.COIL_UNIT,
                    "Heating capacity",
                    Severity.PERFORMANCE)
            .sources("Q = V̇/v·cp·(t_supply − t_return); ASHRAE Fundamentals, Psychrometrics")
            .needs(OperationPoints.MODE)
            .limits(SHARE)
            .settings(Airflow.settings())
            .restingOn(SteadyOperation.ABOUT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet = SheetHeating.notYet(x).or(() -> SheetHeating.noAirflow(x));
        if (notYet.isPresent()) {
            return notYet.get();
        }
        SheetHeating sheet = SheetHeating.of(x).orElseThrow();
        Uncertain given = SheetHeating.given(x);
        double capacity = sheet.capacity().si();
        return x.finding()
                .step(
                        "Heat given to the air",
                        "V̇/v·cp·(t_supply − t_return)",
                        Power.ofWatts(given.value()),
                        ABOUT.sources().get(0))
                .step("By the sheet", Text.of("at {outdoors} outdoors", sheet.outdoors()), sheet.capacity(), "")
                .compare(
                        SHARE,
                        new Uncertain(given.value() / capacity, given.standardUncertainty() / capacity),
                        COARSE,
                        x.rules().limits(SHARE),
                        Text.of(
                                "Look at airflow and filter, then at frost on the outdoor coil and at the charge; back-up heat must be off."));
    }
}
