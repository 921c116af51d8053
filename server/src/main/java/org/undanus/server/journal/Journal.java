package org.undanus.server.journal;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.undanus.server.problem.Saved;
import org.undanus.server.store.Digest;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes down every change in the transaction that makes it. A transaction's entries are linked to the chain together, when it
 * is about to commit: until then the chain's end is free for others, however long the transaction takes.
 */
@Service
public class Journal {
    private static final int BATCH = 1000;
    /** What an action ends with that takes something away. */
    static final String GONE = ".gone";

    private final Clock clock;
    private final JournalMapper mapper;
    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final ObjectProvider<Authority> authority;
    private final ApplicationEventPublisher events;

    /** @param authority looked for when it is needed: it rests on accounts, and these on the journal */
    Journal(
            Clock clock,
            JournalMapper mapper,
            JdbcTemplate jdbc,
            JsonMapper json,
            ObjectProvider<Authority> authority,
            ApplicationEventPublisher events) {
        this.clock = clock;
        this.events = events;
        this.authority = authority;
        this.jdbc = jdbc;
        this.mapper = mapper;
        this.json = json;
    }

    private record Entered(String byWhom, String action, String subject, String content) {}

    /** The entries of the transaction that this thread is in. */
    private final class Pending implements TransactionSynchronization {
        private final List<Entered> entered = new ArrayList<>();
        private long reached;

        @Override
        public int getOrder() {
            // before the connection's own, which let go of it
            return 0;
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            reached = link(entered);
        }

        @Override
        public void afterCommit() {
            Saved.mark();
            events.publishEvent(new Linked(reached));
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResource(Journal.this);
        }
    }

    /** Said once a transaction's entries stand: how far the chain reaches. */
    record Linked(long sequence) {}

    /** The last entry there is. */
    public record End(long sequence, String hash, Instant at) {}

    /** The end of what is committed; empty where nothing is. */
    public Optional<End> end() {
        return Optional.ofNullable(mapper.last());
    }

    /**
     * @param action what was done, for example {@code reading.added}; it begins with the kind of what it was done to
     * @param subject the id of what it was done to
     * @param content what it now says; written as JSON
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(String byWhom, String action, String subject, Object content) {
        Pending pending = (Pending) TransactionSynchronizationManager.getResource(this);
        if (pending == null) {
            pending = new Pending();
            TransactionSynchronizationManager.bindResource(this, pending);
            TransactionSynchronizationManager.registerSynchronization(pending);
        }
        pending.entered.add(new Entered(byWhom, action, subject, json.writeValueAsString(content)));
    }

    /**
     * Something that was kept is kept no longer.
     *
     * @param kind of what, as {@link JournalledKind} names it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void gone(String byWhom, String kind, String subject) {
        write(byWhom, kind + GONE, subject, Map.of());
    }

    /** The sequence of the last of them. */
    private long link(List<Entered> entered) {
        JournalMapper.Head head = mapper.lockHead();
        authority.ifAvailable(Authority::require);
        // the database keeps milliseconds and would round what is finer, away from what was hashed
        Instant at = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        List<JournalMapper.Entry> entries = new ArrayList<>(entered.size());
        for (Entered e : entered) {
            long sequence = head.sequence() + 1;
            String hash = hash(head.hash(), sequence, at, e.byWhom(), e.action(), e.subject(), e.content());
            entries.add(new JournalMapper.Entry(sequence, at, e.byWhom(), e.action(), e.subject(), e.content(), hash));
            head = new JournalMapper.Head(sequence, hash);
        }
        insert(entries);
        mapper.moveHead(head);
        return head.sequence();
    }

    /** As one batch: others wait for the chain's end meanwhile. */
    private void insert(List<JournalMapper.Entry> entries) {
        jdbc.batchUpdate(
                "INSERT INTO journal (sequence, at, by_whom, action, subject, content, hash) VALUES (?, ?, ?, ?, ?, ?, ?)",
                entries,
                BATCH,
                (statement, entry) -> {
                    int column = 0;
                    statement.setLong(++column, entry.sequence());
                    statement.setObject(++column, entry.at().atOffset(ZoneOffset.UTC));
                    statement.setString(++column, entry.byWhom());
                    statement.setString(++column, entry.action());
                    statement.setString(++column, entry.subject());
                    statement.setString(++column, entry.content());
                    statement.setString(++column, entry.hash());
                });
    }

    static String hash(
            String before, long sequence, Instant at, String byWhom, String action, String subject, String content) {
        String line = String.join(
                "\n",
                before,
                Long.toString(sequence),
                Long.toString(at.toEpochMilli()),
                byWhom,
                action,
                subject,
                content);
        return Digest.sha256(line);
    }
}
