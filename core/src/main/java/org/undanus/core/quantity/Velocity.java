package org.undanus.core.quantity;

/** A speed of air or water. SI unit: metre per second. */
public record Velocity(double si) implements Quantity {
    public Velocity {
        FiniteNumber.require(si, Dimension.VELOCITY);
    }

    public static Velocity ofMetresPerSecond(double value) {
        return new Velocity(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.VELOCITY;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
