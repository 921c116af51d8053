package org.undanus.core.derived;

/**
 * The most flammable refrigerant a room may hold: m = 2.5·LFL^(5/4)·h₀·√A; a charge up to free volume × LFL needs no room
 * (IEC 60335-2-40, simplified: one room without ventilation, circulation fan or leak detection; the adopted edition governs).
 */
public final class ChargeLimit {
    private static final double FACTOR = 2.5;
    private static final double FLAMMABILITY_EXPONENT = 1.25;

    private ChargeLimit() {}

    /**
     * Greatest charge, kg.
     *
     * @param flammabilityLimit LFL, kg/m³
     * @param height h₀, m
     * @param area floor area, m²
     */
    public static double kilograms(double flammabilityLimit, double height, double area) {
        return FACTOR * Math.pow(flammabilityLimit, FLAMMABILITY_EXPONENT) * height * Math.sqrt(area);
    }

    /** The smallest floor area, m², for a charge, kg. */
    public static double area(double flammabilityLimit, double height, double charge) {
        double root = charge / (FACTOR * Math.pow(flammabilityLimit, FLAMMABILITY_EXPONENT) * height);
        return root * root;
    }
}
