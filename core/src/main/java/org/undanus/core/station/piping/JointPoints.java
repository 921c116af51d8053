package org.undanus.core.station.piping;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** What is read of one joint of a line set. */
final class JointPoints {
    private JointPoints() {}

    static final Option FLARE = Option.of("flare", "flare");
    static final Option BRAZED = Option.of("brazed", "brazed");
    static final Option PRESSED = Option.of("pressed", "pressed");
    private static final String NITROGEN =
            "Nitrogen through a regulator only, at a low flow; hot work away from combustibles, an extinguisher at hand.";

    static final Point KIND = Point.choice(
            "piping.joint-kind",
            Scope.JOINT,
            "Kind of joint",
            "How the tubes are joined.",
            List.of(FLARE, BRAZED, PRESSED));
    static final Point TUBE = Point.quantity(
                    "piping.joint-tube",
                    Scope.JOINT,
                    Dimension.LENGTH,
                    "Tube, outer diameter",
                    "Of the tube joined here.",
                    0.004,
                    0.08)
            .with(InstrumentKind.CALIPER);

    private static Point seen(String name, String title, String how, Option kind) {
        return Point.yesNo("piping.joint-" + name, Scope.JOINT, title, how)
                .onlyWhere(KIND, kind)
                .hiddenLater();
    }

    static final Point SQUARE =
            seen("cut-square", "Cut square", "With a cutter, not a saw; the end square to the tube.", FLARE);
    static final Point DEBURRED = seen(
            "deburred", "Deburred, the end held down", "No burr inside, and no chips fallen into the tube.", FLARE);
    static final Point FACE =
            seen("face-sound", "Flare face sound", "Even and bright, no crack, step or scratch across it.", FLARE);
    static final Point SECOND_SPANNER = seen(
            "second-spanner", "Held with a second spanner", "So that the tube and the valve are not twisted.", FLARE);
    static final Point HEIGHT = Point.quantity(
                    "piping.joint-flare-height",
                    Scope.JOINT,
                    Dimension.LENGTH,
                    "Tube, height over the bar",
                    "How far the tube stood over the flaring bar before it was flared.",
                    0,
                    0.004)
            .with(InstrumentKind.CALIPER)
            .onlyWhere(KIND, FLARE)
            .asOptional();
    static final Point DIAMETER = Point.quantity(
                    "piping.joint-flare-diameter",
                    Scope.JOINT,
                    Dimension.LENGTH,
                    "Flare, outer diameter",
                    "Across the finished flare, before the nut covers it.",
                    0.006,
                    0.03)
            .with(InstrumentKind.CALIPER)
            .onlyWhere(KIND, FLARE)
            .asOptional();
    static final Point TORQUE = Point.quantity(
                    "piping.joint-torque",
                    Scope.JOINT,
                    Dimension.TORQUE,
                    "Torque of the nut",
                    "Set on the torque wrench, or from the record.",
                    2,
                    200)
            .with(InstrumentKind.TORQUE_WRENCH)
            .onlyWhere(KIND, FLARE);
    static final Point SEAT = Point.choice(
                    "piping.joint-seat",
                    Scope.JOINT,
                    "On the seat",
                    "What was put on the flare's seat before it was closed.",
                    List.of(Option.of("nothing", "nothing"), Option.of("oil", "oil"), Option.of("sealant", "sealant")))
            .onlyWhere(KIND, FLARE);
    static final Point NITROGEN_FLOWING = seen(
                    "nitrogen-flowing",
                    "Nitrogen flowing while brazed",
                    "A low flow through the tube from before the torch until it is cool.",
                    BRAZED)
            .withCaution(NITROGEN);
    static final Point VALVE_COOLED = seen(
                    "valve-cooled",
                    "Valve bodies kept cool",
                    "Wet cloth or paste on every valve near the flame.",
                    BRAZED)
            .withCaution(NITROGEN);
    static final Point PRESS_PRESSURE = Point.quantity(
                    "piping.joint-press-pressure",
                    Scope.JOINT,
                    Dimension.GAUGE_PRESSURE,
                    "Fitting, rated pressure",
                    "Marked on the fitting or in its sheet.",
                    5e5,
                    1.2e7)
            .onlyWhere(KIND, PRESSED);
    static final Point PRESS_REFRIGERANT = seen(
            "press-refrigerant",
            "Fitting rated for this refrigerant",
            "Its sheet names the refrigerant on the plate.",
            PRESSED);
    static final Point PRESS_GENERATION = seen(
            "press-generation",
            "Jaw and fitting of one generation",
            "The jaw's marking is among those the fitting's sheet lists.",
            PRESSED);

    static List<Point> all() {
        return List.of(
                KIND,
                TUBE,
                SQUARE,
                DEBURRED,
                FACE,
                SECOND_SPANNER,
                HEIGHT,
                DIAMETER,
                TORQUE,
                SEAT,
                NITROGEN_FLOWING,
                VALVE_COOLED,
                PRESS_PRESSURE,
                PRESS_REFRIGERANT,
                PRESS_GENERATION);
    }
}
