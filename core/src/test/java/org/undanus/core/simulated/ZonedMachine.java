package org.undanus.core.simulated;

import java.util.Random;
import org.undanus.core.fluid.Enthalpy;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.numeric.Root;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

/**
 * A cooling machine built otherwise than {@link VirtualMachine}, to examine the diagnosis by: coils in zones with effectiveness and
 * transfer units, moist air on the indoor coil by apparatus dew point and bypass, a compressor with clearance and leaking valves, and
 * liquid by the share of each coil that it fills. Each design differs in its coils, airflows and held superheat.
 *
 * <p>Unknown are evaporating and condensing temperature, superheat and subcooling; the balances are heat of each coil, what compressor
 * and metering device pass, and the charge. Effectiveness: ASHRAE Fundamentals, Heat Transfer.
 */
public final class ZonedMachine {

    /** What is hidden; of a sound machine all is 1 or 0. */
    public record Fault(
            double charge,
            double airflow,
            double outdoorAir,
            double outdoorCoil,
            double metering,
            boolean stuck,
            double restriction,
            double air,
            double pumping) {
        public static final Fault NONE = new Fault(1, 1, 1, 1, 1, false, 0, 0, 1);
    }

    /** How it runs: temperatures in K, pressures absolute in Pa, differences in K or Pa. */
    public record Running(
            double suction,
            double head,
            double liquidLine,
            double suctionLine,
            double supply,
            double drier,
            double rest,
            double outdoorLeaving,
            double discharge,
            double current) {}

    private static final double INDOOR = 299.85;
    private static final double INDOOR_WET = 292.55;
    private static final double OUTDOOR = 308.15;
    private static final AbsolutePressure AIR = AbsolutePressure.ofPascals(101_325);
    private static final double VAPOUR_UNITS = 4;
    private static final double LIQUID_UNITS = 5;
    private static final double CLEARANCE = 0.03;
    private static final double EXPONENT = 1.12;
    private static final double CONDENSER_HOLDS = 1.6;
    private static final double COIL_HOLDS = 0.4;
    private static final double MIXTURE = 6000;
    private static final double VALVE_RESERVE = 1.5;
    private static final double OF_RATED_LOAD = 0.8;

    private final Refrigerant refrigerant;
    private final boolean valve;
    private final Fault fault;
    public final double rated;
    public final double airflow;
    public final double subcooled;
    private final double held;
    private final double evaporating;
    private final double condensing;
    private final double rise;
    private final double bypass;
    private final double efficiency;

    private final double flow;
    private final double surface;
    private final double inside;
    private final double outdoorHeat;
    private final double outdoorUnits;
    private final double liquidShare;
    private final double vapourShare;
    private final double displaced;
    private final double metered;
    private final double work;

    /** @param chance draws its design */
    public ZonedMachine(Refrigerant refrigerant, boolean valve, Fault fault, Random chance) {
        this.refrigerant = refrigerant;
        this.valve = valve;
        this.fault = fault;
        rated = between(chance, 5000, 15_000);
        airflow = rated * 5.366e-5 * between(chance, 0.95, 1.05);
        held = between(chance, 4.5, 7.5);
        subcooled = between(chance, 4.5, 7.5);
        evaporating = 273.15 + between(chance, 6, 9.5);
        condensing = OUTDOOR + between(chance, 9.5, 13.5);
        rise = between(chance, 0.72, 0.84) * (condensing - OUTDOOR);
        bypass = between(chance, 0.10, 0.18);
        efficiency = between(chance, 0.62, 0.72);
        flow = rated / gained(evaporating, condensing, held, subcooled);
        vapourShare = share(held, INDOOR - evaporating, VAPOUR_UNITS);
        surface = MoistAir.saturatedOfEnthalpy(
                        entering(INDOOR, INDOOR_WET).enthalpy() - rated / dryAir(INDOOR, INDOOR_WET, 1) / (1 - bypass),
                        AIR)
                .dryBulb()
                .si();
        inside = rated / (surface - evaporating) / (1 - vapourShare);
        displaced = flow / (density(evaporating, held) * filled(pressure(condensing) / pressure(evaporating)));
        work = flow * ideal(evaporating, held, pressure(condensing) / pressure(evaporating)) / efficiency;
        outdoorHeat = (rated + work) / rise;
        liquidShare = share(subcooled, condensing - OUTDOOR, LIQUID_UNITS);
        outdoorUnits = -Math.log(1 - rise / (condensing - OUTDOOR)) / (1 - liquidShare);
        metered = flow / orifice(evaporating, condensing, subcooled, 0, 0);
    }

