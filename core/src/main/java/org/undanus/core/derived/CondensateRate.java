package org.undanus.core.derived;

import java.util.Optional;
import org.undanus.core.evidence.Value;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Setting;

/**
 * Water that a cooling coil takes out of the air.
 *
 * @param rate m³/s
 * @param bound whether it is the most there can be rather than what today's air gives
 * @param how it was found
 */
public record CondensateRate(double rate, boolean bound, String how) {
    /** kg/m³. */
    public static final double WATER = 1000;

    /** Heat that condensing water gives off at a coil, J/kg. Source: ASHRAE Fundamentals, Psychrometrics, at 10 °C. */
    private static final double CONDENSING = 2.478e6;

    public static final Setting SENSIBLE_RATIO = Setting.useful(
            "condensate.sensible-ratio",
            Dimension.RATIO,
            "Sensible ratio behind the most water, where no sheet gives one");

    /**
     * ρ·V̇·(W in − W out), m³/s, with the density of the air that enters: ratings, fan tables and return grilles state their airflow
     * there, and capacity is computed with the same.
     */
    public static double ofAir(double dryAir, double entering, double leaving) {
        return Math.max(0, dryAir * (entering - leaving)) / WATER;
    }

    /** The most there can be: the latent share of the capacity, m³/s. */
    public static double ofCapacity(double capacity, double sensibleRatio) {
        return capacity * (1 - sensibleRatio) / CONDENSING / WATER;
    }

    /** Of an indoor unit: by its air states where they were read, else by its latent capacity; empty where neither is known. */
    public static Optional<CondensateRate> of(Examination x, Component unit) {
        return byAir(x, unit).or(() -> byCapacity(x, unit));
    }

    private static Optional<CondensateRate> byAir(Examination x, Component unit) {
        Examination at = x.at(unit);
        Optional<Double> dry = at.number(AirPoints.RETURN_DRY_BULB);
        Optional<Double> wet = at.number(AirPoints.RETURN_WET_BULB);
        Optional<Double> supply = at.number(AirPoints.SUPPLY_DRY_BULB);
        Optional<Double> supplyWet = at.number(AirPoints.SUPPLY_WET_BULB);
        Optional<Double> flow = Airflow.of(x, unit).agreed().map(agreed -> agreed.value());
        if (dry.isEmpty() || wet.isEmpty() || supply.isEmpty() || supplyWet.isEmpty() || flow.isEmpty()) {
            return Optional.empty();
        }
        try {
            MoistAir entering = state(x, dry.get(), wet.get());
            MoistAir leaving = state(x, supply.get(), supplyWet.get());
            double rate =
                    ofAir(flow.get() / entering.specificVolume(), entering.humidityRatio(), leaving.humidityRatio());
            return Optional.of(new CondensateRate(rate, false, "ρ·V̇·(W in − W out)"));
        } catch (IllegalArgumentException noSuchAir) {
            return Optional.empty();
        }
    }

    private static MoistAir state(Examination x, double dry, double wet) {
        return MoistAir.ofWetBulb(
                Temperature.ofKelvin(dry),
                Temperature.ofKelvin(Math.min(wet, dry)),
                x.facts().site().atmosphere());
    }

    private static Optional<CondensateRate> byCapacity(Examination x, Component unit) {
        Optional<Component> outdoor = x.facts().outdoorUnit();
        Optional<DataSheet.Pair> pair = x.at(unit)
                .written(PlatePoints.MODEL)
                .flatMap(model -> outdoor.flatMap(o -> x.at(o).sheet()).flatMap(sheet -> sheet.pairWith(model)));
        Optional<Double> capacity = pair.flatMap(DataSheet.Pair::cooling)
                .map(Power::si)
                .or(() -> outdoor.flatMap(o -> x.at(o).measured(PlatePoints.COOLING_CAPACITY))
                        .map(Value.Measured::quantity)
                        .map(quantity -> quantity.si()));
        Optional<Double> ratio = pair.flatMap(DataSheet.Pair::sensibleRatio)
                .map(Ratio::si)
                .or(() -> x.rules().decides(SENSIBLE_RATIO)
                        ? Optional.of(x.rules().number(SENSIBLE_RATIO))
                        : Optional.empty());
        return capacity.flatMap(total -> ratio.map(share ->
                new CondensateRate(ofCapacity(total, share), true, "latent share of capacity / heat of condensing")));
    }
}
