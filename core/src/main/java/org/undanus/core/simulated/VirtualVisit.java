package org.undanus.core.simulated;

import java.util.Random;
import org.undanus.core.derived.notation.Marks;

/** A virtual line set with its gauges that a person works: each thing is done when they do it, and time goes on meanwhile. */
public final class VirtualVisit {
    private static final double AIR = 101_325;
    /** Over the air's, where nitrogen breaks a vacuum, Pa. */
    private static final double BREAKING = 20_000;

    /** How much a heater warms the lines, K. */
    public static final double WARMER = 15;

    private final VirtualLineSet lines;
    private final VirtualGauge vacuumGauge;
    private final VirtualGauge pressureGauge;
    private final Random chance;
    private double seconds;
    private boolean evacuated;

    /** @param name one of {@link Act#NAMES} */
    public VirtualVisit(String name, Random chance) {
        Act evacuation = Act.named(name, Act.Kind.EVACUATION);
        this.lines = new VirtualLineSet(evacuation.making());
        this.vacuumGauge = evacuation.gauge();
        this.pressureGauge = Act.named(name, Act.Kind.PRESSURE_TEST).gauge();
        this.chance = chance;
    }

    /** Does what is marked. Nitrogen breaks a vacuum gently; else it is let in up to the test pressure. */
    public void act(Marks.Act act) {
        switch (act) {
            case PUMP_ON -> {
                lines.pump();
                evacuated = true;
            }
            case ISOLATED -> lines.isolate();
            case NITROGEN_IN -> {
                lines.charge(AIR + (evacuated ? BREAKING : Act.TEST_PRESSURE));
                evacuated = false;
            }
            case VALVE_OPENED -> {
                lines.open();
                evacuated = false;
            }
            case SOAPED, STOPPED -> {}
        }
    }

    /** Warms the lines, K; cools them where it is less than nothing. */
    public void warm(double kelvin) {
        lines.warm(kelvin);
    }

    /** Lets time go on, s. */
    public void goOn(double longer) {
        lines.goOn(longer);
        seconds += longer;
    }

    /** What the vacuum gauge shows now, absolute, Pa. */
    public double vacuum() {
        return Math.max(0, vacuumGauge.shown(lines.pressure(), seconds, chance));
    }

    /** What the pressure gauge shows now, over the air's, Pa. */
    public double gauge() {
        return Math.max(0, pressureGauge.shown(lines.pressure() - AIR, seconds, chance));
    }

    /** What the thermometer on the tube shows now, K. */
    public double wall() {
        return Math.rint(lines.wall() / Act.WALL_STEP) * Act.WALL_STEP;
    }
}
