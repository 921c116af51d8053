package org.undanus.core.installation;

import java.util.Locale;

/** Model names are stamped with and without spaces and hyphens; those say nothing. */
final class ModelName {
    private ModelName() {}

    static boolean same(String one, String other) {
        return bare(one).equals(bare(other));
    }

    private static String bare(String name) {
        return name.replaceAll("[\\s.-]", "").toUpperCase(Locale.ROOT);
    }
}
