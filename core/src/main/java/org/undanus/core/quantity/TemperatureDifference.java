package org.undanus.core.quantity;

/** The difference of two temperatures; it has no zero offset, so it never converts like a temperature. SI unit: kelvin. */
public record TemperatureDifference(double si) implements Quantity {
    public TemperatureDifference {
        FiniteNumber.require(si, Dimension.TEMPERATURE_DIFFERENCE);
    }

    public static TemperatureDifference ofKelvin(double value) {
        return new TemperatureDifference(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.TEMPERATURE_DIFFERENCE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
