package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.WiringPoints.CONTROL_NEEDED;
import static org.undanus.core.station.electrical.WiringPoints.CONTROL_THERE;
import static org.undanus.core.station.electrical.WiringPoints.FREE_WAYS;
import static org.undanus.core.station.electrical.WiringPoints.LISTED_LOAD;
import static org.undanus.core.station.electrical.WiringPoints.PEAK_LOAD;
import static org.undanus.core.station.electrical.WiringPoints.SERVICE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Count;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Service, panel and control cable have room for the machine. */
final class Panel {
    private Panel() {}

    private static final LimitKey SERVICE_LIMIT =
            new LimitKey("electrical.service-load", Dimension.CURRENT, "Load of building and machine");
    private static final LimitKey WAYS_LIMIT =
            new LimitKey("electrical.free-ways", Dimension.COUNT, "Ways free for this machine");
    private static final LimitKey CONTROL_LIMIT =
            new LimitKey("electrical.control-conductors", Dimension.COUNT, "Control conductors");
    private static final Setting PEAK_FACTOR =
            new Setting("electrical.peak-factor", Dimension.COUNT, "Factor on a measured peak of the building");

    static final Requirement LOAD = Requirement.of(
            About.of(
                            "electrical.service-load",
                            Station.ELECTRICAL,
                            Scope.SYSTEM,
                            "Service carries the machine",
                            Severity.SAFETY)
                    .sources(
                            "NFPA 70, article 220, by listed loads or 220.87 by measured peak; check the adopted edition")
                    .needs(SERVICE)
                    .limits(SERVICE_LIMIT)
                    .settings(PEAK_FACTOR, CircuitCurrents.LARGEST_MOTOR_FACTOR, CircuitCurrents.HEATER_FACTOR),
            Panel::load);

    static final Requirement WAYS = Requirement.of(
            About.of("electrical.free-ways", Station.ELECTRICAL, Scope.SYSTEM, "Room in the panel", Severity.SAFETY)
                    .sources("One way for each pole of its devices; no two wires under one screw")
                    .needs(FREE_WAYS)
                    .limits(WAYS_LIMIT)
                    .schools(Protection.TOPIC)
                    .cautions(FREE_WAYS.caution()),
            Panel::ways);

    static final Requirement CONTROL = Requirement.of(
            About.of(
                            "electrical.control-conductors",
                            Station.ELECTRICAL,
                            Scope.SYSTEM,
                            "Control conductors for every stage",
                            Severity.PERFORMANCE)
                    .sources("Data sheet, wiring diagram")
                    .needs(CONTROL_THERE)
                    .limits(CONTROL_LIMIT),
            Panel::control);

    private static List<Component> powered(Examination x) {
        return x.facts().components().stream().filter(Component::ownSupply).toList();
    }

    private static Judgement load(Examination x) {
        double machine = 0;
        for (Component unit : powered(x)) {
            Optional<CircuitCurrents.Known> known = CircuitCurrents.minimumAmpacity(x.at(unit));
            if (known.isEmpty()) {
                return x.at(unit).notShown(CircuitCurrents.missing(x.at(unit), PlatePoints.MINIMUM_CIRCUIT_AMPACITY));
            }
            machine += known.get().ampere();
        }
        double service = x.need(SERVICE).quantity().si();
        double factor = x.rules().number(PEAK_FACTOR);
        Optional<Double> peak = x.number(PEAK_LOAD);
        Optional<Double> listed = x.number(LISTED_LOAD);
        if (peak.isEmpty() && listed.isEmpty()) {
            return x.notShown(
                    List.of(LISTED_LOAD),
                    Text.of(
                            "Existing load allowed: {listed} by the load list, or {measured} by measured peak.",
                            Current.ofAmperes(Math.max(0, service - machine)),
                            Current.ofAmperes(Math.max(0, (service - machine) / factor))));
        }
        double building = peak.map(p -> factor * p).orElseGet(() -> listed.orElseThrow());
        Finding finding = x.finding()
                .step("This machine", "minimum circuit ampacity of its units", Current.ofAmperes(machine), "");
        listed.ifPresent(l -> finding.step("Building, by its list", Current.ofAmperes(l)));
        peak.ifPresent(p -> finding.step(
                "Building, by measured peak",
                "factor × peak",
                Current.ofAmperes(factor * p),
                x.rules().setting(PEAK_FACTOR).source()));
        List<Limit> limits = new ArrayList<>(x.rules().limits(SERVICE_LIMIT));
        limits.add(new Limit(x.rules().code(), Bound.AT_MOST, Current.ofAmperes(service), "Rating of the service"));
        Comparison held = finding.hold(SERVICE_LIMIT, Uncertain.exact(building + machine), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "A licensed electrician finds {lacking}: by taking load off, by load control, or by a larger service.",
                        finding.lacking()));
    }

    /** Poles: of one phase two where two lines feed it (plate practice), else one; of three phases three. */
    private static Judgement ways(Examination x) {
        int needed = 0;
        for (Component unit : powered(x)) {
            Optional<Option> phases = x.at(unit).chosen(PlatePoints.PHASES);
            if (phases.isEmpty()) {
                return x.at(unit).notShown(List.of(PlatePoints.PHASES));
            }
            needed += phases.get().equals(PlatePoints.THREE_PHASES) ? 3 : x.by(Protection.PLATE) ? 2 : 1;
        }
        Value.Measured free = x.need(FREE_WAYS);
        List<Limit> limits = new ArrayList<>(x.rules().limits(WAYS_LIMIT));
        limits.add(new Limit(x.rules().computed(), Bound.AT_LEAST, Count.of(needed), "Poles of its devices"));
        Finding finding = x.finding();
        Comparison held = finding.hold(WAYS_LIMIT, free.uncertain(), 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "A licensed electrician makes room: {lacking} more ways, or a panel beside it.",
                        finding.lacking()));
    }

    private static Judgement control(Examination x) {
        Optional<Quantity> needed = x.measured(CONTROL_NEEDED)
                .map(Value.Measured::quantity)
                .or(() -> x.facts()
                        .outdoorUnit()
                        .flatMap(unit -> x.at(unit).sheet())
                        .flatMap(sheet -> sheet.value(SheetValue.CONTROL_CONDUCTORS)));
        if (needed.isEmpty()) {
            return x.notShown(List.of(CONTROL_NEEDED));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(CONTROL_LIMIT));
        limits.add(new Limit(x.rules().maker(), Bound.AT_LEAST, needed.get(), "Wiring diagram"));
        Finding finding = x.finding();
        Comparison held = finding.hold(CONTROL_LIMIT, x.need(CONTROL_THERE).uncertain(), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Pull a control cable with {lacking} more conductors, so that every stage has its wire.",
                        finding.lacking()));
    }
}
