package org.undanus.core.evidence;

import org.undanus.core.words.Worded;
import org.undanus.core.words.Wording;

/**
 * One answer that a choice offers. Kept and exchanged by its id, which never changes; its words may.
 *
 * @param id stable, short, told from the others of its point
 * @param words as people read and say it
 */
public record Option(String id, String words) implements Worded {
    public static Option of(String id, String words) {
        return new Option(id, words);
    }

    /** Two are the same answer where they have the same id, whatever they are called. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Option option && option.id.equals(id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    @Override
    public String in(Wording wording) {
        return wording.say(words);
    }

    /** Its words: what a sentence says of it. */
    @Override
    public String toString() {
        return words;
    }
}
