package org.undanus.core.rules;

/** Which side of a limit is permitted. */
public enum Bound {
    AT_LEAST("at least"),
    AT_MOST("at most");

    private final String words;

    Bound(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
