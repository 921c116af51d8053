package org.undanus.server.account;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Commit;
import org.undanus.server.work.Gate;

/** The accounts there are. */
@Service
public class Accounts {
    /** What a name may be. */
    public static final String NAME = "[a-z0-9][a-z0-9._-]{0,59}";

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
        boolean right = matches(password, row == null ? hashOfNobody : row.passwordHash());
        return row != null && right && row.active() ? Optional.of(row.person()) : Optional.empty();
    }

    private boolean matches(String password, String hash) {
        return Passwords.hashable(password) && gate.through(() -> encoder.matches(password, hash));
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
        Passwords.requireFit(password, person);
        add(person, password, true, by);
    }

    private void add(Person person, String password, boolean active, String by) {
        AccountMapper.AccountRow row = new AccountMapper.AccountRow(
                person.name(),
                person.title(),
                encoder.encode(password),
                person.role(),
                person.crew().orElse(null),
                active,
                null,
                0);
        mapper.insert(row);
        journal.write(by, "account.added", row.name(), row.state());
    }

    /**
     * Adds an account that comes from elsewhere, switched off and without a password: the quality lead gives it one and switches it
     * on. One that is here already stays as it is.
     */
    @Transactional
    public void bringIn(Person person, String by) {
        if (mapper.find(person.name()) == null) {
            add(person, UUID.randomUUID().toString(), false, by);
        }
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
        keep(mapper.find(name).with(secret), by);
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

    private void keep(AccountMapper.AccountRow after, String by) {
        if (mapper.update(after) == 0) {
            throw new ConflictException(
                    "This account was changed meanwhile. Nothing was saved; look at it again first.", "", after.name());
        }
        journal.write(
                by, "account.changed", after.name(), mapper.find(after.name()).state());
    }

    /**
     * An account as it stands, without its secrets.
     *
     * @param active whether they may sign in
     * @param version how often it was changed
     */
    public record Account(Person person, boolean active, int version) {}

    @Transactional(readOnly = true)
    public List<Account> all() {
        return mapper.all().stream()
                .map(row -> new Account(row.person(), row.active(), row.version()))
                .toList();
    }

    boolean known(String name) {
        return mapper.find(name) != null;
    }

    /**
     * Somebody's own new password; all else of the account stays as it is by now. What else is signed in ends.
     *
     * @throws UnsuitableException where it is no better than none
     * @throws ConflictException where the account is changed at the same moment
     */
    @Transactional
    void password(String name, String fresh) {
        AccountMapper.AccountRow before = mapper.find(name);
        requireFresh(fresh, before.person(), before);
        keep(before.withPassword(encoder.encode(fresh)), name);
        Commit.after(() -> ended.end(name));
    }

    private void requireFresh(String fresh, Person person, AccountMapper.AccountRow before) {
        Passwords.requireFit(fresh, person);
        if (matches(fresh, before.passwordHash())) {
            throw new UnsuitableException("password", "That is the old password. Nothing was changed.");
        }
    }

    /**
     * Changes an account. What it has signed in ends where it is switched off, given a new password or another role or crew.
     *
     * @param wanted with the version that was seen
     * @param password empty where the old one stays
     * @throws ConflictException where somebody changed it meanwhile
     */
    @Transactional
    Account change(Account wanted, Optional<String> password, String by) {
        AccountMapper.AccountRow before = mapper.find(wanted.person.name());
        password.ifPresent(fresh -> requireFresh(fresh, wanted.person, before));
        AccountMapper.AccountRow after = new AccountMapper.AccountRow(
                before.name(),
                wanted.person.title(),
                password.map(encoder::encode).orElse(before.passwordHash()),
                wanted.person.role(),
                wanted.person.crew().orElse(null),
                wanted.active,
                before.secondFactor(),
                wanted.version);
        keep(after, by);
        boolean same = after.active()
                && password.isEmpty()
                && after.role() == before.role()
                && Objects.equals(after.crew(), before.crew());
        if (!same) {
            Commit.after(() -> ended.end(after.name()));
        }
        return new Account(wanted.person, wanted.active, wanted.version + 1);
    }
}
