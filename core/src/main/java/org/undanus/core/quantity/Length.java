package org.undanus.core.quantity;

/** A length or distance. SI unit: metre. */
public record Length(double si) implements Quantity {
    public Length {
        FiniteNumber.require(si, Dimension.LENGTH);
    }

    public static Length ofMetres(double value) {
        return new Length(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.LENGTH;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
