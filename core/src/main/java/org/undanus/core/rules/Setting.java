package org.undanus.core.rules;

import org.undanus.core.quantity.Dimension;

/**
 * A number a computation needs that a rule book decides.
 *
 * @param local whether it belongs to a place or a programme: a general book may leave it open
 * @param needed whether nothing can be judged without it
 */
public record Setting(String id, Dimension dimension, String title, boolean local, boolean needed) {

    public Setting(String id, Dimension dimension, String title) {
        this(id, dimension, title, false, true);
    }

    /** One without which less can be said, but not nothing. */
    public static Setting useful(String id, Dimension dimension, String title) {
        return new Setting(id, dimension, title, false, false);
    }

    /** One of a place that something read there may stand in for. */
    public static Setting usefulOfPlace(String id, Dimension dimension, String title) {
        return new Setting(id, dimension, title, true, false);
    }

    /** One that only the book of a place or a programme can give. */
    public static Setting ofPlace(String id, Dimension dimension, String title) {
        return new Setting(id, dimension, title, true, true);
    }
}
