package org.undanus.core.fluid;

import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.Temperature;

/**
 * How hot vapour leaves a compressor. Its ideal work is that of a perfect gas whose exponent is the vapour's own, c_p/(c_p − R/M); what the
 * compressor takes beyond it heats the vapour too. Source: ASHRAE Fundamentals, Thermodynamics and Refrigeration Cycles, isentropic
 * efficiency. Heat lost through the shell is left to the efficiency.
 */
public final class Compression {
    private static final double WARMER = 10;
    private static final double HOTTEST = 150;
    private static final double CLOSE = 1e-4;

    private Compression() {}

    /**
     * Temperature of the discharge, K.
     *
     * @param evaporating dew temperature of the suction, K
     * @param condensing dew temperature of the discharge, K
     * @param superheat of the suction, K
     * @param efficiency isentropic, over 0 to 1
     * @throws IllegalArgumentException outside the refrigerant's tables, naming their range
     */
    public static double discharge(
            Refrigerant refrigerant, double evaporating, double condensing, double superheat, double efficiency) {
        Enthalpy heat = refrigerant.enthalpy();
        Saturation table = refrigerant.saturation();
        Temperature low = Temperature.ofKelvin(evaporating);
        Temperature high = Temperature.ofKelvin(condensing);
        double capacity = (heat.vapour(low, WARMER) - heat.vapour(low, 0)) / WARMER;
        double exponent = Nitrogen.GAS_CONSTANT / refrigerant.molarMass() / capacity;
        double pressure = table.dew(low).si();
        double density = table.vapourDensity(low) * evaporating / (evaporating + Math.max(0, superheat));
        double ideal = pressure / density / exponent * (Math.pow(table.dew(high).si() / pressure, exponent) - 1);
        double left = heat.vapour(low, superheat) + ideal / efficiency;
        return condensing + Root.of(over -> heat.vapour(high, over) - left, 0, HOTTEST, CLOSE);
    }
}
