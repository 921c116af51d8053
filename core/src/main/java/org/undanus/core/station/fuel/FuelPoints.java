package org.undanus.core.station.fuel;

import java.util.List;
import org.undanus.core.derived.notation.GasTrain;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** What is read of a unit that burns fuel. */
final class FuelPoints {
    private FuelPoints() {}

    static final String MONOXIDE =
            "Carbon monoxide kills without a smell. Wear an alarm; at a reading over the stop limit leave, ventilate, shut off, call.";
    private static final String GAS = "Gas: no flame, no spark. Smell it, and everybody leaves before anything else.";

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("fuel." + name, Scope.FUEL_UNIT, dimension, title, how, least, most);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("fuel." + name, Scope.FUEL_UNIT, title, how, List.of(options));
    }

    static final Option NATURAL_GAS = Option.of("natural-gas", "natural gas");
    static final Option PROPANE = Option.of("propane", "propane");
    static final Option OTHER_FUEL = Option.of("other", "another fuel");
    static final Point SUPPLIED = fuel("supplied", "Fuel supplied", "What comes from the meter or tank.");
    static final Point SET_FOR =
            fuel("set-for", "Burner set up for", "On the nameplate, or on the label of a conversion.");

    private static Point fuel(String name, String title, String how) {
        return choice(name, title, how, NATURAL_GAS, PROPANE, OTHER_FUEL);
    }

    static final Point INPUT = measured(
                    "plate-input",
                    Dimension.POWER,
                    "Input on the plate",
                    "Of high fire, at sea level unless the plate says otherwise. Left open, the sheet's is taken.",
                    3000,
                    300_000)
            .asOptional()
            .called("plate input");
    static final Point DIAL = measured(
                    "meter-dial",
                    Dimension.VOLUME,
                    "Meter, volume of one revolution",
                    "Printed on the test dial: half, one or two cubic feet, or so many litres.",
                    0.0005,
                    0.3)
            .readIn("ft³", "L")
            .withCaution(GAS);
    static final Point REVOLUTIONS =
            measured("revolutions", Dimension.COUNT, "Meter, revolutions timed", "All other appliances off.", 1, 100);
    static final Point TIME = measured(
                    "clocked-time",
                    Dimension.DURATION,
                    "Meter, time for them",
                    "With the stopwatch here, at high fire after ten minutes.",
                    5,
                    1800)
            .with(InstrumentKind.STOPWATCH)
            .called("clocked");
    static final Point HEATING_VALUE = measured(
            "heating-value",
            Dimension.HEATING_VALUE,
            "Heating value of the gas",
            "From the supplier's bill or site, the gross value.",
            10e6,
            130e6);
    static final Option AS_METERED = Option.of("as-metered", "as metered here");
    static final Point BASIS = choice(
            "heating-basis",
            "Heating value holds for",
            "Some suppliers give it at standard conditions, some for the gas as it comes to this meter.",
            Option.of("standard", "standard conditions"),
            AS_METERED);
    static final Point METER_PRESSURE = measured(
                    "meter-pressure",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Gas pressure at the meter",
                    "Over the air; only for a value at standard conditions.",
                    0,
                    50_000)
            .with(InstrumentKind.MANOMETER)
            .onlyWhere(BASIS, "standard");
    static final Point METER_TEMPERATURE = measured(
                    "meter-temperature",
                    Dimension.TEMPERATURE,
                    "Gas temperature at the meter",
                    "Or of the air about it; only for a value at standard conditions.",
                    233,
                    323)
            .with(InstrumentKind.THERMOMETER)
            .onlyWhere(BASIS, "standard");
    static final Point INLET = measured(
                    "inlet-pressure",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Gas pressure at the inlet, firing",
                    "At the control's inlet tapping, high fire, other appliances on.",
                    100,
                    10_000)
            .with(InstrumentKind.MANOMETER)
            .withCaution(GAS)
            .called("inlet pressure");
    static final Point MANIFOLD = measured(
                    "manifold-pressure",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Manifold pressure, high fire",
                    "At the control's outlet tapping.",
                    50,
                    4000)
            .with(InstrumentKind.MANOMETER)
            .withCaution(GAS)
            .called("manifold");
    static final Point LEAK_TEST = choice(
                    "leak-test",
                    "Gas pipe, leak test",
                    "Soap or detector at every joint under working pressure.",
                    Option.of("no-leak", "no leak"),
                    Option.of("leak-found", "leak found"),
                    Option.of("not-done", "not done"))
            .withCaution(GAS);
    static final Point TRAIN = Point.list(
            "fuel.train",
            Scope.FUEL_UNIT,
            "Gas pipe, part by part with the flow",
            "Valve, union, connector, drip leg, pipe, cabinet where it enters, control.",
            GasTrain.NOTATION);
    static final Option LARGER = Option.of("larger", "larger");
    static final Point PIPE_SIZE = choice(
            "pipe-size",
            "Gas pipe, nominal size",
            "Of the part that feeds this appliance.",
            Option.of("half-inch", "1/2 in"),
            Option.of("three-quarter-inch", "3/4 in"),
            Option.of("one-inch", "1 in"),
            Option.of("one-and-a-quarter-inch", "1-1/4 in"),
            Option.of("one-and-a-half-inch", "1-1/2 in"),
            Option.of("two-inch", "2 in"),
            LARGER);
    static final Option STEEL = Option.of("steel", "steel, schedule 40");
    static final Point PIPE_MATERIAL = choice(
            "pipe-material",
            "Gas pipe, material",
            "Of the part that feeds this appliance.",
            STEEL,
            Option.of("copper", "copper"),
            Option.of("corrugated", "corrugated stainless (CSST)"),
            Option.of("plastic", "polyethylene, buried"));
    static final Point PIPE_LONGEST = measured(
                    "pipe-longest",
                    Dimension.LENGTH,
                    "Gas pipe, meter to the farthest appliance",
                    "Along the pipe. This longest length counts for every part, also for one nearer the meter.",
                    0.3,
                    300)
            .with(InstrumentKind.TAPE)
            .called("longest length");
    static final Point PIPE_LOAD = measured(
                    "pipe-load",
                    Dimension.POWER,
                    "Gas load on this pipe",
                    "Inputs of all appliances that the part feeds, added up.",
                    500,
                    2_000_000)
            .called("connected load");
    static final Point PIPE_SUPPORT = measured(
                    "pipe-support",
                    Dimension.LENGTH,
                    "Gas pipe, supports farthest apart",
                    "Longest distance between two.",
                    0.1,
                    10)
            .with(InstrumentKind.TAPE);
    static final Point SHUT_OFF = measured(
                    "shut-off-distance",
                    Dimension.LENGTH,
                    "Shut-off valve, distance to the appliance",
                    "Along the way a hand takes.",
                    0,
                    20)
            .with(InstrumentKind.TAPE);
    static final Point RISE = measured(
                    "temperature-rise",
                    Dimension.TEMPERATURE_DIFFERENCE,
                    "Temperature rise, high fire",
                    "Supply minus return, steady, out of sight of the heat exchanger.",
                    3,
                    70)
            .with(InstrumentKind.THERMOMETER);
    static final Point FLUE_MONOXIDE = measured(
                    "flue-carbon-monoxide",
                    Dimension.CONCENTRATION,
                    "Carbon monoxide in the flue, as shown",
                    "In undiluted flue gas, after ten minutes of high fire.",
                    0,
                    4000e-6)
            .with(InstrumentKind.GAS_ANALYSER)
            .withCaution(MONOXIDE);
    static final Point FLUE_OXYGEN = measured(
                    "flue-oxygen", Dimension.RATIO, "Oxygen in the flue", "Same place and moment.", 0, 0.21)
            .with(InstrumentKind.OXYGEN_CELL);
    static final Point FLUE_TEMPERATURE = measured(
                    "flue-temperature",
                    Dimension.TEMPERATURE,
                    "Flue gas temperature",
                    "Same place as the oxygen, after ten minutes of high fire.",
                    273,
                    800)
            .with(InstrumentKind.THERMOMETER)
            .called("stack temperature");
    static final Point BURNER_AIR = measured(
                    "burner-air",
                    Dimension.TEMPERATURE,
                    "Combustion air temperature",
                    "Where it enters the burner, or the pipe that brings it.",
                    230,
                    330)
            .with(InstrumentKind.THERMOMETER);
    static final Point LIMIT_SWITCH = choice(
                    "limit-switch",
                    "High limit switch",
                    "Cover the return a little at a time while it fires: the burner must go out. Let it come back by itself.",
                    Option.of("shuts-off", "shuts the burner off"),
                    Option.of("does-not", "does not shut it off"),
                    Option.of("bypassed", "missing or bypassed"),
                    Option.of("not-tested", "not tested"))
            .withCaution("Hot surfaces and moving parts. Never bridge a safety switch.");
    static final Point ROLLOUT_SWITCH = choice(
                    "rollout-switch",
                    "Flame rollout switch",
                    "Power off: it is in place, wired in series, and its circuit opens when it is tripped or unplugged.",
                    Option.of("opens", "in place, opens the circuit"),
                    Option.of("does-not", "does not open the circuit"),
                    Option.of("bypassed", "missing or bypassed"),
                    Option.of("not-fitted", "not made with one"),
                    Option.of("not-tested", "not tested"))
            .withCaution(
                    "A switch that has tripped tells of flames outside: find why before it is reset. Never bridge it.");
    static final Point ROOM_MONOXIDE = measured(
                    "room-carbon-monoxide",
                    Dimension.CONCENTRATION,
                    "Carbon monoxide in the room",
                    "Zero the instrument outdoors; breathing height, while it fires.",
                    0,
                    500e-6)
            .with(InstrumentKind.GAS_ANALYSER)
            .withCaution(MONOXIDE)
            .called("room carbon monoxide", "room CO");
    static final Option ROOM = Option.of("room", "the room's own air");
    static final Option TWO_INDOORS = Option.of("two-indoors", "two openings to other rooms");
    static final Option TWO_VERTICAL = Option.of("two-vertical", "two openings outdoors, direct or vertical ducts");
    static final Option TWO_HORIZONTAL = Option.of("two-horizontal", "two openings outdoors, horizontal ducts");
    static final Option ONE = Option.of("one-outdoors", "one opening outdoors");
    static final Option SEALED = Option.of("sealed", "sealed, own pipe outdoors");
    static final Point AIR_FROM = choice(
            "air-from",
            "Combustion air from",
            "How air comes to every fire in that space.",
            ROOM,
            TWO_INDOORS,
            TWO_VERTICAL,
            TWO_HORIZONTAL,
            ONE,
            SEALED);
    static final Point TOTAL_INPUT = measured(
                    "total-input",
                    Dimension.POWER,
                    "Input of all fires in that space",
                    "All that take air from it together.",
                    1000,
                    1_000_000)
            .onlyWhere(AIR_FROM, ROOM, TWO_INDOORS, TWO_VERTICAL, TWO_HORIZONTAL, ONE);
    static final Point ROOM_VOLUME = measured(
                    "room-volume",
                    Dimension.VOLUME,
                    "Volume of the space",
                    "With rooms that open to it without doors, and those its openings lead to.",
                    2,
                    5000)
            .readIn("ft³", "m³")
            .onlyWhere(AIR_FROM, ROOM, TWO_INDOORS);
    static final Point AIR_CHANGES = measured(
                    "air-changes",
                    Dimension.RATIO,
                    "Share of the air changed each hour",
                    "Only where a test has shown it: 35 % for 0.35 air changes an hour.",
                    0.05,
                    4)
            .onlyWhere(AIR_FROM, ROOM, TWO_INDOORS)
            .asOptional();
    static final Point FAN_ASSISTED = Point.yesNo(
                    "fuel.fan-assisted",
                    Scope.FUEL_UNIT,
                    "Fan-assisted burners, all of them",
                    "An inducer draws the flue gas of every fire in that space. Where one burns without, say no.")
            .onlyWhere(AIR_FROM, ROOM, TWO_INDOORS)
            .asOptional();
    static final Point OPENING = measured(
                    "opening-area",
                    Dimension.AREA,
                    "Opening, gross area of one",
                    "Of the smaller one, frame to frame.",
                    0.001,
                    5)
            .onlyWhere(AIR_FROM, TWO_INDOORS, TWO_VERTICAL, TWO_HORIZONTAL, ONE);
    static final Point LOUVRES = choice(
                    "louvres",
                    "Opening, covered by",
                    "What stands in it.",
                    Option.of("nothing", "nothing"),
                    Option.of("metal-louvres", "metal louvres"),
                    Option.of("wood-louvres", "wood louvres"))
            .onlyWhere(AIR_FROM, TWO_INDOORS, TWO_VERTICAL, TWO_HORIZONTAL, ONE);

    static List<Point> all() {
        return List.of(
                ROOM_MONOXIDE,
                SUPPLIED,
                SET_FOR,
                INPUT,
                DIAL,
                REVOLUTIONS,
                TIME,
                HEATING_VALUE,
                BASIS,
                METER_PRESSURE,
                METER_TEMPERATURE,
                INLET,
                MANIFOLD,
                LEAK_TEST,
                TRAIN,
                PIPE_SIZE,
                PIPE_MATERIAL,
                PIPE_LONGEST,
                PIPE_LOAD,
                PIPE_SUPPORT,
                SHUT_OFF,
                RISE,
                FLUE_MONOXIDE,
                FLUE_OXYGEN,
                FLUE_TEMPERATURE,
                BURNER_AIR,
                LIMIT_SWITCH,
                ROLLOUT_SWITCH,
                AIR_FROM,
                TOTAL_INPUT,
                ROOM_VOLUME,
                AIR_CHANGES,
                FAN_ASSISTED,
                OPENING,
                LOUVRES);
    }
}
