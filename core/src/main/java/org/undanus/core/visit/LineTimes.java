package org.undanus.core.visit;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.undanus.core.rules.RuleBook;

/** How long lines took to read, told from when they were read: each from the one before it, of the same person on the same visit. */
public final class LineTimes {
    /** When a line was read, by whom on which visit. */
    public record Read(String visit, String by, String point, Instant at) {}

    /** How long after the one before it each reading of a point came, s. */
    private final Map<String, List<Double>> after = new HashMap<>();

    /** @param read visit by visit, of each person in the order they read */
    public LineTimes(List<Read> read) {
        for (int i = 1; i < read.size(); i++) {
            Read before = read.get(i - 1);
            Read now = read.get(i);
            if (before.visit.equals(now.visit) && before.by.equals(now.by)) {
                after.computeIfAbsent(now.point, any -> new ArrayList<>())
                        .add(Duration.between(before.at, now.at).toMillis() / 1000.0);
            }
        }
    }

    /** Of a line, s; the book's time as long as few were read. */
    public double seconds(String point, RuleBook rules) {
        return HourSettings.seconds(rules, after.getOrDefault(point, List.of()));
    }
}
