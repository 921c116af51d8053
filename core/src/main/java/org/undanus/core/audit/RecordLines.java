package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.station.Walk;

/**
 * The lines of a commissioning record, in the order in which whoever commissions fills it in. Most are lines of the walk; some are
 * only in records: when work began and ended, and what others compute from readings.
 */
public final class RecordLines {
    private static final double COLD = 223;
    private static final double HOT = 423;

    public static final Point TEST_BEGUN = done("test-begun", "Pressure test begun");
    public static final Point TEST_ENDED = done("test-ended", "Pressure test ended");
    public static final Point PUMP_ON = done("pump-on", "Vacuum pump on");
    public static final Point VACUUM_ENDED = done("vacuum-ended", "Vacuum accepted");
    public static final Point OPENED = done("opened", "Service valves opened");
    public static final Point STARTED = done("started", "Machine started");
    public static final Point EVAPORATING = temperature("evaporating", "Suction, saturation temperature");
    public static final Point CONDENSING = temperature("condensing", "Liquid, saturation temperature");
    public static final Point SUPERHEAT = difference("superheat", Scope.OUTDOOR_UNIT, "Superheat");
    public static final Point SUBCOOLING = difference("subcooling", Scope.OUTDOOR_UNIT, "Subcooling");
    public static final Point SPLIT = difference("split", Scope.COIL_UNIT, "Temperature split");
    public static final Point CONDENSATE = Point.quantity(
            "record.condensate",
            Scope.COIL_UNIT,
            Dimension.LIQUID_FLOW,
            "Condensate, caught",
            "What ran into a measure, over the time it took.",
            0,
            1e-4);
    public static final Point STANDARDS = Point.text(
            "record.standards", Scope.SYSTEM, "Worked to", "Standards that the record names, with their editions.");

    static final Point TEST_PRESSURE = walk("tightness.start-pressure");
    static final Point TEST_TEMPERATURE = walk("tightness.start-temperature");
    static final Point HOLD_TIME = walk("tightness.hold-time");
    static final Point END_PRESSURE = walk("tightness.end-pressure");
    static final Point END_TEMPERATURE = walk("tightness.end-temperature");
    static final Point PRESSURE_READINGS = walk("tightness.pressure-readings");
    static final Point PRESSURE_LOG = walk("tightness.pressure-log");
    static final Point PUMP_SPEED = walk("evacuation.pump-speed");
    static final Point HOSE_BORE = walk("evacuation.hose-bore");
    static final Point HOSE_LENGTH = walk("evacuation.hose-length");
    static final Point PULL_TIME = walk("evacuation.pull-time");
    static final Point REACHED = walk("evacuation.reached");
    static final Point VACUUM_READINGS = walk("evacuation.readings");
    static final Point VACUUM_HELD = walk("evacuation.hold-time");
    static final Point AFTER = walk("evacuation.after");
    static final Point VACUUM_LOG = walk("evacuation.log");
    static final Point CYLINDER_BEFORE = walk("charge.cylinder-before");
    static final Point CYLINDER_AFTER = walk("charge.cylinder-after");
    static final Point ADDED_CHARGE = walk("siting.added-charge");
    static final Point RUN = walk("piping.run");
    static final Point MODE = walk("operation.mode");
    static final Point RUN_TIME = walk("operation.run-time");
    static final Point OUTDOOR_AIR = walk("running.outdoor-dry-bulb");
    static final Point SUCTION_PRESSURE = walk("charge.suction-pressure");
    static final Point SUCTION_TEMPERATURE = walk("charge.suction-temperature");
    static final Point LIQUID_PRESSURE = walk("charge.liquid-pressure");
    static final Point LIQUID_TEMPERATURE = walk("charge.liquid-temperature");
    static final Point BAROMETER = walk("charge.barometer");
    static final Point RETURN_DRY = walk("running.return-dry-bulb");
    static final Point RETURN_WET = walk("running.return-wet-bulb");
    static final Point SUPPLY_DRY = walk("running.supply-dry-bulb");
    static final Point SUPPLY_WET = walk("running.supply-wet-bulb");
    static final Point AIRFLOW = walk("running.airflow");
    static final Point STATIC_SUPPLY = walk("airside.static-supply");
    static final Point STATIC_RETURN = walk("airside.static-return");
    static final Point VOLTAGE = walk("electrical.running-voltage");
    static final Point CURRENT = walk("electrical.running-current");
    static final Point POWER = walk("running.power");

