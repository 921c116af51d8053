package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.INLET;
import static org.undanus.core.station.fuel.FuelPoints.MANIFOLD;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_SIZE;
import static org.undanus.core.station.fuel.FuelPoints.PIPE_SUPPORT;
import static org.undanus.core.station.fuel.FuelPoints.RISE;
import static org.undanus.core.station.fuel.FuelPoints.TRAIN;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.notation.GasTrain;
import org.undanus.core.derived.notation.GasTrain.Part;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Pressure, order and support of the gas pipe, and the heat it gives to the air. */
final class GasPipe {
    private GasPipe() {}

    private static final String CODE = "Fuel gas code; check the adopted edition";
    private static final LimitKey INLET_LIMIT =
            new LimitKey("fuel.inlet-pressure", Dimension.PRESSURE_DIFFERENCE, "Gas pressure at the inlet");
    private static final LimitKey MANIFOLD_LIMIT =
            new LimitKey("fuel.manifold-pressure", Dimension.PRESSURE_DIFFERENCE, "Manifold pressure");
    private static final LimitKey SUPPORT_LIMIT =
            new LimitKey("fuel.pipe-support", Dimension.LENGTH, "Supports farthest apart");
    private static final LimitKey RISE_LIMIT =
            new LimitKey("fuel.temperature-rise", Dimension.TEMPERATURE_DIFFERENCE, "Temperature rise");
    private static final Setting LARGER = spacing("larger", "larger than 1 in");
    private static final Map<String, Setting> SPACINGS = Map.of(
            "half-inch", spacing("half", "1/2 in"),
            "three-quarter-inch", spacing("three-quarters", "3/4 in"),
            "one-inch", spacing("one", "1 in"),
            "one-and-a-quarter-inch", LARGER,
            "one-and-a-half-inch", LARGER,
            "two-inch", LARGER,
            "larger", LARGER);

    private static Setting spacing(String name, String size) {
        return new Setting(
                "fuel.support-" + name, Dimension.LENGTH, "Supports of gas pipe of " + size + ", farthest apart");
    }

    private static About about(String id, String title, Severity severity, LimitKey limit, Point... needs) {
        return About.of(id, Station.FUEL, Scope.FUEL_UNIT, title, severity)
                .sources("Nameplate and data sheet, gas", CODE)
                .needs(needs)
                .limits(limit);
    }

    static final Requirement INLET_PRESSURE = Requirement.of(
            about("fuel.inlet-pressure", "Gas pressure at the inlet", Severity.SAFETY, INLET_LIMIT, INLET),
            x -> pressure(x, INLET, INLET_LIMIT, SheetValue.LEAST_INLET_PRESSURE, SheetValue.MOST_INLET_PRESSURE));

    static final Requirement MANIFOLD_PRESSURE = Requirement.of(
            about("fuel.manifold-pressure", "Manifold pressure", Severity.SAFETY, MANIFOLD_LIMIT, MANIFOLD),
            x -> pressure(
                    x,
                    MANIFOLD,
                    MANIFOLD_LIMIT,
                    SheetValue.LEAST_MANIFOLD_PRESSURE,
                    SheetValue.MOST_MANIFOLD_PRESSURE));

    static final Requirement ORDER = Requirement.of(
            About.of("fuel.train", Station.FUEL, Scope.FUEL_UNIT, "Order of the gas pipe", Severity.SAFETY)
                    .sources(CODE + ", shut-off, drip leg, connectors")
                    .needs(TRAIN),
            GasPipe::order);

    static final Requirement SUPPORTS = Requirement.of(
            about("fuel.pipe-support", "Gas pipe supported", Severity.SAFETY, SUPPORT_LIMIT, PIPE_SIZE, PIPE_SUPPORT)
                    .settings(SPACINGS.values().stream()
                            .distinct()
                            .sorted(Comparator.comparing(Setting::id))
                            .toArray(Setting[]::new)),
            GasPipe::supports);

    static final Requirement TEMPERATURE_RISE = Requirement.of(
            about("fuel.temperature-rise", "Temperature rise", Severity.SAFETY, RISE_LIMIT, RISE), GasPipe::rise);

    private static Judgement pressure(Examination x, Point point, LimitKey key, SheetValue least, SheetValue most) {
        Value.Measured read = x.need(point);
        List<Limit> limits = x.limits(key, SheetLimit.atLeast(least), SheetLimit.atMost(most));
        return WithinLimits.judge(
                x.finding(),
                key,
                read.uncertain(),
                read.resolution(),
                limits,
                "Do not operate; a licensed technician corrects the cause");
    }

    /** What is wrong in the order of a gas pipe, and what cures it. */
    private record Fault(String said, String cure) {}

