package org.undanus.core.derived;

import java.util.List;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/**
 * Readings over a duct's cross-section, row by row from the top.
 *
 * @param read what was read: velocity pressure or velocity
 * @param unit as written
 * @param values in SI; NaN where a place has not been read
 * @param written the numbers as they were written, in that unit
 */
public record Traverse(Dimension read, String unit, List<List<Double>> values, List<List<String>> written)
        implements Notation.Listing {

    public Traverse {
        values = values.stream().map(List::copyOf).toList();
        written = written.stream().map(List::copyOf).toList();
    }

    /** Fractions of a side at which it is read, by the number of lines. Source: ISO 3966, log-Tchebycheff rule. */
    private static final double[][] TCHEBYCHEFF = {
        {0.074, 0.288, 0.500, 0.712, 0.926},
        {0.061, 0.235, 0.437, 0.563, 0.765, 0.939},
        {0.053, 0.203, 0.366, 0.500, 0.634, 0.797, 0.947}
    };

    static final int FEWEST = 5;
    static final int MOST = 7;

    public int rows() {
        return values.size();
    }

    public int columns() {
        return values.get(0).size();
    }

    /** Places of lines on a side, as shares of its length. */
    public static double[] places(int lines, boolean equalAreas) {
        if (!equalAreas) {
            return TCHEBYCHEFF[lines - FEWEST].clone();
        }
        double[] middles = new double[lines];
        for (int i = 0; i < lines; i++) {
            middles[i] = (i + 0.5) / lines;
        }
        return middles;
    }

    /** How many places have not been read. */
    public int missing() {
        return (int) values.stream()
                .flatMap(List::stream)
                .filter(value -> value.isNaN())
                .count();
    }

    /**
     * Mean velocity of the readings, m/s; of velocity pressures √(2Δp/ρ) of each.
     *
     * @param density of the air, kg/m³
     */
    public double meanVelocity(double density) {
        return values.stream()
                .flatMap(List::stream)
                .filter(value -> !value.isNaN())
                .mapToDouble(value -> velocity(value, density))
                .average()
                .orElse(0);
    }

    private double velocity(double value, double density) {
        return read == Dimension.VELOCITY ? value : Math.sqrt(2 * Math.max(0, value) / density);
    }

    @Override
    public Text summary() {
        double mean = values.stream()
                .flatMap(List::stream)
                .filter(value -> !value.isNaN())
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        Quantity average = read.of(mean);
        return missing() == 0
                ? Text.of("{rows} by {columns}, {mean} on average", rows(), columns(), average)
                : Text.of(
                        "{rows} by {columns}, {mean} on average, {missing} not read",
                        rows(),
                        columns(),
                        average,
                        missing());
    }
}
