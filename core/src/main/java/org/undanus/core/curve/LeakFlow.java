package org.undanus.core.curve;

import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/**
 * What a leak of nitrogen is as refrigerant: through a narrow passage gas flows as the difference of the squared pressures and
 * inversely to its viscosity, q ∝ (p_in² − p_out²)/η; its mass is q·M/(RT). The refrigerant stands at its bubble pressure at a
 * temperature of rest.
 */
public final class LeakFlow {
    /** Of rest, K: 25 °C, at which the viscosities are given too. */
    public static final Temperature AT_REST = Temperature.ofCelsius(25);

    private LeakFlow() {}

    /**
     * @param nitrogen leak under test, Pa·m³/s
     * @param tested absolute pressure of the test
     * @param air absolute pressure about it
     * @return kg/s
     */
    public static double refrigerant(
            double nitrogen, AbsolutePressure tested, AbsolutePressure air, Refrigerant refrigerant) {
        return nitrogen * share(tested, air, refrigerant);
    }

    /**
     * The other way: the leak of nitrogen that is so much refrigerant, Pa·m³/s.
     *
     * @param mass kg/s
     */
    public static double nitrogen(double mass, AbsolutePressure tested, AbsolutePressure air, Refrigerant refrigerant) {
        return mass / share(tested, air, refrigerant);
    }

    /** kg/s for each Pa·m³/s. */
    private static double share(AbsolutePressure tested, AbsolutePressure air, Refrigerant refrigerant) {
        double rest = refrigerant.saturation().bubble(AT_REST).si();
        double outside = air.si() * air.si();
        double driven = (rest * rest - outside) / (tested.si() * tested.si() - outside);
        return driven
                * Nitrogen.VISCOSITY
                / refrigerant.viscosity()
                * refrigerant.molarMass()
                / (Nitrogen.GAS_CONSTANT * AT_REST.si());
    }
}
