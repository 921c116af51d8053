package org.undanus.core.quantity;

/** A flow of gas through a leak: pressure times volume in a time, at the temperature there. SI unit: pascal cubic metre per second. */
public record Leak(double si) implements Quantity {
    public Leak {
        FiniteNumber.require(si, Dimension.LEAK);
    }

    public static Leak ofPascalCubicMetresPerSecond(double value) {
        return new Leak(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.LEAK;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
