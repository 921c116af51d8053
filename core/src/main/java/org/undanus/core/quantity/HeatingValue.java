package org.undanus.core.quantity;

/** The heat in a volume of gas. SI unit: joule per cubic metre. */
public record HeatingValue(double si) implements Quantity {
    public HeatingValue {
        FiniteNumber.require(si, Dimension.HEATING_VALUE);
    }

    public static HeatingValue ofJoulesPerCubicMetre(double value) {
        return new HeatingValue(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.HEATING_VALUE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
