package org.undanus.server.datasheet;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.installation.SheetValue;

/** The parts a sheet is read in, in their order. */
enum SheetSection {
    ELECTRICAL("Electrical", "supply"),
    REFRIGERANT("Refrigerant and lines", "refrigerant", "meteringDevice"),
    CLEARANCES("Clearances", "clearances", "mountingClearances", "neighbours"),
    AIR("Capacity and air", "fan"),
    TORQUES("Torques", "torques"),
    PLACE("Size, sound and mounting");

    private final String title;
    private final Set<String> stems;

    SheetSection(String title, String... stems) {
        this.title = title;
        this.stems = Set.of(stems);
    }

    String title() {
        return title;
    }

    /** @param key path of a field in a sheet's file, {@code clearances.front} */
    static SheetSection of(String key) {
        String stem = key.split("[.\\[]", 2)[0];
        return Arrays.stream(values())
                .filter(section -> section.stems.contains(stem))
                .findFirst()
                .or(() -> value(stem).map(SheetSection::of))
                .orElse(PLACE);
    }

    private static Optional<SheetValue> value(String key) {
        return Arrays.stream(SheetValue.values())
                .filter(value -> value.key().equals(key))
                .findFirst();
    }

    private static SheetSection of(SheetValue value) {
        return switch (value) {
            case MINIMUM_CIRCUIT_AMPACITY, MAXIMUM_OVERCURRENT_DEVICE, COMPRESSOR_CURRENT, FAN_CURRENT -> ELECTRICAL;
            case CHARGE,
                    HIGH_SIDE_TEST_PRESSURE,
                    LOW_SIDE_TEST_PRESSURE,
                    TIGHTNESS_PRESSURE,
                    TIGHTNESS_TIME,
                    TIGHTNESS_DROP,
                    STRENGTH_PRESSURE,
                    INTERNAL_VOLUME,
                    PRECHARGED_LENGTH,
                    EXTRA_CHARGE,
                    REDUCED_CHARGE,
                    MINIMUM_LINE_LENGTH,
                    MAXIMUM_LINE_LENGTH,
                    MAXIMUM_LIFT,
                    MAXIMUM_EQUIVALENT_LENGTH,
                    MAXIMUM_TOTAL_LENGTH,
                    MAXIMUM_LIFT_BELOW,
                    TRAP_RISE,
                    INVERTED_TRAP_LIFT,
                    LEAST_BEND_RADIUS,
                    LIQUID_LINE,
                    SUCTION_LINE,
                    TARGET_SUBCOOLING,
                    METERING_SIZE -> REFRIGERANT;
            case COOLING_CAPACITY,
                    HEATING_CAPACITY,
                    AIRFLOW,
                    STATIC_PRESSURE_LIMIT,
                    LOWEST_TEMPERATURE_RISE,
                    HIGHEST_TEMPERATURE_RISE,
                    FAN_SPEED -> AIR;
            default -> PLACE;
        };
    }
}
