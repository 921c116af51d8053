package org.undanus.core.station.airside;

import static org.undanus.core.station.airside.DuctPoints.HANGERS;
import static org.undanus.core.station.airside.DuctPoints.ROD_LOAD;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Force;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Rods together carry the unit with a factor to spare. */
final class Hangers implements Requirement {
    private static final double GRAVITY = 9.80665;
    private static final LimitKey LIMIT =
            new LimitKey("airside.hanger-load", Dimension.FORCE, "Safe load of all rods together");
    private static final Setting FACTOR =
            new Setting("airside.hanger-factor", Dimension.COUNT, "Factor of safe load over weight, hanging units");
    static final About ABOUT = About.of(
                    "airside.hangers", Station.AIRSIDE, Scope.DUCT_SYSTEM, "Hangers carry the unit", Severity.SAFETY)
            .sources("Data sheet, mass; common factor for hanging machines")
            .needs(HANGERS)
            .limits(LIMIT)
            .settings(FACTOR)
            .cautions("Nobody stands under a unit that hangs.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        double rods = x.need(HANGERS).quantity().si();
        if (rods == 0) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("The unit stands; nothing hangs."), "");
        }
        Optional<Quantity> mass = x.at(x.indoor().orElseThrow()).sheet().flatMap(sheet -> sheet.value(SheetValue.MASS));
        if (mass.isEmpty()) {
            return x.noSheetTells("the mass of this unit", "Add its data sheet.");
        }
        double needed = x.rules().number(FACTOR) * mass.get().si() * GRAVITY;
        if (!x.has(ROD_LOAD)) {
            return x.notShown(
                    List.of(ROD_LOAD),
                    Text.of("Each of {rods} must carry {needed}.", Math.round(rods), Force.ofNewtons(needed / rods)));
        }
        Uncertain each = x.need(ROD_LOAD).uncertain();
        Finding finding = x.finding()
                .step("Mass of the unit", Mass.ofKilograms(mass.get().si()))
                .step(
                        "Needed",
                        "factor × mass × 9.81 m/s²",
                        Force.ofNewtons(needed),
                        x.rules().setting(FACTOR).source());
        List<Limit> limits = List.of(new Limit(
                x.rules().practice(),
                Bound.AT_LEAST,
                Force.ofNewtons(needed),
                x.rules().setting(FACTOR).source()));
        Comparison held = finding.hold(
                        LIMIT, new Uncertain(rods * each.value(), rods * each.standardUncertainty()), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Keep clear below it; have {count} rods of this kind, or rods of {size} each.",
                        (int) Math.ceil(needed / each.value() - 1e-9),
                        new AtLeast(Force.ofNewtons(needed / rods))));
    }
}
