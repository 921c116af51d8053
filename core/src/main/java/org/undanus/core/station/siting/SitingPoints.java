package org.undanus.core.station.siting;

import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.quantity.Dimension;

/** What is read of where units stand, besides the clear distances of their faces. */
final class SitingPoints {
    private SitingPoints() {}

    private static final String OUTSIDE =
            "On a roof or ladder, keep three points of contact and stay clear of the edge.";
    private static final String LADDER = "Ladder on firm, level ground; nobody below.";

    static final Option NO_OTHER_UNIT = Option.of("none", "no other unit near");

    private static Point outdoor(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("siting." + name, Scope.OUTDOOR_UNIT, dimension, title, how, least, most);
    }

    private static Point taped(String name, String title, String how, double most) {
        return outdoor(name, Dimension.LENGTH, title, how, 0, most).with(InstrumentKind.TAPE);
    }

    private static Point seen(String name, Scope scope, String title, String how) {
        return Point.yesNo("siting." + name, scope, title, how);
    }

    static final Point NEIGHBOUR_FACE = Point.choice(
            "siting.neighbour-face",
            Scope.OUTDOOR_UNIT,
            "Side that faces the nearest other unit",
            "The face that looks at the nearest other outdoor unit.",
            List.of(
                    NO_OTHER_UNIT,
                    Option.of("front", "front"),
                    Option.of("back", "back"),
                    Option.of("left", "left"),
                    Option.of("right", "right")));
    static final Point NEIGHBOUR_DISTANCE = taped(
                    "neighbour-distance", "Distance to that unit", "Cabinet to cabinet, at the narrowest.", 30)
            .asOptional()
            .onlyWhere(NEIGHBOUR_FACE, "front", "back", "left", "right");
    static final Point DISCHARGE_FREE = seen(
            "discharge-free",
            Scope.OUTDOOR_UNIT,
            "Discharge blows free",
            "Not into a corner, a neighbour's place or another unit's inlet.");

    static final Point PAD_SOUND = seen(
                    "pad-sound",
                    Scope.OUTDOOR_UNIT,
                    "Pad is sound",
                    "Solid, not sinking, wider than the unit's feet, drained.")
            .onlyWhere(UnitPoints.SUPPORT, Mounting.GROUND_PAD.option());
    static final Point STAND_FIXED = seen(
                    "stand-fixed",
                    Scope.OUTDOOR_UNIT,
                    "Stand is anchored",
                    "Fixed to its footing; the unit bolted to it.")
            .onlyWhere(UnitPoints.SUPPORT, Mounting.RAISED_STAND.option());
    static final Point BRACKET_FIXED = seen(
                    "bracket-fixed",
                    Scope.OUTDOOR_UNIT,
                    "Bracket holds in sound material",
                    "Anchors rated for the wall, in masonry or framing.")
            .withCaution("Do not stand under it or lean on it.")
            .onlyWhere(UnitPoints.SUPPORT, Mounting.WALL_BRACKET.option());
    static final Point SUPPORT_CAPACITY = outdoor(
                    "support-capacity",
                    Dimension.MASS,
                    "Rated load of bracket or stand",
                    "Stamped on it, or in its maker's papers; the pair together.",
                    5,
                    5000)
            .withCaution("Do not stand under it or lean on it.")
            .onlyWhere(UnitPoints.SUPPORT, Mounting.RAISED_STAND.option(), Mounting.WALL_BRACKET.option());
    static final Point BASE_HEIGHT = outdoor(
                    "base-height",
                    Dimension.LENGTH,
                    "Base over the ground",
                    "From the ground about it to the unit's underside, at the lowest. In a hollow, under the ground: negative.",
                    -5,
                    20)
            .with(InstrumentKind.TAPE)
            .withCaution(OUTSIDE)
            .called("height of the base", "base height");
    static final Point HEATS = OperationPoints.HEATS;
    static final Point FLOOD_LEVEL = taped(
                    "flood-level",
                    "Flood level over the ground",
                    "From the authority's flood map; leave open where none is shown.",
                    10)
            .asOptional();
    static final Point BASE_TILT = outdoor(
                    "base-tilt",
                    Dimension.RATIO,
                    "Base, out of level",
                    "Level on the cabinet, along and across; the worse of the two.",
                    0,
                    0.3)
            .with(InstrumentKind.LEVEL)
            .called("tilt", "level");
    static final Point ISOLATOR_COUNT = outdoor(
                    "isolator-count", Dimension.COUNT, "Isolators under the unit", "None: leave open.", 1, 20)
            .asOptional();
    static final Point ISOLATOR_LEAST_LOAD = outdoor(
                    "isolator-least-load",
                    Dimension.MASS,
                    "Least load of one isolator",
                    "Of its rated range.",
                    0.1,
                    2000)
            .asOptional();
    static final Point ISOLATOR_MOST_LOAD = outdoor(
                    "isolator-most-load",
                    Dimension.MASS,
                    "Greatest load of one isolator",
                    "Of its rated range.",
                    0.5,
                    5000)
            .asOptional();
    static final Point ISOLATOR_DEFLECTION = outdoor(
                    "isolator-deflection",
                    Dimension.LENGTH,
                    "Deflection of an isolator under the unit",
                    "Free height less loaded height.",
                    0.0001,
                    0.2)
            .asOptional();
    static final Point WIND_SAFE = seen(
                    "wind-safe",
                    Scope.OUTDOOR_UNIT,
                    "Safe in the wind",
                    "Anchored against the site's wind; the fan does not blow against it.")
            .called("anchored against wind");
    static final Point SALT_AIR = seen(
                    "salt-air", Scope.OUTDOOR_UNIT, "Stands in salt air", "Near the sea, or by a salted road.")
            .called("near the sea");
    static final Point SUN_KEPT_OFF = seen(
                    "sun-kept-off",
                    Scope.OUTDOOR_UNIT,
                    "Not in the full afternoon sun",
                    "Shade that does not narrow its air, or a side away from the sun.")
            .called("shade", "shaded");

