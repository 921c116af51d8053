package org.undanus.core.quantity;

/** How well a material conducts heat. SI unit: watt per metre and kelvin. */
public record ThermalConductivity(double si) implements Quantity {
    public ThermalConductivity {
        FiniteNumber.require(si, Dimension.THERMAL_CONDUCTIVITY);
    }

    public static ThermalConductivity ofWattsPerMetreKelvin(double value) {
        return new ThermalConductivity(value);
    }

    @Override
    public Dimension dimension() {
        return Dimension.THERMAL_CONDUCTIVITY;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
