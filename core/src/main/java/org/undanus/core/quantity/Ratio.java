package org.undanus.core.quantity;

/** A share or relative humidity. SI unit: 1 (a fraction; 45 % is 0.45). */
public record Ratio(double si) implements Quantity {
    public Ratio {
        FiniteNumber.require(si, Dimension.RATIO);
    }

    public static Ratio ofFraction(double value) {
        return new Ratio(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.RATIO;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
