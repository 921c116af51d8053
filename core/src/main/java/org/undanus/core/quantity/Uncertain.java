package org.undanus.core.quantity;

/**
 * A number with its standard uncertainty, both in the SI unit of some dimension.
 *
 * @param standardUncertainty one standard deviation, 0 for a counted or read-off value
 */
public record Uncertain(double value, double standardUncertainty) {
    /** What an expanded uncertainty is of the standard one: k = 2, about 95 % (JCGM 100, 6.3). */
    static final double COVERAGE_FACTOR = 2;

    public Uncertain {
        if (!Double.isFinite(value) || !Double.isFinite(standardUncertainty) || standardUncertainty < 0) {
            throw new IllegalArgumentException(
                    "An uncertain value needs finite numbers: " + value + " ± " + standardUncertainty);
        }
    }

    public static Uncertain exact(double value) {
        return new Uncertain(value, 0);
    }

    /** Expanded uncertainty U = k u, in the unit of the value. */
    public double expanded() {
        return COVERAGE_FACTOR * standardUncertainty;
    }
}
