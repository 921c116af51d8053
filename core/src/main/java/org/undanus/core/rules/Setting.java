package org.undanus.core.rules;

import org.undanus.core.quantity.Dimension;

/**
 * A number a computation needs that a rule book decides.
 *
 * @param local whether it belongs to a place or a programme: a general book may leave it open
 */
public record Setting(String id, Dimension dimension, String title, boolean local) {

    public Setting(String id, Dimension dimension, String title) {
        this(id, dimension, title, false);
    }

    /** One that only the book of a place or a programme can give. */
    public static Setting ofPlace(String id, Dimension dimension, String title) {
        return new Setting(id, dimension, title, true);
    }
}
