package org.undanus.core.station.running;

import java.util.List;
import org.undanus.core.derived.Forecast;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** The points read while the machine runs. */
final class RunningPoints {
    private RunningPoints() {}

    private static final String MOVING = "Fans start without warning: keep hands, sleeves and leads clear.";

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

    static final String RUNS = "runs as it should";
    static final String FAULT = "does not run";
    static final String NOT_TODAY = "not possible today";
    static final String NOT_FITTED = "not fitted";

    private static Point mode(String name, String title, String how) {
        return Point.choice("running." + name, Scope.SYSTEM, title, how, List.of(RUNS, FAULT, NOT_TODAY, NOT_FITTED));
    }

    static final Point COOLING =
            mode("cooling-seen", "Cooling", "Every stage, named by its current where nothing shows it.");
    static final Point HEATING = mode("heating-seen", "Heating", "By the heat pump or the burner, every stage.");
    static final Point BACKUP =
            mode("backup-seen", "Back-up heat", "Strip heat or burner beside the heat pump, whatever the season.");
    static final Point FAN = mode("fan-seen", "Fan alone", "Each speed that the control offers.");
    static final Point DEFROST = mode("defrost-seen", "Defrost", "Seen by itself, or forced as the maker says.");
    static final Point BEFORE_VALVE = Point.quantity(
                    "running.reversing-before",
                    Scope.OUTDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Suction tube before the reversing valve",
                    "On bare tube, a hand's breadth from the valve.",
                    223,
                    353)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .asOptional();
    static final Point AFTER_VALVE = Point.quantity(
                    "running.reversing-after",
                    Scope.OUTDOOR_UNIT,
                    Dimension.TEMPERATURE,
                    "Suction tube after the reversing valve",
                    "Toward the compressor, a hand's breadth from the valve.",
                    223,
                    353)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .asOptional();
    static final Point FORECAST = Point.list(
                    "running.forecast",
                    Scope.SYSTEM,
                    "Forecast",
                    "Of the coming days, lowest to highest, where a mode waits for its weather.",
                    Forecast.NOTATION)
            .asOptional();
}
