package org.undanus.core.quantity;

/** A counted number. SI unit: 1. */
public record Count(double si) implements Quantity {
    public Count {
        FiniteNumber.require(si, Dimension.COUNT);
    }

    public static Count of(double value) {
        return new Count(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.COUNT;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
