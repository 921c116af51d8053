package org.undanus.core.quantity;

/** The metal cross-section of an electrical conductor. SI unit: square metre. */
public record ConductorArea(double si) implements Quantity {
    public ConductorArea {
        FiniteNumber.require(si, Dimension.CONDUCTOR_AREA);
    }

    public static ConductorArea ofSquareMetres(double value) {
        return new ConductorArea(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.CONDUCTOR_AREA;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
