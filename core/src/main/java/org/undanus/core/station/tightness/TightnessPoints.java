package org.undanus.core.station.tightness;

import java.util.List;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of a pressure test. */
final class TightnessPoints {
    private static final double LEAST_PRESSURE = 1e4;
    private static final double MOST_PRESSURE = 5e6;
    private static final double COLD = 243.15;
    private static final double HOT = 333.15;

    private TightnessPoints() {}

    private static Point pressure(String name, String title, String how) {
        return Point.quantity(
                        "tightness." + name,
                        Scope.LINE_SET,
                        Dimension.GAUGE_PRESSURE,
                        title,
                        how,
                        LEAST_PRESSURE,
                        MOST_PRESSURE)
                .with(InstrumentKind.GAUGE)
                .dueAt(Stage.WITNESS);
    }

    private static Point temperature(String name, String title, String how) {
        return Point.quantity("tightness." + name, Scope.LINE_SET, Dimension.TEMPERATURE, title, how, COLD, HOT)
                .with(InstrumentKind.THERMOMETER)
                .dueAt(Stage.WITNESS);
    }

    private static Point choice(String name, Scope scope, String title, String how, Option... options) {
        return Point.choice("tightness." + name, scope, title, how, List.of(options))
                .dueAt(Stage.WITNESS);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("tightness." + name, Scope.LINE_SET, title, how).dueAt(Stage.WITNESS);
    }

    private static final String PRESSURE_CAUTION =
            "A tube that bursts kills. Stand clear while the pressure rises, and never go over the lower pressure on any plate.";

