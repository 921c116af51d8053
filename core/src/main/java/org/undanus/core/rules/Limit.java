package org.undanus.core.rules;

import java.util.Objects;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.Text;

/**
 * One authority's word on one measurable thing.
 *
 * @param standardUncertainty of the value, SI: 0 for a figure that is written down, more for one computed from measured things
 */
public record Limit(Authority authority, Bound bound, Quantity value, Text source, double standardUncertainty) {
    public Limit {
        Objects.requireNonNull(authority);
        Objects.requireNonNull(bound);
        Objects.requireNonNull(value);
        Objects.requireNonNull(source);
        if (!(standardUncertainty >= 0)) {
            throw new IllegalArgumentException("An uncertainty is never negative");
        }
    }

    public Limit(Authority authority, Bound bound, Quantity value, String source) {
        this(authority, bound, value, Text.plain(source), 0);
    }

    public Limit(Authority authority, Bound bound, Quantity value, Text source) {
        this(authority, bound, value, source, 0);
    }

    /** This limit, known only as well as what it was computed from. */
    public Limit within(double uncertainty) {
        return new Limit(authority, bound, value, source, uncertainty);
    }
}
