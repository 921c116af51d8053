package org.undanus.core.station.running;

import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** The points read while the machine runs. */
final class RunningPoints {
    private RunningPoints() {}

    private static final String MOVING = "Fans start without warning: keep hands, sleeves and leads clear.";

    static final Point OUTDOOR = Point.quantity(
                    "running.outdoor-dry-bulb",
                    Scope.SYSTEM,
                    Dimension.TEMPERATURE,
                    "Outdoor air, entering the unit",
                    "In the shade, where air enters the outdoor coil.",
                    223,
                    333)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING);
    static final Point RETURN_DRY_BULB = Point.quantity(
                    "running.return-dry-bulb",
                    Scope.INDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Return air, dry bulb",
                    "In the return stream, close to the coil.",
                    263,
                    323)
            .with(InstrumentKind.THERMOMETER)
            .called("return", "dry bulb");
    static final Point RETURN_WET_BULB = Point.quantity(
                    "running.return-wet-bulb",
                    Scope.INDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Return air, wet bulb",
                    "Same place and moment as the dry bulb; sock wet, air moving over it.",
                    263,
                    313)
            .with(InstrumentKind.PSYCHROMETER)
            .called("wet bulb", "return wet");
    static final Point SUPPLY_EARLIER = Point.quantity(
                    "running.supply-earlier",
                    Scope.INDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, five minutes earlier",
                    "First of the two supply readings; leave the thermometer where it is.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .called("first supply", "supply before");
    static final Point SUPPLY_LOG = Point.curve(
                    "running.supply-log",
                    Scope.INDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, logged",
                    "The logger's file up to the second reading, five minutes at least. It says more than two readings do.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .asOptional();
    static final Point SUPPLY_DRY_BULB = Point.quantity(
                    "running.supply-dry-bulb",
                    Scope.INDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, now",
                    "Same place, five minutes after the first; out of sight of the coil.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .called("supply", "supply now");
    static final Point AIRFLOW = Point.quantity(
                    "running.airflow",
                    Scope.INDOOR_UNIT,
                    Dimension.VOLUME_FLOW,
                    "Airflow, if measured",
                    "By flow hood or grid. Left open, the sheet's airflow is taken.",
                    0.01,
                    20)
            .with(InstrumentKind.FLOW_HOOD)
            .asOptional();
}
