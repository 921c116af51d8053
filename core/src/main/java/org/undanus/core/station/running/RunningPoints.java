package org.undanus.core.station.running;

import java.util.List;
import org.undanus.core.derived.Forecast;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.quantity.Dimension;

/** The points read while the machine runs. */
final class RunningPoints {
    private RunningPoints() {}

    private static final String MOVING = "Fans start without warning: keep hands, sleeves and leads clear.";

    static final Point SUPPLY_EARLIER = Point.quantity(
                    "running.supply-earlier",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, five minutes earlier",
                    "First of the two supply readings; leave the thermometer where it is.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .called("first supply", "supply before")
            .during(OperationPoints.MODE);
    static final Point SUPPLY_LOG = Point.curve(
                    "running.supply-log",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply air, logged",
                    "The logger's file up to the second reading, five minutes at least. It says more than two readings do.",
                    253,
                    343)
            .with(InstrumentKind.THERMOMETER)
            .withCaution(MOVING)
            .asOptional()
            .during(OperationPoints.MODE);

    static final Option RUNS = Option.of("runs", "runs as it should");
    static final Option FAULT = Option.of("fault", "does not run");
    static final Option NOT_TODAY = Option.of("not-today", "not possible today");
    static final Option NOT_FITTED = Option.of("not-fitted", "not fitted");

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
            .asOptional()
            .onlyWhere(OperationPoints.HEATS, "yes")
            .during(OperationPoints.MODE);
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
            .asOptional()
            .onlyWhere(OperationPoints.HEATS, "yes")
            .during(OperationPoints.MODE);
    static final Point POWER = Point.quantity(
                    "running.power",
                    Scope.SYSTEM,
                    Dimension.POWER,
                    "Electric power, all of the system",
                    "True power of indoor and outdoor unit together, back-up heat off.",
                    20,
                    200_000)
            .with(InstrumentKind.POWER_METER)
            .withCaution("Live parts: only a qualified person opens the cover, with protective equipment.")
            .asOptional()
            .during(OperationPoints.MODE);
    static final Point STAGES = Point.list(
            "running.stages",
            Scope.OUTDOOR_UNIT,
            "Stages seen",
            "Each by mode, name and what tells it: current at the compressor, or the frequency shown.",
            NamedStages.NOTATION);
    static final Point ZONES = mode(
                    "zones-seen",
                    "All zones at once",
                    "Every zone calls: each gets its air, and nothing trips or whistles.")
            .asOptional();
    static final Point GRILLE = Point.quantity(
                    "running.grille-infrared",
                    Scope.COIL_UNIT,
                    Dimension.TEMPERATURE,
                    "Supply grille, by infrared",
                    "Matt grille or a strip of tape on it, from near, straight on.",
                    253,
                    343)
            .with(InstrumentKind.INFRARED)
            .asOptional()
            .during(OperationPoints.MODE);
    static final Option SPOT_WITHIN = Option.of("within", "within the grille");
    static final Point SPOT = Point.choice(
                    "running.infrared-spot",
                    Scope.COIL_UNIT,
                    "Infrared spot",
                    "Distance divided by the ratio printed on the instrument is its size.",
                    List.of(SPOT_WITHIN, Option.of("over-edge", "over its edge"), Option.of("not-known", "not known")))
            .asOptional();
    static final Point FORECAST = Point.list(
                    "running.forecast",
                    Scope.SYSTEM,
                    "Forecast",
                    "Of the coming days, lowest to highest, where a mode waits for its weather.",
                    Forecast.NOTATION)
            .asOptional();
}
