package org.undanus.core.quantity;

/** A heating, cooling or electrical power. SI unit: watt. */
public record Power(double si) implements Quantity {
    public Power {
        FiniteNumber.require(si, Dimension.POWER);
    }

    public static Power ofWatts(double value) {
        return new Power(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.POWER;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
