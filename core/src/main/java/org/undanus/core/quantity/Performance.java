package org.undanus.core.quantity;

/** Heat moved for the power taken: coefficient of performance (COP), or in Btu/Wh. SI unit: W/W. */
public record Performance(double si) implements Quantity {
    public Performance {
        FiniteNumber.require(si, Dimension.PERFORMANCE);
    }

    public static Performance ofRatio(double value) {
        return new Performance(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.PERFORMANCE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
