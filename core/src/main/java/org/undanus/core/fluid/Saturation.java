package org.undanus.core.fluid;

import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.undanus.core.numeric.MonotoneCurve;
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;

/**
 * A refrigerant where liquid and vapour stand together: monotone cubic interpolation of ln p against 1/T and of ln ρ against T
 * over refrigerant-saturation.csv beside this class, −40 °C up to near its critical point, every 2 K. Between nodes within
 * 0.002 K and 0.02 % of density. A boiling liquid has the bubble pressure, a condensing vapour the dew pressure; of a pure
 * refrigerant they are the same.
 */
public final class Saturation {
    private static final double KILO = 1000;
    private static final double ACCURACY = 1e-9;
    /** Of ln p: blends that hardly part are taken for one substance. */
    private static final double GLIDE = 0.01;

    private final String name;
    private final double coldest;
    private final double warmest;
    private final MonotoneCurve bubble;
    private final MonotoneCurve dew;
    private final MonotoneCurve liquid;
    private final MonotoneCurve vapour;
    private final MonotoneCurve vaporisation;

    /** @param rows every column a number, the curves not turning back */
    Saturation(String name, List<Map<String, String>> rows) {
        this.name = name;
        double[] celsius = column(rows, "t_C", t -> t);
        coldest = celsius[0];
        warmest = celsius[celsius.length - 1];
        double[] cold = column(rows, "t_C", Saturation::coldness);
        bubble = new MonotoneCurve(cold, column(rows, "p_bubble_kPa", p -> Math.log(p * KILO)));
        dew = new MonotoneCurve(cold, column(rows, "p_dew_kPa", p -> Math.log(p * KILO)));
        liquid = new MonotoneCurve(celsius, column(rows, "rho_liquid_kg_m3", Math::log));
        vapour = new MonotoneCurve(celsius, column(rows, "rho_vapour_kg_m3", Math::log));
        vaporisation = new MonotoneCurve(celsius, column(rows, "h_vaporisation_kJ_kg", h -> h * KILO));
    }

    /** −1/T, which rises with temperature, 1/K. */
    private static double coldness(double celsius) {
        return -1 / (celsius + Temperature.ZERO_CELSIUS);
    }

    private static double[] column(List<Map<String, String>> rows, String name, DoubleUnaryOperator as) {
        return rows.stream()
                .mapToDouble(row -> as.applyAsDouble(Double.parseDouble(row.get(name))))
                .toArray();
    }

    private double at(MonotoneCurve curve, double place, Temperature temperature) {
        if (temperature.celsius() < coldest - ACCURACY || temperature.celsius() > warmest + ACCURACY) {
            throw new RefusedException(
                    "{refrigerant} is described from {coldest} to {warmest}, not at {temperature}",
                    name,
                    Temperature.ofCelsius(coldest),
                    Temperature.ofCelsius(warmest),
                    temperature);
        }
        return curve.at(place);
    }

    /**
     * Pressure of the boiling liquid.
     *
     * @throws IllegalArgumentException outside the table, naming its range; so of every property
     */
    public AbsolutePressure bubble(Temperature temperature) {
        return AbsolutePressure.ofPascals(Math.exp(at(bubble, coldness(temperature.celsius()), temperature)));
    }

    /** Pressure of the condensing vapour. */
    public AbsolutePressure dew(Temperature temperature) {
        return AbsolutePressure.ofPascals(Math.exp(at(dew, coldness(temperature.celsius()), temperature)));
    }

    /** Temperature at which liquid of this pressure boils. */
    public Temperature bubbleTemperature(AbsolutePressure pressure) {
        return inverse(bubble, pressure);
    }

    /** Temperature at which vapour of this pressure condenses. */
    public Temperature dewTemperature(AbsolutePressure pressure) {
        return inverse(dew, pressure);
    }

    private Temperature inverse(MonotoneCurve curve, AbsolutePressure pressure) {
        double low = Math.exp(curve.at(coldness(coldest)));
        double high = Math.exp(curve.at(coldness(warmest)));
        if (!(pressure.si() >= low * (1 - ACCURACY) && pressure.si() <= high * (1 + ACCURACY))) {
            throw new RefusedException(
                    "{refrigerant} is described from {least} to {most}, not at {pressure}",
                    name,
                    AbsolutePressure.ofPascals(low),
                    AbsolutePressure.ofPascals(high),
                    pressure);
        }
        double wanted = Math.log(pressure.si());
        double cold =
                Root.of(place -> curve.at(place) - wanted, coldness(coldest), coldness(warmest), ACCURACY * ACCURACY);
        return Temperature.ofKelvin(-1 / cold);
    }

    /** The warmest temperature it is described at. */
    public Temperature warmest() {
        return Temperature.ofCelsius(warmest);
    }

    /** The nearest pressure that has both a boiling and a condensing temperature here; itself where it has. */
    public AbsolutePressure nearest(AbsolutePressure pressure) {
        Temperature low = Temperature.ofCelsius(coldest);
        double least = Math.max(bubble(low).si(), dew(low).si());
        double most = Math.min(bubble(warmest()).si(), dew(warmest()).si());
        return AbsolutePressure.ofPascals(Math.max(least, Math.min(most, pressure.si())));
    }

    /** Whether liquid and vapour of one pressure have other temperatures: a blend that parts. */
    public boolean glides() {
        double middle = coldness((coldest + warmest) / 2);
        return Math.abs(bubble.at(middle) - dew.at(middle)) > GLIDE;
    }

    /**
     * By how much its temperature moves as liquid at this one boils away at its pressure, K; 0 of a pure one.
     *
     * @throws IllegalArgumentException outside the table
     */
    public double glide(Temperature boiling) {
        return dewTemperature(bubble(boiling)).si() - boiling.si();
    }

    /** Density of the boiling liquid, kg/m³. */
    public double liquidDensity(Temperature temperature) {
        return Math.exp(at(liquid, temperature.celsius(), temperature));
    }

    /** Density of the condensing vapour, kg/m³. */
    public double vapourDensity(Temperature temperature) {
        return Math.exp(at(vapour, temperature.celsius(), temperature));
    }

    /** Heat of vaporisation, J/kg. */
    public double vaporisation(Temperature temperature) {
        return at(vaporisation, temperature.celsius(), temperature);
    }
}