    static final Point SOUND_BOUNDARY_DISTANCE = taped(
                    "boundary-distance", "Distance to the boundary", "Shortest, from the cabinet.", 200)
            .asOptional();
    static final Point SOUND_WINDOW_DISTANCE = taped(
                    "window-distance", "Distance to the neighbour's window", "The nearest one, from the cabinet.", 200)
            .asOptional();
    static final Point REFLECTING_WALLS = outdoor(
            "reflecting-walls",
            Dimension.COUNT,
            "Reflecting walls",
            "Large hard faces close beside or behind it: 0 to 3.",
            0,
            3);

    private static Point indoorTape(String name, Scope scope, String title, String how, double most) {
        return Point.quantity("siting." + name, scope, Dimension.LENGTH, title, how, 0, most)
                .with(InstrumentKind.TAPE);
    }

    static final Point THROW = indoorTape(
            "indoor-throw",
            Scope.WALL_UNIT,
            "Free throw",
            "Straight across the room to the first thing in its way.",
            50);
    static final Point HEAT_DISTANCE = indoorTape(
            "heat-distance", Scope.WALL_UNIT, "Distance to heat or steam", "Stove, kettle place, radiator, lamp.", 30);
    static final Point ELECTRONICS_DISTANCE = indoorTape(
            "electronics-distance", Scope.WALL_UNIT, "Distance to electronics", "Screens, receivers, panels.", 30);
    static final Point CURTAIN_DISTANCE = indoorTape(
            "curtain-distance",
            Scope.WALL_UNIT,
            "Distance to curtains",
            "And anything else that burns or flutters.",
            30);
    static final Point NO_VAPOURS = seen(
                    "no-vapours",
                    Scope.INDOOR_UNIT,
                    "No flammable or corrosive vapour",
                    "No solvent, fuel, chlorine or kitchen grease in the room's air.")
            .withCaution("If you smell gas or solvent: no switch, out, and call.");
    static final Point DRAIN_OUTLET = indoorTape(
                    "drain-outlet-height",
                    Scope.SPLIT_UNIT,
                    "Drain outlet, height",
                    "Height of the unit's own drain outlet over a level line.",
                    20)
            .withCaution(LADDER)
            .asOptional();
    static final Point DRAIN_EXIT = indoorTape(
                    "drain-exit-height",
                    Scope.SPLIT_UNIT,
                    "Drain's end, height",
                    "Where it must leave or join, over the same line.",
                    20)
            .asOptional();
    static final Point DRAIN_RUN = indoorTape(
                    "drain-run", Scope.SPLIT_UNIT, "Drain, length between the two", "Along its way.", 100)
            .asOptional();

    static final Option LED_BY_HEATING = Option.of("heating", "heating");
    static final Point ROOM_LED_BY = Point.choice(
                    "siting.room-led-by",
                    Scope.SPLIT_UNIT,
                    "Room needs mostly",
                    "What the load summary says of the room.",
                    List.of(Option.of("cooling", "cooling"), LED_BY_HEATING))
            .asOptional();

    static final Point OPENING_DISTANCE = hazard("opening-distance", "Distance to a door or opening window");
    static final Point VENT_DISTANCE = hazard("vent-distance", "Distance to a vent or flue end");
    static final Point GAS_METER_DISTANCE = hazard("gas-meter-distance", "Distance to a gas meter or regulator");
    static final Point ANTENNA_DISTANCE = hazard("antenna-distance", "Distance to an antenna");

    private static Point hazard(String name, String title) {
        return taped(name, title, "The nearest one, from the cabinet. None on the site: draw the site.", 100);
    }
}
