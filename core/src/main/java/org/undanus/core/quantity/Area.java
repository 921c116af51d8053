package org.undanus.core.quantity;

/** An area. SI unit: square metre. */
public record Area(double si) implements Quantity {
    public Area {
        FiniteNumber.require(si, Dimension.AREA);
    }

    public static Area ofSquareMetres(double value) {
        return new Area(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.AREA;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
