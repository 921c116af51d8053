package org.undanus.core.quantity;

import java.time.LocalDate;

/** Years between which a date makes sense; outside, it is a slip of the pen. */
public enum Years {
    /** Machines of the kind judged here are dated within these, and instruments calibrated. */
    OF_MACHINES(1950),
    /** Systems are visited within these, and curves logged. */
    OF_VISITS(1990);

    private static final int LAST = 2100;

    private final int first;

    Years(int first) {
        this.first = first;
    }

    public boolean hold(int year) {
        return year >= first && year <= LAST;
    }

    public boolean hold(LocalDate day) {
        return hold(day.getYear());
    }

    /** For a sentence: {@code the years 1950 to 2100}. */
    @Override
    public String toString() {
        return "the years " + first + " to " + LAST;
    }
}
