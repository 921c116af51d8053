package org.undanus.core.station.charge;

/** The superheat that a fixed orifice shows with the right charge, in °F: (3·wet bulb of the return air − 80 − outdoor air)/2. */
public final class TargetSuperheat {
    public static final String SOURCE = "Common target for fixed orifices: (3·WB − 80 − DB)/2 in °F";
    private static final double KELVIN_PER_DEGREE = 5.0 / 9;
    private static final double ABSOLUTE = 459.67;

    private TargetSuperheat() {}

    /**
     * @param wetBulb of the return air, K
     * @param outdoor dry bulb of the air entering the outdoor coil, K
     * @return K; small or negative where the charge cannot be set by it
     */
    public static double kelvin(double wetBulb, double outdoor) {
        double wet = wetBulb / KELVIN_PER_DEGREE - ABSOLUTE;
        double dry = outdoor / KELVIN_PER_DEGREE - ABSOLUTE;
        return (3 * wet - 80 - dry) / 2 * KELVIN_PER_DEGREE;
    }
}
