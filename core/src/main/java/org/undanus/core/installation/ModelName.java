package org.undanus.core.installation;

import java.util.Locale;
import java.util.regex.Pattern;

/** Model names are stamped with and without spaces and hyphens; those say nothing. */
final class ModelName {
    private static final Pattern UNSAID = Pattern.compile("[\\s.-]");

    private ModelName() {}

    static boolean same(String one, String other) {
        return bare(one).equals(bare(other));
    }

    /** The name as it is compared. */
    static String bare(String name) {
        return UNSAID.matcher(name).replaceAll("").toUpperCase(Locale.ROOT);
    }
}
