package org.undanus.core.judgement;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.words.Text;

/**
 * How far a visit came: of the lines it was to read how many were, and of how many it was said why not.
 *
 * @param due how many were to be read
 */
public record LinesRead(int due, int read, int notAccessible, int notLookedAt) {

    public static LinesRead of(Collection<PointKey> due, Evidence evidence) {
        List<Value.Unread.Why> unread = due.stream()
                .flatMap(key -> evidence.unread(key).stream())
                .map(Value.Unread::why)
                .toList();
        int notAccessible = (int) unread.stream()
                .filter(why -> why == Value.Unread.Why.NOT_ACCESSIBLE)
                .count();
        int read = (int)
                due.stream().filter(key -> evidence.latest(key).isPresent()).count();
        return new LinesRead(due.size(), read, notAccessible, unread.size() - notAccessible);
    }

    /** Lines of which nothing has been said. */
    public int open() {
        return due - read - notAccessible - notLookedAt;
    }

    /** In words: {@code 40 of 52 lines read, 2 not accessible, 1 not looked at, 9 open}. */
    public Text said() {
        return Text.list(Stream.of(
                        Optional.of(Text.counted(
                                due, "{read} of {due} line read", "{read} of {due} lines read", read, due)),
                        said(notAccessible, "{count} not accessible"),
                        said(notLookedAt, "{count} not looked at"),
                        said(open(), "{count} open"))
                .flatMap(Optional::stream)
                .toList());
    }

    private static Optional<Text> said(int count, String template) {
        return count == 0 ? Optional.empty() : Optional.of(Text.of(template, count));
    }
}