    private static double between(Random chance, double low, double high) {
        return low + (high - low) * chance.nextDouble();
    }

    private Saturation table() {
        return refrigerant.saturation();
    }

    private double pressure(double kelvin) {
        return table().dew(Temperature.ofKelvin(kelvin)).si();
    }

    private double gained(double te, double tc, double sh, double sc) {
        Enthalpy heat = refrigerant.enthalpy();
        // past saturation it is a mixture: each kelvin stands for so much of the heat of vaporisation
        double wet = MIXTURE * (Math.min(0, sh) + Math.min(0, sc));
        return heat.vapour(Temperature.ofKelvin(te), sh) - heat.liquid(Temperature.ofKelvin(tc), sc) + wet;
    }

    private double density(double te, double sh) {
        return table().vapourDensity(Temperature.ofKelvin(te)) * te / (te + sh);
    }

    private static double filled(double ratio) {
        return 1 + CLEARANCE - CLEARANCE * Math.pow(Math.max(1, ratio), 1 / EXPONENT);
    }

    private double ideal(double te, double sh, double ratio) {
        double each = (EXPONENT - 1) / EXPONENT;
        return pressure(te) / density(te, sh) / each * (Math.pow(Math.max(1, ratio), each) - 1);
    }

    /** Part of a coil that warms vapour or cools liquid by so much. */
    private static double share(double by, double across, double units) {
        double part = by / Math.max(1, across);
        return part <= 0 ? part / units : -Math.log(1 - Math.min(0.97, part)) / units;
    }

    private static MoistAir entering(double dry, double wet) {
        return MoistAir.ofWetBulb(Temperature.ofKelvin(dry), Temperature.ofKelvin(wet), AIR);
    }

    private double dryAir(double dry, double wet, double of) {
        return of * airflow / entering(dry, wet).specificVolume();
    }

    /** Heat that the air gives to a surface, W. */
    private double given(double dry, double wet, double at, double air, double touch) {
        MoistAir in = entering(dry, wet);
        MoistAir there = MoistAir.saturated(Temperature.ofKelvin(at), AIR);
        return there.humidityRatio() < in.humidityRatio()
                ? air * touch * (in.enthalpy() - there.enthalpy())
                : air * touch * in.heatCapacity() * (dry - at);
    }

    private double touch() {
        return 1 - Math.pow(bypass, Math.pow(fault.airflow, -0.4));
    }

    private double surface(double te, double sh, double dry, double wet) {
        double air = dryAir(dry, wet, fault.airflow);
        double wetted = 1 - Math.min(0.95, share(sh, dry - te, VAPOUR_UNITS));
        return Root.of(at -> inside * (at - te) * wetted - given(dry, wet, at, air, touch()), te, dry, 1e-9);
    }

    private double orifice(double te, double tc, double sc, double restriction, double passing) {
        double across = pressure(condensing) - pressure(evaporating);
        double left = pressure(tc) * (1 + fault.air) - pressure(te) - restriction * across * passing * passing;
        return Math.sqrt(table().liquidDensity(Temperature.ofKelvin(tc)) * Math.max(left, across / 1000))
                * Math.max(0.15, 1 + 0.025 * (sc - subcooled));
    }

