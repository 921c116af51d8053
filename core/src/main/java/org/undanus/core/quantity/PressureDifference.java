package org.undanus.core.quantity;

/** The difference of two pressures of the same kind. SI unit: pascal. */
public record PressureDifference(double si) implements Quantity {
    public PressureDifference {
        FiniteNumber.require(si, Dimension.PRESSURE_DIFFERENCE);
    }

    public static PressureDifference ofPascals(double value) {
        return new PressureDifference(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.PRESSURE_DIFFERENCE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
