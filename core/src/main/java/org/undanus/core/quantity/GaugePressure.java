package org.undanus.core.quantity;

/** A pressure as a gauge shows it, relative to the air around it; vacuum is negative. SI unit: pascal above the atmosphere around the gauge. */
public record GaugePressure(double si) implements Quantity {
    public GaugePressure {
        FiniteNumber.require(si, Dimension.GAUGE_PRESSURE);
    }

    public static GaugePressure ofPascals(double value) {
        return new GaugePressure(value);
    }

    /** The absolute pressure, given the atmosphere around the gauge. */
    public AbsolutePressure absolute(AbsolutePressure atmosphere) {
        return new AbsolutePressure(si + atmosphere.si());
    }

    @Override
    public Dimension dimension() {
        return Dimension.GAUGE_PRESSURE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
