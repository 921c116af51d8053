package org.undanus.core.derived;

import java.util.OptionalDouble;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/**
 * What a cooling coil does to air: an apparatus dew point and a bypass factor, fixed at the rated point (26.7/19.4 °C
 * entering, 35 °C outdoors, sea level) and carried to other conditions.
 *
 * <p>Bypass factor BF = exp(−A0/ṁ). Off rating, capacity is the rated one times
 * [1 + a(WB − 19.4) + b(ODB − 35)] · (c + d · ratio of mass flows: thin air carries less heat in the same volume); leaving enthalpy at the apparatus is h − (Q/ṁ)/(1 − BF). Where
 * that surface would be wetter than the entering air the coil is dry: the wet bulb at which it just dries gives the
 * capacity, all of it sensible. Source: the apparatus-dew-point method of ASHRAE Fundamentals and of the open
 * building-simulation engines. Fan heat is not counted: the rating is net of it.
 *
 * <p>Every call solves one or two one-dimensional equations; a few microseconds, ten times that for a dry coil.
 */
public final class CoolingCoil {
    private static final Temperature RATED_DRY_BULB = Temperature.ofCelsius(26.7);
    private static final Temperature RATED_WET_BULB = Temperature.ofCelsius(19.4);
    private static final Temperature RATED_OUTDOOR = Temperature.ofCelsius(35);
    private static final double ACCURACY = 1e-6;
    private static final double LEAST_AIRFLOW = 0.3;
    private static final double MOST_AIRFLOW = 2;
    private static final AbsolutePressure SEA_LEVEL = AbsolutePressure.ofPascals(101_325);

    /**
     * How capacity moves away from the rated point; rule book data.
     *
     * @param perWetBulb share per K of entering wet bulb above rating
     * @param perOutdoor share per K of outdoor temperature above rating
     * @param flowFixed share that does not follow airflow; the rest follows it in proportion
     */
    public record Slopes(double perWetBulb, double perOutdoor, double flowFixed) {}

    /**
     * The rating.
     *
     * @param capacity total, W
     * @param airflow m³/s at the entering state
     * @param sensibleRatio 0 to 1
     */
    public record Rating(double capacity, double airflow, double sensibleRatio) {}

