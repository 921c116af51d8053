package org.undanus.core.evidence;

import java.util.Optional;
import org.undanus.core.quantity.Dimension;

/** The kinds of instrument a reading is taken with. Their default accuracy is rule book data. */
public enum InstrumentKind {
    READ_OFF("read-off", "read off", null),
    TAPE("tape", "tape", Dimension.LENGTH),
    CALIPER("caliper", "caliper", Dimension.LENGTH),
    LEVEL("level", "level", Dimension.RATIO),
    SOUND_METER("sound-meter", "sound meter", Dimension.SOUND_LEVEL),
    GAUGE("gauge", "gauge", Dimension.GAUGE_PRESSURE),
    VACUUM_GAUGE("vacuum-gauge", "vacuum gauge", Dimension.ABSOLUTE_PRESSURE),
    THERMOMETER("thermometer", "thermometer", Dimension.TEMPERATURE_DIFFERENCE),
    PSYCHROMETER("psychrometer", "psychrometer", Dimension.TEMPERATURE_DIFFERENCE),
    VOLTMETER("voltmeter", "voltmeter", Dimension.VOLTAGE),
    CLAMP_METER("clamp-meter", "clamp meter", Dimension.CURRENT),
    LOOP_TESTER("loop-tester", "loop tester", Dimension.RESISTANCE),
    FLOW_HOOD("flow-hood", "flow hood", Dimension.VOLUME_FLOW),
    GAS_ANALYSER("gas-analyser", "gas analyser", Dimension.CONCENTRATION),
    OXYGEN_CELL("oxygen-cell", "oxygen cell", Dimension.RATIO),
    HYGROMETER("hygrometer", "hygrometer", Dimension.RATIO),
    MANOMETER("manometer", "manometer", Dimension.PRESSURE_DIFFERENCE),
    TORQUE_WRENCH("torque-wrench", "torque wrench", Dimension.TORQUE),
    CLOCK("clock", "clock", Dimension.DURATION),
    STOPWATCH("stopwatch", "stopwatch", Dimension.DURATION),
    SCALE("scale", "scale", Dimension.MASS),
    POWER_METER("power-meter", "power meter", Dimension.POWER),
    INFRARED("infrared-thermometer", "infrared thermometer", Dimension.TEMPERATURE_DIFFERENCE);

    private final String key;
    private final String title;
    private final Dimension dimension;

    InstrumentKind(String key, String title, Dimension dimension) {
        this.key = key;
        this.title = title;
        this.dimension = dimension;
    }

    public String title() {
        return title;
    }

    /** What its accuracy is stated in unless its maker says otherwise; empty for what is read off without an instrument. */
    public Optional<Dimension> dimension() {
        return Optional.ofNullable(dimension);
    }

    /** The name that rule books and files use; it never changes. */
    public String key() {
        return key;
    }
}
