package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.VentPoints.CATEGORY;
import static org.undanus.core.station.fuel.VentPoints.CLEARANCE;
import static org.undanus.core.station.fuel.VentPoints.ENDS;
import static org.undanus.core.station.fuel.VentPoints.GRADE;
import static org.undanus.core.station.fuel.VentPoints.INLET;
import static org.undanus.core.station.fuel.VentPoints.MATERIAL;
import static org.undanus.core.station.fuel.VentPoints.METER;
import static org.undanus.core.station.fuel.VentPoints.OPENING;
import static org.undanus.core.station.fuel.VentPoints.OPENING_LIES;
import static org.undanus.core.station.fuel.VentPoints.PASSES;
import static org.undanus.core.station.fuel.VentPoints.WALK;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** The vent is of the right kind, far from what burns, and ends far from what breathes. */
final class Vent {
    private Vent() {}

    private static final String CODE = "Fuel gas code, venting; check the adopted edition";
    private static final Map<String, Set<Option>> MATERIALS = Map.of(
            "I", Set.of(VentPoints.SINGLE_WALL, VentPoints.DOUBLE_WALL),
            "III", Set.of(VentPoints.STAINLESS),
            "IV", Set.of(VentPoints.STAINLESS, VentPoints.PLASTIC));
    private static final LimitKey CLEARANCE_LIMIT = key("vent-clearance", "Clearance to combustibles");
    private static final LimitKey OPENING_LIMIT = key("vent-opening", "Vent's end to the nearest opening");
    private static final LimitKey GRADE_LIMIT = key("vent-grade", "Vent's end over grade");
    private static final LimitKey WALK_LIMIT = key("vent-walk", "Vent's end over a walk");
    private static final LimitKey INLET_LIMIT = key("vent-inlet", "Vent's end over a forced air inlet");
    private static final LimitKey METER_LIMIT = key("vent-meter", "Vent's end to meter or regulator");
    private static final Map<Option, Setting> CLEARANCES = Map.of(
            VentPoints.SINGLE_WALL, setting("clearance-single-wall", "Clearance to combustibles, single-wall vent"),
            VentPoints.DOUBLE_WALL, setting("clearance-double-wall", "Clearance to combustibles, double-wall vent"));
    private static final Setting SMALL = setting("direct-vent-small", "Direct vent to openings, up to 10 kBtu/h");
    private static final Setting MIDDLE = setting("direct-vent-middle", "Direct vent to openings, up to 50 kBtu/h");
    private static final Setting LARGE = setting("direct-vent-large", "Direct vent to openings, over 50 kBtu/h");
    private static final double SMALL_INPUT = 2930.7107;
    private static final double MIDDLE_INPUT = 14_653.5535;
    private static final Map<String, Setting> MECHANICAL = Map.of(
            "below", setting("mechanical-below", "Mechanical draft vent below an opening"),
            "beside", setting("mechanical-beside", "Mechanical draft vent beside an opening"),
            "above", setting("mechanical-above", "Mechanical draft vent above an opening"));

    private static LimitKey key(String name, String title) {
        return new LimitKey("fuel." + name, Dimension.LENGTH, title);
    }

    private static Setting setting(String name, String title) {
        return new Setting("fuel." + name, Dimension.LENGTH, title);
    }

    private static About about(String name, String title, Point... needs) {
        return About.of("fuel." + name, Station.FUEL, Scope.VENT, title, Severity.SAFETY)
                .sources(CODE)
                .needs(needs);
    }

    static final Requirement KIND = Requirement.of(
            about("vent-material", "Vent material for its category", CATEGORY, MATERIAL, PASSES), Vent::kind);

    static final Requirement FROM_WHAT_BURNS = Requirement.of(
            about("vent-clearance", "Vent clearance to combustibles", MATERIAL, CLEARANCE)
                    .limits(CLEARANCE_LIMIT)
                    .settings(CLEARANCES.values().stream()
                            .sorted(Comparator.comparing(Setting::id))
                            .toArray(Setting[]::new)),
            Vent::clearance);

    static final Requirement FROM_OPENINGS = Requirement.of(
            about("vent-opening", "Vent's end clear of openings", ENDS, OPENING)
                    .limits(OPENING_LIMIT)
                    .settings(
                            SMALL,
                            MIDDLE,
                            LARGE,
                            MECHANICAL.get("below"),
                            MECHANICAL.get("beside"),
                            MECHANICAL.get("above")),
            Vent::openings);

