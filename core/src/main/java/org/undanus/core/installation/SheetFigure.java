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
 * The single figures a maker's sheet may give. Those that plates carry too name the plate's point: the sheet then fills
 * what a plate lacks, and the two are held against each other.
 */
public enum SheetFigure {
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
    MASS(Dimension.MASS, "Mass of the unit"),
    SOUND_PRESSURE(Dimension.SOUND_LEVEL, "Sound pressure level"),
    SOUND_DISTANCE(Dimension.LENGTH, "Distance the sound level holds at"),
    FAN_SPEED(Dimension.FREQUENCY, "Speed of the fan"),
    LEVEL_TOLERANCE(Dimension.RATIO, "Greatest tilt of the base"),
    LOWEST_MOUNTING(Dimension.LENGTH, "Least height over the floor"),
    HIGHEST_MOUNTING(Dimension.LENGTH, "Greatest height over the floor"),
    LEAST_THROW(Dimension.LENGTH, "Least free throw"),
    LEAST_FIXINGS(Dimension.COUNT, "Fixings of the mounting plate"),
    LEAST_CABINET_TILT(Dimension.RATIO, "Least tilt toward the drain"),
    MOST_CABINET_TILT(Dimension.RATIO, "Greatest tilt toward the drain"),
    LINE_INSULATION(Dimension.LENGTH, "Thickness of line insulation"),
    DRAIN_SIZE(Dimension.LENGTH, "Drain, outer diameter"),
    LEAST_DRAIN_FALL(Dimension.RATIO, "Least fall of the drain"),
    HOLE_DIAMETER(Dimension.LENGTH, "Hole through the wall");

    private static final Map<String, SheetFigure> BY_PLATE = Arrays.stream(values())
            .filter(figure -> figure.plate.isPresent())
            .collect(Collectors.toMap(figure -> figure.plate.orElseThrow().id(), Function.identity()));

    private final Dimension dimension;
    private final String title;
    private final Optional<Point> plate;

    SheetFigure(Point plate) {
        this.dimension = plate.dimension().orElseThrow();
        this.title = plate.title();
        this.plate = Optional.of(plate);
    }

    SheetFigure(Dimension dimension, String title) {
        this.dimension = dimension;
        this.title = title;
        this.plate = Optional.empty();
    }

    public Dimension dimension() {
        return dimension;
    }

    public String title() {
        return title;
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

    public static Optional<SheetFigure> of(String key) {
        return Arrays.stream(values()).filter(f -> f.key().equals(key)).findFirst();
    }

    public static Optional<SheetFigure> of(Point plate) {
        return Optional.ofNullable(BY_PLATE.get(plate.id()));
    }
}
