package org.undanus.core.quantity;

/** A share of a gas by volume, as instruments show it. SI unit: part of one. */
public record Concentration(double si) implements Quantity {
    public Concentration {
        FiniteNumber.require(si, Dimension.CONCENTRATION);
    }

    public static Concentration ofParts(double value) {
        return new Concentration(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.CONCENTRATION;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
