package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.numeric.MonotoneCurve;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * Airflow of an indoor unit by every method that was read: hood, grid, fan table with static pressure, strip heat.
 *
 * @param estimates in m³/s, in that order
 */
public record Airflow(List<Estimate> estimates) {
    public static final Option TCHEBYCHEFF = Option.of("log-tchebycheff", "log-Tchebycheff");
    public static final Option EQUAL_AREAS = Option.of("equal-areas", "equal areas");
    public static final Setting FAN_TABLE =
            Setting.useful("airside.fan-table", Dimension.RATIO, "How far a fan table may be off in the field");
    public static final Setting GRID_METHOD =
            Setting.useful("airside.grid-method", Dimension.RATIO, "How far a grid may be off besides its readings");

    /** Chance below which estimates are held to disagree. */
    private static final double SIGNIFICANT = 0.05;

    private static final double USUAL_CELSIUS = 20;

    /** One method's airflow, m³/s. */
    public record Estimate(String method, Uncertain flow) {}

    /** What the best estimate is: all of them weighed by 1/u², unless they disagree. */
    public record Best(Uncertain flow, double chiSquared, double critical) {
        /** Whether they differ by more than their uncertainties can explain. */
        public boolean disagree() {
            return chiSquared > critical;
        }
    }

    public Airflow {
        estimates = List.copyOf(estimates);
    }

    /** The methods in a row. */
    public Text named() {
        return Text.list(estimates.stream()
                .map(estimate -> Text.lowered(estimate.method))
                .toList());
    }

    /** The settings a requirement that asks for it declares. */
    public static Setting[] settings() {
        return new Setting[] {FAN_TABLE, GRID_METHOD};
    }

    /** Empty where nothing was read. */
    public Optional<Best> best() {
        if (estimates.isEmpty()) {
            return Optional.empty();
        }
        if (estimates.size() == 1) {
            return Optional.of(new Best(estimates.get(0).flow, 0, 0));
        }
        double weights = 0;
        double sum = 0;
        for (Estimate estimate : estimates) {
            double weight = weight(estimate);
            weights += weight;
            sum += weight * estimate.flow.value();
        }
        double mean = sum / weights;
        double chiSquared = 0;
        for (Estimate estimate : estimates) {
            double off = estimate.flow.value() - mean;
            chiSquared += weight(estimate) * off * off;
        }
        double critical =
                new ChiSquaredDistribution(estimates.size() - 1.0).inverseCumulativeProbability(1 - SIGNIFICANT);
        return Optional.of(new Best(new Uncertain(mean, 1 / Math.sqrt(weights)), chiSquared, critical));
    }

    private static double weight(Estimate estimate) {
        double u = Math.max(estimate.flow.standardUncertainty(), 1e-9);
        return 1 / (u * u);
    }

    /** The one figure that others may use: empty where nothing was read or the methods disagree. */
    public Optional<Uncertain> agreed() {
        return best().filter(best -> !best.disagree()).map(Best::flow);
    }

    /** Of the unit that an examination looks at. */
    public static Airflow of(Examination x, Component unit) {
        Examination at = x.at(unit);
        Optional<Examination> ducts = x.facts()
                .subject(Subject.Kind.DUCT_SYSTEM.key() + "-" + unit.id())
                .map(x::at);
        List<Estimate> estimates = new ArrayList<>();
        at.measured(AirPoints.HOOD).ifPresent(hood -> estimates.add(new Estimate("Flow hood", hood.uncertain())));
        ducts.ifPresent(d -> {
            grid(d, at).ifPresent(estimates::add);
            fanTable(d, at).ifPresent(estimates::add);
            heater(d, at).ifPresent(estimates::add);
        });
        return new Airflow(estimates);
    }

    /** Density of the air that is read, kg/m³, at the site's height. */
    static double density(Examination at) {
        double celsius = at.number(AirPoints.RETURN_DRY_BULB)
                .map(kelvin -> kelvin - Temperature.ZERO_CELSIUS)
                .orElse(USUAL_CELSIUS);
        return air(at, celsius, 0).map(air -> 1 / air.specificVolume()).orElse(Double.NaN);
    }

    private static Optional<MoistAir> air(Examination at, double celsius, double humidity) {
        AbsolutePressure atmosphere = at.facts().site().atmosphere();
        if (!MoistAir.describes(atmosphere)) {
            return Optional.empty();
        }
        try {
            return Optional.of(MoistAir.ofRelativeHumidity(Temperature.ofCelsius(celsius), humidity, atmosphere));
        } catch (IllegalArgumentException outsideTheFormulas) {
            return Optional.empty();
        }
    }

