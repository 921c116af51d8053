package org.undanus.core.evidence;

import java.util.Optional;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;

/**
 * One thing an instrument shows.
 *
 * @param name what tells it from the others, for example {@code low side}; empty where there is only one
 * @param dimension of its accuracy: of a thermometer a difference
 * @param range what it can show, empty where its maker does not say
 */
public record Channel(String name, Dimension dimension, Accuracy accuracy, Optional<Range> range) {

    /** Lowest and highest reading, SI. */
    public record Range(Dimension dimension, double lowest, double highest) {
        public Range {
            if (!(lowest < highest)) {
                throw new IllegalArgumentException("A range runs from a lower to a higher value.");
            }
        }

        boolean holds(double si) {
            return si >= lowest && si <= highest;
        }
    }

    /** The only channel of an instrument of which nothing but its accuracy is known. */
    public static Channel only(Dimension dimension, Accuracy accuracy) {
        return new Channel("", dimension, accuracy, Optional.empty());
    }

    /** Whether readings of a dimension can be taken on it; a thermometer's accuracy is a difference, what it shows a temperature. */
    public boolean shows(Dimension read) {
        return shown(dimension) == shown(read);
    }

    /** What is read where accuracy is stated in this. */
    public static Dimension shown(Dimension stated) {
        return stated == Dimension.TEMPERATURE_DIFFERENCE ? Dimension.TEMPERATURE : stated;
    }
}
