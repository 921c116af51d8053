package org.undanus.core.quantity;

import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/** The ± an instrument may have at most: one digit, never rounded up. */
public record HalfWidth(Dimension dimension, double si) implements Worded {
    @Override
    public String in(Wording wording) {
        return QuantityFormat.of(wording.units()).formatAtMost(dimension, si);
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
