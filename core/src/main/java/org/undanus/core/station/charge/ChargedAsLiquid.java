package org.undanus.core.station.charge;

import static org.undanus.core.station.charge.ChargePoints.AS_LIQUID;

import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Text;

/** A blend was drawn as liquid: its vapour has another composition. */
final class ChargedAsLiquid implements Requirement {
    private static final About ABOUT = About.of(
                    "charge.as-liquid",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Blend drawn as liquid",
                    Severity.PERFORMANCE)
            .sources("A blend's vapour has another composition than its liquid; ASHRAE 34, zeotropic blends")
            .needs(PlatePoints.REFRIGERANT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Refrigerant refrigerant = Refrigerant.named(
                        x.chosen(PlatePoints.REFRIGERANT).orElseThrow())
                .orElseThrow();
        Finding finding = x.finding().step("Refrigerant", refrigerant.name());
        if (!Saturation.of(refrigerant).glides()) {
            return finding.conclude(
                    Verdict.DOES_NOT_APPLY, Text.of("{} is no blend that parts.", refrigerant.name()), "");
        }
        if (x.number(UnitPoints.ADDED_CHARGE).filter(added -> added == 0).isPresent()) {
            return finding.conclude(Verdict.DOES_NOT_APPLY, Text.of("Nothing was added."), "");
        }
        List<Point> missing = x.missing(AS_LIQUID);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        return x.affirmed(AS_LIQUID).orElseThrow()
                ? finding.conclude(Verdict.MEETS, Text.of("It was drawn as liquid."), "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of("It was drawn as vapour: what went in is not {}.", refrigerant.name()),
                        "Have the charge recovered and weighed in anew, as liquid, throttled on the suction side.");
    }
}
