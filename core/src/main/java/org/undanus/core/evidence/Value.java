package org.undanus.core.evidence;

import java.time.LocalDate;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;

/** What a reading says, by kind of point. */
public sealed interface Value {

    /**
     * @param standardUncertainty in SI, from the instrument and the digits written
     * @param resolution the step of the last digit written, in SI
     */
    record Measured(Quantity quantity, double standardUncertainty, double resolution) implements Value {
        public Uncertain uncertain() {
            return new Uncertain(quantity.si(), standardUncertainty);
        }
    }

    record Chosen(String option) implements Value {}

    record Affirmed(boolean yes) implements Value {}

    record Written(String text) implements Value {}

    /** Some day of a period: a plate tells the month or week only. */
    record Within(LocalDate first, LocalDate last) implements Value {}

    /** The course of something over time, in a file of its own. */
    record Logged(Trace trace) implements Value {}

    /**
     * A kept reading that this version can no longer take: an option it does not know, a value that cannot be. It shows
     * nothing and stays visible with its text.
     *
     * @param why a sentence for the reader
     */
    record SetAside(String why) implements Value {}
}
