package org.undanus.core.station.condensate;

import java.util.List;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.derived.notation.PumpCurve;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Mounting;
import org.undanus.core.quantity.Dimension;

/** What is read of a drain, and of the water an outdoor unit gives. */
final class DrainPoints {
    private DrainPoints() {}

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("condensate." + name, Scope.DRAIN_RUN, dimension, title, how, least, most);
    }

    private static Point taped(String name, String title, String how, double least, double most) {
        return measured(name, Dimension.LENGTH, title, how, least, most).with(InstrumentKind.TAPE);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("condensate." + name, Scope.DRAIN_RUN, title, how);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("condensate." + name, Scope.DRAIN_RUN, title, how, List.of(options));
    }

    static final Point RUN = Point.list(
                    "condensate.run",
                    Scope.DRAIN_RUN,
                    "Run of the drain, from the unit",
                    "Part by part to its end: lengths with their fall, trap, vent, cleanout, pump. Say insulation and place"
                            + " where they change: attic, insulated 9 mm, bare.",
                    TubeRun.DRAIN)
            .with(InstrumentKind.TAPE)
            .dueAt(Stage.BEFORE_COVER);
    static final Point SIZE = measured(
                    "size",
                    Dimension.LENGTH,
                    "Drain, outer diameter",
                    "At its narrowest; printed on the tube.",
                    0.006,
                    0.1)
            .with(InstrumentKind.CALIPER)
            .called("drain size");
    static final Option DRAWN = Option.of("draw-through", "draw-through");
    static final Option BLOWN = Option.of("blow-through", "blow-through");
    static final Option WALL = Option.of("wall-unit", "wall unit");
    static final Point CABINET = choice(
            "cabinet",
            "Kind of cabinet",
            "Where the fan sits: after the coil it draws through it, before the coil it blows. A small wall unit drains by gravity.",
            DRAWN,
            BLOWN,
            WALL);
    static final Point TRAP_DROP = taped(
                    "trap-drop",
                    "Trap, height from the pan's outlet to the trap's outlet",
                    "From the middle of the pan's outlet down to the lowest edge of the trap's outlet.",
                    0.005,
                    0.5)
            .onlyWhere(CABINET, DRAWN);
    static final Point TRAP_SEAL = taped(
                    "trap-seal",
                    "Trap, depth of its seal",
                    "From the lowest edge of the trap's outlet down to the top of the tube at its bottom.",
                    0.005,
                    0.5)
            .onlyWhere(CABINET, DRAWN);
    static final Point VENTED = seen(
                    "vented", "Vent after the trap", "An open upright after the trap, higher than the pan.")
            .onlyWhere(CABINET, DRAWN);
    static final Point CLEANOUT =
            seen("cleanout", "Cleanout", "A plug or union through which the trap and drain can be cleaned.");
    static final Point UNUSED_PORT = choice(
            "unused-port",
            "Unused drain port",
            "Some pans have two ports; a unit with one has none unused.",
            Option.of("plugged", "plugged"),
            Option.of("none", "none"),
            Option.of("open", "open"));
    static final Point PAN = seen("pan-clean", "Pan clean and falling to its outlet", "No standing water, no slime.");
    static final Point POUR_VOLUME = measured(
                    "pour-volume",
                    Dimension.VOLUME,
                    "Pour test, water poured",
                    "Measured with a jug into the pan. Pour it on steadily.",
                    0.0001,
                    0.03)
            .called("poured");
    static final Point POUR_TIME = measured(
                    "pour-time",
                    Dimension.DURATION,
                    "Pour test, time until clear",
                    "From the first water until the pan is empty again.",
                    2,
                    3600)
            .with(InstrumentKind.STOPWATCH);
    static final Point POUR_CLEARED = seen(
            "pour-cleared", "Pour test, cleared at the end", "Somebody saw the water come out, and nothing leaked.");
    static final Point PUMP = choice(
            "pump",
            "Condensate pump",
            "Whether a pump lifts the water.",
            Option.of("none", "none"),
            Option.of("fitted", "fitted"));
    static final Point PUMP_CURVE = Point.list(
                    "condensate.pump-curve",
                    Scope.DRAIN_RUN,
                    "Pump, flow by lift",
                    "From its label or sheet, at the lifts it gives.",
                    PumpCurve.NOTATION)
            .onlyWhere(PUMP, "fitted");
    static final Point PUMP_LIFT = taped(
                    "pump-lift", "Pump, lift", "From the water in its tank up to the highest place of its hose.", 0, 12)
            .onlyWhere(PUMP, "fitted");
    static final Point PUMP_CUT_OUT = seen(
                    "pump-cut-out",
                    "Pump's own cut-out wired",
                    "Its safety contact is in the machine's control circuit.")
            .onlyWhere(PUMP, "fitted");
    static final Point PUMP_TESTED = seen(
                    "pump-tested", "Pump tested by pouring", "Poured into its tank: it ran, emptied and stopped.")
            .onlyWhere(PUMP, "fitted");
    static final Point WATER_LOOP = seen(
                    "water-loop",
                    "Water loop to be seen",
                    "A clear loop in its hose that holds fresh water: a sign that it runs.")
            .onlyWhere(PUMP, "fitted")
            .asOptional();
    static final Option NOTHING_HARMED = Option.of("nothing", "nothing it harms");
    static final Option VALUABLES = Option.of("valuables", "records or electrical gear");
    static final Point BELOW = choice(
            "below",
            "What a leak would meet",
            "Look at what lies below the unit and its drain.",
            NOTHING_HARMED,
            Option.of("room", "a ceiling or room"),
            VALUABLES);
    static final Option SWITCHED_PAN = Option.of("switched-pan", "pan with float switch");
    static final Option SWITCH = Option.of("float-switch", "float switch");
    static final Option NONE = Option.of("none", "none");
    static final Option DRAINED_PAN = Option.of("pan-with-drain", "pan with drain");
    static final Point SECONDARY = choice(
            "secondary",
            "Secondary overflow protection",
            "What there is against a blocked drain.",
            NONE,
            Option.of("second-drain", "second drain"),
            DRAINED_PAN,
            SWITCHED_PAN,
            SWITCH);
    static final Option COMPRESSOR_ONLY = Option.of("compressor", "compressor only");
    static final Option CONTROL_POWER = Option.of("control-power", "all control power");
    static final Option NOTHING_STOPPED = Option.of("nothing", "nothing");
    static final Point SWITCH_STOPS = choice(
                    "switch-stops",
                    "Float switch lifted: what stopped",
                    "Lift it with the machine running and wait three minutes.",
                    COMPRESSOR_ONLY,
                    CONTROL_POWER,
                    NOTHING_STOPPED)
            .withCaution("Fans start without warning: keep hands, sleeves and leads clear.")
            .onlyWhere(SECONDARY, SWITCHED_PAN, SWITCH);
    static final Point ENDS = choice(
            "ends",
            "Where the drain ends",
            "Follow it to its end.",
            Option.of("gully", "gully or floor drain, air gap"),
            Option.of("outdoors", "outdoors, off every path"),
            Option.of("path", "onto a path or steps"),
            Option.of("wall-or-roof", "onto a wall or roof"),
            Option.of("soil-pipe", "soil pipe without a trap"));
    static final Point END_DISTANCE = taped(
                    "end-distance",
                    "End of the drain, distance from the wall",
                    "Between the mouth and the wall it leaves.",
                    0,
                    20)
            .onlyWhere(ENDS, "outdoors", "path");
    static final Point FREEZING = choice(
            "freezing",
            "Drain where it may freeze",
            "Only a machine that cools or dehumidifies in frost has water then.",
            Option.of("no-water", "no water in frost"),
            Option.of("protected", "protected"),
            Option.of("unprotected", "unprotected"));

    private static Point outdoor(String name, String title, String how, Option... options) {
        return Point.choice("condensate." + name, Scope.OUTDOOR_UNIT, title, how, List.of(options));
    }

    static final Point HEATS =
            Point.yesNo("condensate.outdoor-heats", Scope.OUTDOOR_UNIT, "Heat pump", "It gives meltwater in winter.");
    static final Point BASE_HOLES = Point.yesNo(
                    "condensate.base-holes",
                    Scope.OUTDOOR_UNIT,
                    "Holes in its base open",
                    "All of them free; none closed by pads, leaves or ice.")
            .onlyWhere(HEATS, "yes");
    static final Point MELTWATER = outdoor(
                    "meltwater",
                    "Where its meltwater goes",
                    "Follow it as it would run on a frosty morning.",
                    Option.of("drained", "gravel, soil or a drain"),
                    Option.of("path", "onto a path or steps"),
                    Option.of("stays", "stays below the unit"))
            .onlyWhere(HEATS, "yes");
    static final Point ELBOW = Point.yesNo(
                    "condensate.outdoor-elbow",
                    Scope.OUTDOOR_UNIT,
                    "Drain elbow and hose fitted",
                    "The elbow in its base, the rest of the holes plugged, a hose to a drain.")
            .onlyWhere(UnitPoints.SUPPORT, Mounting.WALL_BRACKET.option());

    static List<Point> all() {
        return List.of(
                RUN,
                SIZE,
                CABINET,
                TRAP_DROP,
                TRAP_SEAL,
                VENTED,
                CLEANOUT,
                UNUSED_PORT,
                PAN,
                POUR_VOLUME,
                POUR_TIME,
                POUR_CLEARED,
                PUMP,
                PUMP_CURVE,
                PUMP_LIFT,
                PUMP_CUT_OUT,
                PUMP_TESTED,
                WATER_LOOP,
                BELOW,
                SECONDARY,
                SWITCH_STOPS,
                ENDS,
                END_DISTANCE,
                FREEZING,
                HEATS,
                BASE_HOLES,
                MELTWATER,
                ELBOW);
    }
}
