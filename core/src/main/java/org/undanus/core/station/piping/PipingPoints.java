package org.undanus.core.station.piping;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of a line set. */
final class PipingPoints {
    private PipingPoints() {}

    private static final Option[] PORTS = Stream.of("A", "B", "C", "D", "E", "F", "G", "H")
            .map(letter -> Option.of(letter, letter))
            .toArray(Option[]::new);

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("piping." + name, Scope.LINE_SET, dimension, title, how, least, most);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("piping." + name, Scope.LINE_SET, title, how);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("piping." + name, Scope.LINE_SET, title, how, List.of(options));
    }

    static final Point CONDUCTIVITY = measured(
                    "insulation-conductivity",
                    Dimension.THERMAL_CONDUCTIVITY,
                    "Conductivity of the insulation",
                    "Printed on it or on its sheet. Left open, the rule book's figure is taken.",
                    0.015,
                    0.2)
            .asOptional();
    static final Point AIR_TEMPERATURE = measured(
                    "air-temperature",
                    Dimension.TEMPERATURE,
                    "Air along the lines, dry bulb",
                    "Where it is most humid. Only needed where the rule book has no design weather, or today is worse.",
                    253,
                    333)
            .with(InstrumentKind.THERMOMETER)
            .asOptional();
    static final Point AIR_HUMIDITY = measured(
                    "air-humidity",
                    Dimension.RATIO,
                    "Air along the lines, relative humidity",
                    "Same place and moment.",
                    0.05,
                    1)
            .with(InstrumentKind.HYGROMETER)
            .asOptional();
    static final Point BEND_RADIUS = measured(
                    "bend-radius",
                    Dimension.LENGTH,
                    "Tightest bend, radius",
                    "To the middle of the tube, of the larger line.",
                    0.01,
                    1)
            .with(InstrumentKind.TAPE)
            .hiddenLater();
    static final Point FLATTENED = measured(
                    "flattened-width",
                    Dimension.LENGTH,
                    "Worst bend, narrowest across",
                    "Caliper across the suction line where it is flattest.",
                    0.003,
                    0.08)
            .with(InstrumentKind.CALIPER)
            .hiddenLater();
    static final Point SUPPORT_SPACING = measured(
                    "support-spacing",
                    Dimension.LENGTH,
                    "Supports, farthest apart",
                    "Between two clips or hangers, the longest distance.",
                    0.1,
                    10)
            .with(InstrumentKind.TAPE)
            .dueAt(Stage.BEFORE_COVER);
    static final Point INSULATION_WHOLE = seen(
                    "insulation-whole",
                    "Both lines insulated along all",
                    "Each line in its own insulation, nowhere pressed flat or split.")
            .dueAt(Stage.BEFORE_COVER);
    static final Point JOINTS_INSULATED = seen(
            "joints-insulated",
            "Joints insulated and sealed",
            "Insulation closed and glued or taped over every flare, joint and service valve, after the leak test.");
    static final Point SUN_PROTECTED = seen(
            "sun-protected", "Insulation outdoors protected from sunlight", "By cover, paint or jacket made for it.");
    static final Point GROMMETS =
            seen("grommets", "Grommets where lines enter cabinets", "No tube rests on a metal edge, at either unit.");
    static final Point SLEEVED = seen(
                    "sleeved",
                    "Sleeves through masonry and joists",
                    "Nothing that corrodes copper or wears it touches the tube: mortar, nails, straps.")
            .hiddenLater();
    static final Point DRIER = choice(
            "drier",
            "Filter drier",
            "In the liquid line, where the sheet, a burnt-out compressor or re-used lines ask for one.",
            Option.of("fitted", "fitted"),
            Option.of("not-asked-for", "not asked for"),
            Option.of("missing", "missing"));
    static final Point DRIER_DIRECTION = choice(
                    "drier-direction",
                    "Filter drier, direction",
                    "The arrow follows the liquid in cooling; a heat pump has one made for both ways.",
                    Option.of("with", "with the flow"),
                    Option.of("both-ways", "both ways"),
                    Option.of("against", "against the flow"))
            .onlyWhere(DRIER, "fitted");
    static final Point DRIER_PROTECTED = seen(
                    "drier-protected",
                    "Filter drier kept from rust",
                    "Painted, wrapped or covered; its shell is steel.")
            .onlyWhere(DRIER, "fitted");
    static final Point METERING_CHANGED = choice(
            "metering-changed",
            "Metering piece at the outdoor valve",
            "Whether the piece in the liquid valve was changed to suit the indoor coil.",
            Option.of("as-supplied", "as supplied"),
            Option.of("changed", "changed"),
            Option.of("none-there", "none there"));
    static final Point METERING_SIZE = measured(
                    "metering-size",
                    Dimension.LENGTH,
                    "Changed metering piece, size",
                    "Stamped on it; from the bag it came in where it is fitted already.",
                    0.0005,
                    0.006)
            .with(InstrumentKind.READ_OFF)
            .onlyWhere(METERING_CHANGED, "changed");
    static final Point METERING_DIRECTION = choice(
                    "metering-direction",
                    "Changed metering piece, direction",
                    "As the drawing in the valve's instructions shows it.",
                    Option.of("as-drawn", "as drawn"),
                    Option.of("reversed", "reversed"))
            .onlyWhere(METERING_CHANGED, "changed")
            .withCaution("Refrigerant under pressure: nobody opens the valve body before its circuit is empty.");
    static final Point COMPOUND = choice(
                    "joint-compound",
                    "Sealing compound",
                    "Compound used on threads or seats at the valve.",
                    Option.of("none", "none"),
                    Option.of("rated-thread", "rated, on the thread only"),
                    Option.of("rated-seat", "rated, on the seat too"),
                    Option.of("not-rated", "not rated for refrigerant"))
            .onlyWhere(METERING_CHANGED, "changed");
    static final Point TUBE_PORT = choice(
                    "tube-port",
                    "Port its tubes are on",
                    "The letter at the outdoor unit or branch box where these tubes end.",
                    PORTS)
            .asOptional()
            .called("tube port");
    static final Point CABLE_PORT = choice(
                    "cable-port",
                    "Port its cable is on",
                    "The letter of the terminals where this indoor unit's cable ends.",
                    PORTS)
            .asOptional()
            .called("cable port");

    static List<Point> all() {
        return List.of(
                LinePoints.RUN,
                LinePoints.LIQUID,
                LinePoints.SUCTION,
                CONDUCTIVITY,
                AIR_TEMPERATURE,
                AIR_HUMIDITY,
                BEND_RADIUS,
                FLATTENED,
                SUPPORT_SPACING,
                INSULATION_WHOLE,
                JOINTS_INSULATED,
                SUN_PROTECTED,
                GROMMETS,
                SLEEVED,
                DRIER,
                DRIER_DIRECTION,
                DRIER_PROTECTED,
                METERING_CHANGED,
                METERING_SIZE,
                METERING_DIRECTION,
                COMPOUND,
                TUBE_PORT,
                CABLE_PORT);
    }
}
