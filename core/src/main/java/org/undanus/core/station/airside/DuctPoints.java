package org.undanus.core.station.airside;

import java.util.List;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of a duct system. */
final class DuctPoints {
    private DuctPoints() {}

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("airside." + name, Scope.DUCT_SYSTEM, dimension, title, how, least, most);
    }

    private static Point taped(String name, String title, String how, double least, double most) {
        return measured(name, Dimension.LENGTH, title, how, least, most).with(InstrumentKind.TAPE);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("airside." + name, Scope.DUCT_SYSTEM, title, how);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("airside." + name, Scope.DUCT_SYSTEM, title, how, List.of(options));
    }

    static final Point FILTER_WIDTH = taped("filter-width", "Filter, width", "Face size as printed or taped.", 0.1, 2);
    static final Point FILTER_HEIGHT =
            taped("filter-height", "Filter, height", "Face size as printed or taped.", 0.1, 2);
    static final Point FILTER_FITS =
            seen("filter-fits", "Filter fills its frame", "No gap beside it through which air passes unfiltered.");
    static final Point FILTER_DIRECTION =
            seen("filter-direction", "Filter arrow with the air", "The arrow on its frame points to the fan.");
    static final Point FILTER_CLEAN =
            seen("filter-clean", "Filter clean", "Hold it to the light, and keep a photo of it as found.");
    static final Point JOINTS_PERMANENT = choice(
                    "joints-permanent",
                    "Duct joints",
                    "How the joints that stay closed are sealed.",
                    Option.of("mastic", "mastic"),
                    Option.of("listed-tape", "listed tape"),
                    Option.of("cloth-tape", "cloth tape"),
                    Option.of("open", "open"))
            .dueAt(Stage.BEFORE_COVER);
    static final Point JOINTS_REMOVABLE = choice(
            "joints-removable",
            "Joints of panels that come off",
            "Filter doors, coil and fan panels.",
            Option.of("gasket-or-tape", "gasket or tape"),
            Option.of("mastic", "mastic"),
            Option.of("open", "open"));
    static final Point HOLES_PLUGGED =
            seen("holes-plugged", "Test holes plugged", "Every hole drilled for a reading has its plug.");
    static final Point CABLES_SEALED =
            seen("cables-sealed", "Cable entries sealed", "Where wires enter the cabinet or duct.");
    static final Point CABINET_TIGHT = seen(
            "cabinet-tight",
            "No humid air drawn into the cabinet",
            "Feel round panels and seams with the fan on, or use a smoke pencil.");
    static final Point PORTS_CLOSED =
            seen("ports-closed", "Test ports closed again", "After the last reading of this visit.");
    static final Point DUCT_INSULATION = taped(
                    "duct-insulation",
                    "Duct insulation, thickness",
                    "Of supply duct outside the conditioned space, not pressed.",
                    0,
                    0.3)
            .dueAt(Stage.BEFORE_COVER);
    static final Point INSULATION_CONDUCTIVITY = measured(
                    "duct-insulation-conductivity",
                    Dimension.THERMAL_CONDUCTIVITY,
                    "Duct insulation, conductivity",
                    "Printed on it. Left open, the rule book's figure is taken.",
                    0.015,
                    0.2)
            .asOptional();
    static final Point SURFACE = measured(
                    "surface-temperature",
                    Dimension.TEMPERATURE,
                    "Coldest metal outside, temperature",
                    "On duct or cabinet where it feels coldest. Left open, it is computed from the supply air and insulation.",
                    263,
                    323)
            .with(InstrumentKind.THERMOMETER)
            .asOptional();
    static final Point AROUND_TEMPERATURE = measured(
                    "around-temperature",
                    Dimension.TEMPERATURE,
                    "Air about the ducts, dry bulb",
                    "Where they are coldest.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER);
    static final Point AROUND_HUMIDITY = measured(
                    "around-humidity",
                    Dimension.RATIO,
                    "Air about the ducts, relative humidity",
                    "Same place and moment.",
                    0.02,
                    1)
            .with(InstrumentKind.HYGROMETER);
    static final Point HANGERS = measured(
            "hangers", Dimension.COUNT, "Hanger rods of the unit", "Count those that carry. 0 where it stands.", 0, 20);
    static final Point ROD_LOAD = measured(
                    "rod-load",
                    Dimension.FORCE,
                    "Safe load of one rod",
                    "From its size and anchor's sheet, the weaker of the two.",
                    50,
                    50_000)
            .asOptional();
    static final Point PADS = seen("vibration-pads", "Pads against vibration", "Under the unit or in its hangers.");
    static final Point FLEX_PRESENT = seen("flexible", "Flexible duct", "Whether any of it is flexible duct.");
    static final Point FLEX_STRETCHED = seen(
                    "flexible-stretched", "Flexible duct stretched", "Pulled to its full length, surplus cut off.")
            .onlyWhere(FLEX_PRESENT, "yes")
            .hiddenLater();
    static final Point FLEX_DIAMETER = taped(
                    "flexible-diameter", "Flexible duct, diameter", "Inside, of the tightest bend.", 0.08, 0.6)
            .onlyWhere(FLEX_PRESENT, "yes");
    static final Point FLEX_RADIUS = taped(
                    "flexible-radius", "Flexible duct, tightest bend", "Radius to the middle of the duct.", 0.02, 3)
            .onlyWhere(FLEX_PRESENT, "yes")
            .hiddenLater();
    static final Point FLEX_SPACING = taped(
                    "flexible-spacing",
                    "Flexible duct, supports farthest apart",
                    "Longest distance between two straps.",
                    0.1,
                    8)
            .onlyWhere(FLEX_PRESENT, "yes")
            .hiddenLater();
    static final Point FIRE_RATED = seen(
            "fire-rated", "Ducts pass a fire-rated wall or ceiling", "From the building's drawings, not by its looks.");
    static final Point LEAK_FLOW = measured(
                    "leak-flow",
                    Dimension.VOLUME_FLOW,
                    "Duct leakage test, flow",
                    "With every outlet sealed, at the pressure below. Only where the programme tests it.",
                    0.0005,
                    2)
            .with(InstrumentKind.FLOW_HOOD)
            .asOptional();
    static final Point LEAK_PRESSURE = measured(
                    "leak-pressure",
                    Dimension.PRESSURE_DIFFERENCE,
                    "Duct leakage test, pressure",
                    "Between ducts and room during the test.",
                    5,
                    300)
            .with(InstrumentKind.MANOMETER)
            .asOptional();
    static final Point SERVED_AREA = measured(
                    "served-area", Dimension.AREA, "Floor area served", "Of all rooms these ducts lead to.", 5, 3000)
            .asOptional();

    static List<Point> all() {
        return List.of(
                AirPoints.STATIC_RETURN,
                AirPoints.STATIC_FILTERED,
                AirPoints.STATIC_COIL,
                AirPoints.STATIC_SUPPLY,
                AirPoints.HEATER_VOLTAGE,
                AirPoints.HEATER_CURRENT,
                AirPoints.HEATER_RISE,
                AirPoints.DUCT_WIDTH,
                AirPoints.DUCT_HEIGHT,
                AirPoints.GRID_RULE,
                AirPoints.GRID,
                FILTER_WIDTH,
                FILTER_HEIGHT,
                FILTER_FITS,
                FILTER_DIRECTION,
                FILTER_CLEAN,
                JOINTS_PERMANENT,
                JOINTS_REMOVABLE,
                HOLES_PLUGGED,
                CABLES_SEALED,
                CABINET_TIGHT,
                PORTS_CLOSED,
                DUCT_INSULATION,
                INSULATION_CONDUCTIVITY,
                SURFACE,
                AROUND_TEMPERATURE,
                AROUND_HUMIDITY,
                HANGERS,
                ROD_LOAD,
                PADS,
                FLEX_PRESENT,
                FLEX_STRETCHED,
                FLEX_DIAMETER,
                FLEX_RADIUS,
                FLEX_SPACING,
                FIRE_RATED,
                LEAK_FLOW,
                LEAK_PRESSURE,
                SERVED_AREA);
    }
}