    private static Judgement order(Examination x) {
        GasTrain train = x.listed(TRAIN, GasTrain.class).orElseThrow();
        Finding finding = x.finding();
        for (int i = 0; i < train.parts().size(); i++) {
            finding.step(
                    Text.of("Part {number}", i + 1),
                    Text.plain(train.parts().get(i).title()));
        }
        List<Fault> faults = Stream.of(valve(train), dripLeg(train), parting(train), wall(train), control(train))
                .flatMap(Optional::stream)
                .toList();
        if (!faults.isEmpty()) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "{faults}.",
                            Text.capital(
                                    Text.series(faults.stream().map(Fault::said).toList()))),
                    Text.of(
                            "Shut off; a licensed fitter puts it right: {faults}.",
                            Text.series(faults.stream().map(Fault::cure).toList())));
        }
        List<Part> unsaid = Stream.of(Part.CABINET, Part.CONTROL)
                .filter(part -> !train.has(part))
                .toList();
        if (!unsaid.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            unsaid.get(0) == Part.CABINET
                                    ? "The list does not say where the cabinet's wall stands."
                                    : "The list does not say where the control stands."),
                    "Write it on, in its place, through the cabinet's wall to the control.");
        }
        return finding.conclude(
                Verdict.MEETS,
                Text.of("Valve, then what can be parted, then the drip leg; rigid into the cabinet."),
                "");
    }

    private static Optional<Fault> valve(GasTrain train) {
        return train.has(Part.VALVE)
                ? Optional.empty()
                : Optional.of(new Fault("there is no shut-off valve", "a shut-off valve first of all"));
    }

    private static Optional<Fault> dripLeg(GasTrain train) {
        if (!train.has(Part.DRIP_LEG)) {
            return Optional.of(new Fault("there is no drip leg", "a drip leg between valve and control"));
        }
        if (train.has(Part.VALVE) && !train.hasAfter(Part.VALVE, Part.DRIP_LEG)) {
            return Optional.of(
                    new Fault("the drip leg stands before the valve", "the drip leg moved behind the valve"));
        }
        return train.has(Part.CONTROL) && !train.hasAfter(Part.DRIP_LEG, Part.CONTROL)
                ? Optional.of(
                        new Fault("the drip leg stands behind the control", "the drip leg moved before the control"))
                : Optional.empty();
    }

    /** A union or connector parts the pipe where the valve has shut it off: behind the valve, and no connector before it. */
    private static Optional<Fault> parting(GasTrain train) {
        if (!train.has(Part.UNION) && !train.has(Part.CONNECTOR)) {
            return Optional.of(new Fault("nothing can be parted behind the valve", "a union behind the valve"));
        }
        if (train.startsBefore(Part.CONNECTOR, Part.VALVE)) {
            return Optional.of(new Fault(
                    "the flexible connector stands before the valve", "the connector moved behind the valve"));
        }
        return train.has(Part.VALVE)
                        && !train.hasAfter(Part.VALVE, Part.UNION)
                        && !train.hasAfter(Part.VALVE, Part.CONNECTOR)
                ? Optional.of(new Fault("the union stands before the valve", "the union moved behind the valve"))
                : Optional.empty();
    }

    /** What meets the wall passes it: neither side of it is flexible, and nothing flexible lies within. */
    private static Optional<Fault> wall(GasTrain train) {
        if (train.beside(Part.CABINET).contains(Part.CONNECTOR)) {
            return Optional.of(new Fault(
                    "the flexible connector passes through the cabinet wall",
                    "rigid pipe through the cabinet wall, the connector outside"));
        }
        return train.hasAfter(Part.CABINET, Part.CONNECTOR)
                ? Optional.of(new Fault(
                        "the flexible connector lies inside the cabinet", "the connector moved outside the cabinet"))
                : Optional.empty();
    }

    private static Optional<Fault> control(GasTrain train) {
        boolean valve = train.has(Part.VALVE) && train.has(Part.CONTROL) && !train.hasAfter(Part.VALVE, Part.CONTROL);
        boolean cabinet =
                train.has(Part.CABINET) && train.has(Part.CONTROL) && !train.hasAfter(Part.CABINET, Part.CONTROL);
        return valve
                ? Optional.of(new Fault("the shut-off valve stands behind the control", "a valve before the control"))
                : cabinet
                        ? Optional.of(new Fault(
                                "the list has the control before the cabinet's wall",
                                "the order of the list, or the pipe, looked at again"))
                        : Optional.empty();
    }

    private static Judgement supports(Examination x) {
        Setting setting = SPACINGS.get(x.chosen(PIPE_SIZE).orElseThrow().id());
        List<Limit> limits = new ArrayList<>(x.rules().limits(SUPPORT_LIMIT));
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_MOST,
                x.rules().setting(setting).value(),
                x.rules().setting(setting).source()));
        Value.Measured read = x.need(PIPE_SUPPORT);
        return WithinLimits.judge(
                x.finding(),
                SUPPORT_LIMIT,
                read.uncertain(),
                read.resolution(),
                limits,
                "Support the gas pipe every {limit} maximum.");
    }

    private static Judgement rise(Examination x) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(RISE_LIMIT));
        Optional<Value.Measured> low = x.measured(PlatePoints.LOWEST_TEMPERATURE_RISE);
        Optional<Value.Measured> high = x.measured(PlatePoints.HIGHEST_TEMPERATURE_RISE);
        low.ifPresent(l -> limits.add(new Limit(x.rules().maker(), Bound.AT_LEAST, l.quantity(), "Nameplate")));
        high.ifPresent(h -> limits.add(new Limit(x.rules().maker(), Bound.AT_MOST, h.quantity(), "Nameplate")));
        if (limits.isEmpty()) {
            return x.notShown(List.of(PlatePoints.LOWEST_TEMPERATURE_RISE, PlatePoints.HIGHEST_TEMPERATURE_RISE));
        }
        Value.Measured read = x.need(RISE);
        Finding finding = x.finding();
        Comparison held = finding.hold(RISE_LIMIT, read.uncertain(), read.resolution(), limits)
                .orElseThrow();
        boolean over = held.binding().limit().bound() == Bound.AT_MOST;
        double target = held.binding().limit().value().si();
        long share = Math.round(100 * Math.abs(read.quantity().si() / target - 1));
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        over
                                ? "It needs about {share} % more air, or less input: look at filter, ducts and fan speed first."
                                : "It has about {share} % too much air, or too little input: time the meter first.",
                        share));
    }
}
