package org.undanus.core.words;

/** What is put into words for a reader: a sentence, a quantity, an answer. */
public interface Worded {
    String in(Wording wording);

    /** In English. */
    default String in(UnitSystem units) {
        return in(Wording.english(units));
    }
}
