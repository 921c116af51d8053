package org.undanus.core.quantity;

/** A frequency or speed of rotation. SI unit: hertz, turns a second. */
public record Frequency(double si) implements Quantity {
    public Frequency {
        FiniteNumber.require(si, Dimension.FREQUENCY);
    }

    public static Frequency ofHertz(double value) {
        return new Frequency(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.FREQUENCY;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
