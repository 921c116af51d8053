package org.undanus.server.journal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import org.apache.ibatis.cursor.Cursor;
import org.mybatis.spring.MyBatisSystemException;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.server.journal.JournalMapper.Entry;
import org.undanus.server.journal.JournalMapper.Head;
import org.undanus.server.journal.SignedHeads.SignedHead;
import org.undanus.server.store.Digest;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads the whole journal and says whether the chain holds, whether it is the chain that was signed, and whether everything
 * kept still says what was journalled.
 */
@Service
public class JournalCheck {
    /** What was journalled row by row before stock was taken. */
    private static final String ALWAYS_KEPT = "reading";

    private static final int MOST_NAMED = 20;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm 'UTC'", Locale.ROOT).withZone(ZoneOffset.UTC);

    /** @param sentence for the person who asked: what was covered, or what is wrong, one thing a line */
    public record Result(boolean sound, long entries, String sentence) {}

    private final JournalMapper mapper;
    private final List<JournalledKind> kept;
    private final List<AnchorSource> anchored;
    private final List<Verified> verified;
    private final SignedHeads heads;
    private final JsonMapper json;

    JournalCheck(
            JournalMapper mapper,
            List<JournalledKind> kept,
            List<AnchorSource> anchored,
            List<Verified> verified,
            SignedHeads heads,
            JsonMapper json) {
        this.anchored = anchored;
        this.verified = verified;
        this.mapper = mapper;
        this.kept = kept;
        this.heads = heads;
        this.json = json;
    }

    /** Of one moment: what is written meanwhile, as a letter's way, is not half in it. */
    @Transactional(readOnly = true, isolation = Isolation.SERIALIZABLE)
    public Result run() {
        return new Run(heads.read()).outcome();
    }

    /** One reading of everything. */
    private final class Run {
        private final SignedHeads.Read signed;
        private final Map<Long, List<SignedHead>> signedAt;
        private final Map<Long, List<AnchorSource.Anchor>> anchoredAt;
        private final List<String> wrong;
        private final List<String> noted = new ArrayList<>();
        private final Map<String, Map<String, Journalled>> journalled = new HashMap<>();
        private Head last = new Head(0, "");
        private Instant latest = Instant.MIN;
        private long backwards;
        private long firstBackwards;
        private boolean stock;

        Run(SignedHeads.Read signed) {
            this.signed = signed;
            this.wrong = new ArrayList<>(signed.problems());
            this.anchoredAt = anchored.stream()
                    .flatMap(each -> each.anchors().stream())
                    .collect(Collectors.groupingBy(AnchorSource.Anchor::sequence));
            this.signedAt = signed.heads().stream().collect(Collectors.groupingBy(SignedHead::sequence));
        }

        Result outcome() {
            List<String> counted = readChain() ? compareRows() : List.of();
            verified.forEach(each -> wrong.addAll(each.problems()));
            if (wrong.isEmpty()) {
                return new Result(true, last.sequence(), covered(counted));
            }
            String more = wrong.size() > MOST_NAMED ? "\n- and " + (wrong.size() - MOST_NAMED) + " more" : "";
            return new Result(
                    false,
                    last.sequence(),
                    "The data is not sound:\n- "
                            + wrong.stream().limit(MOST_NAMED).collect(Collectors.joining("\n- "))
                            + more);
        }

