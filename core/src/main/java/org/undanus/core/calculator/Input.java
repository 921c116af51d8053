package org.undanus.core.calculator;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.undanus.core.quantity.Dimension;

/**
 * A figure a computation asks for.
 *
 * @param dimension empty for a choice
 * @param options of a choice
 * @param several whether several figures may stand there, each on its own, parted by semicolons
 * @param example what stands there before anybody types, in field notation
 */
public record Input(
        String id, String title, Optional<Dimension> dimension, List<String> options, boolean several, String example) {

    static Input of(String id, String title, Dimension dimension, String example) {
        return new Input(id, title, Optional.of(dimension), List.of(), false, example);
    }

    static Input choice(String id, String title, List<String> options, String example) {
        return new Input(id, title, Optional.empty(), Collections.unmodifiableList(options), false, example);
    }

    Input orSeveral() {
        return new Input(id, title, dimension, options, true, example);
    }
}
