package org.undanus.core.installation;

import java.util.Arrays;
import java.util.Optional;

/** What an outdoor unit stands on or hangs from. */
public enum Mounting {
    GROUND_PAD("ground pad"),
    RAISED_STAND("raised stand"),
    WALL_BRACKET("wall bracket");

    private final String title;

    Mounting(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The name files use: {@code wall-bracket}. */
    public String key() {
        return title.replace(' ', '-');
    }

    /** By title or key. */
    public static Optional<Mounting> named(String name) {
        return Arrays.stream(values())
                .filter(m -> m.title.equals(name) || m.key().equals(name))
                .findFirst();
    }
}
