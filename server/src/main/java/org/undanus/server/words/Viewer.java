package org.undanus.server.words;

import java.util.Optional;
import org.undanus.core.words.Language;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

/**
 * Whoever asks: in which units and language an answer is to be.
 *
 * @param units as asked for, by the parameter {@code units}
 * @param language the first of those asked for that there is
 */
public record Viewer(Optional<UnitSystem> units, Language language) {

    /** @param usual the units where none were asked for */
    public Wording wording(UnitSystem usual) {
        return new Wording(units.orElse(usual), language);
    }
}
