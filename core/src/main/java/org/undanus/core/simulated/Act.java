package org.undanus.core.simulated;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.undanus.core.words.RefusedException;

/**
 * A test that is acted out on a virtual line set, from its beginning to its end.
 *
 * @param seconds between two samples
 * @param lasting s
 */
public record Act(Kind kind, VirtualLineSet.Making making, VirtualGauge gauge, double seconds, double lasting) {

    /** What is acted. */
    public enum Kind {
        /** Pumped for a while, then valved off. */
        EVACUATION,
        /** Charged with nitrogen and left alone. */
        PRESSURE_TEST
    }

    /**
     * One moment of it.
     *
     * @param seconds from the beginning
     * @param shown by the gauge: absolute while evacuated, over the air's while under pressure, Pa
     * @param wall temperature of the tube, K
     */
    public record Sample(double seconds, double shown, double wall) {}

    private static final double AIR = 101_325;
    private static final double MICRON = 0.133322;
    private static final double CUBIC_FOOT_A_MINUTE = 4.719474e-4;
    /** How long the pump of an evacuation runs, s. */
    public static final double PUMPED = 25 * 60;

    /** Over the air's, Pa. */
    static final double TEST_PRESSURE = 2.0e6;

    static final double WALL_STEP = 0.1;

    /** The names of those there are. */
    public static final List<String> NAMES = List.of("dry", "moist", "leak", "both", "coarse");

    /**
     * One that is ready.
     *
     * @param name one of {@link #NAMES}
     * @throws IllegalArgumentException of another
     */
    public static Act named(String name, Kind kind) {
        boolean leaks = name.equals("leak") || name.equals("both");
        boolean wet = name.equals("moist") || name.equals("both");
        if (!NAMES.contains(name)) {
            throw new RefusedException(
                    "There is no act \"{name}\". There are {names}.", name, String.join(", ", NAMES));
        }
        VirtualLineSet.Making making = new VirtualLineSet.Making(
                1.6e-3,
                4 * CUBIC_FOOT_A_MINUTE,
                2,
                0.0095,
                1.2,
                false,
                leaks ? 4e-4 : 2e-6,
                wet ? 80 : 1.5,
                130,
                291,
                4);
        if (kind == Kind.EVACUATION) {
            double step = name.equals("coarse") ? 50 * MICRON : MICRON;
            return new Act(kind, making, new VirtualGauge(0.01, 0, 0.004, step), 5, 45 * 60);
        }
        double step = name.equals("coarse") ? 25_000 : 700;
        return new Act(kind, making, new VirtualGauge(0.001, 0, 0, step), 30, 2 * 3600);
    }

    /** All its samples, the same for the same chance. */
    public List<Sample> samples(Random chance) {
        VirtualLineSet lines = new VirtualLineSet(making);
        if (kind == Kind.EVACUATION) {
            lines.pump();
        } else {
            lines.charge(TEST_PRESSURE + AIR);
        }
        List<Sample> samples = new ArrayList<>();
        boolean isolated = false;
        for (double t = 0; t <= lasting; t += seconds) {
            if (kind == Kind.EVACUATION && !isolated && t >= PUMPED) {
                lines.isolate();
                isolated = true;
            }
            double over = kind == Kind.EVACUATION ? 0 : AIR;
            double shown = Math.max(0, gauge.shown(lines.pressure() - over, t, chance));
            samples.add(new Sample(t, shown, Math.rint(lines.wall() / WALL_STEP) * WALL_STEP));
            lines.goOn(seconds);
        }
        return samples;
    }
}
