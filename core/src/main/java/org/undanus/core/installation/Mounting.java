package org.undanus.core.installation;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Option;

/** What an outdoor unit stands on or hangs from. */
public enum Mounting {
    GROUND_PAD("ground-pad", "ground pad"),
    RAISED_STAND("raised-stand", "raised stand"),
    WALL_BRACKET("wall-bracket", "wall bracket");

    private final Option option;

    Mounting(String id, String words) {
        option = Option.of(id, words);
    }

    /** As it is chosen on the walk. */
    public Option option() {
        return option;
    }

    public String title() {
        return option.words();
    }

    /** The name that files use. */
    public String key() {
        return option.id();
    }

    public static List<Option> options() {
        return Arrays.stream(values()).map(Mounting::option).toList();
    }

    /** By the name that files use. */
    public static Optional<Mounting> named(String key) {
        return Arrays.stream(values()).filter(m -> m.key().equals(key)).findFirst();
    }

    public static Mounting of(Option chosen) {
        return named(chosen.id()).orElseThrow();
    }
}
