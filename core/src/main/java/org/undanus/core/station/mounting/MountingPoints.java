package org.undanus.core.station.mounting;

import java.util.List;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** What is read of plate, cabinet, hole and bundle. */
final class MountingPoints {
    private MountingPoints() {}

    private static final String LADDER = "Ladder on firm, level ground; nobody below.";

    static final Point PLATE_TILT = Point.quantity(
                    "mounting.plate-tilt",
                    Scope.SPLIT_UNIT,
                    Dimension.RATIO,
                    "Plate or hangers, out of level",
                    "Level along the plate's upper edge, or across the hangers: millimetres a metre, inches a foot or percent.",
                    0,
                    0.2)
            .with(InstrumentKind.LEVEL)
            .hiddenLater();
    static final Point FIXINGS = Point.quantity(
                    "mounting.fixings",
                    Scope.SPLIT_UNIT,
                    Dimension.COUNT,
                    "Fixings of plate or hangers",
                    "Count those that hold in sound material.",
                    0,
                    40)
            .withCaution(LADDER)
            .hiddenLater();
    static final Point FLAT = Point.yesNo(
                    "mounting.plate-flat",
                    Scope.WALL_UNIT,
                    "Plate lies flat, not bowed",
                    "Sight along it; a bowed plate makes the cabinet hum.")
            .hiddenLater();
    static final Point SOUND_MATERIAL = Point.yesNo(
                    "mounting.sound-material",
                    Scope.SPLIT_UNIT,
                    "Fixed into sound material",
                    "Stud, joist, masonry or anchor rated for the load; not plasterboard alone.")
            .hiddenLater();
    static final Point CABINET_TILT = Point.quantity(
                    "mounting.cabinet-tilt",
                    Scope.SPLIT_UNIT,
                    Dimension.RATIO,
                    "Cabinet, tilt toward the drain",
                    "Level along the cabinet; a tilt away from the drain is negative.",
                    -0.1,
                    0.2)
            .with(InstrumentKind.LEVEL)
            .withCaution(LADDER);

    private static Point hole(String name, String title, String how, double least, double most) {
        return Point.quantity("mounting." + name, Scope.SPLIT_UNIT, Dimension.LENGTH, title, how, least, most)
                .with(InstrumentKind.TAPE);
    }

    static final Point HOLE_DIAMETER = hole(
                    "hole-diameter", "Hole, clear diameter", "Inside the sleeve, at its narrowest.", 0.01, 0.4)
            .hiddenLater();
    static final Point WALL_THICKNESS = hole(
                    "wall-thickness", "Wall thickness at the hole", "Along the hole.", 0.01, 1.5)
            .hiddenLater();
    static final Point INNER_HEIGHT = hole(
                    "hole-inner-height",
                    "Hole, height inside",
                    "From a level line to the hole's lowest edge on the room side.",
                    -1,
                    20)
            .hiddenLater();
    static final Point OUTER_HEIGHT = hole(
                    "hole-outer-height",
                    "Hole, height outside",
                    "From the same level line to the hole's lowest edge outside.",
                    -1,
                    20)
            .withCaution(LADDER)
            .hiddenLater();
    static final Point DRAIN_DIAMETER = hole(
                    "drain-diameter",
                    "Drain in the bundle, outer diameter",
                    "As printed on it or measured. Where the drain goes elsewhere: 0.",
                    0,
                    0.1)
            .with(InstrumentKind.CALIPER)
            .asOptional();
    static final Point CABLE_DIAMETER = hole(
                    "cable-diameter", "Cable in the bundle, outer diameter", "Outer sheath.", 0.002, 0.06)
            .with(InstrumentKind.CALIPER);
    static final Point SECOND_CABLE = hole(
                    "second-cable-diameter",
                    "Second cable in the bundle, outer diameter",
                    "Control beside power: outer sheath. None: leave open.",
                    0,
                    0.06)
            .with(InstrumentKind.CALIPER)
            .asOptional();
    static final Point SLEEVE = Point.yesNo(
                    "mounting.sleeve", Scope.SPLIT_UNIT, "Sleeve through the wall", "A tube lines the hole.")
            .hiddenLater();
    static final Point DRAIN_LOWEST = Point.yesNo(
                    "mounting.drain-lowest",
                    Scope.SPLIT_UNIT,
                    "Drain lowest, cable highest in the bundle",
                    "Look into the hole before it is sealed.")
            .hiddenLater();
    static final Point SEALED_INSIDE =
            Point.yesNo("mounting.sealed-inside", Scope.SPLIT_UNIT, "Hole sealed inside", "Against air and vermin.");
    static final Point SEALED_OUTSIDE = Point.yesNo(
            "mounting.sealed-outside",
            Scope.SPLIT_UNIT,
            "Hole sealed and covered outside",
            "Against weather and vermin, with a cover over the bundle.");
    static final Point FIRE_RATED = Point.yesNo(
                    "mounting.fire-rated",
                    Scope.SPLIT_UNIT,
                    "Wall or ceiling is fire-rated",
                    "From the building's drawings, not by its looks.")
            .hiddenLater();

    static List<Point> all() {
        return List.of(
                PLATE_TILT,
                FIXINGS,
                FLAT,
                SOUND_MATERIAL,
                CABINET_TILT,
                HOLE_DIAMETER,
                WALL_THICKNESS,
                INNER_HEIGHT,
                OUTER_HEIGHT,
                CABLE_DIAMETER,
                SECOND_CABLE,
                DRAIN_DIAMETER,
                LinePoints.INSULATION,
                SLEEVE,
                DRAIN_LOWEST,
                SEALED_INSIDE,
                SEALED_OUTSIDE,
                FIRE_RATED);
    }
}
