package org.undanus.core.station.siting;

/** A spring or pad under a machine, taken as a linear spring without damping. SI units. */
public final class Isolator {
    /** Standard acceleration of free fall, m/s² (ISO 80000-3). */
    private static final double FREE_FALL = 9.80665;

    private Isolator() {}

    /** Natural frequency √(g/δ)/2π, Hz, from the static deflection, m. */
    public static double naturalFrequency(double deflection) {
        return Math.sqrt(FREE_FALL / deflection) / (2 * Math.PI);
    }

    /**
     * Share of a force at a frequency that goes through: 1/|1 − (f/f₀)²|, undamped; without bound at resonance.
     *
     * @param deflection static, m, more than nothing
     */
    public static double transmissibility(double frequency, double deflection) {
        double ratio = frequency / naturalFrequency(deflection);
        return 1 / Math.abs(1 - ratio * ratio);
    }
}
