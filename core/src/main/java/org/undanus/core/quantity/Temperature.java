package org.undanus.core.quantity;

/** A temperature. SI unit: kelvin. */
public record Temperature(double si) implements Quantity {
    public Temperature {
        FiniteNumber.require(si, Dimension.TEMPERATURE);
    }

    public static Temperature ofKelvin(double value) {
        return new Temperature(value);
    }

    public static final double ZERO_CELSIUS = 273.15;

    public static Temperature ofCelsius(double celsius) {
        return new Temperature(celsius + ZERO_CELSIUS);
    }

    /** °C. */
    public double celsius() {
        return si - ZERO_CELSIUS;
    }

    public TemperatureDifference minus(Temperature other) {
        return new TemperatureDifference(si - other.si);
    }

    public Temperature plus(TemperatureDifference difference) {
        return new Temperature(si + difference.si());
    }

    @Override
    public Dimension dimension() {
        return Dimension.TEMPERATURE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
