package org.undanus.core.installation;

import java.util.List;
import java.util.stream.Stream;

/** The sides of a unit from which clear distance is asked, as seen by someone facing its front. */
public enum Face {
    FRONT("front", "in front"),
    BACK("back", "rear", "behind"),
    LEFT("left", "left side"),
    RIGHT("right", "right side"),
    ABOVE("above", "top", "over"),
    BELOW("below", "under");

    /** The sides an outdoor unit is asked clear distance on. */
    public static final List<Face> OUTDOOR = List.of(FRONT, BACK, LEFT, RIGHT, ABOVE);

    /** The sides a wall unit needs room at. */
    public static final List<Face> ON_WALL = List.of(LEFT, RIGHT, ABOVE, BELOW);

    /** The sides a plan shows. */
    public static final List<Face> IN_PLAN = List.of(FRONT, BACK, LEFT, RIGHT);

    private final String key;
    private final List<String> aliases;

    Face(String key, String... aliases) {
        this.key = key;
        this.aliases = List.of(aliases);
    }

    /** The name that files and requirement ids use. */
    public String key() {
        return key;
    }

    /** What people say for it: the key and other words. */
    public List<String> spoken() {
        return Stream.concat(Stream.of(key), aliases.stream()).toList();
    }
}
