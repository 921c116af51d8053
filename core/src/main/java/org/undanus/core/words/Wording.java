package org.undanus.core.words;

/** How a reader is spoken to: in which units and in which language. */
public record Wording(UnitSystem units, Language language) {
    public static Wording english(UnitSystem units) {
        return new Wording(units, Language.ENGLISH);
    }

    /** The same language in other units. */
    public Wording with(UnitSystem other) {
        return new Wording(other, language);
    }

    /** A phrase of the application in the reader's language; somebody's own words come back as they are. */
    public String say(String phrase) {
        return language.say(phrase);
    }
}
