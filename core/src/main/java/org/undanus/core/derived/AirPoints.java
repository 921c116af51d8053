package org.undanus.core.derived;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.quantity.Dimension;

/** What is read of air and asked at several stations. */
public final class AirPoints {
    private AirPoints() {}

    private static final String MOVING = "Fans start without warning: keep hands, sleeves and leads clear.";
    private static final String LIVE =
            "Live parts: only a qualified person opens the cover, with protective equipment.";

    public static final Point OUTDOOR = Point.quantity(
                    "running.outdoor-dry-bulb",
                    Scope.REFRIGERANT_SYSTEM,
                    Dimension.TEMPERATURE,
                    "Outdoor air, entering the unit",
                    "In the shade, where air enters the outdoor coil.",
                    223,
                    333)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING);
    public static final Point OUTDOOR_LEAVING = Point.quantity(
                    "running.outdoor-leaving",
                    Scope.OUTDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Air that leaves the outdoor coil",
                    "In the stream, a hand's breadth from the grille.",
                    213,
                    353)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .asOptional()
            .during(OperationPoints.MODE);
    public static final Point RETURN_DRY_BULB = Point.quantity(
                    "running.return-dry-bulb",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Return air, dry bulb",
                    "In the return stream, close to the coil.",
                    263,
                    323)
            .with(InstrumentKind.THERMOMETER)
            .called("return", "dry bulb")
            .during(OperationPoints.MODE);
    public static final Point RETURN_WET_BULB = Point.quantity(
                    "running.return-wet-bulb",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Return air, wet bulb",
                    "Same place and moment as the dry bulb; sock wet, air moving over it.",
                    263,
                    313)
            .with(InstrumentKind.PSYCHROMETER)
            .called("wet bulb", "return wet")
            .during(OperationPoints.MODE);
    public static final Point SUPPLY_DRY_BULB = Point.quantity(
                    "running.supply-dry-bulb",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, now",
                    "Same place, five minutes after the first; out of sight of the coil.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .called("supply", "supply now")
            .during(OperationPoints.MODE);
    public static final Point SUPPLY_WET_BULB = Point.quantity(
                    "running.supply-wet-bulb",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, wet bulb",
                    "Only where the condensate of today's air is to be known.",
                    253,
                    313)
            .with(InstrumentKind.PSYCHROMETER)
            .withCaution(MOVING)
            .asOptional()
            .called("supply wet")
            .during(OperationPoints.MODE);
    public static final Point HOOD = Point.quantity(
                    "running.airflow",
                    Scope.AIR_UNIT,
                    Dimension.VOLUME_FLOW,
                    "Airflow, if measured",
                    "By flow hood or grid. Left open, the sheet's airflow is taken.",
                    0.01,
                    20)
            .with(InstrumentKind.FLOW_HOOD)
            .asOptional();

    private static Point pressure(String name, String title, String how) {
        return Point.quantity(
                        "airside.static-" + name,
                        Scope.DUCT_SYSTEM,
                        Dimension.PRESSURE_DIFFERENCE,
                        title,
                        how,
                        -600,
                        600)
                .with(InstrumentKind.MANOMETER)
                .withCaution(MOVING);
    }

    public static final Point STATIC_RETURN = pressure(
                    "return",
                    "Static pressure before the filter",
                    "In the return duct against the room; below the room it is negative.")
            .called("return static");
    public static final Point STATIC_FILTERED = pressure(
                    "filtered", "Static pressure after the filter", "Between filter and coil, against the room.")
            .called("static after filter");
    public static final Point STATIC_COIL = pressure(
                    "coil",
                    "Static pressure after the coil",
                    "Between coil and fan where the fan draws, against the room.")
            .called("static after coil");
    public static final Point STATIC_SUPPLY = pressure(
                    "supply",
                    "Static pressure in the supply",
                    "In the supply duct after the cabinet, against the room.")
            .called("supply static");
    public static final Point HEATER_VOLTAGE = Point.quantity(
                    "airside.heater-voltage",
                    Scope.DUCT_SYSTEM,
                    Dimension.VOLTAGE,
                    "Strip heat, voltage",
                    "At the heater's terminals with only the heater and fan on.",
                    80,
                    700)
            .with(InstrumentKind.VOLTMETER)
            .withCaution(LIVE)
            .asOptional();
    public static final Point HEATER_CURRENT = Point.quantity(
                    "airside.heater-current",
                    Scope.DUCT_SYSTEM,
                    Dimension.CURRENT,
                    "Strip heat, current",
                    "Of the heater alone: clamp after the fan's branch.",
                    1,
                    300)
            .with(InstrumentKind.CLAMP_METER)
            .withCaution(LIVE)
            .asOptional();
    public static final Point HEATER_RISE = Point.quantity(
                    "airside.heater-rise",
                    Scope.DUCT_SYSTEM,
                    Dimension.TEMPERATURE_DIFFERENCE,
                    "Strip heat, temperature rise",
                    "Supply minus return, steady, out of sight of the heater.",
                    2,
                    60)
            .with(InstrumentKind.THERMOMETER)
            .asOptional();
    public static final Point DUCT_WIDTH = Point.quantity(
                    "airside.duct-width",
                    Scope.DUCT_SYSTEM,
                    Dimension.LENGTH,
                    "Grid: duct, width inside",
                    "Where the grid is read.",
                    0.1,
                    3)
            .with(InstrumentKind.TAPE)
            .asOptional();
    public static final Point DUCT_HEIGHT = Point.quantity(
                    "airside.duct-height",
                    Scope.DUCT_SYSTEM,
                    Dimension.LENGTH,
                    "Grid: duct, height inside",
                    "Where the grid is read.",
                    0.1,
                    3)
            .with(InstrumentKind.TAPE)
            .asOptional();
    public static final Point GRID_RULE = Point.choice(
                    "airside.grid-rule",
                    Scope.DUCT_SYSTEM,
                    "Grid: rule",
                    "Where the lines lie; the drawing shows the places.",
                    List.of(Airflow.TCHEBYCHEFF, Airflow.EQUAL_AREAS))
            .asOptional();
    public static final Point GRID = Point.list(
                    "airside.grid",
                    Scope.DUCT_SYSTEM,
                    "Grid: readings",
                    "Row by row from the top, the unit first: Pa: 12 14 … Or tap a place on the drawing.",
                    TraverseNotation.GRID)
            .with(InstrumentKind.MANOMETER)
            .asOptional();
}
