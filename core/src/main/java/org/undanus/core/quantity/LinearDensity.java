package org.undanus.core.quantity;

/** A mass for each length. SI unit: kilogram a metre. */
public record LinearDensity(double si) implements Quantity {
    public LinearDensity {
        FiniteNumber.require(si, Dimension.LINEAR_DENSITY);
    }

    public static LinearDensity ofKilogramsPerMetre(double value) {
        return new LinearDensity(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.LINEAR_DENSITY;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
