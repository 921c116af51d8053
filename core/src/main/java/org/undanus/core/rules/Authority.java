package org.undanus.core.rules;

/**
 * Who sets a limit.
 *
 * @param note what a reader should know, for example that the adopted edition must be checked
 */
public record Authority(String id, Kind kind, String name, String note) {

    /** The families of authority, in the order they are listed. */
    public enum Kind {
        CODE("code"),
        MAKER("maker"),
        PROGRAMME("programme"),
        PRACTICE("practice"),
        /** Nobody's word: what a computation expects from the sheet or the plate. */
        COMPUTED("computed");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        /** The short word that rule books and margin bars use. */
        public String key() {
            return key;
        }
    }
}
