package org.undanus.core.simulated;

import org.undanus.core.fluid.Enthalpy;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/**
 * A cooling machine that runs steadily, with faults that whoever reads it does not know. Four balances are solved for where it boils
 * and condenses, its superheat and subcooling: what the compressor draws is what the metering device passes; the indoor coil takes
 * that heat from its air; the outdoor coil gives it away; and the liquid that stands back in the condenser and in the coil makes the
 * charge. How strongly each answers is made up, of the size that such machines have; nothing is judged by it.
 *
 * @param rated cooling capacity at the rating point, W
 * @param valve whether a valve holds superheat, else a fixed orifice meters
 * @param fault what is hidden
 */
public record VirtualMachine(Refrigerant refrigerant, double rated, boolean valve, Fault fault) {

    /**
     * What is hidden; of a sound machine all is 1 or 0.
     *
     * @param charge share of the right charge
     * @param airflow share of the right one over the indoor coil
     * @param metering size of the metering piece, of the right one; of a valve it counts only where it is stuck there
     * @param stuck whether the valve does not move
     * @param restriction pressure lost in the liquid line, of the difference between the sides at the rating point
     * @param condenser what the outdoor coil can give away, of the right one
     * @param air share by which gas that does not condense lifts the high pressure
     */
    public record Fault(
            double charge,
            double airflow,
            double metering,
            boolean stuck,
            double restriction,
            double condenser,
            double air) {
        /** Nothing is wrong. */
        public static final Fault NONE = new Fault(1, 1, 1, false, 0, 1, 0);
    }

    /**
     * How it runs. Temperatures in K, differences in K, pressures absolute in Pa.
     *
     * @param condensing as the gauge tells it, air in it included
     * @param rest by how much the pressure at rest is over the refrigerant's, Pa
     */
    public record Running(
            double evaporating,
            double condensing,
            double superheat,
            double subcooling,
            double split,
            double drier,
            double rest) {}

    private static final double RATED_EVAPORATING = 282.15;
    private static final double RATED_CONDENSING = 320.15;
    private static final double RATED_INDOOR = 299.85;
    private static final double RATED_OUTDOOR = 308.15;
    private static final double HELD = 6;
    private static final double RATED_SPLIT = 11;
    private static final double WORK = 0.25;
    private static final double CLEARANCE = 0.04;
    private static final double POLYTROPIC = 1.15;
    private static final double COIL_BY_AIRFLOW = 0.6;
    private static final double DRY_COIL = 0.012;
    private static final double FLOODED_CONDENSER = 0.015;
    private static final double LIQUID_THROUGH = 0.03;
    private static final double LIQUID_STORED = 0.018;
    private static final double COIL_STORED = 0.012;
    private static final double VALVE_RESERVE = 1.6;
    private static final double AIR_BLOCKS = 2;

    private Saturation table() {
        return refrigerant.saturation();
    }

    private double pressure(double kelvin) {
        return table().dew(Temperature.ofKelvin(kelvin)).si();
    }

    private double gained(double evaporating, double condensing, double superheat, double subcooling) {
        Enthalpy heat = refrigerant.enthalpy();
        return heat.vapour(Temperature.ofKelvin(evaporating), superheat)
                - heat.liquid(Temperature.ofKelvin(condensing), subcooling);
    }

    private double drawn(double evaporating, double condensing, double superheat) {
        double density =
                table().vapourDensity(Temperature.ofKelvin(evaporating)) * evaporating / (evaporating + superheat);
        double ratio = pressure(condensing) * (1 + fault.air) / pressure(evaporating);
        return density * (1 - CLEARANCE * (Math.pow(ratio, 1 / POLYTROPIC) - 1));
    }

