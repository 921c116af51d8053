package org.undanus.core.quantity;

import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/** A quantity to print with given digits, optionally with its ± expanded uncertainty. */
public record Amount(Quantity quantity, double resolution, double expandedUncertainty) implements Worded {
    private static final double FINE_LENGTH = 1.5e-4;

    /**
     * A measured value. Its digits follow its uncertainty (JCGM 100, 7.2.6), or the reading's own last digit where
     * there is none.
     */
    public static Amount of(Dimension dimension, Uncertain value, double resolution) {
        double expanded = value.expanded();
        double digits = expanded > 0 ? Math.max(expanded / 10, resolution) : resolution;
        return new Amount(dimension.of(value.value()), digits, expanded);
    }

    @Override
    public String in(Wording wording) {
        QuantityFormat format = QuantityFormat.of(wording.units());
        String value = format.format(quantity, usableResolution());
        return expandedUncertainty == 0
                ? value
                : value + " ± " + format.formatUncertainty(quantity.dimension(), expandedUncertainty, resolution);
    }

    private double usableResolution() {
        // a tape's digits say less than its eighths and millimetres; a gauge's hundredths say more
        return quantity.dimension() == Dimension.LENGTH && resolution >= FINE_LENGTH ? 0 : resolution;
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
