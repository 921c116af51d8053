package org.undanus.core.quantity;

/** An airflow by volume, at the air's own state. SI unit: cubic metre per second. */
public record VolumeFlow(double si) implements Quantity {
    public VolumeFlow {
        FiniteNumber.require(si, Dimension.VOLUME_FLOW);
    }

    public static VolumeFlow ofCubicMetresPerSecond(double value) {
        return new VolumeFlow(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.VOLUME_FLOW;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
