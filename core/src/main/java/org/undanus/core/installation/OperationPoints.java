package org.undanus.core.installation;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.quantity.Dimension;

/** How the machine was running when it was read. They stand here because several stations ask. */
public final class OperationPoints {
    private OperationPoints() {}

    public static final Option COOLING = Option.of("cooling", "cooling");
    public static final Option HEATING = Option.of("heating", "heating");
    public static final Point MODE = Point.choice(
            "operation.mode",
            Scope.REFRIGERANT_SYSTEM,
            "Mode",
            "What the machine was asked to do.",
            List.of(COOLING, HEATING));
    public static final Point RUN_TIME = Point.quantity(
                    "operation.run-time",
                    Scope.REFRIGERANT_SYSTEM,
                    Dimension.DURATION,
                    "Running without a break for",
                    "Minutes since the compressor started, stage and fan speed unchanged.",
                    0,
                    86_400)
            .with(InstrumentKind.CLOCK)
            .during(MODE);

    public static final Point HEATS = Point.yesNo(
                    "siting.heats-in-winter",
                    Scope.OUTDOOR_UNIT,
                    "Heats in winter",
                    "A heat pump: it sheds ice and defrost water.")
            .called("heat pump");

    /** Those of how it runs. */
    public static List<Point> all() {
        return List.of(MODE, RUN_TIME);
    }
}
