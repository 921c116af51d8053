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
import org.undanus.core.derived.GasTrain;
import org.undanus.core.derived.GasTrain.Part;
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
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;

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
    private static final Map<String, Setting> SPACINGS = Map.of(
            "1/2 in", spacing("half", "1/2 in"),
            "3/4 in", spacing("three-quarters", "3/4 in"),
            "1 in", spacing("one", "1 in"),
            "larger", spacing("larger", "larger than 1 in"));

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
                "Nobody fires it on; a licensed person looks for the cause");
    }

    private static Judgement order(Examination x) {
        GasTrain train = x.listed(TRAIN, GasTrain.class).orElseThrow();
        Finding finding = x.finding();
        List<Text> faults = new ArrayList<>();
        List<String> moves = new ArrayList<>();
        if (train.place(Part.VALVE).isEmpty()) {
            faults.add(Text.of("there is no shut-off valve"));
            moves.add("a shut-off valve first of all");
        }
        if (train.place(Part.DRIP_LEG).isEmpty()) {
            faults.add(Text.of("there is no drip leg"));
            moves.add("a drip leg between valve and control");
        } else if (train.place(Part.VALVE).isPresent() && !train.inOrder(Part.VALVE, Part.DRIP_LEG)) {
            faults.add(Text.of("the drip leg stands before the valve"));
            moves.add("the drip leg moved behind the valve");
        }
        if (train.place(Part.UNION).isPresent()
                && train.place(Part.VALVE).isPresent()
                && !train.inOrder(Part.VALVE, Part.UNION)) {
            faults.add(Text.of("the union stands before the valve"));
            moves.add("the union moved behind the valve");
        }
        if (train.place(Part.UNION).isEmpty() && train.place(Part.CONNECTOR).isEmpty()) {
            faults.add(Text.of("nothing can be parted behind the valve"));
            moves.add("a union behind the valve");
        }
        if (train.inOrder(Part.CABINET, Part.CONNECTOR)) {
            faults.add(Text.of("the flexible connector passes through the cabinet wall"));
            moves.add("rigid pipe through the cabinet wall, the connector outside");
        }
        for (int i = 0; i < train.parts().size(); i++) {
            finding.step("Part " + (i + 1), train.parts().get(i).title());
        }
        if (faults.isEmpty()) {
            return finding.conclude(
                    Verdict.MEETS,
                    Text.of("Valve, then what can be parted, then the drip leg; rigid into the cabinet."),
                    "");
        }
        StringBuilder said = new StringBuilder();
        faults.forEach(fault -> said.append(said.length() == 0 ? "" : "; ").append(fault));
        return finding.conclude(
                Verdict.FAILS,
                Text.of("{}.", Text.capital(said.toString())),
                Text.of("Shut off; a licensed fitter puts it right: {}.", String.join("; ", moves)));
    }

    private static Judgement supports(Examination x) {
        Setting setting = SPACINGS.get(x.chosen(PIPE_SIZE).orElseThrow());
        List<Limit> limits = new ArrayList<>(x.rules().limits(SUPPORT_LIMIT));
        limits.add(new Limit(
                x.rules().code(),
                Bound.AT_MOST,
                x.rules().setting(setting).value(),
                x.rules().setting(setting).source()));
        Value.Measured read = x.need(PIPE_SUPPORT);
        return WithinLimits.judge(
                x.finding(), SUPPORT_LIMIT, read.uncertain(), read.resolution(), limits, "Have supports set between");
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
                                ? "It needs about {} % more air, or less input: look at filter, ducts and fan speed first."
                                : "It has about {} % too much air, or too little input: time the meter first.",
                        share));
    }
}
