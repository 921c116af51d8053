package org.undanus.core.quantity;

import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/** A change of a gas's pressure, as its gauges show it: in psi or kPa, never as the pressure of air in ducts. */
public record OfGas(double pascals) implements Worded {
    @Override
    public String in(Wording wording) {
        return QuantityFormat.of(wording.units()).formatOfGas(pascals);
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
