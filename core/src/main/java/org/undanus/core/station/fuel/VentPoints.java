package org.undanus.core.station.fuel;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
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

    private static Point choice(String name, String title, String how, String... options) {
        return Point.choice("fuel." + name, Scope.VENT, title, how, List.of(options));
    }

    static final Point CATEGORY = choice(
            "vent-category",
            "Vent category",
            "On the appliance's plate: draws or blows, dry or condensing.",
            "I",
            "II",
            "III",
            "IV");
    static final String SINGLE_WALL = "single wall metal";
    static final String DOUBLE_WALL = "double wall, type B";
    static final String STAINLESS = "special stainless";
    static final String PLASTIC = "plastic, listed";
    static final Point MATERIAL =
            choice("vent-material", "Vent material", "Printed on it.", SINGLE_WALL, DOUBLE_WALL, STAINLESS, PLASTIC);
    static final Point PASSES = choice(
                    "vent-passes",
                    "Vent passes through",
                    "All of it between appliance and outdoors.",
                    "the appliance's room only",
                    "attic, closet or closed space")
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
                    "Vent, nearest thing that burns",
                    "From the vent's outside to wood, insulation facing, cloth.",
                    0,
                    3)
            .dueAt(Stage.BEFORE_COVER);
    static final String DIRECT = "direct vent";
    static final String MECHANICAL = "mechanical draft";
    static final String ROOF = "over the roof";
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
    static final Point OPENING_LIES = choice(
                    "vent-opening-lies",
                    "The vent's end lies",
                    "Seen from that opening.",
                    "below it",
                    "beside it",
                    "above it")
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
            "never shared",
            "resized or lined for what stays",
            "left as it was for what stays",
            "nobody knows");
    static final Point DRAFT = measured(
                    "vent-draft",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Draft after ten minutes",
                    "In the vent after the hood; it draws where the reading is negative.",
                    -60,
                    60)
            .with(InstrumentKind.MANOMETER)
            .readIn("-0.02 inwc", "inwc", "Pa")
            .onlyWhere(CATEGORY, "I", "II");
    static final Point NEUTRALISER = choice(
                    "vent-neutraliser",
                    "Condensate neutraliser",
                    "Acid water from a condensing appliance.",
                    "fitted",
                    "not needed, plastic to the sewer",
                    "missing")
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
                NEUTRALISER);
    }
}
