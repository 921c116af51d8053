package org.undanus.core.station.siting;

import static org.undanus.core.derived.UnitPoints.ADDED_CHARGE;
import static org.undanus.core.derived.UnitPoints.MOUNTING_PLACE;
import static org.undanus.core.derived.UnitPoints.ROOM_AREA;
import static org.undanus.core.installation.PlatePoints.CHARGE;
import static org.undanus.core.installation.PlatePoints.REFRIGERANT;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.ChargeLimit;
import org.undanus.core.derived.RoomCharge;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Area;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** The room is large enough for all the flammable refrigerant in the circuit. Source: {@link ChargeLimit}. */
final class FlammableCharge implements Requirement {
    private static final String EDITION = "IEC 60335-2-40, simplified; check the adopted edition";
    private static final LimitKey LIMIT = new LimitKey("siting.flammable-charge", Dimension.MASS, "Refrigerant in all");
    private static final About ABOUT = About.of(
                    "siting.flammable-charge",
                    Station.SITING,
                    Scope.COIL_UNIT,
                    "Room large enough for its refrigerant",
                    Severity.SAFETY)
            .sources(EDITION)
            .needs(REFRIGERANT)
            .limits(LIMIT)
            .settings(RoomCharge.settings())
            .cautions("Flammable refrigerant: no flame or spark near, air the room, use a detector made for it.");

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Refrigerant refrigerant = x.refrigerant(REFRIGERANT).orElseThrow();
        Finding finding = x.finding()
                .step(
                        "Refrigerant",
                        Text.of("{refrigerant}, class {safetyClass}", refrigerant.name(), refrigerant.safetyClass()));
        if (!refrigerant.flammable()) {
            return finding.conclude(
                    Verdict.DOES_NOT_APPLY, Text.of("{refrigerant} does not burn.", refrigerant.name()), "");
        }
        Optional<Component> outdoor = x.facts().outdoorUnit();
        Optional<Value.Measured> factory = outdoor.flatMap(unit -> x.at(unit).measured(CHARGE));
        if (factory.isEmpty()) {
            return outdoor.map(unit -> x.at(unit).notShown(List.of(CHARGE)))
                    .orElseGet(() ->
                            finding.conclude(Verdict.DOES_NOT_APPLY, Text.of("The system has no outdoor unit."), ""));
        }
        Value.Measured plate = factory.get();
        Optional<Value.Measured> added = x.at(outdoor.get()).measured(ADDED_CHARGE);
        double total = plate.quantity().si() + added.map(a -> a.quantity().si()).orElse(0.0);
        finding.step("Factory charge", plate.quantity())
                .step(
                        "Added",
                        "",
                        added.map(a -> Text.of("{quantity}", a.quantity())).orElse(Text.of("not read")),
                        "");
        Setting volume = RoomCharge.free(refrigerant);
        double free = RoomCharge.free(x, refrigerant);
        finding.step(
                "Free of room limits up to",
                "volume × LFL",
                Mass.ofKilograms(free),
                x.rules().setting(volume).source());
        if (total <= free) {
            if (added.isEmpty()) {
                return x.at(outdoor.get()).notShown(List.of(ADDED_CHARGE));
            }
            return finding.conclude(
                    Verdict.MEETS, Text.of("{total} is free of room limits.", Mass.ofKilograms(total)), "");
        }
        List<Point> missing = x.missing(ROOM_AREA, MOUNTING_PLACE);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Uncertain charge = Propagation.through(
                v -> v[0] + v[1],
                plate.uncertain(),
                added.map(Value.Measured::uncertain).orElse(Uncertain.exact(0)));
        Judgement judgement = ofRoom(x, finding, refrigerant, total, charge);
        // what was added and not read only makes it more: a fault is one already, anything else is not shown
        return added.isPresent() || judgement.verdict() == Verdict.FAILS
                ? judgement
                : x.at(outdoor.get()).notShown(List.of(ADDED_CHARGE));
    }

    /** Where there is more of it than is free of room limits, kg. */
    private static Judgement ofRoom(
            Examination x, Finding finding, Refrigerant refrigerant, double total, Uncertain charge) {
        double limit = refrigerant.lowerFlammabilityLimit().orElseThrow();
        Setting place = RoomCharge.height(x);
        double height = x.rules().number(place);
        Uncertain bearable = RoomCharge.most(x, refrigerant).orElseThrow();
        double most = bearable.value();
        List<Limit> limits = x.limits(LIMIT);
        limits.add(new Limit(x.rules().code(), Bound.AT_MOST, Mass.ofKilograms(most), EDITION)
                .within(bearable.standardUncertainty()));
        finding.step(
                        "Release height",
                        "",
                        x.rules().setting(place).value(),
                        x.rules().setting(place).source())
                .step("Most for this room", "2.5·LFL^1.25·h₀·√A", Mass.ofKilograms(most), EDITION)
                .step(
                        "Room this charge asks for",
                        "the same, turned about",
                        Area.ofSquareMetres(ChargeLimit.area(limit, height, total)),
                        EDITION);
        return WithinLimits.judge(
                finding,
                LIMIT,
                charge,
                0,
                limits,
                "Reduce the charge, connect a larger room or take the standard's other measures; charge");
    }
}
