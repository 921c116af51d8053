package org.undanus.core.evidence;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.undanus.core.numeric.Csv;

/** What one might read on each line, as it would be typed there: an example of that very line, not of its kind of quantity. */
final class LineExamples {
    private static final Map<String, String> BY_LINE = Csv.read(LineExamples.class, "line-examples.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("line"), row -> row.get("example")));

    private LineExamples() {}

    static Optional<String> of(String point) {
        return Optional.ofNullable(BY_LINE.get(point));
    }

    /** The ids of the lines that have one. */
    static Set<String> lines() {
        return BY_LINE.keySet();
    }
}
