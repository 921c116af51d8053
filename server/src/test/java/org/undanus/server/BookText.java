package org.undanus.server;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A rule book's own text in tests, whichever version it is of. */
public final class BookText {
    private static final Pattern VERSION = Pattern.compile("(?m)^version: (\\d+)$");

    private BookText() {}

    public static int version(String yaml) {
        Matcher found = VERSION.matcher(yaml);
        if (!found.find()) {
            throw new IllegalArgumentException("The text says no version.");
        }
        return Integer.parseInt(found.group(1));
    }

    /** The same as its next version. */
    public static String next(String yaml) {
        return VERSION.matcher(yaml).replaceFirst("version: " + (version(yaml) + 1));
    }
}
