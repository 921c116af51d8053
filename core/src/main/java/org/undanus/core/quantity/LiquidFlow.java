package org.undanus.core.quantity;

/** A flow of a liquid. SI unit: cubic metre per second. */
public record LiquidFlow(double si) implements Quantity {
    public LiquidFlow {
        FiniteNumber.require(si, Dimension.LIQUID_FLOW);
    }

    public static LiquidFlow ofCubicMetresPerSecond(double value) {
        return new LiquidFlow(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.LIQUID_FLOW;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
