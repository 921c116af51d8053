package org.undanus.core.simulated;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.simulated.VirtualMachine.Fault;

/**
 * A virtual machine in cooling that a person starts and stops, with gauges, probes, clamp, psychrometer and hood on it. From rest it
 * comes to its steady state as machines do, faster at first; what each instrument shows errs by its noise and stands on its step.
 */
public final class VirtualRun {

    /** What hangs on it. */
    public enum Probe {
        LOW_SIDE(500),
        HIGH_SIDE(500),
        SUCTION_TUBE(0.1),
        LIQUID_TUBE(0.1),
        RETURN_AIR(0.1),
        RETURN_WET_BULB(0.1),
        SUPPLY_AIR(0.1),
        SUPPLY_WET_BULB(0.1),
        OUTDOOR_AIR(0.1),
        COMPRESSOR_CURRENT(0.1),
        AIRFLOW(0.000472);

        private final double step;

        Probe(double step) {
            this.step = step;
        }
    }

    private static final Map<String, Fault> FAULTS = faults();
    private static final double RATED = 10_000;
    private static final double INDOORS = 299.85;
    private static final double INDOORS_WET = 292.55;
    private static final double OUTDOORS = 308.15;
    private static final double RATED_FLOW = 0.537;
    private static final double RATED_CURRENT = 11;
    private static final double RATED_CONDENSING = 320.15;
    private static final double CURRENT_PER_KELVIN = 0.012;
    private static final double WET_COIL = 0.92;
    /** How fast it comes to its steady state, s. */
    private static final double SETTLING = 150;

    private static final double NOISE = 0.3;
    private static final double AIR = 101_325;

    private final Refrigerant refrigerant;
    private final Fault fault;
    private final VirtualMachine.Running steady;
    private final Random chance;
    private boolean runs;
    private double reached;

    private static Map<String, Fault> faults() {
        Map<String, Fault> faults = new LinkedHashMap<>();
        faults.put("sound", Fault.NONE);
        faults.put("short of charge", new Fault(0.8, 1, 1, false, 0, 1, 0));
        faults.put("overcharged", new Fault(1.15, 1, 1, false, 0, 1, 0));
        faults.put("low airflow", new Fault(1, 0.55, 1, false, 0, 1, 0));
        faults.put("dirty outdoor coil", new Fault(1, 1, 1, false, 0, 0.6, 0));
        faults.put("air in it", new Fault(1, 1, 1, false, 0, 1, 0.1));
        return Collections.unmodifiableMap(faults);
    }

    /** What a machine can be like. */
    public static List<String> names() {
        return List.copyOf(FAULTS.keySet());
    }

    /**
     * At rest.
     *
     * @param name one of {@link #names}
     * @param refrigerant what is in it
     * @param valve whether a valve meters, else a fixed orifice
     * @throws IllegalArgumentException of another name, or a refrigerant that is not known
     */
    public VirtualRun(String name, String refrigerant, boolean valve, Random chance) {
        this.fault = Optional.ofNullable(FAULTS.get(name))
                .orElseThrow(() -> new IllegalArgumentException("There is no machine \"" + name + "\"."));
        this.refrigerant = Refrigerant.shipped(refrigerant)
                .orElseThrow(() -> new IllegalArgumentException("No refrigerant is called " + refrigerant + "."));
        this.steady = new VirtualMachine(this.refrigerant, RATED, valve, fault).running(INDOORS, OUTDOORS);
        this.chance = chance;
    }

    /** Starts or stops it. */
    public void run(boolean on) {
        runs = on;
    }

    /** Lets time go on, s. */
    public void goOn(double longer) {
        double toward = runs ? 1 : 0;
        reached = toward + (reached - toward) * Math.exp(-longer / SETTLING);
    }

    /** What an instrument shows now: gauges over the air's in Pa, temperatures in K, current in A, airflow in m³/s. */
    public double shown(Probe probe) {
        double is =
                switch (probe) {
                    case LOW_SIDE -> between(rest(), dew(steady.evaporating()));
                    case HIGH_SIDE -> between(rest(), dew(steady.condensing()));
                    case SUCTION_TUBE -> between(OUTDOORS, steady.evaporating() + steady.superheat());
                    case LIQUID_TUBE -> between(OUTDOORS, bubbling() - steady.subcooling());
                    case RETURN_AIR -> INDOORS;
                    case RETURN_WET_BULB -> INDOORS_WET;
                    case SUPPLY_AIR -> supply();
                    case SUPPLY_WET_BULB -> supplyWet();
                    case OUTDOOR_AIR -> OUTDOORS;
                    case COMPRESSOR_CURRENT ->
                        reached * RATED_CURRENT * (1 + CURRENT_PER_KELVIN * (steady.condensing() - RATED_CONDENSING));
                    case AIRFLOW -> RATED_FLOW * fault.airflow();
                };
        double shown = is + NOISE * probe.step * chance.nextGaussian();
        return Math.max(0, Math.rint(shown / probe.step) * probe.step);
    }

    private double between(double atRest, double running) {
        return atRest + reached * (running - atRest);
    }

    private double rest() {
        return dew(OUTDOORS);
    }

    /** Over the air's, Pa. */
    private double dew(double kelvin) {
        return refrigerant.saturation().dew(Temperature.ofKelvin(kelvin)).si() - AIR;
    }

    /** Where liquid of the high side boils; of a blend that parts colder than where its vapour condenses, K. */
    private double bubbling() {
        return refrigerant
                .saturation()
                .bubbleTemperature(AbsolutePressure.ofPascals(dew(steady.condensing()) + AIR))
                .si();
    }

    private double supply() {
        return between(INDOORS, INDOORS - steady.split());
    }

    /** Air leaves a wet coil all but saturated; one at rest lets it pass as it is, K. */
    private double supplyWet() {
        double dry = INDOORS - steady.split();
        MoistAir leaving =
                MoistAir.ofRelativeHumidity(Temperature.ofKelvin(dry), WET_COIL, AbsolutePressure.ofPascals(AIR));
        return between(INDOORS_WET, leaving.wetBulb().si());
    }
}
