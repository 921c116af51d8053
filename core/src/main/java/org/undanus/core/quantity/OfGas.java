package org.undanus.core.quantity;

import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/**
 * A change of a gas's pressure, as its gauges show it: in psi or kPa, never as the pressure of air in ducts.
 *
 * @param expanded what it is uncertain by, Pa; 0 where that is not said
 */
public record OfGas(double pascals, double expanded) implements Worded {
    public OfGas(double pascals) {
        this(pascals, 0);
    }

    @Override
    public String in(Wording wording) {
        return QuantityFormat.of(wording.units()).formatOfGas(pascals, expanded);
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
