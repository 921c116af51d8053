package org.undanus.core.evidence;

import java.util.Optional;
import org.undanus.core.quantity.Dimension;

/** The kinds of instrument a reading is taken with. Their default accuracy is rule book data. */
public enum InstrumentKind {
    READ_OFF("read off", null),
    TAPE("tape", Dimension.LENGTH),
    CALIPER("caliper", Dimension.LENGTH),
    LEVEL("level", Dimension.RATIO),
    SOUND_METER("sound meter", Dimension.SOUND_LEVEL),
    GAUGE("gauge", Dimension.GAUGE_PRESSURE),
    VACUUM_GAUGE("vacuum gauge", Dimension.ABSOLUTE_PRESSURE),
    THERMOMETER("thermometer", Dimension.TEMPERATURE_DIFFERENCE),
    PSYCHROMETER("psychrometer", Dimension.TEMPERATURE_DIFFERENCE),
    VOLTMETER("voltmeter", Dimension.VOLTAGE),
    CLAMP_METER("clamp meter", Dimension.CURRENT),
    LOOP_TESTER("loop tester", Dimension.RESISTANCE),
    FLOW_HOOD("flow hood", Dimension.VOLUME_FLOW),
    GAS_ANALYSER("gas analyser", Dimension.CONCENTRATION),
    OXYGEN_CELL("oxygen cell", Dimension.RATIO),
    HYGROMETER("hygrometer", Dimension.RATIO),
    MANOMETER("manometer", Dimension.PRESSURE_DIFFERENCE),
    TORQUE_WRENCH("torque wrench", Dimension.TORQUE),
    CLOCK("clock", Dimension.DURATION),
    STOPWATCH("stopwatch", Dimension.DURATION),
    SCALE("scale", Dimension.MASS),
    POWER_METER("power meter", Dimension.POWER),
    INFRARED("infrared thermometer", Dimension.TEMPERATURE_DIFFERENCE);

    private final String title;
    private final Dimension dimension;

    InstrumentKind(String title, Dimension dimension) {
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

    /** The name rule books and files use: {@code clamp-meter}. */
    public String key() {
        return title.replace(' ', '-');
    }
}