    static final Option NITROGEN = Option.of("nitrogen", "dry nitrogen");
    static final Option TRACER = Option.of("tracer", "nitrogen with tracer gas");
    static final Option AIR = Option.of("air", "compressed air");
    static final Option OXYGEN = Option.of("oxygen", "oxygen");
    static final Option REFRIGERANT = Option.of("refrigerant", "refrigerant");
    static final Point GAS = choice(
                    "gas",
                    Scope.LINE_SET,
                    "Gas of the test",
                    "Read it on the cylinder.",
                    NITROGEN,
                    TRACER,
                    AIR,
                    OXYGEN,
                    REFRIGERANT)
            .withCaution("Never oxygen: with oil it explodes. Never compressed air: it brings water and may burn.");
    static final Point REGULATOR = seen(
                    "regulator",
                    "Filled through a regulator",
                    "A regulator set to the test pressure stands between cylinder and system.")
            .withCaution("A full cylinder holds ten times what the lines bear. Never connect it without a regulator.");
    static final Point VALVES_SHUT = seen(
            "valves-shut",
            "Outdoor unit's valves shut",
            "Both service valves, front-seated, so that its charge stays in and no nitrogen goes in.");
    static final Point STAGES = Point.list(
                    "tightness.stages",
                    Scope.LINE_SET,
                    "Rise in stages",
                    "Each pressure and how long it was watched, as the pressure rose: 5 bar 3 min, 15 bar 3 min, 28 bar.",
                    PressureStages.NOTATION)
            .with(InstrumentKind.GAUGE)
            .withCaution(PRESSURE_CAUTION)
            .dueAt(Stage.WITNESS)
            .called("stages");
    static final Point STRENGTH = pressure(
                    "strength-pressure",
                    "Strength test, highest pressure",
                    "Where a higher pressure is held briefly before the long hold.")
            .withCaution(PRESSURE_CAUTION)
            .asOptional();
    static final Option OF_GAS = Option.of("gas", "gas");
    static final Option OF_WALL = Option.of("tube-wall", "tube wall");
    static final Option OF_AIR = Option.of("air", "air");
    static final Point TEMPERATURE_OF = choice(
            "temperature-of",
            Scope.LINE_SET,
            "Temperature is of the",
            "What the thermometer touched. The wall follows the gas within minutes, the air does not.",
            OF_GAS,
            OF_WALL,
            OF_AIR);
    static final Point START_PRESSURE =
            pressure("start-pressure", "Hold, pressure at the start", "Once it has settled after filling.");
    static final Point START_TEMPERATURE =
            temperature("start-temperature", "Hold, temperature at the start", "At the same moment as the pressure.");
    static final Point HOLD_TIME = Point.quantity(
                    "tightness.hold-time",
                    Scope.LINE_SET,
                    Dimension.DURATION,
                    "Hold, how long",
                    "From the first reading to the last.",
                    60,
                    31 * 86_400)
            .with(InstrumentKind.CLOCK)
            .dueAt(Stage.WITNESS);
    static final Point END_PRESSURE =
            pressure("end-pressure", "Hold, pressure at the end", "With the same gauge, before anything is opened.");
    static final Point END_TEMPERATURE = temperature(
            "end-temperature", "Hold, temperature at the end", "At the same place and moment as the pressure.");
    static final Point PRESSURE_LOG = Point.curve(
                    "tightness.pressure-log",
                    Scope.LINE_SET,
                    Dimension.GAUGE_PRESSURE,
                    "Hold, pressure logged",
                    "From a logger. With it and a temperature, start and end need not be read.",
                    LEAST_PRESSURE,
                    MOST_PRESSURE)
            .with(InstrumentKind.GAUGE)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point TEMPERATURE_LOG = Point.curve(
                    "tightness.temperature-log",
                    Scope.LINE_SET,
                    Dimension.TEMPERATURE,
                    "Hold, temperature logged",
                    "Of the same time, from the same logger where it has both.",
                    COLD,
                    HOT)
            .with(InstrumentKind.THERMOMETER)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point MARKS = Point.list(
                    "tightness.marks",
                    Scope.LINE_SET,
                    "Done meanwhile",
                    "When nitrogen came in, joints were soaped, a valve was opened: counted from the pressure's first sample.",
                    Marks.NOTATION)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point PRESSURE_READINGS = Point.list(
                    "tightness.pressure-readings",
                    Scope.LINE_SET,
                    "Hold, pressure by hand",
                    "Time and pressure as they were written down.",
                    WrittenCurve.notation(Dimension.GAUGE_PRESSURE))
            .with(InstrumentKind.GAUGE)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point TEMPERATURE_READINGS = Point.list(
                    "tightness.temperature-readings",
                    Scope.LINE_SET,
                    "Hold, temperature by hand",
                    "Time and temperature as they were written down.",
                    WrittenCurve.notation(Dimension.TEMPERATURE))
            .with(InstrumentKind.THERMOMETER)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Option SOAP = Option.of("soap-solution", "soap solution");
    static final Option DETECTOR = Option.of("detector", "electronic detector");
    static final Option TRACED = Option.of("tracer-detector", "tracer gas detector");
    static final Option NONE = Option.of("none", "none");
    static final Point SEARCH = choice(
            "search",
            Scope.LINE_SET,
            "Leak search, by",
            "Round every joint while it is under pressure. An electronic detector for refrigerant finds no nitrogen.",
            SOAP,
            DETECTOR,
            TRACED,
            NONE);
    static final Point SPEED = Point.quantity(
                    "tightness.detector-speed",
                    Scope.LINE_SET,
                    Dimension.VELOCITY,
                    "Detector, speed of its tip",
                    "Length of tube over time.",
                    0.001,
                    1)
            .readIn("in/s", "mm/s", "cm/s")
            .onlyWhere(SEARCH, DETECTOR, TRACED)
            .dueAt(Stage.WITNESS);
    static final Point DISTANCE = Point.quantity(
                    "tightness.detector-distance",
                    Scope.LINE_SET,
                    Dimension.LENGTH,
                    "Detector, distance of its tip from the tube",
                    "The farthest it was held.",
                    0,
                    0.5)
            .with(InstrumentKind.TAPE)
            .onlyWhere(SEARCH, DETECTOR, TRACED)
            .dueAt(Stage.WITNESS);
    static final Point CORES = choice(
            "cores",
            Scope.LINE_SET,
            "Service ports and valve cores",
            "Searched too, with their caps off, then capped.",
            Option.of("tight", "searched, tight"),
            Option.of("leak-found", "leak found"),
            Option.of("not-searched", "not searched"));
    static final Option DRY = Option.of("dry", "no bubbles, no signal");
    static final Option BUBBLES = Option.of("bubbles", "bubbles or a signal");
    static final Option NOT_SEARCHED = Option.of("not-searched", "not searched");
    static final Point JOINT =
            choice("joint", Scope.JOINT, "Leak search at this joint", "Twice round it.", DRY, BUBBLES, NOT_SEARCHED);

    static List<Point> all() {
        return List.of(
                GAS,
                REGULATOR,
                VALVES_SHUT,
                STAGES,
                STRENGTH,
                TestVolume.READ,
                TEMPERATURE_OF,
                START_PRESSURE,
                START_TEMPERATURE,
                HOLD_TIME,
                END_PRESSURE,
                END_TEMPERATURE,
                PRESSURE_LOG,
                TEMPERATURE_LOG,
                MARKS,
                PRESSURE_READINGS,
                TEMPERATURE_READINGS,
                SEARCH,
                SPEED,
                DISTANCE,
                CORES,
                JOINT);
    }
}
