package org.undanus.core.fluid;

import java.util.List;
import java.util.Map;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;

/**
 * Enthalpy of a refrigerant: of the boiling liquid and the condensing vapour, and of vapour up to 40 K warmer, by cubic splines
 * over refrigerant-enthalpy.csv beside this class; colder liquid and warmer vapour by their heat capacity. Counted
 * from 200 kJ/kg of boiling liquid at 0 °C. Within 0.1 kJ/kg between nodes.
 */
public final class Enthalpy {
    private static final double KILO = 1000;
    private static final double[] WARMER = {0, 10, 20, 40};
    private final String name;
    private final double coldest;
    private final double warmest;
    private final PolynomialSplineFunction liquid;
    private final PolynomialSplineFunction liquidHeat;
    private final PolynomialSplineFunction[] vapour;

    /** @param rows every column a number */
    Enthalpy(String name, List<Map<String, String>> rows) {
        this.name = name;
        double[] celsius = column(rows, "t_C", 1);
        coldest = celsius[0];
        warmest = celsius[celsius.length - 1];
        liquid = curve(celsius, column(rows, "h_liquid_kJ_kg", KILO));
        liquidHeat = curve(celsius, column(rows, "cp_liquid_kJ_kgK", KILO));
        vapour = new PolynomialSplineFunction[] {
            curve(celsius, column(rows, "h_vapour_kJ_kg", KILO)),
            curve(celsius, column(rows, "h_vapour_superheated_10K_kJ_kg", KILO)),
            curve(celsius, column(rows, "h_vapour_superheated_20K_kJ_kg", KILO)),
            curve(celsius, column(rows, "h_vapour_superheated_40K_kJ_kg", KILO))
        };
    }

    private static PolynomialSplineFunction curve(double[] celsius, double[] joules) {
        return new SplineInterpolator().interpolate(celsius, joules);
    }

    private static double[] column(List<Map<String, String>> rows, String name, double times) {
        return rows.stream()
                .mapToDouble(row -> Double.parseDouble(row.get(name)) * times)
                .toArray();
    }

    /** The coldest temperature it is described at. */
    public Temperature coldest() {
        return Temperature.ofCelsius(coldest);
    }

    /** The warmest. */
    public Temperature warmest() {
        return Temperature.ofCelsius(warmest);
    }

    private double celsius(Temperature saturation) {
        if (!(saturation.celsius() >= coldest && saturation.celsius() <= warmest)) {
            throw new RefusedException(
                    "{refrigerant} is described from {coldest} to {warmest}, not at {temperature}",
                    name,
                    Temperature.ofCelsius(coldest),
                    Temperature.ofCelsius(warmest),
                    saturation);
        }
        return saturation.celsius();
    }

    /**
     * Of liquid, J/kg.
     *
     * @param bubble at which it boils
     * @param subcooling by how much it is colder, K, from 0
     * @throws IllegalArgumentException outside the table, naming its range; so of vapour
     */
    public double liquid(Temperature bubble, double subcooling) {
        double at = celsius(bubble);
        return liquid.value(at) - Math.max(0, subcooling) * liquidHeat.value(at);
    }

    /**
     * Of vapour, J/kg.
     *
     * @param dew at which it condenses
     * @param superheat by how much it is warmer, K, from 0; over 40 K straight on
     */
    public double vapour(Temperature dew, double superheat) {
        double at = celsius(dew);
        double warmer = Math.max(0, superheat);
        int next = 1;
        while (next < WARMER.length - 1 && WARMER[next] < warmer) {
            next++;
        }
        double low = vapour[next - 1].value(at);
        double high = vapour[next].value(at);
        return low + (high - low) * (warmer - WARMER[next - 1]) / (WARMER[next] - WARMER[next - 1]);
    }
}
