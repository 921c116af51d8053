package org.undanus.server.journal;

import java.util.List;

/** Knows what the journal's end was at a moment that something signed speaks of: a chain computed anew contradicts it. */
@FunctionalInterface
public interface AnchorSource {

    /**
     * @param sequence of the last entry there was
     * @param hash its hash
     * @param named what speaks of it, for a sentence
     */
    record Anchor(long sequence, String hash, String named) {}

    List<Anchor> anchors();
}
