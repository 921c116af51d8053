package org.undanus.core.quantity;

/** A force. SI unit: newton. */
public record Force(double si) implements Quantity {
    public Force {
        FiniteNumber.require(si, Dimension.FORCE);
    }

    public static Force ofNewtons(double value) {
        return new Force(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.FORCE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
