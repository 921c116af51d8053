package org.undanus.core.installation;

import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;

/** What stays of the system that was replaced, where several stations ask. */
public final class ReplacementPoints {
    private ReplacementPoints() {}

    public static final Point KEPT_BREAKER = kept("breaker", "Overcurrent protective device stays");

    /** Whether a part of the old system stays. */
    public static Point kept(String part, String title) {
        return Point.yesNo(
                "papers.kept-" + part, Scope.REPLACEMENT, title, "What stays of the old system must suit the new.");
    }
}
