package org.undanus.core.station.handover;

import java.util.List;
import java.util.Optional;
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
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/** Energy before and after in the same weather. Said only when it is more than its uncertainty; no fault either way. */
final class EnergyCompared implements Requirement {
    private static final About ABOUT = About.of(
                    "handover.energy", Station.HANDOVER, Scope.REPLACEMENT, "Energy before and after", Severity.RECORD)
            .sources("ASHRAE Guideline 14: energy over degree days, before carried to the weather of after");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.has(HandoverPoints.ENERGY_BEFORE) && !x.has(HandoverPoints.ENERGY_AFTER)) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("No meter readings were brought."), "");
        }
        List<Point> missing = x.missing(HandoverPoints.ENERGY_BEFORE, HandoverPoints.ENERGY_AFTER);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        EnergyUse before =
                x.listed(HandoverPoints.ENERGY_BEFORE, EnergyUse.class).orElseThrow();
        EnergyUse after = x.listed(HandoverPoints.ENERGY_AFTER, EnergyUse.class).orElseThrow();
        Finding finding = x.finding()
                .step(HandoverPoints.ENERGY_BEFORE.title(), "", before.summary(), "")
                .step(HandoverPoints.ENERGY_AFTER.title(), "", after.summary(), "");
        Optional<Uncertain> found = EnergyUse.share(before, after);
        if (found.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("{fewest} months on each side, in weather that differs, are needed.", EnergyUse.FEWEST),
                    "Bring the meter readings of more months.");
        }
        Uncertain share = found.get();
        double less = 1 - share.value();
        finding.step(
                        "Used now, of before in the same weather",
                        "",
                        ratio(share.value()),
                        ABOUT.sources().get(0))
                .step("Uncertain by", ratio(share.expanded()));
        if (Math.abs(less) <= share.expanded()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "The months scatter too much: a difference under {ratio} would not show.",
                            ratio(share.expanded())),
                    "Bring the meter readings of more months.");
        }
        return less > 0
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "{share} less than before in the same weather, within {uncertainty}.",
                                ratio(less),
                                ratio(share.expanded())),
                        "")
                : finding.conclude(
                        Verdict.REFER,
                        Text.of(
                                "{share} more than before in the same weather, within {uncertainty}.",
                                ratio(-less),
                                ratio(share.expanded())),
                        "Ask how it is used now, then look at settings, back-up heat and capacity.");
    }

    private static Ratio ratio(double share) {
        return Ratio.ofFraction(Math.round(100 * share) / 100.0);
    }
}
