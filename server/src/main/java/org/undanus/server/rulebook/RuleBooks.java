package org.undanus.server.rulebook;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookException;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;
import org.undanus.server.journal.HeadSigner;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Commit;
import org.undanus.server.store.Digest;

/** The rule books there are. */
@Service
public class RuleBooks {
    private final RuleBookMapper mapper;
    private static final int SHORTEST_REASON = 10;

    private final Journal journal;
    private final HeadSigner heads;
    private final ObjectProvider<TriedBooks> tried;
    private final Map<String, RuleBook> read = new ConcurrentHashMap<>();

    /** @param tried looked for when it is needed: trials rest on rule books */
    RuleBooks(RuleBookMapper mapper, Journal journal, HeadSigner heads, ObjectProvider<TriedBooks> tried) {
        this.heads = heads;
        this.tried = tried;
        this.mapper = mapper;
        this.journal = journal;
    }

    /** @throws NotFoundException when there is no such version */
    public RuleBook book(String id, int version) {
        String key = id + "@" + version;
        RuleBook known = read.get(key);
        if (known == null) {
            RuleBookMapper.BookRow row = mapper.find(id, version);
            if (row == null) {
                throw new NotFoundException(Text.of("There is no rule book {id} in version {version}.", id, version));
            }
            known = RuleBookReader.readKept(row.yaml(), Walk.vocabulary(), this::kept);
            read.put(key, known);
        }
        return known;
    }

    /** The newest version of each book. */
    public List<RuleBook> newest() {
        return mapper.all().stream()
                .collect(
                        Collectors.toMap(RuleBookMapper.BookRow::id, row -> row, (older, newer) -> newer, TreeMap::new))
                .values()
                .stream()
                .map(row -> book(row.id(), row.version()))
                .toList();
    }

    public Optional<RuleBook> newest(String id) {
        return newest().stream().filter(book -> book.id().equals(id)).findFirst();
    }

    /** Every version of every book. */
    public List<RuleBook> every() {
        return mapper.all().stream().map(row -> book(row.id(), row.version())).toList();
    }

    /** All versions of a book, the oldest first. */
    public List<RuleBook> versions(String id) {
        return mapper.all().stream()
                .filter(row -> row.id().equals(id))
                .map(row -> book(row.id(), row.version()))
                .toList();
    }

    /**
     * Reads a book without keeping it.
     *
     * @throws RuleBookException naming every problem by line and key
     */
    public RuleBook read(String yaml) {
        return RuleBookReader.read(yaml, Walk.vocabulary(), this::kept);
    }

    /**
     * Reads a book and keeps it.
     *
     * @throws RuleBookException naming every problem by line and key
     * @throws ConflictException when this version is already saved and says something else
     */
    @Transactional
    public RuleBook add(String yaml, String by) {
        return add(RuleBookReader.read(yaml, Walk.vocabulary(), this::kept), yaml, by);
    }

    /**
     * Publishes a text as a version: what was tried on the archive as it stands, or what the lead says in words was not. The first
     * version of a book judges nothing yet and needs no trial.
     *
     * @param untried why it is published without a trial; empty where it was tried
     * @throws RuleBookException naming every problem by line and key
     * @throws UnsuitableException where it was neither tried to its end nor is it said why
     */
    @Transactional
    public RuleBook publish(String yaml, Optional<String> untried, String by) {
        RuleBook book = read(yaml);
        String subject = new RuleBookMapper.BookRow(book.id(), book.version(), book.title(), yaml).subject();
        if (newest(book.id()).isPresent() && mapper.find(book.id(), book.version()) == null) {
            Optional<TriedBooks.Tried> tried = this.tried.getObject().tried(Digest.sha256(yaml), by);
            Optional<String> why = untried.map(String::strip).filter(words -> words.length() >= SHORTEST_REASON);
            if (tried.isPresent()) {
                journal.write(by, "publication.tried", subject, tried.get());
            } else if (why.isPresent()) {
                journal.write(by, "publication.untried", subject, Map.of("why", why.get()));
            } else {
                throw new UnsuitableException(
                        "untried",
                        Text.of(
                                "This text was not tried to its end on the archive as it stands. Try it, or say in at least {shortestReason} letters why it is published untried. Nothing was saved.",
                                SHORTEST_REASON));
            }
        }
        RuleBook added = add(book, yaml, by);
        Commit.after(() -> heads.sign("published " + subject));
        return added;
    }

    /**
     * As {@link #add}, for a book that a case brings with it: one from before a setting was asked for may lack it; what rests on
     * that is Not shown.
     */
    @Transactional
    public RuleBook addWithCase(String yaml, String by) {
        return add(RuleBookReader.readKept(yaml, Walk.vocabulary(), this::kept), yaml, by);
    }

    private RuleBook add(RuleBook book, String yaml, String by) {
        RuleBookMapper.BookRow kept = mapper.find(book.id(), book.version());
        if (kept == null) {
            RuleBookMapper.BookRow row = new RuleBookMapper.BookRow(book.id(), book.version(), book.title(), yaml);
            mapper.insert(row);
            journal.write(by, "rule-book.added", row.subject(), row);
        } else if (!kept.yaml().equals(yaml)) {
            throw new ConflictException(
                    Text.of(
                            "Version {version} of {book} is already saved and says something else. Raise the version number; nothing was changed.",
                            book.version(),
                            book.id()),
                    yaml,
                    kept.yaml());
        }
        return book;
    }

    /** Keeps books that come with the application where they are not kept yet, those that others extend first. */
    public void ensure(List<String> shipped, String by) {
        for (String yaml : shipped) {
            RuleBook book = RuleBookReader.read(yaml, Walk.vocabulary(), this::kept);
            if (mapper.find(book.id(), book.version()) == null) {
                add(book, yaml, by);
            }
        }
    }

    private Optional<RuleBook> kept(RuleBook.Reference reference) {
        return mapper.find(reference.id(), reference.version()) == null
                ? Optional.empty()
                : Optional.of(book(reference.id(), reference.version()));
    }
}