    static final Requirement OVER_GRADE =
            simple("vent-grade", "Vent's end over grade", GRADE_LIMIT, GRADE, "Extend it higher");
    static final Requirement OVER_WALK = simple(
            "vent-walk", "Vent's end over a walk", WALK_LIMIT, WALK, "Extend it higher, or away from the walkway");
    static final Requirement OVER_INLET = simple(
            "vent-inlet", "Vent's end over an air inlet", INLET_LIMIT, INLET, "Extend it higher over that inlet");
    static final Requirement FROM_METER = simple(
            "vent-meter",
            "Vent's end clear of meter and regulator",
            METER_LIMIT,
            METER,
            "Move its end farther from them");

    private static Requirement simple(String name, String title, LimitKey limit, Point point, String remedy) {
        return Requirement.of(about(name, title, ENDS, point).limits(limit), x -> {
            Value.Measured read = x.need(point);
            return WithinLimits.judge(
                    x.finding(),
                    limit,
                    read.uncertain(),
                    read.resolution(),
                    x.rules().limits(limit),
                    remedy);
        });
    }

    private static Judgement kind(Examination x) {
        Option category = x.chosen(CATEGORY).orElseThrow();
        Option material = x.chosen(MATERIAL).orElseThrow();
        boolean closed = !x.chosen(PASSES).orElseThrow().equals(VentPoints.OWN_ROOM);
        Finding finding = x.finding()
                .step(CATEGORY.title(), category)
                .step(MATERIAL.title(), material)
                .step(PASSES.title(), x.chosen(PASSES).orElseThrow());
        if (category.id().equals("II")) {
            return finding.conclude(
                    Verdict.REFER,
                    Text.of("Category II draws and condenses at once: only its own maker's vent can be right."),
                    "A licensed person holds the vent against the appliance's instructions.");
        }
        if (!MATERIALS.get(category.id()).contains(material)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "{material} is not made for category {category}.",
                            Text.capital(material.words()),
                            category),
                    Text.of(
                            "Do not operate until the vent is of {materials}.",
                            Text.any(MATERIALS.get(category.id()).stream()
                                    .map(Option::words)
                                    .sorted()
                                    .toList())));
        }
        if (closed && material.equals(VentPoints.SINGLE_WALL)) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of("Single wall metal never passes an attic, closet or closed space."),
                    Text.of("Do not operate until that part is of {doubleWall}.", VentPoints.DOUBLE_WALL));
        }
        return finding.conclude(
                Verdict.MEETS,
                Text.of("{material} is made for category {category}.", Text.capital(material.words()), category),
                "");
    }

    private static Judgement clearance(Examination x) {
        Setting setting = CLEARANCES.get(x.chosen(MATERIAL).orElseThrow());
        List<Limit> limits = new ArrayList<>(x.rules().limits(CLEARANCE_LIMIT));
        if (setting != null) {
            limits.add(byCode(x, setting));
        }
        if (limits.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("Its own listing says how near it may come; none is general."),
                            "");
        }
        Value.Measured read = x.need(CLEARANCE);
        return WithinLimits.judge(
                x.finding(),
                CLEARANCE_LIMIT,
                read.uncertain(),
                read.resolution(),
                limits,
                "Do not operate until combustibles are moved or shielded; clearance");
    }

    private static Limit byCode(Examination x, Setting setting) {
        return new Limit(
                x.rules().code(),
                Bound.AT_LEAST,
                x.rules().setting(setting).value(),
                x.rules().setting(setting).source());
    }

    /** By input for a direct vent, by where it lies for mechanical draft. */
    private static Judgement openings(Examination x) {
        Setting setting;
        if (x.chosen(ENDS).orElseThrow().equals(VentPoints.DIRECT)) {
            Optional<Quantity> input = input(x);
            if (input.isEmpty()) {
                return x.at(x.indoor().orElseThrow()).notShown(List.of(FuelPoints.INPUT));
            }
            double watts = input.get().si();
            setting = watts <= SMALL_INPUT ? SMALL : watts <= MIDDLE_INPUT ? MIDDLE : LARGE;
        } else {
            Optional<Option> lies = x.chosen(OPENING_LIES);
            if (lies.isEmpty()) {
                return x.notShown(List.of(OPENING_LIES));
            }
            setting = MECHANICAL.get(lies.get().id());
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(OPENING_LIMIT));
        limits.add(byCode(x, setting));
        Value.Measured read = x.need(OPENING);
        return WithinLimits.judge(
                x.finding(),
                OPENING_LIMIT,
                read.uncertain(),
                read.resolution(),
                limits,
                "Move the vent's end {limit} or more from that opening.");
    }

    private static Optional<Quantity> input(Examination x) {
        Examination unit = x.at(x.indoor().orElseThrow());
        return unit.measured(FuelPoints.INPUT).map(Value.Measured::quantity).or(() -> unit.sheet()
                .flatMap(sheet -> sheet.value(SheetValue.FUEL_INPUT)));
    }
}
