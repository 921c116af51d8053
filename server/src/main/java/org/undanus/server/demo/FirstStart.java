package org.undanus.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Objects;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.FileSystemUtils;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.DemoAccounts;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.commissioning.DemoRecords;
import org.undanus.server.exchange.CaseImport;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.HeadSigner;
import org.undanus.server.journal.JournalBackfill;
import org.undanus.server.live.LiveStore;
import org.undanus.server.mail.MailChoice;
import org.undanus.server.mail.MailChoices;
import org.undanus.server.problem.StartRefusedException;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.seal.Seals;
import org.undanus.server.simulated.SimulatedInstruments;

/**
 * Fills an empty database: the general rule books always; in demo mode the invented borough's rule books, people and installations,
 * else one quality lead whose password is printed once.
 */
@Component
@ConditionalOnWebApplication
class FirstStart implements SmartInitializingSingleton {
    private static final String SEED = "/demo/sallowmere.json";
    private static final String SEALED = "LH-19";
    private static final Person KEEPER = new Person("undanus", "Undanus", Role.QUALITY_LEAD, Optional.empty());
    private static final String MAIL_DOMAIN = "@sallowmere.example";
    private static final int PASSWORD_BYTES = 9;

    private final RuleBooks books;
    private final Accounts accounts;
    private final ObjectProvider<DemoAccounts> demo;
    private final CaseImport exchange;
    private final JournalBackfill stock;
    private final HeadSigner heads;
    private final LiveStore live;
    private final CaseFiles cases;
    private final Seals seals;
    private final ObjectProvider<DemoRecords> records;
    private final MailChoices mail;
    private final TransactionTemplate transactions;

    FirstStart(
            RuleBooks books,
            Accounts accounts,
            ObjectProvider<DemoAccounts> demo,
            CaseImport exchange,
            JournalBackfill stock,
            HeadSigner heads,
            LiveStore live,
            CaseFiles cases,
            Seals seals,
            ObjectProvider<DemoRecords> records,
            MailChoices mail,
            TransactionTemplate transactions) {
        this.books = books;
        this.accounts = accounts;
        this.demo = demo;
        this.exchange = exchange;
        this.stock = stock;
        this.heads = heads;
        this.live = live;
        this.cases = cases;
        this.seals = seals;
        this.records = records;
        this.mail = mail;
        this.transactions = transactions;
    }

    /** One visit of the demo was done and sealed: once the journal says all that was done on it. */
    private void seal() {
        cases.named(DemoAccounts.INSPECTOR).stream()
                .filter(named -> named.reference().equals(SEALED))
                .forEach(named -> seals.seal(named.id(), DemoAccounts.INSPECTOR));
    }

    /** Before the port opens, so that nobody meets a half-filled register. */
    @Override
    public void afterSingletonsInstantiated() {
        boolean fresh = accounts.none();
        transactions.executeWithoutResult(status -> {
            stock.ensure(KEEPER.name());
            fill();
        });
        if (fresh) {
            seal();
            records.ifAvailable(DemoRecords::bring);
        }
        heads.sign("started");
    }

    private void seed() {
        try (InputStream seed = Objects.requireNonNull(FirstStart.class.getResourceAsStream(SEED), SEED)) {
            Path unpacked = Files.createTempDirectory("undanus-demo");
            try {
                Path file = unpacked.resolve("case.json");
                Files.copy(seed, file);
                exchange.read(file, KEEPER);
            } finally {
                FileSystemUtils.deleteRecursively(unpacked);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void fill() {
        books.ensure(ShippedRuleBooks.general(), KEEPER.name());
        if (!accounts.none()) {
            if (demo.getIfAvailable() == null && DemoAccounts.among(accounts)) {
                throw new StartRefusedException(
                        "This folder holds the demo, whose passwords are public. Choose another with"
                                + " --data, or start it with ./undanus demo.");
            }
            return;
        }
        DemoAccounts demoAccounts = demo.getIfAvailable();
        if (demoAccounts != null) {
            demoAccounts.ensure(KEEPER.name());
            demoAccounts
                    .accounts()
                    .forEach(account -> mail.keep(
                            account.name(), MailChoice.everything(account.name() + MAIL_DOMAIN), KEEPER.name()));
            books.ensure(ShippedRuleBooks.demo(), KEEPER.name());
            seed();
            SimulatedInstruments.TOKENS.forEach(
                    (instrument, token) -> live.keepToken(instrument, token, Optional.empty(), KEEPER.name()));
        } else {
            byte[] random = new byte[PASSWORD_BYTES];
            new SecureRandom().nextBytes(random);
            String password = Base64.getUrlEncoder().encodeToString(random);
            accounts.add(
                    new Person("lead", "Quality lead", Role.QUALITY_LEAD, Optional.empty()), password, KEEPER.name());
            System.out.println("First account: name lead, password " + password + " (shown once; write it down).");
        }
    }
}
