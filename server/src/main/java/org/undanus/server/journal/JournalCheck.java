package org.undanus.server.journal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.apache.ibatis.cursor.Cursor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the whole journal and says whether the chain holds and whether the tables still say what was journalled. */
@Service
public class JournalCheck {

    /** Something whose every row is journalled, and that can say a row over again as it was journalled. */
    public interface Journalled {
        /** The journal action its rows are entered by. */
        String action();

        /** Subject to content, as the tables now have it. */
        Map<String, String> contents();
    }

    /** @param sentence for the person who asked */
    public record Outcome(boolean sound, long entries, String sentence) {}

    private final JournalMapper mapper;
    private final List<Journalled> journalled;

    JournalCheck(JournalMapper mapper, List<Journalled> journalled) {
        this.mapper = mapper;
        this.journalled = journalled;
    }

    @Transactional(readOnly = true)
    public Outcome run() {
        Map<String, Map<String, String>> expected = new HashMap<>();
        journalled.forEach(kind -> expected.put(kind.action(), new HashMap<>()));
        JournalMapper.Head last = new JournalMapper.Head(0, "");
        try (Cursor<JournalMapper.Entry> entries = mapper.all()) {
            for (JournalMapper.Entry entry : entries) {
                if (!follows(last, entry)) {
                    return broken(last.sequence(), "the chain breaks at entry " + entry.sequence());
                }
                if (expected.containsKey(entry.action())) {
                    expected.get(entry.action()).put(entry.subject(), entry.content());
                }
                last = new JournalMapper.Head(entry.sequence(), entry.hash());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (!last.equals(mapper.head())) {
            return broken(last.sequence(), "entries are missing at its end");
        }
        for (Journalled kind : journalled) {
            Map<String, String> now = kind.contents();
            Map<String, String> then = expected.get(kind.action());
            if (!now.equals(then)) {
                String subject = firstDifference(now, then);
                return broken(last.sequence(), kind.action() + " " + subject + " no longer says what was journalled");
            }
        }
        return new Outcome(
                true, last.sequence(), "The data is sound: " + last.sequence() + " journal entries, chain unbroken.");
    }

    private static boolean follows(JournalMapper.Head last, JournalMapper.Entry entry) {
        String hash = Journal.hash(
                last.hash(),
                entry.sequence(),
                entry.at(),
                entry.byWhom(),
                entry.action(),
                entry.subject(),
                entry.content());
        return entry.sequence() == last.sequence() + 1 && hash.equals(entry.hash());
    }

    private static String firstDifference(Map<String, String> now, Map<String, String> then) {
        return Stream.concat(now.keySet().stream(), then.keySet().stream())
                .filter(subject -> !Objects.equals(now.get(subject), then.get(subject)))
                .sorted()
                .findFirst()
                .orElse("");
    }

    private static Outcome broken(long entries, String why) {
        return new Outcome(false, entries, "The data is not sound: " + why + ".");
    }
}
