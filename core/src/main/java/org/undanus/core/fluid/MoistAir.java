package org.undanus.core.fluid;

import java.util.Locale;
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;

/**
 * A state of moist air: pressure, dry bulb and humidity ratio; every other property follows.
 *
 * <p>Source: ASHRAE Handbook Fundamentals, chapter Psychrometrics (saturation pressure after Hyland and Wexler, ideal
 * mixture, no enhancement factor). Range −30 to 60 °C and 60 to 110 kPa; within 0.1 % and 0.02 K of the reference table
 * inside it. Wet bulb and dew point below freezing are those over ice.
 */
public final class MoistAir {
    private static final double MASS_RATIO = 0.621945;
    private static final double LOWEST_CELSIUS = -30;
    private static final double HIGHEST_CELSIUS = 60;
    private static final double LOWEST_PASCAL = 60_000;
    private static final double HIGHEST_PASCAL = 110_000;
    // A dew point may lie far below the range in which the air itself is described.
    private static final double LOWEST_SATURATION_CELSIUS = -100;
    private static final double DRIEST_HUMIDITY_RATIO = 1e-8;
    private static final double ENTHALPY_OF_VAPORISATION = 2501;
    private static final double HEAT_CAPACITY_OF_AIR = 1.006;
    private static final double HEAT_CAPACITY_OF_VAPOUR = 1.86;
    private static final double ACCURACY = 1e-8;
    private static final double JUST_FROZEN = -1e-9;
    private static final double SATURATION_SLACK = 1 + 1e-9;

    private final double celsius;
    private final double humidityRatio;
    private final double pascal;

    private MoistAir(double celsius, double humidityRatio, double pascal) {
        if (!(celsius >= LOWEST_CELSIUS && celsius <= HIGHEST_CELSIUS)) {
            throw new RefusedException("Moist air is described from -30 to 60 °C, not at {celsius} °C", tenth(celsius));
        }
        if (!describes(AbsolutePressure.ofPascals(pascal))) {
            throw new RefusedException(
                    "Moist air is described from 60 to 110 kPa, not at {kilopascals} kPa", tenth(pascal / 1000));
        }
        this.celsius = celsius;
        this.humidityRatio = Math.max(humidityRatio, DRIEST_HUMIDITY_RATIO);
        this.pascal = pascal;
    }

    private static String tenth(double number) {
        return String.format(Locale.ROOT, "%.1f", number);
    }

    /** Whether air of this pressure is described here: up to about 4,200 m above sea level. */
    public static boolean describes(AbsolutePressure pressure) {
        return pressure.si() >= LOWEST_PASCAL && pressure.si() <= HIGHEST_PASCAL;
    }

    /** @param relativeHumidity as a fraction, 0 to 1 */
    public static MoistAir ofRelativeHumidity(Temperature dryBulb, double relativeHumidity, AbsolutePressure pressure) {
        if (!(relativeHumidity >= 0 && relativeHumidity <= 1)) {
            throw new IllegalArgumentException("Relative humidity lies between 0 and 100 %");
        }
        double vapour = relativeHumidity * saturationPressure(dryBulb.celsius());
        return new MoistAir(dryBulb.celsius(), ratioOfVapourPressure(vapour, pressure.si()), pressure.si());
    }

    /** @throws IllegalArgumentException when the wet bulb is above the dry bulb, or lower than dry air could show */
    public static MoistAir ofWetBulb(Temperature dryBulb, Temperature wetBulb, AbsolutePressure pressure) {
        double t = dryBulb.celsius();
        double wet = wetBulb.celsius();
        if (wet > t + 1e-9) {
            throw new IllegalArgumentException("The wet bulb cannot be above the dry bulb");
        }
        double ratio = ratioAtWetBulb(t, wet, pressure.si());
        if (ratio < 0) {
            throw new RefusedException(
                    "A wet bulb of {wet} °C cannot occur at {dry} °C dry bulb: even dry air stays above it",
                    tenth(wet),
                    tenth(t));
        }
        return new MoistAir(t, ratio, pressure.si());
    }

    /** @param humidityRatio kg of water per kg of dry air, at most that of saturation */
    public static MoistAir ofHumidityRatio(Temperature dryBulb, double humidityRatio, AbsolutePressure pressure) {
        if (!(humidityRatio >= 0)
                || humidityRatio > saturationRatio(dryBulb.celsius(), pressure.si()) * SATURATION_SLACK) {
            throw new IllegalArgumentException("The humidity ratio lies between 0 and that of saturated air");
        }
        return new MoistAir(dryBulb.celsius(), humidityRatio, pressure.si());
    }

    public static MoistAir saturated(Temperature dryBulb, AbsolutePressure pressure) {
        return ofRelativeHumidity(dryBulb, 1, pressure);
    }