    /** Unknown: evaporating and condensing temperature, superheat, subcooling. */
    private double[] off(double[] x, double indoor, double outdoor, boolean holds) {
        double te = x[0];
        double tc = x[1];
        double sh = x[2];
        double sc = x[3];
        double unit = rated / gained(RATED_EVAPORATING, RATED_CONDENSING, HELD, HELD);
        VirtualMachine sound = new VirtualMachine(refrigerant, rated, valve, Fault.NONE);
        double mass = unit * drawn(te, tc, sh) / sound.drawn(RATED_EVAPORATING, RATED_CONDENSING, HELD);
        double heat = mass * gained(te, tc, sh, sc);
        double coil = rated
                * Math.pow(fault.airflow, COIL_BY_AIRFLOW)
                * (indoor - te)
                / (RATED_INDOOR - RATED_EVAPORATING)
                * (1 - DRY_COIL * (sh - HELD));
        double given = heat * (1 + WORK * (tc - te) / (RATED_CONDENSING - RATED_EVAPORATING));
        double condenser = rated
                * (1 + WORK)
                * fault.condenser
                * (1 - AIR_BLOCKS * fault.air)
                * (tc - outdoor)
                / (RATED_CONDENSING - RATED_OUTDOOR)
                * (1 - FLOODED_CONDENSER * (sc - HELD));
        double stored = 1 + LIQUID_STORED * (sc - HELD) - COIL_STORED * (sh - HELD);
        return new double[] {
            (heat - coil) / rated,
            (given - condenser) / rated,
            stored - fault.charge,
            holds ? (sh - HELD) / HELD : mass / unit - passed(te, tc, sc, mass / unit)
        };
    }

    /** What the metering device lets through, of the rated flow. */
    private double passed(double te, double tc, double sc, double flow) {
        double across = pressure(RATED_CONDENSING) - pressure(RATED_EVAPORATING);
        double left = pressure(tc) * (1 + fault.air) - pressure(te) - fault.restriction * across * flow * flow;
        double size = valve && !fault.stuck ? VALVE_RESERVE : fault.metering;
        return size
                * Math.sqrt(Math.max(left, across / 1000) / across)
                * Math.max(0.2, 1 + LIQUID_THROUGH * (sc - HELD));
    }

    /**
     * How it runs in this air.
     *
     * @param indoor air that enters the indoor coil, K
     * @param outdoor air that enters the outdoor coil, K
     * @throws IllegalArgumentException where it cannot run so
     */
    public Running running(double indoor, double outdoor) {
        boolean holds = valve && !fault.stuck;
        double[] x = solved(indoor, outdoor, holds);
        if (holds) {
            double unit = drawn(x[0], x[1], x[2])
                    / new VirtualMachine(refrigerant, rated, valve, Fault.NONE)
                            .drawn(RATED_EVAPORATING, RATED_CONDENSING, HELD);
            if (passed(x[0], x[1], x[3], unit) < unit) {
                x = solved(indoor, outdoor, false);
            }
        }
        double gauge = pressure(x[1]) * (1 + fault.air);
        double shown = table().dewTemperature(table().nearest(AbsolutePressure.ofPascals(gauge)))
                .si();
        double line = x[1] - x[3];
        double across = pressure(RATED_CONDENSING) - pressure(RATED_EVAPORATING);
        double after = table().bubbleTemperature(
                        table().nearest(AbsolutePressure.ofPascals(gauge - fault.restriction * across)))
                .si();
        double coil = Math.pow(fault.airflow, COIL_BY_AIRFLOW)
                * (indoor - x[0])
                / (RATED_INDOOR - RATED_EVAPORATING)
                * (1 - DRY_COIL * (x[2] - HELD));
        return new Running(
                x[0],
                shown,
                Math.max(0, x[2]),
                shown - line,
                RATED_SPLIT * coil / fault.airflow,
                Math.max(0, line - after),
                fault.air * pressure(outdoor));
    }

    private double[] solved(double indoor, double outdoor, boolean holds) {
        return Balances.solve(
                x -> off(x, indoor, outdoor, holds),
                new double[] {RATED_EVAPORATING, outdoor + RATED_CONDENSING - RATED_OUTDOOR, HELD, HELD},
                x -> new double[] {
                    Math.max(245, Math.min(295, x[0])), Math.max(outdoor + 1, Math.min(336, x[1])), x[2], x[3]
                });
    }
}
