package org.undanus.server.rulebook;

import java.util.Optional;

/** Knows which texts of rule books were tried on the archive; the feature that tries them says so. */
@FunctionalInterface
public interface TriedBooks {

    /**
     * What came of a trial that went to its end.
     *
     * @param installations so many were tried
     * @param changed at so many of them something comes out otherwise
     */
    record Tried(int installations, int changed) {}

    /**
     * @param digest SHA-256 of the text
     * @return empty where this person tried no such text to its end
     */
    Optional<Tried> tried(String digest, String person);
}
