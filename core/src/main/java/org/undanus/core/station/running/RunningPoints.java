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
}
