package org.undanus.core.station.charge;

import static org.undanus.core.station.charge.ChargePoints.CYLINDER_AFTER;
import static org.undanus.core.station.charge.ChargePoints.CYLINDER_BEFORE;

import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** What the record says was added is what the cylinder lost on the scale. */
final class WeighedCharge implements Requirement {
    private static final About ABOUT = About.of(
                    "charge.weighed", Station.CHARGE, Scope.OUTDOOR_UNIT, "Added charge was weighed", Severity.RECORD)
            .sources("Difference of two weighings; JCGM 100")
            .needs(UnitPoints.ADDED_CHARGE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Value.Measured added = x.need(UnitPoints.ADDED_CHARGE);
        if (added.quantity().si() == 0) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("Nothing was added."), "");
        }
        List<Point> missing = x.missing(CYLINDER_BEFORE, CYLINDER_AFTER);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Uncertain lost = Propagation.through(
                in -> in[0] - in[1],
                x.need(CYLINDER_BEFORE).uncertain(),
                x.need(CYLINDER_AFTER).uncertain());
        Finding finding = x.finding()
                .step(CYLINDER_BEFORE.title(), x.need(CYLINDER_BEFORE).quantity())
                .step(CYLINDER_AFTER.title(), x.need(CYLINDER_AFTER).quantity())
                .step("The cylinder lost", Mass.ofKilograms(lost.value()))
                .step(UnitPoints.ADDED_CHARGE.title(), added.quantity());
        if (lost.value() < -lost.expanded()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "The cylinder weighs more after than before: the scale ran backwards, or the two are swapped."),
                    "Weigh it again, hose and valve as they were.");
        }
        double apart = added.quantity().si() - lost.value();
        double u = Math.hypot(lost.standardUncertainty(), added.standardUncertainty());
        Uncertain difference = new Uncertain(apart, u);
        return Math.abs(apart) <= difference.expanded()
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of("The cylinder lost {lost}, as the record says.", Mass.ofKilograms(lost.value())),
                        "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "The record says {added}, the cylinder lost {lost}.",
                                added.quantity(),
                                Mass.ofKilograms(lost.value())),
                        "Ask what else came out of the cylinder or stayed in the hose, and put the record right.");
    }
}
