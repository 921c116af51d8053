package org.undanus.core.quantity;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One way a unit is written. Spaces, full stops and the joining of its words are free: {@code in w.c.} stands for
 * {@code inwc}, {@code in. w.c.} and {@code in wc}, {@code ft lb} for {@code ft-lb} and {@code ft·lb}.
 */
final class UnitSpelling {
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\d]+|[^\\p{L}\\d\\s.]");
    private static final String JOIN = "[ .·*-]*";
    private static final String TOUCH = " *\\.? *";

    private final FieldUnit unit;
    private final Pattern exact;
    private final Pattern anyCase;

    UnitSpelling(String alias, FieldUnit unit) {
        this.unit = unit;
        StringBuilder expression = new StringBuilder();
        Matcher word = WORD.matcher(alias);
        int end = 0;
        while (word.find()) {
            if (word.start() > 0) {
                expression.append(word.start() > end ? JOIN : TOUCH);
            }
            expression.append(Pattern.quote(word.group()));
            end = word.end();
        }
        boolean letters = Character.isLetter(alias.charAt(alias.length() - 1)) || alias.endsWith(".");
        // a full stop ends an abbreviation, but not before a digit, where it starts a number
        String whole = expression + (letters ? "(?!\\p{L})(?:\\.(?!\\d))?" : "");
        exact = Pattern.compile(whole);
        anyCase = Pattern.compile(whole, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** A spelling found in a text. */
    record Found(FieldUnit unit, String text, boolean exact) {}

    /** The best of these at this place: the longest; of equals the one whose capitals agree ("mW", "MW"). */
    static Found longest(List<UnitSpelling> spellings, String text, int position) {
        Found best = null;
        for (UnitSpelling spelling : spellings) {
            Matcher matcher = spelling.anyCase.matcher(text).region(position, text.length());
            if (matcher.lookingAt() && better(matcher.end() - position, spelling, text, position, best)) {
                best = new Found(spelling.unit, matcher.group(), spelling.agrees(text, position));
            }
        }
        return best;
    }

    private static boolean better(int length, UnitSpelling spelling, String text, int position, Found best) {
        return best == null
                || length > best.text.length()
                || length == best.text.length() && !best.exact && spelling.agrees(text, position);
    }

    private boolean agrees(String text, int position) {
        return exact.matcher(text).region(position, text.length()).lookingAt();
    }
}