    /**
     * Saturated air of a given enthalpy, as at the apparatus dew point of a coil.
     *
     * @param enthalpy J per kg of dry air
     */
    public static MoistAir saturatedOfEnthalpy(double enthalpy, AbsolutePressure pressure) {
        double t = Root.of(
                c -> enthalpyOf(c, saturationRatio(c, pressure.si())) * 1000 - enthalpy,
                LOWEST_CELSIUS,
                HIGHEST_CELSIUS,
                ACCURACY);
        return saturated(Temperature.ofCelsius(t), pressure);
    }

    public Temperature dryBulb() {
        return Temperature.ofCelsius(celsius);
    }

    public AbsolutePressure pressure() {
        return AbsolutePressure.ofPascals(pascal);
    }

    /** kg of water per kg of dry air. */
    public double humidityRatio() {
        return humidityRatio;
    }

    /** Relative humidity as a ratio, 0 to 1. */
    public double relativeHumidity() {
        return vapourPressure() / saturationPressure(celsius);
    }

    /**
     * Over ice where the air is dry enough that an iced wick reads below freezing, else over water. Near freezing both
     * readings exist, as they do on a real wick.
     */
    public Temperature wetBulb() {
        boolean iced = celsius < 0 || ratioAtWetBulb(celsius, JUST_FROZEN, pascal) >= humidityRatio;
        double low = iced ? Math.max(LOWEST_SATURATION_CELSIUS, celsius - 60) : 0;
        double high = iced ? Math.min(celsius, JUST_FROZEN) : celsius;
        return Temperature.ofCelsius(
                Root.of(wet -> ratioAtWetBulb(celsius, wet, pascal) - humidityRatio, low, high, ACCURACY));
    }

    public Temperature dewPoint() {
        double vapour = vapourPressure();
        return Temperature.ofCelsius(Root.of(
                c -> Math.log(saturationPressure(c) / vapour), LOWEST_SATURATION_CELSIUS, HIGHEST_CELSIUS, ACCURACY));
    }

    /** J per kg of dry air, from 0 for dry air at 0 °C. */
    public double enthalpy() {
        return enthalpyOf(celsius, humidityRatio) * 1000;
    }

    /** m³ per kg of dry air. */
    public double specificVolume() {
        return 0.287042 * (celsius + Temperature.ZERO_CELSIUS) * (1 + 1.607858 * humidityRatio) / (pascal / 1000);
    }

    /** Heat capacity at constant pressure, J per K and kg of dry air. */
    public double heatCapacity() {
        return (HEAT_CAPACITY_OF_AIR + HEAT_CAPACITY_OF_VAPOUR * humidityRatio) * 1000;
    }

    /** Pressure of saturated vapour over ice below 0 °C and over water above (Hyland and Wexler, −100 to 200 °C). */
    public static AbsolutePressure saturationPressure(Temperature temperature) {
        return AbsolutePressure.ofPascals(saturationPressure(temperature.celsius()));
    }

    static double saturationPressure(double celsius) {
        double t = celsius + Temperature.ZERO_CELSIUS;
        double logarithm = celsius < 0
                ? -5.6745359e3 / t
                        + 6.3925247
                        - 9.677843e-3 * t
                        + 6.2215701e-7 * t * t
                        + 2.0747825e-9 * t * t * t
                        - 9.484024e-13 * t * t * t * t
                        + 4.1635019 * Math.log(t)
                : -5.8002206e3 / t
                        + 1.3914993
                        - 4.8640239e-2 * t
                        + 4.1764768e-5 * t * t
                        - 1.4452093e-8 * t * t * t
                        + 6.5459673 * Math.log(t);
        return Math.exp(logarithm);
    }

    private double vapourPressure() {
        return pascal * humidityRatio / (MASS_RATIO + humidityRatio);
    }

    private static double ratioOfVapourPressure(double vapour, double pascal) {
        return MASS_RATIO * vapour / (pascal - vapour);
    }

    private static double saturationRatio(double celsius, double pascal) {
        return ratioOfVapourPressure(saturationPressure(celsius), pascal);
    }

    /** kJ per kg of dry air. */
    private static double enthalpyOf(double celsius, double ratio) {
        return HEAT_CAPACITY_OF_AIR * celsius + ratio * (ENTHALPY_OF_VAPORISATION + HEAT_CAPACITY_OF_VAPOUR * celsius);
    }

    private static double ratioAtWetBulb(double t, double wet, double pascal) {
        double saturated = saturationRatio(wet, pascal);
        return wet >= 0
                ? ((2501 - 2.326 * wet) * saturated - 1.006 * (t - wet)) / (2501 + 1.86 * t - 4.186 * wet)
                : ((2830 - 0.24 * wet) * saturated - 1.006 * (t - wet)) / (2830 + 1.86 * t - 2.1 * wet);
    }
}
