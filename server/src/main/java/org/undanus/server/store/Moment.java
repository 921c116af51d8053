package org.undanus.server.store;

import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** Times as the database keeps them. */
public final class Moment {
    private Moment() {}

    /** To the millisecond, as it will be read again; null stays null. */
    public static Instant kept(Instant at) {
        return at == null ? null : at.truncatedTo(ChronoUnit.MILLIS);
    }
}
