package org.undanus.core.installation;

/** The sides of a unit from which clear distance is asked, as seen by someone facing its front. */
public enum Face {
    FRONT("front"),
    BACK("back"),
    LEFT("left"),
    RIGHT("right"),
    ABOVE("above");

    private final String key;

    Face(String key) {
        this.key = key;
    }

    /** The name that files and requirement ids use. */
    public String key() {
        return key;
    }
}
