package org.undanus.core.rules;

/** Which side of a limit is permitted. */
public enum Bound {
    AT_LEAST("at-least", "at least"),
    AT_MOST("at-most", "at most");

    private final String key;
    private final String words;

    Bound(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** The name that rule books use. */
    public String key() {
        return key;
    }

    public String words() {
        return words;
    }
}
