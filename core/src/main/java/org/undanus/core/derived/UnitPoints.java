package org.undanus.core.derived;

import java.util.Arrays;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Mounting;

/** What is read of units and asked at several stations. */
public final class UnitPoints {
    private UnitPoints() {}

    public static final Point SUPPORT = Point.choice(
            "siting.support",
            Scope.OUTDOOR_UNIT,
            "Stands on",
            "What carries the unit.",
            Arrays.stream(Mounting.values()).map(Mounting::title).toList());
}
