package org.undanus.core.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;

/**
 * A sentence whose words and quantities are printed only when the reader's language and units are known. {@code {name}} in
 * its template stands for an argument; arguments are given in the order in which their names first appear. A string as an
 * argument is a phrase of the application, or somebody's own words, which no language knows.
 *
 * @param template the whole sentence in English, or that for exactly one
 * @param many the sentence for any other number, empty where nothing is counted
 * @param count how many, where it counts
 * @param arguments {@link Worded} ones, phrases, or anything with a plain string
 */
public record Text(String template, String many, long count, List<Object> arguments) implements Worded {
    private static final Text NOTHING = of("");

    /** @throws IllegalStateException if arguments and names do not match */
    public Text {
        Objects.requireNonNull(template);
        arguments = List.copyOf(arguments);
        // said where it is made, not where a reader meets it
        if (!alone(template, many, arguments.size()) && names(template, many).size() != arguments.size()) {
            throw new IllegalStateException("Names and arguments do not match in: " + template);
        }
    }

    public static Text of(String template, Object... arguments) {
        return new Text(template, "", 0, List.of(arguments));
    }

    /** A sentence that counts: one for exactly one, one for any other number. Names are those of the latter first. */
    public static Text counted(long count, String one, String many, Object... arguments) {
        return new Text(one, many, count, List.of(arguments));
    }

    /** Somebody's own words, or a phrase made elsewhere. */
    public static Text plain(String words) {
        return words.isEmpty() ? NOTHING : of("{words}", words);
    }

    public static Text empty() {
        return NOTHING;
    }

    public boolean isEmpty() {
        return template.isEmpty();
    }

    /** Whether it is one or more whole sentences. */
    public boolean whole() {
        return toString().endsWith(".");
    }

    /** One after the other, with commas; empty for none. */
    public static Text list(List<?> items) {
        return folded(items, (first, other) -> of("{first}, {other}", first, other));
    }

    /** One after the other, as parts of a longer list. */
    public static Text series(List<?> items) {
        return folded(items, (first, other) -> of("{first}; {other}", first, other));
    }

    /** All of them: the last with "and". */
    public static Text all(List<?> items) {
        return ended(items, (first, last) -> of("{first} and {last}", first, last));
    }

    /** Any of them: the last with "or". */
    public static Text any(List<?> items) {
        return ended(items, (first, last) -> of("{first} or {last}", first, last));
    }

    /** Line after line. */
    public static Text lines(List<?> items) {
        return folded(items, (first, next) -> of("{first}\n{next}", first, next));
    }

    /** Sentence after sentence. */
    public static Text sentences(List<?> items) {
        return folded(items, (first, next) -> of("{first} {next}", first, next));
    }

    /** This sentence and another one. */
    public Text then(Text next) {
        return isEmpty() ? next : next.isEmpty() ? this : sentences(List.of(this, next));
    }

    private static Text folded(List<?> items, BiFunction<Object, Object, Text> two) {
        Object said = null;
        for (Object item : items) {
            said = said == null ? item : two.apply(said, item);
        }
        return said == null ? NOTHING : said instanceof Text text ? text : of("{item}", said);
    }

    private static Text ended(List<?> items, BiFunction<Object, Object, Text> two) {
        int last = items.size() - 1;
        return last < 1 ? list(items) : two.apply(list(items.subList(0, last)), items.get(last));
    }

    /** A phrase or sentence as it begins another. */
    public static Worded capital(Object said) {
        return new Cased(said, true);
    }

    /** A title as it stands within a sentence; abbreviations stay as they are. */
    public static Worded lowered(Object title) {
        return new Cased(title, false);
    }

    private record Cased(Object said, boolean capital) implements Worded {
        @Override
        public String in(Wording wording) {
            String words = print(said, wording);
            boolean abbreviated = words.length() < 2 || !Character.isLowerCase(words.charAt(1));
            if (words.isEmpty() || !capital && abbreviated) {
                return words;
            }
            char first = words.charAt(0);
            return (capital ? Character.toUpperCase(first) : Character.toLowerCase(first)) + words.substring(1);
        }

        @Override
        public String toString() {
            return in(UnitSystem.SI);
        }
    }

    @Override
    public String in(Wording wording) {
        String said = many.isEmpty()
                ? wording.language().say(template)
                : wording.language().say(template, many, count);
        if (arguments.isEmpty()) {
            return said;
        }
        List<String> names = names(template, many);
        StringBuilder sentence = new StringBuilder();
        int from = 0;
        for (int open = said.indexOf('{'); open >= 0; open = said.indexOf('{', from)) {
            int close = said.indexOf('}', open);
            int argument = close < 0 ? -1 : names.indexOf(said.substring(open + 1, close));
            // a slip in a language file is shown rather than stopping the page
            sentence.append(said, from, argument < 0 ? open + 1 : open);
            if (argument >= 0) {
                sentence.append(print(arguments.get(argument), wording));
            }
            from = argument < 0 ? open + 1 : close + 1;
        }
        return sentence.append(said, from, said.length()).toString();
    }

    private static String print(Object argument, Wording wording) {
        return argument instanceof Worded worded ? worded.in(wording) : wording.say(argument.toString());
    }

    /** Most sentences name nothing or one thing, and are made by the thousand: that is seen without looking at names. */
    private static boolean alone(String template, String many, int arguments) {
        int open = template.indexOf('{');
        return many.isEmpty() && (open < 0 ? arguments == 0 : arguments == 1 && template.indexOf('{', open + 1) < 0);
    }

    private static List<String> names(String template, String many) {
        List<String> names = new ArrayList<>();
        for (String one : many.isEmpty() ? List.of(template) : List.of(many, template)) {
            for (int open = one.indexOf('{'); open >= 0; open = one.indexOf('{', open + 1)) {
                String name = one.substring(open + 1, one.indexOf('}', open));
                if (!names.contains(name)) {
                    names.add(name);
                }
            }
        }
        return names;
    }

    @Override
    public String toString() {
        return in(UnitSystem.SI);
    }
}
