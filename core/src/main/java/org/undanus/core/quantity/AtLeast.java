package org.undanus.core.quantity;

import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/** An amount of which at least this much is needed: never rounded down. */
public record AtLeast(Quantity quantity) implements Worded {
    @Override
    public String in(Wording wording) {
        return QuantityFormat.of(wording.units()).formatUp(quantity);
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
