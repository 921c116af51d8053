package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;
import org.undanus.server.journal.JournalBackfill;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.journal.SignedHeads;

class JournalTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final Tampering TAMPERING = new Tampering(SERVER);

    private static final String MEASURED = "(SELECT MIN(sequence) FROM reading WHERE si IS NOT NULL)";

    private static void execute(String sql) throws SQLException {
        try (Connection connection = SERVER.bean(DataSource.class).getConnection();
                Statement statement = connection.createStatement()) {
            statement.executeUpdate(sql);
        }
    }

    @Test
    void theChainHoldsAfterManyWritersAtOnce() throws Exception {
        String id = SERVER.signedIn("inspector").installation("LH-36");
        ExecutorService writers = Executors.newFixedThreadPool(8);
        try {
            List<Future<Integer>> saves = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                Client client = SERVER.signedIn("inspector");
                String typed = (30 + i) + " in";
                Callable<Integer> save = () -> client.post(
                                "/api/installations/" + id + "/readings",
                                Client.reading("siting.outdoor-clearance-front", "outdoor-1", typed))
                        .status();
                saves.add(writers.submit(save));
            }
            List<Integer> statuses = new ArrayList<>();
            for (Future<Integer> save : saves) {
                statuses.add(save.get());
            }
            // all were typed on an open line: one stands, the others are told
            assertThat(statuses).containsOnlyOnce(201).contains(409);
        } finally {
            writers.shutdown();
        }
        assertThat(TAMPERING.check().sentence()).startsWith("The data is sound");
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
    }

    @Test
    void whatIsWrittenWhileItIsCheckedIsInItWholeOrNotAtAll() throws Exception {
        Client lead = SERVER.signedIn("lead");
        AtomicBoolean checked = new AtomicBoolean();
        ExecutorService writer = Executors.newSingleThreadExecutor();
        try {
            Future<Integer> written = writer.submit(() -> {
                int version = lead.get("/api/mail").json().path("version").asInt();
                int first = version;
                while (!checked.get()) {
                    lead.put(
                                    "/api/mail",
                                    Map.of(
                                            "address",
                                            "lead" + version + "@undanus.example",
                                            "kinds",
                                            List.of(),
                                            "version",
                                            version++))
                            .expect(200);
                }
                return version - first;
            });
            for (int each = 0; each < 12; each++) {
                assertThat(TAMPERING.check().sentence()).startsWith("The data is sound");
            }
            checked.set(true);
            assertThat(written.get()).isGreaterThan(3);
        } finally {
            checked.set(true);
            writer.shutdown();
        }
    }

    @Test
    void nobodyWaitsForALongTransactionsJournal() {
        Journal journal = SERVER.bean(Journal.class);
        TransactionTemplate transactions = SERVER.bean(TransactionTemplate.class);
        transactions.executeWithoutResult(slow -> {
            journal.write("inspector", "test.done", "slow", Map.of("n", 1));
            ExecutorService other = Executors.newSingleThreadExecutor();
            try {
                other.submit(() -> transactions.executeWithoutResult(
                                quick -> journal.write("inspector", "test.done", "quick", Map.of("n", 2))))
                        .get(5, TimeUnit.SECONDS);
            } catch (InterruptedException | ExecutionException | TimeoutException e) {
                throw new AssertionError("the other transaction had to wait", e);
            } finally {
                other.shutdown();
            }
        });
        assertThat(TAMPERING.check().sentence()).startsWith("The data is sound");
    }

    @Test
    void whatIsRolledBackIsNotJournalled() {
        long before = TAMPERING.check().entries();
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(status -> {
            SERVER.bean(Journal.class).write("inspector", "test.done", "x", Map.of());
            status.setRollbackOnly();
        });
        assertThat(TAMPERING.check().entries()).isEqualTo(before);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "UPDATE reading SET si = si + 1 WHERE sequence = " + MEASURED
                        + "|UPDATE reading SET si = si - 1 WHERE sequence = " + MEASURED,
                "UPDATE reading SET grade = 'LOGGED' WHERE sequence = 1|UPDATE reading SET grade = 'WITNESSED' WHERE sequence = 1",
                "UPDATE journal SET by_whom = CONCAT(by_whom, '2') WHERE sequence = 30"
                        + "|UPDATE journal SET by_whom = LEFT(by_whom, LENGTH(by_whom) - 1) WHERE sequence = 30",
                "UPDATE journal_head SET sequence = sequence + 1|UPDATE journal_head SET sequence = sequence - 1",
            })
    void tamperingShows(String tamper, String undo) throws SQLException {
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
        execute(tamper);
        assertThat(TAMPERING.check().sound()).as(tamper).isFalse();
        assertThat(TAMPERING.check().sentence()).contains("not sound");
        execute(undo);
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
    }

    @Test
    void rowsTakenAwayOrPutInAnotherOrderShow() {
        assertThat(TAMPERING
                        .after("DELETE FROM reading WHERE sequence = (SELECT MAX(sequence) FROM reading)")
                        .sentence())
                .contains("the reading", "is missing");
        String columns = TestServer.READING;
        assertThat(TAMPERING
                        .after(
                                "INSERT INTO reading (id, " + columns + ") SELECT UPPER(id), " + columns
                                        + " FROM reading WHERE sequence = 1",
                                "DELETE FROM reading WHERE sequence = 1",
                                "UPDATE reading SET id = LOWER(id) WHERE sequence = (SELECT MAX(sequence) FROM reading)")
                        .sentence())
                .contains("the reading", "is not in the order journalled");
    }

    @Test
    void aChainCutShortTogetherWithWhatItSpokeOfShows() {
        SERVER.bean(SignedHeads.class).sign("test");
        String last = "(SELECT MAX(sequence) FROM reading)";
        // all that was journalled since, whatever it was, and the reading with it
        assertThat(TAMPERING
                        .after(
                                "DELETE FROM journal WHERE sequence = (SELECT sequence FROM journal_head)",
                                "UPDATE journal_head SET sequence = (SELECT MAX(sequence) FROM journal), hash ="
                                        + " (SELECT hash FROM journal ORDER BY sequence DESC FETCH FIRST 1 ROW ONLY)",
                                "DELETE FROM reading WHERE sequence = " + last)
                        .sentence())
                .contains("the journal ends at entry", "its end was signed at entry");
    }

    @Test
    void workThatGoesOnAfterACutDoesNotHideIt() {
        TestServer other = TestServer.withDemo();
        other.start();
        try {
            JdbcTemplate jdbc = new JdbcTemplate(other.bean(DataSource.class));
            TransactionTemplate transactions = other.bean(TransactionTemplate.class);
            transactions.executeWithoutResult(
                    status -> other.bean(Journal.class).write("inspector", "test.done", "first", Map.of()));
            other.bean(SignedHeads.class).sign("test");
            jdbc.update("DELETE FROM journal WHERE sequence = (SELECT sequence FROM journal_head)");
            jdbc.update("UPDATE journal_head SET sequence = (SELECT MAX(sequence) FROM journal), hash ="
                    + " (SELECT hash FROM journal ORDER BY sequence DESC FETCH FIRST 1 ROW ONLY)");
            transactions.executeWithoutResult(
                    status -> other.bean(Journal.class).write("inspector", "test.done", "second", Map.of()));
            other.bean(SignedHeads.class).sign("test");
            assertThat(other.bean(JournalCheck.class).run().sentence())
                    .contains("not sound", "is not the one whose hash was signed");
        } finally {
            other.stop();
        }
    }

    @Test
    void aChainComputedAnewShows() {
        SERVER.bean(SignedHeads.class).sign("test");
        JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
        JournalCheck.Result outcome = SERVER.bean(TransactionTemplate.class).execute(status -> {
            status.setRollbackOnly();
            jdbc.update("UPDATE journal SET by_whom = 'nettlebank', at = DATEADD(HOUR, -1, at) WHERE sequence = 30");
            Tampering.computeAnew(jdbc);
            return TAMPERING.check();
        });
        assertThat(outcome.sentence())
                .contains("is not the one whose hash was signed", "the chain was cut or computed anew")
                .doesNotContain("the journal's chain breaks");
    }

    @Test
    void aSignedEndThatWasRewrittenOrLostItsKeyShows() throws IOException {
        SignedHeads heads = SERVER.bean(SignedHeads.class);
        heads.sign("test");
        String kept = Files.readString(heads.file());
        for (String forged : List.of(
                kept.replaceFirst("\"occasion\":\"[^\"]*\"", "\"occasion\":\"another\""),
                kept + "{}\n",
                kept + "not even JSON\n")) {
            Files.writeString(heads.file(), forged);
            assertThat(TAMPERING.check().sentence()).contains("was not signed so");
        }
        // what a killed process leaves is no forgery, and the next line begins on its own
        Files.writeString(heads.file(), kept + "{\"form\":1,\"sequ");
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(status -> SERVER.bean(Journal.class)
                .write("inspector", "test.done", "x", Map.of()));
        heads.sign("test");
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
        Path key = heads.keyFile();
        assertThat(Files.getPosixFilePermissions(key))
                .containsOnly(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
        String pem = Files.readString(key);
        Files.delete(key);
        assertThat(TAMPERING.check().sentence())
                .contains("the key that the journal's ends were signed with is missing");
        Files.writeString(key, pem);
        assertThat(TAMPERING.check()).matches(JournalCheck.Result::sound);
    }

    @Test
    void whatAnEarlierVersionKeptIsTakenOverOnceAndAClockThatRanBackwardsIsNoted() throws IOException {
        TestServer earlier = TestServer.withDemo();
        earlier.start();
        try {
            JdbcTemplate jdbc = new JdbcTemplate(earlier.bean(DataSource.class));
            jdbc.update("DELETE FROM seal");
            jdbc.update("UPDATE visit SET sealed_as = NULL");
            jdbc.update("DELETE FROM journal WHERE action NOT LIKE 'reading.%'");
            jdbc.update(
                    "UPDATE journal j SET sequence = (SELECT COUNT(*) FROM journal k WHERE k.sequence <= j.sequence)");
            jdbc.update("UPDATE journal SET at = DATEADD(HOUR, -1, at) WHERE sequence = 30");
            jdbc.update("UPDATE journal_head SET stock_taken = FALSE, sequence = (SELECT MAX(sequence) FROM journal)");
            Tampering.computeAnew(jdbc);
            Files.delete(earlier.bean(SignedHeads.class).file());
            String readings = String.format(
                    Locale.ROOT, "%,d readings", jdbc.queryForObject("SELECT COUNT(*) FROM reading", Long.class));
            JournalCheck check = earlier.bean(JournalCheck.class);
            assertThat(check.run().sentence()).contains("sound", "word for word: " + readings + ".");
            for (int start = 1; start <= 2; start++) {
                earlier.bean(JournalBackfill.class).ensure("undanus");
                assertThat(check.run().sentence())
                        .contains("sound", readings, "data sheets", "was taken over as it stood")
                        .contains("the clock ran backwards 1 time, first at entry 30.");
            }
            jdbc.update("UPDATE app_user SET role = 'QUALITY_LEAD' WHERE name = 'dunmarrow'");
            assertThat(check.run().sentence()).contains("the account dunmarrow is not what was journalled");
        } finally {
            earlier.stop();
        }
    }
}
