package org.undanus.core.station.charge;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.quantity.Dimension;

/** The points of station 12. */
final class ChargePoints {
    private static final String UNDER_PRESSURE =
            "Liquid refrigerant freezes skin and eyes: goggles and gloves on, and open valves slowly.";
    private static final String BURNS =
            "Flammable refrigerant: no flame or spark near, air the place, use equipment that is made for it.";
    private static final double LEAST_PRESSURE = 0;
    private static final double MOST_PRESSURE = 6e6;
    private static final double COLD = 223;
    private static final double HOT = 423;

    private ChargePoints() {}

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("charge." + name, Scope.OUTDOOR_UNIT, dimension, title, how, least, most);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("charge." + name, Scope.OUTDOOR_UNIT, title, how, List.of(options));
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("charge." + name, Scope.OUTDOOR_UNIT, title, how);
    }

    static final Point RECOVERED = Point.quantity(
                    "charge.recovered",
                    Scope.REPLACEMENT,
                    Dimension.MASS,
                    "Refrigerant recovered from the old system",
                    "By the recovery record; none left in it: 0.",
                    0,
                    100)
            .with(InstrumentKind.SCALE)
            .withCaution(UNDER_PRESSURE);
    static final Point RECOVERED_BY = Point.text(
            "charge.recovered-by",
            Scope.REPLACEMENT,
            "Recovered by, and into which cylinder",
            "Name and licence of whoever did it, and the cylinder's number.");
    static final Option STOOD = Option.of("pressure-stood", "pressure stood");
    static final Option FELL = Option.of("pressure-fell", "pressure fell");
    static final Option NOT_WATCHED = Option.of("not-watched", "not watched");
    static final Point CRACKED = choice(
                    "cracked",
                    "Leak check before the valves are opened",
                    "Opened a quarter turn and shut again, the gauge watched for some minutes.",
                    STOOD,
                    FELL,
                    NOT_WATCHED)
            .withCaution(UNDER_PRESSURE);
    static final Option IN_ORDER = Option.of("liquid-first", "liquid first, then suction, both to the stop");
    static final Option OTHER_ORDER = Option.of("other-order", "both to the stop, in another order");
    static final Option HALF_OPEN = Option.of("half-open", "not to the stop");
    static final Point VALVES = choice(
                    "valves-open",
                    "Service valves opened",
                    "Each to its stop, without force.",
                    IN_ORDER,
                    OTHER_ORDER,
                    HALF_OPEN)
            .withCaution(UNDER_PRESSURE);
    static final Point CAPS =
            seen("caps-on", "Caps on and tight", "Stem caps and port caps with their seals: they are the second seal.");
    static final Option TWICE = Option.of("detector-twice", "electronic detector, twice round each joint");
    static final Option ONCE = Option.of("detector-once", "electronic detector, once");
    static final Option SOAPED = Option.of("soap-solution", "soap solution");
    static final Option NONE = Option.of("not-searched", "not searched");
    static final Point SEARCH = choice(
            "second-search",
            "Second leak search",
            "Under refrigerant, at every joint, port and core.",
            TWICE,
            ONCE,
            SOAPED,
            NONE);
    static final Option AT_REST = Option.of("at-rest", "at rest");
    static final Option HEATING = Option.of("heating", "running in heating");
    static final Option COOLING = Option.of("cooling", "running in cooling");
    static final Point SEARCH_STATE = choice(
            "search-state",
            "Machine during the search",
            "The pressure that pushes refrigerant out depends on it.",
            AT_REST,
            HEATING,
            COOLING);
    static final Point SEARCH_AIR = measured(
                    "search-air",
                    Dimension.TEMPERATURE,
                    "Air at the joints during the search",
                    "Outdoors in the shade.",
                    COLD,
                    333)
            .with(InstrumentKind.THERMOMETER);
    static final Option DRY = Option.of("nothing-found", "nothing found");
    static final Option LEAKS = Option.of("leak-found", "leak found");
    static final Point JOINT = Point.choice(
            "charge.joint",
            Scope.JOINT,
            "Joint under refrigerant",
            "Detector or soap, twice, the tip below and along it.",
            List.of(DRY, LEAKS, NONE));
    static final Point REFRIGERANT = Point.openChoice(
                    "charge.refrigerant",
                    Scope.OUTDOOR_UNIT,
                    "Refrigerant in the cylinder",
                    "As the cylinder's label says.")
            .asOptional();
    static final Point TAKEN_OUT = measured(
                    "taken-out",
                    Dimension.MASS,
                    "Refrigerant taken out",
                    "Recovered for shorter lines; none: 0.",
                    0,
                    60)
            .with(InstrumentKind.SCALE)
            .asOptional();
    static final Point CYLINDER_BEFORE = measured(
                    "cylinder-before",
                    Dimension.MASS,
                    "Cylinder before",
                    "On the scale, hose and valve as they stay.",
                    0.5,
                    150)
            .with(InstrumentKind.SCALE)
            .withCaution(BURNS)
            .asOptional();
    static final Point CYLINDER_AFTER = measured(
                    "cylinder-after", Dimension.MASS, "Cylinder after", "The same scale, nothing moved.", 0.5, 150)
            .with(InstrumentKind.SCALE)
            .asOptional();
    static final Point AS_LIQUID = seen(
                    "as-liquid", "Drawn from the cylinder as liquid", "By its dip tube, or the cylinder upside down.")
            .asOptional();
    static final Option INTO_LIQUID = Option.of("liquid-line", "liquid line, machine at rest");
    static final Option THROTTLED = Option.of("suction-throttled", "suction, throttled, far from the compressor");
    static final Option UNTHROTTLED = Option.of("suction-unthrottled", "suction, liquid not throttled");
    static final Option NOT_KNOWN = Option.of("not-known", "not known");
    static final Point ENTERED = choice(
                    "entered",
                    "Charge let in at",
                    "Liquid that reaches the compressor breaks it.",
                    INTO_LIQUID,
                    THROTTLED,
                    UNTHROTTLED,
                    NOT_KNOWN)
            .withCaution(UNDER_PRESSURE)
            .asOptional();
    static final Point LABEL = seen(
            "label",
            "Charge label filled in",
            "Kind, factory charge, added and total, on the unit, to be read for years.");
    static final Option ONE_SPEED = Option.of("one-speed", "one speed or stage");
    static final Option TEST_MODE = Option.of("test-mode", "variable speed, in the maker's test mode");
    static final Option FREE = Option.of("variable", "variable speed, as it likes");
    static final Point COMPRESSOR = choice(
            "compressor-mode",
            "Compressor runs at",
            "What the display or the maker's sheet says.",
            ONE_SPEED,
            TEST_MODE,
            FREE);
    static final Point BAROMETER = Point.quantity(
                    "charge.barometer",
                    Scope.REFRIGERANT_SYSTEM,
                    Dimension.ABSOLUTE_PRESSURE,
                    "Air pressure, measured",
                    "At the place, not brought to sea level. Else that of the height is taken.",
                    5e4,
                    1.1e5)
            .with(InstrumentKind.READ_OFF)
            .readIn("inHg", "kPa abs", "mbar")
            .asOptional();
    static final Point LIQUID_PRESSURE = measured(
                    "liquid-pressure",
                    Dimension.GAUGE_PRESSURE,
                    "Liquid line, pressure",
                    "At the liquid valve's port.",
                    LEAST_PRESSURE,
                    MOST_PRESSURE)
            .with(InstrumentKind.GAUGE)
            .withCaution(UNDER_PRESSURE)
            .called("liquid pressure", "high side")
            .during(OperationPoints.MODE);
    static final Point LIQUID_TEMPERATURE = measured(
                    "liquid-temperature",
                    Dimension.TEMPERATURE,
                    "Liquid line, temperature",
                    "On bare tube beside that port.",
                    COLD,
                    HOT)
            .with(InstrumentKind.THERMOMETER)
            .called("liquid temperature", "liquid line")
            .during(OperationPoints.MODE);
    static final Point SUCTION_PRESSURE = measured(
                    "suction-pressure",
                    Dimension.GAUGE_PRESSURE,
                    "Suction line, pressure",
                    "At the suction valve's port.",
                    LEAST_PRESSURE,
                    MOST_PRESSURE)
            .with(InstrumentKind.GAUGE)
            .withCaution(UNDER_PRESSURE)
            .called("suction pressure", "low side")
            .during(OperationPoints.MODE);
    static final Point SUCTION_TEMPERATURE = measured(
                    "suction-temperature",
                    Dimension.TEMPERATURE,
                    "Suction line, temperature",
                    "On bare tube beside that port, on top of the tube.",
                    COLD,
                    HOT)
            .with(InstrumentKind.THERMOMETER)
            .called("suction temperature", "suction line")
            .during(OperationPoints.MODE);
    static final Option WRAPPED = Option.of("wrapped", "clamped on bare tube and wrapped");
    static final Option BARE = Option.of("bare", "on the tube, not wrapped");
    static final Point SENSOR =
            choice("sensor", "Pipe thermometers", "Air beside an unwrapped sensor is read with it.", WRAPPED, BARE);
    static final Point DISCHARGE_TEMPERATURE = measured(
                    "discharge-temperature",
                    Dimension.TEMPERATURE,
                    "Discharge line, temperature",
                    "A hand's breadth from the compressor; hot.",
                    COLD,
                    423)
            .with(InstrumentKind.THERMOMETER)
            .withCaution("The discharge line burns skin.")
            .asOptional()
            .during(OperationPoints.MODE);
    static final Point DRIER_DROP = measured(
                    "drier-drop",
                    Dimension.TEMPERATURE_DIFFERENCE,
                    "Temperature drop across the drier",
                    "The same thermometer before and after it.",
                    -2,
                    40)
            .with(InstrumentKind.THERMOMETER)
            .asOptional()
            .during(OperationPoints.MODE);
    static final Point REST_PRESSURE = measured(
                    "rest-pressure",
                    Dimension.GAUGE_PRESSURE,
                    "Pressure at rest",
                    "Hours after it last ran, all of it as warm as the air.",
                    LEAST_PRESSURE,
                    MOST_PRESSURE)
            .with(InstrumentKind.GAUGE)
            .asOptional();
    static final Point REST_TEMPERATURE = measured(
                    "rest-temperature",
                    Dimension.TEMPERATURE,
                    "Temperature at rest",
                    "On the outdoor coil, at the same moment.",
                    COLD,
                    333)
            .with(InstrumentKind.THERMOMETER)
            .asOptional();
}
