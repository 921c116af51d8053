package org.undanus.core.quantity;

/** A turning moment. SI unit: newton metre. */
public record Torque(double si) implements Quantity {
    public Torque {
        FiniteNumber.require(si, Dimension.TORQUE);
    }

    public static Torque ofNewtonMetres(double value) {
        return new Torque(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.TORQUE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
