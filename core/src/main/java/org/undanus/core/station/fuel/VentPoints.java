package org.undanus.core.station.fuel;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of a vent. */
final class VentPoints {
    private VentPoints() {}

    private static final String LADDER = "Ladder on firm, level ground; nobody below.";

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("fuel." + name, Scope.VENT, dimension, title, how, least, most);
    }

    private static Point taped(String name, String title, String how, double least, double most) {
        return measured(name, Dimension.LENGTH, title, how, least, most).with(InstrumentKind.TAPE);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("fuel." + name, Scope.VENT, title, how, List.of(options));
    }

    static final Point CATEGORY = choice(
            "vent-category",
            "Vent category",
            "On the appliance's nameplate: vent category I, II, III or IV.",
            Option.of("I", "I"),
            Option.of("II", "II"),
            Option.of("III", "III"),
            Option.of("IV", "IV"));
    static final Option SINGLE_WALL = Option.of("single-wall", "single wall metal");
    static final Option DOUBLE_WALL = Option.of("type-b", "double wall, type B");
    static final Option STAINLESS = Option.of("stainless", "special stainless");
    static final Option PLASTIC = Option.of("plastic", "plastic, listed");
    static final Point MATERIAL =
            choice("vent-material", "Vent material", "Printed on it.", SINGLE_WALL, DOUBLE_WALL, STAINLESS, PLASTIC);
    static final Option OWN_ROOM = Option.of("own-room", "the appliance's room only");
    static final Point PASSES = choice(
                    "vent-passes",
                    "Vent passes through",
                    "All of it between appliance and outdoors.",
                    OWN_ROOM,
                    Option.of("closed-space", "attic, closet or closed space"))
            .dueAt(Stage.BEFORE_COVER);
    static final Point SLOPE = measured(
                    "vent-slope",
                    Dimension.RATIO,
                    "Vent, rise along level parts",
                    "Rising away from the appliance is positive.",
                    -0.1,
                    1)
            .with(InstrumentKind.LEVEL)
            .dueAt(Stage.BEFORE_COVER);
    static final Point SUPPORT = taped(
                    "vent-support", "Vent, supports farthest apart", "Longest distance between two.", 0.1, 6)
            .dueAt(Stage.BEFORE_COVER);
    static final Point CLEARANCE = taped(
                    "vent-clearance",
                    "Vent, clearance to combustibles",
                    "From the vent's outside to wood, insulation facing, cloth.",
                    0,
                    3)
            .dueAt(Stage.BEFORE_COVER);
    static final Option DIRECT = Option.of("direct", "direct vent");
    static final Option MECHANICAL = Option.of("mechanical", "mechanical draft");
    static final Option ROOF = Option.of("roof", "over the roof");
    static final Point ENDS = choice(
            "vent-ends", "Vent ends", "How it is vented where it leaves the building.", DIRECT, MECHANICAL, ROOF);
    static final Point OPENING = taped(
                    "vent-opening",
                    "Vent's end, nearest opening",
                    "Door, window or gravity inlet that can be opened.",
                    0,
                    20)
            .withCaution(LADDER)
            .onlyWhere(ENDS, DIRECT, MECHANICAL);
    static final Option BESIDE = Option.of("beside", "beside it");
    static final Point OPENING_LIES = choice(
                    "vent-opening-lies",
                    "The vent's end lies",
                    "Seen from that opening.",
                    Option.of("below", "below it"),
                    BESIDE,
                    Option.of("above", "above it"))
            .onlyWhere(ENDS, MECHANICAL);
    static final Point INLET = taped(
                    "vent-inlet", "Vent's end, height over a forced air inlet", "Only of an inlet within 3 m.", -5, 20)
            .onlyWhere(ENDS, MECHANICAL)
            .asOptional();
    static final Point GRADE = taped(
                    "vent-grade", "Vent's end, height over grade", "And over snow as it may lie.", 0, 20)
            .onlyWhere(ENDS, DIRECT, MECHANICAL);
    static final Point WALK = taped(
                    "vent-walk", "Vent's end, height over a public walk", "Only where people walk beneath it.", 0, 20)
            .onlyWhere(ENDS, DIRECT, MECHANICAL)
            .asOptional();
    static final Point METER = taped(
                    "vent-meter", "Vent's end, distance to gas meter or regulator", "To the regulator's vent.", 0, 20)
            .onlyWhere(ENDS, DIRECT, MECHANICAL);
    static final Point COMMON = choice(
            "vent-common",
            "Vent shared before",
            "What became of a vent that several appliances had in common.",
            Option.of("never-shared", "never shared"),
            Option.of("resized", "resized or lined for what stays"),
            Option.of("left-as-was", "left as it was for what stays"),
            Option.of("nobody-knows", "nobody knows"));
    static final Point DRAFT = measured(
                    "vent-draft",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Draft after ten minutes",
                    "In the vent after the hood; it draws where the reading is negative.",
                    -60,
                    60)
            .with(InstrumentKind.MANOMETER)
            .readIn("inwc", "Pa")
            .onlyWhere(CATEGORY, "I", "II");
    static final Point SPILLAGE = choice(
                    "vent-spillage",
                    "Spillage at the draft hood",
                    "Worst case: doors and windows shut, exhaust fans and dryer on. After five minutes of firing, mirror or smoke all round the hood.",
                    Option.of("none", "no spillage"),
                    Option.of("spills", "spills"),
                    Option.of("not-done", "not done"))
            .withCaution(FuelPoints.MONOXIDE)
            .onlyWhere(CATEGORY, "I");
    static final Point NEUTRALISER = choice(
                    "vent-neutraliser",
                    "Condensate neutraliser",
                    "Acid water from a condensing appliance.",
                    Option.of("fitted", "fitted"),
                    Option.of("not-needed", "not needed, plastic to the sewer"),
                    Option.of("missing", "missing"))
            .onlyWhere(CATEGORY, "II", "IV");

    static List<Point> all() {
        return List.of(
                CATEGORY,
                MATERIAL,
                PASSES,
                SLOPE,
                SUPPORT,
                CLEARANCE,
                ENDS,
                OPENING,
                OPENING_LIES,
                INLET,
                GRADE,
                WALK,
                METER,
                COMMON,
                DRAFT,
                SPILLAGE,
                NEUTRALISER);
    }
}