        /** Whether it could be read to its end. */
        private boolean readChain() {
            try (Cursor<Entry> entries = mapper.all()) {
                for (Entry entry : entries) {
                    if (!follows(last, entry)) {
                        wrong.add("the journal's chain breaks at entry " + entry.sequence());
                        return false;
                    }
                    take(entry);
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            if (!last.equals(mapper.head())) {
                wrong.add("entries are missing at the journal's end");
            }
            anchoredAt.values().stream()
                    .flatMap(List::stream)
                    .filter(anchor -> anchor.sequence() > last.sequence())
                    .forEach(anchor -> wrong.add("the journal ends at entry " + last.sequence() + ", but "
                            + anchor.named() + " rests on entry " + anchor.sequence()));
            signed.heads().stream()
                    .filter(head -> head.sequence() > last.sequence())
                    .findFirst()
                    .ifPresent(head -> wrong.add("the journal ends at entry " + last.sequence() + ", but on "
                            + MINUTE.format(head.at()) + " its end was signed at entry " + head.sequence()));
            return true;
        }

        private void take(Entry entry) {
            if (entry.at().isBefore(latest)) {
                firstBackwards = backwards++ == 0 ? entry.sequence() : firstBackwards;
            }
            latest = entry.at();
            // all that was ever signed there: work that went on after a cut must not hide it
            signedAt.getOrDefault(entry.sequence(), List.of()).stream()
                    .filter(head -> !head.hash().equals(entry.hash()))
                    .forEach(head -> wrong.add("entry " + entry.sequence() + " is not the one whose hash was signed on "
                            + MINUTE.format(head.at()) + ": the chain was cut or computed anew"));
            anchoredAt.getOrDefault(entry.sequence(), List.of()).stream()
                    .filter(anchor -> !anchor.hash().equals(entry.hash()))
                    .forEach(anchor -> wrong.add("entry " + entry.sequence() + " is not the one that " + anchor.named()
                            + " rests on: the chain was computed anew"));
            if (entry.action().equals(JournalBackfill.TAKEN)) {
                takeStock(entry);
            } else if (entry.action().endsWith(Journal.GONE)) {
                journalled
                        .getOrDefault(JournalledKind.kind(entry.action()), new HashMap<>())
                        .remove(entry.subject());
            } else {
                journalled
                        .computeIfAbsent(JournalledKind.kind(entry.action()), kind -> new HashMap<>())
                        .put(entry.subject(), new Journalled(Digest.sha256(entry.content()), entry.sequence()));
            }
            last = new Head(entry.sequence(), entry.hash());
        }

        private void takeStock(Entry entry) {
            if (stock) {
                wrong.add("stock was taken twice, the second time by entry " + entry.sequence());
            }
            stock = true;
            if (last.sequence() > 0) {
                noted.add("what was saved until " + MINUTE.format(entry.at())
                        + " was taken over as it stood; before that readings alone were journalled word for word.");
            }
            journalled.clear();
        }

        private List<String> compareRows() {
            List<String> counted = new ArrayList<>();
            for (JournalledKind kind : kept) {
                if (stock || kind.kind().equals(ALWAYS_KEPT)) {
                    counted.add(kind.counted(compareRows(kind)));
                }
            }
            return counted;
        }

        private long compareRows(JournalledKind kind) {
            Map<String, Journalled> then = new TreeMap<>(journalled.getOrDefault(kind.kind(), Map.of()));
            Map<String, Long> reached = new HashMap<>();
            AtomicLong count = new AtomicLong();
            try {
                kind.rows().each((subject, content) -> {
                    count.incrementAndGet();
                    Journalled was = then.remove(subject);
                    if (was == null || !says(was.digest(), content, kind.earlier())) {
                        wrong.add("the " + kind.title() + " " + subject + " is not what was journalled");
                    } else if (kind.group().isPresent()) {
                        String group = kind.group().get().apply(content);
                        Long before = reached.put(group, was.sequence());
                        if (before != null && before > was.sequence()) {
                            wrong.add("the " + kind.title() + " " + subject + " is not in the order journalled");
                        }
                    }
                });
                then.keySet().forEach(gone -> wrong.add("the " + kind.title() + " " + gone + " is missing"));
            } catch (MyBatisSystemException e) {
                wrong.add("a " + kind.title() + " cannot be read: "
                        + NestedExceptionUtils.getMostSpecificCause(e).getMessage());
            }
            return count.get();
        }

        /** Whether a row says what was journalled, in this version's form or in one before. */
        private boolean says(String digest, Object content, List<EarlierForm> earlier) {
            return digest.equals(Digest.sha256(json.writeValueAsString(content)))
                    || earlier.stream().anyMatch(form -> {
                        ObjectNode row = json.valueToTree(content);
                        form.asThen(row);
                        return digest.equals(Digest.sha256(json.writeValueAsString(row)));
                    });
        }

        private String covered(List<String> counted) {
            List<String> lines = new ArrayList<>();
            lines.add(String.format(
                    Locale.ROOT, "The data is sound: %,d journal entries, chain unbroken.", last.sequence()));
            lines.add("As journalled, word for word: " + String.join(", ", counted) + ".");
            if (signed.heads().isEmpty()) {
                noted.add("no signed end of the journal is there to hold it against: " + heads.file());
            } else {
                SignedHead head = signed.heads().get(signed.heads().size() - 1);
                lines.add(String.format(
                        Locale.ROOT,
                        "Signed ends that agree: %,d, the last of entry %,d on %s; key %s.",
                        signed.heads().size(),
                        head.sequence(),
                        MINUTE.format(head.at()),
                        signed.key().orElse("")));
            }
            if (backwards > 0) {
                noted.add(String.format(
                        Locale.ROOT,
                        "the clock ran backwards %,d time%s, first at entry %,d.",
                        backwards,
                        backwards == 1 ? "" : "s",
                        firstBackwards));
            }
            noted.forEach(note -> lines.add("Noted: " + note));
            return String.join("\n", lines);
        }
    }

    /** What the journal last said of a row: its content's digest, and the entry that says it. */
    private record Journalled(String digest, long sequence) {}

    private static boolean follows(Head last, Entry entry) {
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
}
