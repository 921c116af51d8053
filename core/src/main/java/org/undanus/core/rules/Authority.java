package org.undanus.core.rules;

/**
 * Who sets a limit.
 *
 * @param note what a reader should know, for example that the adopted edition must be checked
 */
public record Authority(String id, Kind kind, String name, String note) {

    /** The families of authority, in the order they are listed. */
    public enum Kind {
        CODE("code", "the code's"),
        MAKER("maker", "the maker's"),
        PROGRAMME("programme", "the programme's"),
        PRACTICE("practice", "good practice's"),
        /** Nobody's word: what a computation expects from the sheet or the plate. */
        COMPUTED("computed", "the computed");

        private final String key;
        private final String whose;

        Kind(String key, String whose) {
            this.key = key;
            this.whose = whose;
        }

        /** Before a limit: {@code the maker's}. */
        public String whose() {
            return whose;
        }

        /** The short word that rule books and margin bars use. */
        public String key() {
            return key;
        }
    }
}
