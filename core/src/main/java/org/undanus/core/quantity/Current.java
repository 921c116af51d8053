package org.undanus.core.quantity;

/** An electrical current. SI unit: ampere. */
public record Current(double si) implements Quantity {
    public Current {
        FiniteNumber.require(si, Dimension.CURRENT);
    }

    public static Current ofAmperes(double value) {
        return new Current(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.CURRENT;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
