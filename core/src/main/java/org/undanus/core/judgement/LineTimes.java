package org.undanus.core.judgement;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.undanus.core.rules.RuleBook;

/** How long lines took to read, told from when they were read: each from the one before it, of the same person on the same visit. */
public final class LineTimes {
    /** Sooner after another than this it was one of several typed at once; later the person had been doing something else. */
    private static final Duration SOONEST = Duration.ofSeconds(5);

    private static final Duration LATEST = Duration.ofMinutes(15);

    /** When a line was read, by whom on which visit. */
    public record Read(String visit, String by, String point, Instant at) {}

    private record Taken(double seconds, int times) {
        private static final Taken NOTHING = new Taken(0, 0);

        private Taken and(Taken other) {
            return new Taken(seconds + other.seconds, times + other.times);
        }
    }

    private final Map<String, Taken> taken = new HashMap<>();

    /** @param read visit by visit, of each person in the order they read */
    public LineTimes(List<Read> read) {
        for (int i = 1; i < read.size(); i++) {
            Read before = read.get(i - 1);
            Read now = read.get(i);
            Duration between = Duration.between(before.at, now.at);
            if (before.visit.equals(now.visit)
                    && before.by.equals(now.by)
                    && between.compareTo(SOONEST) >= 0
                    && between.compareTo(LATEST) <= 0) {
                taken.merge(now.point, new Taken(between.toMillis() / 1000.0, 1), Taken::and);
            }
        }
    }

    /** Of a line, s; the book's time as long as few were read. */
    public double seconds(String point, RuleBook rules) {
        Taken seen = taken.getOrDefault(point, Taken.NOTHING);
        return HourSettings.seconds(rules, seen.seconds, seen.times);
    }
}