    private static final List<Point> PLATE = List.of(
            walk("plate.model"),
            walk("plate.serial"),
            walk("plate.refrigerant"),
            walk("plate.charge"),
            walk("plate.minimum-circuit-ampacity"),
            walk("plate.maximum-overcurrent-device"));

    private static final List<Point> ORDER = Stream.concat(
                    PLATE.stream(),
                    Stream.of(
                            RUN,
                            TEST_BEGUN,
                            TEST_PRESSURE,
                            TEST_TEMPERATURE,
                            PRESSURE_READINGS,
                            PRESSURE_LOG,
                            HOLD_TIME,
                            END_PRESSURE,
                            END_TEMPERATURE,
                            TEST_ENDED,
                            PUMP_SPEED,
                            HOSE_BORE,
                            HOSE_LENGTH,
                            PUMP_ON,
                            PULL_TIME,
                            REACHED,
                            VACUUM_READINGS,
                            VACUUM_LOG,
                            VACUUM_HELD,
                            AFTER,
                            VACUUM_ENDED,
                            CYLINDER_BEFORE,
                            CYLINDER_AFTER,
                            ADDED_CHARGE,
                            OPENED,
                            STARTED,
                            MODE,
                            RUN_TIME,
                            OUTDOOR_AIR,
                            BAROMETER,
                            SUCTION_PRESSURE,
                            EVAPORATING,
                            SUCTION_TEMPERATURE,
                            SUPERHEAT,
                            LIQUID_PRESSURE,
                            CONDENSING,
                            LIQUID_TEMPERATURE,
                            SUBCOOLING,
                            RETURN_DRY,
                            RETURN_WET,
                            SUPPLY_DRY,
                            SUPPLY_WET,
                            SPLIT,
                            AIRFLOW,
                            STATIC_RETURN,
                            STATIC_SUPPLY,
                            CONDENSATE,
                            VOLTAGE,
                            CURRENT,
                            POWER,
                            STANDARDS))
            .toList();
    private static final Map<String, Point> BY_ID =
            ORDER.stream().collect(Collectors.toUnmodifiableMap(Point::id, Function.identity()));

    private RecordLines() {}

    /** A line of one installation's record. */
    public record Line(Point point, Subject subject) {
        public PointKey key() {
            return RecordLines.key(point, subject.id());
        }
    }

    private static Point done(String name, String title) {
        return Point.yesNo("record." + name, Scope.LINE_SET, title, "Yes, with the time at which it was.");
    }

    private static Point temperature(String name, String title) {
        return Point.quantity(
                        "record." + name,
                        Scope.OUTDOOR_UNIT,
                        Dimension.TEMPERATURE,
                        title,
                        "As the record has it, from a gauge's scale or a table.",
                        COLD,
                        HOT)
                .with(InstrumentKind.READ_OFF);
    }

    private static Point difference(String name, Scope scope, String title) {
        return Point.quantity(
                        "record." + name,
                        scope,
                        Dimension.TEMPERATURE_DIFFERENCE,
                        title,
                        "As the record has it, reckoned by whoever wrote it.",
                        -20,
                        60)
                .with(InstrumentKind.READ_OFF);
    }

    private static Point walk(String id) {
        return Walk.point(id).orElseThrow(() -> new IllegalStateException("The walk has no line " + id));
    }

    static PointKey key(Point point, String subject) {
        return new PointKey(point.id(), point.scope().ofSystem() ? PointKey.SYSTEM : subject);
    }

    /** A line by its id, whether the walk has it or only records; empty for one that a record has not. */
    public static Optional<Point> point(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }

    /** Whether the walk reads it too. */
    public static boolean ofWalk(Point point) {
        return !point.id().startsWith("record.");
    }

    /** The lines of an installation's record, in working order: each for every unit or part that has it. */
    public static List<Line> of(Case facts) {
        List<Line> lines = new ArrayList<>();
        for (Point point : ORDER) {
            facts.subjects(point.scope()).forEach(subject -> lines.add(new Line(facts.asked(point), subject)));
        }
        return lines;
    }
}
