package org.undanus.core.derived;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.FieldUnit;

/**
 * A size of copper tube as sold for refrigerant, with what tables give for it. All lengths in metres, torques in newton metres.
 *
 * <p>Walls: ASTM B280, annealed. Fittings as lengths of straight tube: ASHRAE Refrigeration, halocarbon systems, fitting losses;
 * below its smallest row that row is taken. Torque and diameter of flares: JIS B 8607.
 *
 * @param elbow length of straight tube that a short 90° elbow is worth
 * @param returnBend the same of a return bend
 * @param flare empty for sizes that are not flared
 */
public record Tube(
        String name,
        double outer,
        double wall,
        double elbow,
        double longElbow,
        double halfElbow,
        double returnBend,
        Optional<Flare> flare) {

    public static final String SIZES_SOURCE = "ASTM B280";
    public static final String FITTINGS_SOURCE = "ASHRAE Refrigeration, halocarbon systems, fitting losses";
    public static final String FLARES_SOURCE = "JIS B 8607; check the adopted edition";

    /** Ranges of a flare joint on this tube. */
    public record Flare(double leastTorque, double mostTorque, double leastDiameter, double mostDiameter) {}

    private static final double MILLIMETRE = 1e-3;
    /** Half the least step between two sizes: farther off it is no tube of the list. */
    private static final double NEAR = 0.7e-3;

    private static final List<Tube> ALL =
            Csv.read(Tube.class, "tubes.csv").stream().map(Tube::of).toList();

    private static Tube of(Map<String, String> row) {
        return new Tube(
                row.get("tube"),
                number(row, "outer_mm") * MILLIMETRE,
                number(row, "wall_mm") * MILLIMETRE,
                number(row, "elbow_ft") * FieldUnit.FOOT,
                number(row, "long_elbow_ft") * FieldUnit.FOOT,
                number(row, "half_elbow_ft") * FieldUnit.FOOT,
                number(row, "return_bend_ft") * FieldUnit.FOOT,
                row.get("torque_low").isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Flare(
                                number(row, "torque_low"),
                                number(row, "torque_high"),
                                number(row, "flare_low_mm") * MILLIMETRE,
                                number(row, "flare_high_mm") * MILLIMETRE)));
    }

    private static double number(Map<String, String> row, String column) {
        return Double.parseDouble(row.get(column));
    }

    public static List<Tube> sizes() {
        return ALL;
    }

    /** The size of this outer diameter, m; empty where no tube of the list is near it. */
    public static Optional<Tube> of(double outer) {
        return ALL.stream()
                .filter(tube -> Math.abs(tube.outer - outer) < NEAR)
                .min(Comparator.comparingDouble(tube -> Math.abs(tube.outer - outer)));
    }

    /** Cross-section inside, m². */
    public double bore() {
        double inner = outer - 2 * wall;
        return Math.PI * inner * inner / 4;
    }
}