    /** Rated capacity, airflow and sensible ratio contradict each other: no coil surface could do this. */
    public static final class ImpossibleRating extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        ImpossibleRating() {
            super("Sensible ratio and airflow of the sheet cannot both be right: no coil surface leaves air like that");
        }
    }

    private final Rating rating;
    private final Slopes slopes;
    private final double transfer;
    private final double ratedMassFlow;

    /** @throws ImpossibleRating when the rated leaving state and the entering state have no apparatus dew point */
    public CoolingCoil(Rating rating, Slopes slopes) {
        this.rating = rating;
        this.slopes = slopes;
        MoistAir entering = MoistAir.ofWetBulb(RATED_DRY_BULB, RATED_WET_BULB, SEA_LEVEL);
        ratedMassFlow = rating.airflow / entering.specificVolume();
        double drop = rating.capacity / ratedMassFlow;
        double leaving = RATED_DRY_BULB.celsius() - rating.sensibleRatio * drop / entering.heatCapacity();
        double ratio = entering.humidityRatio()
                - (1 - rating.sensibleRatio) * drop / (2501e3 + 1860 * RATED_DRY_BULB.celsius());
        double apparatus = apparatusDewPoint(entering, leaving, ratio);
        double bypass = (leaving - apparatus) / (RATED_DRY_BULB.celsius() - apparatus);
        transfer = -Math.log(bypass) * ratedMassFlow;
    }

    /**
     * Where the line from the entering to the leaving state meets saturation: the warmest such point below the leaving
     * temperature.
     */
    private static double apparatusDewPoint(MoistAir entering, double leaving, double leavingRatio) {
        double t1 = entering.dryBulb().celsius();
        double slope = (entering.humidityRatio() - leavingRatio) / (t1 - leaving);
        double step = 0.25;
        for (double t = leaving; t > -20; t -= step) {
            if (excess(entering, slope, t) >= 0) {
                if (t == leaving) {
                    throw new ImpossibleRating();
                }
                return Root.of(warmer -> -excess(entering, slope, warmer), t, t + step, ACCURACY);
            }
        }
        throw new ImpossibleRating();
    }

    /** How far the line lies above saturation at t. */
    private static double excess(MoistAir entering, double slope, double t) {
        double line = entering.humidityRatio() - slope * (entering.dryBulb().celsius() - t);
        return line - MoistAir.saturated(Temperature.ofCelsius(t), SEA_LEVEL).humidityRatio();
    }

    /** Whether an airflow is near enough to the rated one for this model to say something. */
    public boolean describes(double airflow) {
        return airflow >= LEAST_AIRFLOW * rating.airflow && airflow <= MOST_AIRFLOW * rating.airflow;
    }

    /** Leaving dry bulb, °C. Outdoor in °C, airflow in m³/s at the entering state. */
    public double leaving(MoistAir entering, double outdoor, double airflow) {
        double massFlow = airflow / entering.specificVolume();
        double contact = 1 - Math.exp(-transfer / massFlow);
        double t = entering.dryBulb().celsius();
        MoistAir apparatus = apparatus(entering, entering.wetBulb().celsius(), outdoor, massFlow, contact);
        if (apparatus.humidityRatio() < entering.humidityRatio()) {
            return t - contact * (t - apparatus.dryBulb().celsius());
        }
        double drying = dryingWetBulb(entering, outdoor, massFlow, contact);
        return t - capacity(drying, outdoor, massFlow) / (massFlow * entering.heatCapacity());
    }

    private MoistAir apparatus(MoistAir entering, double wetBulb, double outdoor, double massFlow, double contact) {
        double capacity = capacity(wetBulb, outdoor, massFlow);
        return MoistAir.saturatedOfEnthalpy(entering.enthalpy() - capacity / massFlow / contact, entering.pressure());
    }

    /** The entering wet bulb, at the same dry bulb, at which the surface just takes no more water. */
    private double dryingWetBulb(MoistAir entering, double outdoor, double massFlow, double contact) {
        return Root.of(
                wet -> {
                    MoistAir wetter =
                            MoistAir.ofWetBulb(entering.dryBulb(), Temperature.ofCelsius(wet), entering.pressure());
                    return wetter.humidityRatio()
                            - apparatus(wetter, wet, outdoor, massFlow, contact).humidityRatio();
                },
                entering.wetBulb().celsius(),
                entering.dryBulb().celsius(),
                ACCURACY);
    }

    /** By how much the apparatus dew point lies over that of the rating point, K; of a dry coil what a wet one would have. */
    public double surfaceOverRated(MoistAir entering, double outdoor, double airflow) {
        MoistAir rated = MoistAir.ofWetBulb(RATED_DRY_BULB, RATED_WET_BULB, SEA_LEVEL);
        return surface(entering, outdoor, airflow) - surface(rated, RATED_OUTDOOR.celsius(), rating.airflow);
    }

    private double surface(MoistAir entering, double outdoor, double airflow) {
        double massFlow = airflow / entering.specificVolume();
        double contact = 1 - Math.exp(-transfer / massFlow);
        return apparatus(entering, entering.wetBulb().celsius(), outdoor, massFlow, contact)
                .dryBulb()
                .celsius();
    }

    /** Total capacity, W, of air that enters; outdoor in °C, airflow in m³/s at the entering state. */
    public double capacity(MoistAir entering, double outdoor, double airflow) {
        return capacity(entering.wetBulb().celsius(), outdoor, airflow / entering.specificVolume());
    }

    private double capacity(double wetBulb, double outdoor, double massFlow) {
        double conditions = 1
                + slopes.perWetBulb * (wetBulb - RATED_WET_BULB.celsius())
                + slopes.perOutdoor * (outdoor - RATED_OUTDOOR.celsius());
        return rating.capacity * conditions * (slopes.flowFixed + (1 - slopes.flowFixed) * massFlow / ratedMassFlow);
    }

    /**
     * The airflow that would explain a leaving temperature, as a share of {@code airflow}: less air leaves colder. Empty
     * where no share from {@link #LEAST_AIRFLOW} to {@link #MOST_AIRFLOW} does.
     */
    OptionalDouble explainingShare(MoistAir entering, double outdoor, double airflow, double leaving) {
        double low = LEAST_AIRFLOW;
        double high = MOST_AIRFLOW;
        if (leaving(entering, outdoor, low * airflow) > leaving
                || leaving(entering, outdoor, high * airflow) < leaving) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(
                Root.of(share -> leaving(entering, outdoor, share * airflow) - leaving, low, high, ACCURACY));
    }
}
