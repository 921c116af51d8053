package org.undanus.core.fluid;

import java.util.List;
import java.util.Map;
import org.undanus.core.numeric.Csv;
import org.undanus.core.numeric.MonotoneCurve;
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;

/**
 * Nitrogen as a real gas: p = ρRT(1 + Bρ + Cρ²), the virial coefficients interpolated from nitrogen.csv beside this class. Range
 * −30 to 60 °C and up to 5 MPa; within 0.02 % of that table's densities. The ideal gas is off by a tenth in the change of
 * pressure with temperature at 4 MPa, as much as a small leak.
 */
public final class Nitrogen {
    /** Molar gas constant, J/(mol·K) (CODATA). */
    public static final double GAS_CONSTANT = 8.314462618;

    /** At 20 to 25 °C and one atmosphere, Pa·s. */
    public static final double VISCOSITY = 17.80e-6;

    private static final double CUBIC_CENTIMETRE = 1e-6;
    private static final double HIGHEST_PASCAL = 5.2e6;
    private static final double ACCURACY = 1e-9;
    private static final List<Map<String, String>> ROWS = Csv.read(Nitrogen.class, "nitrogen.csv").stream()
            .filter(row -> row.get("p_kPa").equals("1000"))
            .toList();
    private static final MonotoneCurve SECOND = virial("second_virial_cm3_mol", CUBIC_CENTIMETRE);
    private static final MonotoneCurve THIRD = virial("third_virial_cm6_mol2", CUBIC_CENTIMETRE * CUBIC_CENTIMETRE);

    private Nitrogen() {}

    private static double[] column(String name, double unit) {
        return ROWS.stream()
                .mapToDouble(row -> Double.parseDouble(row.get(name)) * unit)
                .toArray();
    }

    private static MonotoneCurve virial(String column, double unit) {
        return new MonotoneCurve(column("t_C", 1), column(column, unit));
    }

    /** Whether it is described at this state. */
    public static boolean describes(AbsolutePressure pressure, Temperature temperature) {
        return SECOND.covers(temperature.celsius()) && pressure.si() > 0 && pressure.si() <= HIGHEST_PASCAL;
    }

    /**
     * Its density, mol/m³.
     *
     * @throws IllegalArgumentException outside −30 to 60 °C, or over 5 MPa
     */
    public static double density(AbsolutePressure pressure, Temperature temperature) {
        require(pressure, temperature);
        double ideal = pressure.si() / (GAS_CONSTANT * temperature.si());
        return Root.of(rho -> pressure(rho, temperature) - pressure.si(), 0, 2 * ideal, ACCURACY * ideal);
    }

    /** The pressure it has after its temperature changed in a vessel that neither leaks nor grows. */
    public static AbsolutePressure warmed(AbsolutePressure pressure, Temperature from, Temperature to) {
        require(pressure, to);
        return AbsolutePressure.ofPascals(pressure(density(pressure, from), to));
    }

    private static double pressure(double density, Temperature temperature) {
        double celsius = temperature.celsius();
        return density
                * GAS_CONSTANT
                * temperature.si()
                * (1 + SECOND.at(celsius) * density + THIRD.at(celsius) * density * density);
    }

    private static void require(AbsolutePressure pressure, Temperature temperature) {
        if (!describes(pressure, temperature)) {
            throw new RefusedException(
                    "Nitrogen is described from -30 to 60 °C and up to 5 MPa, not at {temperature} and {pressure}",
                    temperature,
                    pressure);
        }
    }
}
