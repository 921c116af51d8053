package org.undanus.core.quantity;

/** An electrical potential difference. SI unit: volt. */
public record Voltage(double si) implements Quantity {
    public Voltage {
        FiniteNumber.require(si, Dimension.VOLTAGE);
    }

    public static Voltage ofVolts(double value) {
        return new Voltage(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.VOLTAGE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
