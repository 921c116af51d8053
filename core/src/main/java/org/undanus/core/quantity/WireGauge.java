package org.undanus.core.quantity;

import java.util.OptionalInt;

/** American wire gauge: diameter 0.005 in × 92^((36 − n)/39) (ASTM B258); 1/0 to 4/0 are n = 0 to −3. */
final class WireGauge {
    private static final double DIAMETER_OF_36 = 0.127e-3;
    private static final double CLOSE_ENOUGH = 0.01;

    private WireGauge() {}

    /** The cross-section in m² of gauge n, −3 to 40. */
    static double area(int n) {
        double diameter = DIAMETER_OF_36 * Math.pow(92, (36 - n) / 39.0);
        return Math.PI * diameter * diameter / 4;
    }

    /** The gauge whose area is within 1 % of this, if there is one. */
    static OptionalInt nearest(double area) {
        double n = 36 - 39 * Math.log(Math.sqrt(4 * area / Math.PI) / DIAMETER_OF_36) / Math.log(92);
        int gauge = (int) Math.round(n);
        return gauge >= -3 && gauge <= 40 && Math.abs(area(gauge) / area - 1) < CLOSE_ENOUGH
                ? OptionalInt.of(gauge)
                : OptionalInt.empty();
    }

    static String name(int gauge) {
        return gauge > 0 ? gauge + " AWG" : (1 - gauge) + "/0 AWG";
    }
}
