package org.undanus.core.quantity;

/** A length of time. SI unit: second. */
public record Duration(double si) implements Quantity {
    public Duration {
        FiniteNumber.require(si, Dimension.DURATION);
    }

    public static Duration ofSeconds(double value) {
        return new Duration(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.DURATION;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
