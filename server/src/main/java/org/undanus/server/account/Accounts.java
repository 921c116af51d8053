package org.undanus.server.account;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;
import org.undanus.server.store.Commit;
import org.undanus.server.work.Gate;

/** The accounts there are. */
@Service
public class Accounts {
    private static final Logger LOG = LoggerFactory.getLogger(Accounts.class);
    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private final AccountMapper mapper;
    private final PasswordEncoder encoder;
    private final Journal journal;
    private final EndedSessions ended;
    private final TransactionTemplate transactions;
    /** Hashing takes a processor whole: one is always left for those who are signed in. */
    private final Gate gate = new Gate(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), PATIENCE);

    private final String hashOfNobody;

    Accounts(
            AccountMapper mapper,
            PasswordEncoder encoder,
            Journal journal,
            EndedSessions ended,
            TransactionTemplate transactions) {
        this.transactions = transactions;
        this.ended = ended;
        this.mapper = mapper;
        this.journal = journal;
        this.encoder = encoder;
        this.hashOfNobody = encoder.encode("nobody");
    }

    /** The person, where name and password go together. An unknown name takes as long as a wrong password. */
    Optional<Person> check(String name, String password) {
        AccountMapper.AccountRow row = mapper.find(name.strip().toLowerCase(Locale.ROOT));
        boolean right = gate.through(() -> encoder.matches(password, row == null ? hashOfNobody : row.passwordHash()));
        return row != null && right && row.active() ? Optional.of(row.person()) : Optional.empty();
    }

    /** Who has this name, where they may still sign in. */
    @Transactional(readOnly = true)
    public Optional<Person> active(String name) {
        return Optional.ofNullable(mapper.find(name))
                .filter(AccountMapper.AccountRow::active)
                .map(AccountMapper.AccountRow::person);
    }

    public boolean none() {
        return mapper.count() == 0;
    }

    /** @param by who added it, for the journal */
    @Transactional
    public void add(Person person, String password, String by) {
        AccountMapper.AccountRow row = new AccountMapper.AccountRow(
                person.name(),
                person.title(),
                encoder.encode(password),
                person.role(),
                person.crew().orElse(null),
                true,
                null);
        mapper.insert(row);
        journal.write(by, "account.added", row.name(), row.state());
    }

    /** The secret of somebody's second factor; empty where they have none. */
    Optional<String> secondFactor(String name) {
        return Optional.ofNullable(mapper.find(name)).map(AccountMapper.AccountRow::secondFactor);
    }

    /**
     * Keeps somebody's second factor, or takes it away.
     *
     * @param secret null to take it away
     */
    @Transactional
    void secondFactor(String name, String secret, String by) {
        AccountMapper.AccountRow before = mapper.find(name);
        AccountMapper.AccountRow after = new AccountMapper.AccountRow(
                name, before.title(), before.passwordHash(), before.role(), before.crew(), before.active(), secret);
        mapper.update(after);
        journal.write(by, "account.changed", name, after.state());
    }

    /** Notes in the journal that somebody signed in or out; where that cannot be written they do so all the same. */
    void note(Person person, String what) {
        try {
            transactions.executeWithoutResult(status -> journal.write(person.name(), what, person.name(), Map.of()));
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("{} of {} is not in the journal: {}", what, person.name(), e.getMessage());
        }
    }

    /** Ends what somebody has signed in, wherever that is. */
    @Transactional
    void endSessions(String name, String by) {
        journal.write(by, "session.ended-by-lead", name, Map.of());
        Commit.after(() -> ended.end(name));
    }

    /** An account as it stands. */
    record Standing(Person person, boolean active) {}

    List<Standing> all() {
        return mapper.all().stream()
                .map(row -> new Standing(row.person(), row.active()))
                .toList();
    }

    boolean known(String name) {
        return mapper.find(name) != null;
    }

    /**
     * Changes an account. What it has signed in ends where it is switched off, given a new password or another role or crew.
     *
     * @param password empty where the old one stays
     */
    @Transactional
    void change(Standing wanted, Optional<String> password, String by) {
        AccountMapper.AccountRow before = mapper.find(wanted.person.name());
        AccountMapper.AccountRow after = new AccountMapper.AccountRow(
                before.name(),
                wanted.person.title(),
                password.map(encoder::encode).orElse(before.passwordHash()),
                wanted.person.role(),
                wanted.person.crew().orElse(null),
                wanted.active,
                before.secondFactor());
        mapper.update(after);
        journal.write(by, "account.changed", after.name(), after.state());
        boolean same = after.active()
                && password.isEmpty()
                && after.role() == before.role()
                && Objects.equals(after.crew(), before.crew());
        if (!same) {
            Commit.after(() -> ended.end(after.name()));
        }
    }
}
