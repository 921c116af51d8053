package org.undanus.server.journal;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * What is kept of one kind, every row of which is journalled as it stands. The journal's actions on it begin with the kind and
 * a dot; the last of them on a row says what the row is.
 *
 * @param kind for example {@code reading}, in the singular
 * @param rows goes through all of them as they now are, one at a time, for some are large
 * @param earlier how versions before this one wrote a row, the latest first
 * @param group of a row's content: within a group the rows come in the order they were kept in, which says what stands; empty
 *     where the order says nothing
 */
public record JournalledKind(
        String kind, Rows rows, List<EarlierForm> earlier, Optional<Function<Object, String>> group) {

    /** Where the order says nothing. */
    public JournalledKind(String kind, Rows rows) {
        this(kind, rows, List.of(), Optional.empty());
    }

    /** The same, and what versions before this one wrote. */
    public JournalledKind before(EarlierForm... forms) {
        return new JournalledKind(kind, rows, List.of(forms), group);
    }

    /** The same, where the order within a group says what stands. */
    public JournalledKind ordered(Function<Object, String> within) {
        return new JournalledKind(kind, rows, earlier, Optional.of(within));
    }

    /** Goes through rows. */
    @FunctionalInterface
    public interface Rows {
        /** @param row takes each row's subject in the journal and its content */
        void each(BiConsumer<String, Object> row);
    }

    static String kind(String action) {
        int dot = action.indexOf('.');
        return dot < 0 ? action : action.substring(0, dot);
    }

    /** As a person says it: {@code data sheet}. */
    String title() {
        return kind.replace('-', ' ');
    }

    /** {@code 3 data sheets}; what is called in the plural stays as it is. */
    String counted(long count) {
        return String.format(Locale.ROOT, "%,d %s%s", count, title(), count == 1 || kind.endsWith("s") ? "" : "s");
    }
}
