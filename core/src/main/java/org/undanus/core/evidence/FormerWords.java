package org.undanus.core.evidence;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.undanus.core.numeric.Csv;

/**
 * What earlier versions kept and exchanged of a choice: its words as they were then. The table grows by what has been kept and
 * never shrinks; options that came later have never been kept but by their id.
 */
final class FormerWords {
    private static final Map<String, String> IDS = read();

    private FormerWords() {}

    /** The id of the option that was once called so. */
    static Optional<String> id(Point point, String words) {
        return Optional.ofNullable(IDS.get(key(point.id(), words)));
    }

    private static String key(String point, String words) {
        return point + "\n" + words.toLowerCase(Locale.ROOT);
    }

    private static Map<String, String> read() {
        return Csv.read(FormerWords.class, "former-words.csv").stream()
                .collect(Collectors.toUnmodifiableMap(
                        row -> key(row.get("point"), row.get("words")), row -> row.get("id")));
    }
}
