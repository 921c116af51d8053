package org.undanus.core.installation;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Point;
import org.undanus.core.quantity.Dimension;

/**
 * The single values a maker's sheet may give. Those that plates carry too name the plate's point: the sheet then fills
 * what a plate lacks, and the two are held against each other.
 */
public enum SheetValue {
    CHARGE(PlatePoints.CHARGE),
    MINIMUM_CIRCUIT_AMPACITY(PlatePoints.MINIMUM_CIRCUIT_AMPACITY),
    MAXIMUM_OVERCURRENT_DEVICE(PlatePoints.MAXIMUM_OVERCURRENT_DEVICE),
    COMPRESSOR_CURRENT(PlatePoints.COMPRESSOR_CURRENT),
    FAN_CURRENT(PlatePoints.FAN_CURRENT),
    HIGH_SIDE_TEST_PRESSURE(PlatePoints.HIGH_SIDE_TEST_PRESSURE),
    LOW_SIDE_TEST_PRESSURE(PlatePoints.LOW_SIDE_TEST_PRESSURE),
    COOLING_CAPACITY(PlatePoints.COOLING_CAPACITY),
    HEATING_CAPACITY(PlatePoints.HEATING_CAPACITY),
    PRECHARGED_LENGTH(PlatePoints.PRECHARGED_LENGTH),
    EXTRA_CHARGE(PlatePoints.EXTRA_CHARGE),
    REDUCED_CHARGE(PlatePoints.REDUCED_CHARGE),
    MINIMUM_LINE_LENGTH(PlatePoints.MINIMUM_LINE_LENGTH),
    MAXIMUM_LINE_LENGTH(PlatePoints.MAXIMUM_LINE_LENGTH),
    MAXIMUM_LIFT(PlatePoints.MAXIMUM_LIFT),
    LIQUID_LINE(PlatePoints.LIQUID_LINE),
    SUCTION_LINE(PlatePoints.SUCTION_LINE),
    TARGET_SUBCOOLING(PlatePoints.TARGET_SUBCOOLING),
    METERING_SIZE(PlatePoints.METERING_SIZE),
    AIRFLOW(PlatePoints.AIRFLOW),
    STATIC_PRESSURE_LIMIT(PlatePoints.STATIC_PRESSURE_LIMIT),
    LOWEST_TEMPERATURE_RISE(PlatePoints.LOWEST_TEMPERATURE_RISE),
    HIGHEST_TEMPERATURE_RISE(PlatePoints.HIGHEST_TEMPERATURE_RISE),
    MASS(Dimension.MASS, "Mass of the unit", 1, 5000),
    TIGHTNESS_PRESSURE(Dimension.GAUGE_PRESSURE, "Pressure of the tightness test", 1e5, 6e6),
    TIGHTNESS_TIME(Dimension.DURATION, "Time that pressure is held", 60, 31 * 86_400.0),
    TIGHTNESS_DROP(Dimension.PRESSURE_DIFFERENCE, "Pressure that may be lost in that time", 0, 1e6),
    STRENGTH_PRESSURE(Dimension.GAUGE_PRESSURE, "Pressure of the strength test", 1e5, 9e6),
    INTERNAL_VOLUME(Dimension.VOLUME, "Volume inside its refrigerant passages", 1e-5, 0.2),
    SOUND_PRESSURE(Dimension.SOUND_LEVEL, "Sound pressure level", 0, 150),
    SOUND_DISTANCE(Dimension.LENGTH, "Distance the sound level holds at", 0.1, 100),
    FAN_SPEED(Dimension.FREQUENCY, "Speed of the fan", 0.5, 200),
    LEVEL_TOLERANCE(Dimension.RATIO, "Greatest tilt of the base", 0, 1),
    LOWEST_MOUNTING(Dimension.LENGTH, "Least height over the floor", 0, 30),
    HIGHEST_MOUNTING(Dimension.LENGTH, "Greatest height over the floor", 0, 30),
    LEAST_THROW(Dimension.LENGTH, "Least free throw", 0, 50),
    LEAST_FIXINGS(Dimension.COUNT, "Fixings of the mounting plate", 0, 100),
    LEAST_CABINET_TILT(Dimension.RATIO, "Least tilt toward the drain", -1, 1),
    MOST_CABINET_TILT(Dimension.RATIO, "Greatest tilt toward the drain", -1, 1),
    LINE_INSULATION(Dimension.LENGTH, "Thickness of line insulation", 0, 0.2),
    DRAIN_SIZE(Dimension.LENGTH, "Drain, outer diameter", 0.004, 0.3),
    LEAST_DRAIN_FALL(Dimension.RATIO, "Least fall of the drain", 0, 1),
    HOLE_DIAMETER(Dimension.LENGTH, "Hole through the wall", 0.01, 1),
    MAXIMUM_EQUIVALENT_LENGTH(Dimension.LENGTH, "Longest lines with fittings", 1, 500),
    MAXIMUM_TOTAL_LENGTH(Dimension.LENGTH, "Longest lines, all indoor units together", 1, 2000),
    MAXIMUM_LIFT_BELOW(Dimension.LENGTH, "Greatest height difference, outdoor unit lower", 0.5, 150),
    TRAP_RISE(Dimension.LENGTH, "Rise from which traps are due, and between traps", 0.5, 50),
    INVERTED_TRAP_LIFT(Dimension.LENGTH, "Height of the outdoor unit from which an inverted trap is due", 0, 50),
    LEAST_BEND_RADIUS(Dimension.LENGTH, "Least bend radius", 0.005, 1),
    FILTER_DROP(Dimension.PRESSURE_DIFFERENCE, "Greatest pressure drop of the filter", 1, 1000),
    COIL_DROP(Dimension.PRESSURE_DIFFERENCE, "Greatest pressure drop of the coil", 1, 1000),
    TRAP_SEAL(Dimension.LENGTH, "Trap that the drain is drawn with, depth of its seal", 0.01, 0.5),
    LOW_STAGE_CURRENT(Dimension.CURRENT, "Compressor current, low stage", 0.2, 400),
    HIGH_STAGE_CURRENT(Dimension.CURRENT, "Compressor current, high stage", 0.2, 400),
    CONTROL_CONDUCTORS(Dimension.COUNT, "Conductors of the control cable", 1, 40),
    FUEL_INPUT(Dimension.POWER, "Input, high fire", 500, 500_000),
    LEAST_INLET_PRESSURE(Dimension.PRESSURE_DIFFERENCE, "Least gas pressure at the inlet", 100, 20_000),
    MOST_INLET_PRESSURE(Dimension.PRESSURE_DIFFERENCE, "Greatest gas pressure at the inlet", 100, 20_000),
    LEAST_MANIFOLD_PRESSURE(Dimension.PRESSURE_DIFFERENCE, "Least manifold pressure", 50, 10_000),
    MOST_MANIFOLD_PRESSURE(Dimension.PRESSURE_DIFFERENCE, "Greatest manifold pressure", 50, 10_000),
    LEAST_STACK_TEMPERATURE(Dimension.TEMPERATURE_DIFFERENCE, "Least net stack temperature", 1, 500),
    MOST_STACK_TEMPERATURE(Dimension.TEMPERATURE_DIFFERENCE, "Greatest net stack temperature", 1, 500),
    OUTDOOR_AIRFLOW(Dimension.VOLUME_FLOW, "Airflow over the outdoor coil", 0.05, 30),
    PORT_LENGTH(Dimension.LENGTH, "Line length the charge is for, at each port", 0, 100);

