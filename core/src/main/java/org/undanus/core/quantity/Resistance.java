package org.undanus.core.quantity;

/** An electrical resistance or loop impedance. SI unit: ohm. */
public record Resistance(double si) implements Quantity {
    public Resistance {
        FiniteNumber.require(si, Dimension.RESISTANCE);
    }

    public static Resistance ofOhms(double value) {
        return new Resistance(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.RESISTANCE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
