package org.undanus.core.quantity;

/** A mass. SI unit: kilogram. */
public record Mass(double si) implements Quantity {
    public Mass {
        FiniteNumber.require(si, Dimension.MASS);
    }

    public static Mass ofKilograms(double value) {
        return new Mass(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.MASS;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