    private static final Map<String, SheetValue> BY_PLATE = Arrays.stream(values())
            .filter(value -> value.plate.isPresent())
            .collect(Collectors.toUnmodifiableMap(
                    value -> value.plate.orElseThrow().id(), Function.identity()));

    private final Dimension dimension;
    private final String title;
    private final Optional<Point> plate;
    private final double lowest;
    private final double highest;

    SheetValue(Point plate) {
        this.dimension = plate.dimension().orElseThrow();
        this.title = plate.title();
        this.plate = Optional.of(plate);
        this.lowest = plate.lowestPossible();
        this.highest = plate.highestPossible();
    }

    /** @param lowest smallest possible value in SI */
    SheetValue(Dimension dimension, String title, double lowest, double highest) {
        this.dimension = dimension;
        this.title = title;
        this.plate = Optional.empty();
        this.lowest = lowest;
        this.highest = highest;
    }

    public Dimension dimension() {
        return dimension;
    }

    public String title() {
        return title;
    }

    /** Whether a sheet can say this value, in SI: what a plate can say, where it says the same. */
    public boolean possible(double si) {
        return si >= lowest && si <= highest;
    }

    /** The plate's point that says the same. */
    public Optional<Point> plate() {
        return plate;
    }

    /** The name files use: {@code minimumCircuitAmpacity}. */
    public String key() {
        StringBuilder key = new StringBuilder();
        for (String word : name().toLowerCase(Locale.ROOT).split("_")) {
            key.append(key.length() == 0 ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
        }
        return key.toString();
    }

    public static Optional<SheetValue> of(String key) {
        return Arrays.stream(values()).filter(f -> f.key().equals(key)).findFirst();
    }

    public static Optional<SheetValue> of(Point plate) {
        return Optional.ofNullable(BY_PLATE.get(plate.id()));
    }
}
