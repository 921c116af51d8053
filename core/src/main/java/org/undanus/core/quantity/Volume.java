package org.undanus.core.quantity;

/** A volume. SI unit: cubic metre. */
public record Volume(double si) implements Quantity {
    public Volume {
        FiniteNumber.require(si, Dimension.VOLUME);
    }

    public static Volume ofCubicMetres(double value) {
        return new Volume(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.VOLUME;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
