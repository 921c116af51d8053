package org.undanus.core.installation;

import java.util.List;

/** The sides of a unit from which clear distance is asked, as seen by someone facing its front. */
public enum Face {
    FRONT("front"),
    BACK("back"),
    LEFT("left"),
    RIGHT("right"),
    ABOVE("above"),
    BELOW("below");

    /** The sides an outdoor unit is asked clear distance on. */
    public static final List<Face> OUTDOOR = List.of(FRONT, BACK, LEFT, RIGHT, ABOVE);

    /** The sides a wall unit needs room at. */
    public static final List<Face> ON_WALL = List.of(LEFT, RIGHT, ABOVE, BELOW);

    /** The sides a plan shows. */
    public static final List<Face> IN_PLAN = List.of(FRONT, BACK, LEFT, RIGHT);

    private final String key;

    Face(String key) {
        this.key = key;
    }

    /** The name that files and requirement ids use. */
    public String key() {
        return key;
    }
}
