package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.SUPPORT_CAPACITY;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Bracket or stand bears the unit's mass with a factor to spare: capacity ≥ factor × mass. */
final class SupportLoad implements Requirement {
    private static final Setting FACTOR =
            new Setting("siting.support-factor", Dimension.COUNT, "Factor of bracket load over the unit's mass");
    private static final LimitKey LIMIT =
            new LimitKey("siting.support-capacity", Dimension.MASS, "Rated load of bracket or stand");
    private static final About ABOUT = About.of(
                    "siting.support-capacity",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Bracket or stand bears the unit",
                    Severity.SAFETY)
            .sources("Data sheet, mass; papers of the bracket")
            .needs(SUPPORT_CAPACITY)
            .limits(LIMIT)
            .settings(FACTOR)
            .cautions(SUPPORT_CAPACITY.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<DataSheet> sheet = x.sheet();
        Optional<Quantity> mass = sheet.flatMap(s -> s.value(SheetValue.MASS));
        if (mass.isEmpty()) {
            return noMass(x);
        }
        double factor = x.rules().number(FACTOR);
        List<Limit> limits = x.limits(LIMIT);
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                Mass.ofKilograms(factor * mass.get().si()),
                x.rules().setting(FACTOR).source()));
        Value.Measured capacity = x.need(SUPPORT_CAPACITY);
        return WithinLimits.judge(
                x.finding()
                        .step("Mass of the unit", "", mass.get(), sheet.get().document())
                        .step(
                                "To bear",
                                "factor × mass",
                                Text.of(
                                        "{factor} × {mass}",
                                        x.rules().setting(FACTOR).value(),
                                        mass.get()),
                                x.rules().setting(FACTOR).source()),
                LIMIT,
                capacity.uncertain(),
                capacity.resolution(),
                limits,
                "Install a support rated for {limit} or more.");
    }

    static Judgement noMass(Examination x) {
        return x.noSheetTells("the mass of this unit", "Add the maker's sheet with the mass.");
    }
}
