package org.undanus.core.words;

/** A reader's language, looked up by the English template itself. What it does not know it says in English. */
public interface Language {
    /** The templates as they stand in the code. */
    Language ENGLISH = new Language() {
        @Override
        public String say(String template) {
            return template;
        }

        @Override
        public String say(String one, String many, long count) {
            return count == 1 ? one : many;
        }
    };

    /** @param template a phrase or sentence in English, its arguments as {@code {name}} */
    String say(String template);

    /** The form this language uses for so many. */
    String say(String one, String many, long count);
}
