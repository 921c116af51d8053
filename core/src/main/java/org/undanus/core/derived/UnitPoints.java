package org.undanus.core.derived;

import java.util.Arrays;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Mounting;
import org.undanus.core.quantity.Dimension;

/** What is read of units and asked at several stations. */
public final class UnitPoints {
    private UnitPoints() {}

    public static final Point SUPPORT = Point.choice(
            "siting.support",
            Scope.OUTDOOR_UNIT,
            "Stands on",
            "What carries the unit.",
            Arrays.stream(Mounting.values()).map(Mounting::title).toList());
    /** A record's word for what came in beyond the factory charge. */
    public static final Point ADDED_CHARGE = Point.quantity(
                    "siting.added-charge",
                    Scope.OUTDOOR_UNIT,
                    Dimension.MASS,
                    "Refrigerant added",
                    "From the charging record; nothing added: 0.",
                    0,
                    60)
            .asOptional();
}