    private static Optional<Estimate> grid(Examination ducts, Examination at) {
        Optional<Traverse> grid = ducts.listed(AirPoints.GRID, Traverse.class).filter(read -> read.missing() == 0);
        Optional<Value.Measured> width = ducts.measured(AirPoints.DUCT_WIDTH);
        Optional<Value.Measured> height = ducts.measured(AirPoints.DUCT_HEIGHT);
        double density = density(at);
        boolean known = grid.isPresent() && width.isPresent() && height.isPresent() && !Double.isNaN(density);
        if (!known || !at.rules().decides(GRID_METHOD)) {
            return Optional.empty();
        }
        double velocity = grid.get().meanVelocity(density);
        double readings =
                at.rules().accuracy(InstrumentKind.MANOMETER).standardUncertainty(density * velocity * velocity / 2, 0);
        // Δp = ρ·v²/2, so a share of Δp is half that share of v; each reading errs alike
        double byInstrument = velocity > 0 ? readings / (density * velocity * velocity) : 0;
        double method = at.rules().number(GRID_METHOD) / Math.sqrt(3);
        Uncertain share = new Uncertain(1, Math.hypot(byInstrument, method));
        return Optional.of(new Estimate(
                "Grid",
                Propagation.through(
                        in -> in[0] * in[1] * velocity * in[2],
                        width.get().uncertain(),
                        height.get().uncertain(),
                        share)));
    }

    /** Static pressure that the fan works against outside the cabinet: supply less return, Pa. */
    public static Optional<Uncertain> external(Examination ducts) {
        Optional<Value.Measured> supply = ducts.measured(AirPoints.STATIC_SUPPLY);
        Optional<Value.Measured> before = ducts.measured(AirPoints.STATIC_RETURN);
        return supply.flatMap(
                s -> before.map(r -> Propagation.through(in -> in[0] - in[1], s.uncertain(), r.uncertain())));
    }

    /** A fan table as a curve; empty where the sheet has none or its table turns back. */
    public static Optional<MonotoneCurve> curve(DataSheet sheet) {
        List<DataSheet.FanPoint> points = sheet.fan().stream()
                .sorted((a, b) -> Double.compare(
                        a.staticPressure().si(), b.staticPressure().si()))
                .toList();
        try {
            return Optional.of(new MonotoneCurve(
                    points.stream().mapToDouble(p -> p.staticPressure().si()).toArray(),
                    points.stream().mapToDouble(p -> p.airflow().si()).toArray()));
        } catch (IllegalArgumentException noCurve) {
            return Optional.empty();
        }
    }

    private static Optional<Estimate> fanTable(Examination ducts, Examination at) {
        Optional<MonotoneCurve> curve =
                at.rules().decides(FAN_TABLE) ? at.sheet().flatMap(Airflow::curve) : Optional.empty();
        Optional<Uncertain> external = external(ducts);
        return curve.flatMap(table -> external.filter(pressure -> table.covers(pressure.value()))
                .map(pressure -> new Estimate(
                        "Fan table",
                        Propagation.through(
                                in -> table.at(in[0]) * in[1],
                                pressure,
                                new Uncertain(1, at.rules().number(FAN_TABLE) / Math.sqrt(3))))));
    }

    /** V̇ = U·I/(ρ·cp·ΔT), single phase. */
    private static Optional<Estimate> heater(Examination ducts, Examination at) {
        Optional<Value.Measured> voltage = ducts.measured(AirPoints.HEATER_VOLTAGE);
        Optional<Value.Measured> current = ducts.measured(AirPoints.HEATER_CURRENT);
        Optional<Value.Measured> rise = ducts.measured(AirPoints.HEATER_RISE);
        double density = density(at);
        if (voltage.isEmpty() || current.isEmpty() || rise.isEmpty() || Double.isNaN(density)) {
            return Optional.empty();
        }
        double heatCapacity = air(at, USUAL_CELSIUS, 0).orElseThrow().heatCapacity();
        Uncertain flow = Propagation.through(
                in -> in[2] > 0 ? in[0] * in[1] / (density * heatCapacity * in[2]) : Double.NaN,
                voltage.get().uncertain(),
                current.get().uncertain(),
                rise.get().uncertain());
        return Optional.of(new Estimate("Strip heat", flow));
    }
}