    private double[] off(double[] x, double dry, double wet, double outdoor, boolean holds) {
        double te = x[0];
        double tc = x[1];
        double sh = x[2];
        double sc = x[3];
        double ratio = pressure(tc) * (1 + fault.air) / pressure(te);
        double mass = displaced * density(te, sh) * filled(ratio) * fault.pumping;
        double heat = mass * gained(te, tc, sh, sc);
        double at = surface(te, sh, dry, wet);
        double coil = given(dry, wet, at, dryAir(dry, wet, fault.airflow), touch());
        double rejected = heat + power(te, sh, ratio);
        double liquid = share(sc, tc - outdoor, LIQUID_UNITS);
        double units = outdoorUnits * fault.outdoorCoil * Math.pow(fault.outdoorAir, -0.5) * (1 - 2 * fault.air);
        double condenser =
                outdoorHeat * fault.outdoorAir * (tc - outdoor) * (1 - Math.exp(-units * (1 - Math.min(0.95, liquid))));
        double stored = 1
                + CONDENSER_HOLDS * (liquid - liquidShare)
                - COIL_HOLDS * (share(sh, dry - te, VAPOUR_UNITS) - vapourShare);
        double size = valve && !fault.stuck ? VALVE_RESERVE : fault.metering;
        return new double[] {
            (heat - coil) / rated,
            (rejected - condenser) / rated,
            stored - fault.charge,
            holds
                    ? (sh - held) / held
                    : (mass - size * metered * orifice(te, tc, sc, fault.restriction, mass / flow)) / flow
        };
    }

    private double power(double te, double sh, double ratio) {
        double full = displaced * density(te, sh) * filled(ratio);
        // what leaks back is compressed again
        return full * Math.pow(fault.pumping, 0.4) * ideal(te, sh, ratio) / efficiency;
    }

    /** @throws IllegalArgumentException where it cannot run so */
    public Running running(double dry, double wet, double outdoor) {
        boolean holds = valve && !fault.stuck;
        double[] x = solved(dry, wet, outdoor, holds);
        boolean wideOpen = holds
                && VALVE_RESERVE * metered * orifice(x[0], x[1], x[3], fault.restriction, passing(x) / flow)
                        < passing(x);
        return read(wideOpen ? solved(dry, wet, outdoor, false) : x, dry, wet, outdoor);
    }

    private double passing(double[] x) {
        double ratio = pressure(x[1]) * (1 + fault.air) / pressure(x[0]);
        return displaced * density(x[0], x[2]) * filled(ratio) * fault.pumping;
    }

    private Running read(double[] x, double dry, double wet, double outdoor) {
        double te = x[0];
        double tc = x[1];
        double sh = Math.max(0, x[2]);
        double head = pressure(tc) * (1 + fault.air);
        double mass = passing(x);
        double power = power(te, x[2], head / pressure(te));
        double line = tc - Math.max(0, x[3]);
        double lost = fault.restriction * (pressure(condensing) - pressure(evaporating)) * Math.pow(mass / flow, 2);
        double after = table().bubbleTemperature(table().nearest(AbsolutePressure.ofPascals(head - lost)))
                .si();
        double at = surface(te, x[2], dry, wet);
        double rejected = mass * gained(te, tc, x[2], x[3]) + power;
        Enthalpy heat = refrigerant.enthalpy();
        double hot = heat.vapour(Temperature.ofKelvin(te), sh) + power / mass;
        double over = Root.of(k -> heat.vapour(Temperature.ofKelvin(tc), k) - hot, 0, 150, 1e-6);
        return new Running(
                pressure(te),
                head,
                line,
                te + sh,
                dry - touch() * (dry - at),
                Math.max(0, line - after),
                fault.air * pressure(outdoor),
                outdoor + rejected / (outdoorHeat * fault.outdoorAir),
                tc + over,
                OF_RATED_LOAD * power / work);
    }

    private double[] solved(double dry, double wet, double outdoor, boolean holds) {
        return Balances.solve(
                x -> off(x, dry, wet, outdoor, holds),
                new double[] {evaporating + 0.5 * (dry - INDOOR), outdoor + condensing - OUTDOOR, held, subcooled},
                x -> new double[] {
                    Math.max(246, Math.min(dry - 3, x[0])),
                    Math.max(outdoor + 1, Math.min(outdoor + 36, Math.min(339, x[1]))),
                    Math.max(-8, Math.min(dry - x[0] - 0.7, x[2])),
                    Math.max(-25, Math.min(x[1] - outdoor - 0.7, x[3]))
                });
    }
}
