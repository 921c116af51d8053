package org.undanus.core.quantity;

/** A pressure above vacuum. SI unit: pascal above vacuum. */
public record AbsolutePressure(double si) implements Quantity {
    public AbsolutePressure {
        FiniteNumber.require(si, Dimension.ABSOLUTE_PRESSURE);
    }

    public static AbsolutePressure ofPascals(double value) {
        return new AbsolutePressure(value);
    }

    /**
     * The standard atmosphere at a height (ISO 2533).
     *
     * @param elevation height above sea level, -500 to 11,000 m
     * @throws IllegalArgumentException outside that range
     */
    public static AbsolutePressure ofStandardAtmosphere(Length elevation) {
        double h = elevation.si();
        if (h < -500 || h > 11_000) {
            throw new IllegalArgumentException(
                    "The standard atmosphere is given for -500 to 11,000 m, not " + h + " m");
        }
        return new AbsolutePressure(101_325 * Math.pow(1 - 2.25577e-5 * h, 5.25588));
    }

    /** What a gauge in this atmosphere would show. */
    public GaugePressure gauge(AbsolutePressure atmosphere) {
        return new GaugePressure(si - atmosphere.si());
    }

    public PressureDifference minus(AbsolutePressure other) {
        return new PressureDifference(si - other.si);
    }

    @Override
    public Dimension dimension() {
        return Dimension.ABSOLUTE_PRESSURE;
    }

    @Override
    public String toString() {
        return QuantityFormat.SI.format(this);
    }
}
