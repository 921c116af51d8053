package org.undanus.core.rules;

import java.util.Objects;
import org.undanus.core.quantity.Quantity;

/** One authority's word on one measurable thing. */
public record Limit(Authority authority, Bound bound, Quantity value, String source) {
    public Limit {
        Objects.requireNonNull(authority);
        Objects.requireNonNull(bound);
        Objects.requireNonNull(value);
        Objects.requireNonNull(source);
    }
}
