package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.journal.SignedHeads;
import org.undanus.server.journal.StockTaking;
import org.undanus.server.store.Digest;

class JournalTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String MEASURED = "(SELECT MIN(sequence) FROM reading WHERE si IS NOT NULL)";

    private static JournalCheck.Outcome check() {
        return SERVER.bean(JournalCheck.class).run();
    }

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
        assertThat(check().sentence()).contains("sound");
        assertThat(check().sound()).isTrue();
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
        assertThat(check().sentence()).contains("sound");
    }

    @Test
    void whatIsRolledBackIsNotJournalled() {
        long before = check().entries();
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(status -> {
            SERVER.bean(Journal.class).write("inspector", "test.done", "x", Map.of());
            status.setRollbackOnly();
        });
        assertThat(check().entries()).isEqualTo(before);
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
        assertThat(check().sound()).isTrue();
        execute(tamper);
        assertThat(check().sound()).as(tamper).isFalse();
        assertThat(check().sentence()).contains("not sound");
        execute(undo);
        assertThat(check().sound()).isTrue();
    }

    /** Tables that say nothing of the work itself, or not yet: what comes live is kept as a curve; the journal's own are held by the chain and the signed ends. */
    private static final Set<String> NOT_KEPT =
            Set.of("FLYWAY_SCHEMA_HISTORY", "JOURNAL", "JOURNAL_HEAD", "STANDING", "LIVE_SAMPLE");

    private record Column(String table, String name, String type) {
        /** Something else of the same type. */
        private String changed() {
            return switch (type) {
                case "CHARACTER VARYING", "CHARACTER LARGE OBJECT" ->
                    "CASE WHEN RIGHT(" + name + ", 1) = '#' THEN '%' ELSE '#' END";
                case "BOOLEAN" -> "NOT COALESCE(" + name + ", FALSE)";
                case "DATE" -> "COALESCE(DATEADD(DAY, 1, " + name + "), DATE '2026-11-25')";
                case "TIMESTAMP WITH TIME ZONE" -> "COALESCE(DATEADD(SECOND, 1, " + name + "), CURRENT_TIMESTAMP)";
                case "BINARY LARGE OBJECT" -> "X'00'";
                default -> "COALESCE(" + name + ", 0) + 1";
            };
        }

        String change() {
            return "UPDATE " + table + " SET " + name + " = " + changed() + " FETCH FIRST 1 ROW ONLY";
        }
    }

    private static List<Column> columns() {
        return new JdbcTemplate(SERVER.bean(DataSource.class))
                        .query(
                                "SELECT table_name, column_name, data_type FROM information_schema.columns"
                                        + " WHERE table_schema = 'PUBLIC' AND is_identity = 'NO'",
                                (row, number) -> new Column(row.getString(1), row.getString(2), row.getString(3)))
                        .stream()
                        .filter(column -> !NOT_KEPT.contains(column.table().toUpperCase(Locale.ROOT)))
                        .toList();
    }

    /** What the check says if this were done; it is undone again. */
    private static JournalCheck.Outcome after(String... changes) {
        return SERVER.bean(TransactionTemplate.class).execute(status -> {
            status.setRollbackOnly();
            JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
            for (String change : changes) {
                assertThat(jdbc.update(change)).as(change).isPositive();
            }
            return check();
        });
    }

    /** A commissioning record with all that hangs on one. */
    private static void paper(Client lead, String id) {
        String record = lead.post("/api/installations/" + id + "/records", Client.record("45 °C"))
                .expect(201)
                .json()
                .path("id")
                .asString();
        lead.upload("/api/records/" + record + "/documents?name=paper.png", TestPictures.png(30, 20))
                .expect(201);
        lead.post(
                        "/api/records/" + record + "/questions",
                        Map.of("questions", List.of(Map.of("check", "record.weather", "subject", "system"))))
                .expect(201);
    }

    private static void listenAndMark(Client lead) {
        lead.post("/api/instruments/vacuum-1/token?crew=Threeways%20Cooling", Map.of())
                .expect(201);
        String live = "/api/installations/" + lead.installation("LH-44") + "/live";
        String listening = "00000000-0000-0000-0000-00000000000b";
        lead.post(
                        live,
                        Map.of(
                                "id",
                                listening,
                                "point",
                                "evacuation.log",
                                "component",
                                "line-set-indoor-1",
                                "instrument",
                                "vacuum-1"))
                .expect(201);
        lead.post(live + "/" + listening + "/mark", Map.of("act", "ISOLATED")).expect(204);
    }

    @Test
    void aChangeInAnyColumnOfAnyTableShows() throws SQLException {
        Client lead = SERVER.signedIn("lead");
        String id = lead.installation("LH-01");
        String photo = lead.upload(
                        "/api/installations/" + id + "/photos?component=outdoor-1", TestPictures.jpegFromACamera())
                .expect(201)
                .json()
                .path("id")
                .asString();
        lead.put("/api/photos/" + photo + "/marks", Map.of("marks", List.of(), "version", 0))
                .expect(200);
        lead.save(id, "siting.outdoor-clearance-front", "outdoor-1", "10 in").expect(201);
        lead.post("/api/installations/" + lead.installation("LH-10") + "/seals", Map.of())
                .expect(201);
        String correction = lead.post(
                        "/api/installations/" + id + "/corrections",
                        Map.of("judgements", List.of("siting.outdoor-clearance-front@outdoor-1"), "words", "Move it."))
                .expect(201)
                .json()
                .at("/0/id")
                .asString();
        lead.upload("/api/corrections/" + correction + "/files?name=note.txt", "Done.".getBytes(StandardCharsets.UTF_8))
                .expect(201);
        lead.post(
                        "/api/corrections/" + correction + "/steps",
                        Map.of(
                                "kind",
                                "WITHDRAWN",
                                "words",
                                "A slip.",
                                "readings",
                                List.of(),
                                "confirmed",
                                false,
                                "version",
                                1))
                .expect(201);
        lead.post(
                        "/api/installations/" + id + "/subjects",
                        Map.of("kind", "JOINT", "title", "Flare", "joins", List.of("indoor-1")))
                .expect(201);
        lead.upload("/api/instruments/gauge-5/certificates", "%PDF-1.7 made up".getBytes(StandardCharsets.US_ASCII))
                .expect(201);
        lead.post(
                        "/api/installations/" + id + "/holds",
                        Map.of(
                                "id",
                                "00000000-0000-0000-0000-00000000000a",
                                "point",
                                "tightness.hold-time",
                                "component",
                                "line-set-indoor-1",
                                "ago",
                                0))
                .expect(201);
        lead.post("/api/instruments/gauge-5/token", Map.of()).expect(201);
        listenAndMark(lead);
        paper(lead, id);
        RefrigerantTest.bring(lead, RefrigerantTest.file()).expect(201);
        lead.save(lead.installation("LH-23"), "fuel.room-carbon-monoxide", "indoor-1", "60 ppm")
                .expect(201);
        assertThat(check().sentence())
                .contains(
                        "sound",
                        "1 stop notice,",
                        " hold",
                        "3 photos,",
                        "1 certificate,",
                        "15 traces.",
                        "5 accounts",
                        "17 installations");
        execute("SET REFERENTIAL_INTEGRITY FALSE");
        try {
            List<Column> columns = columns();
            assertThat(columns).hasSizeGreaterThan(80);
            assertThat(columns)
                    .filteredOn(column -> after(column.change()).sound())
                    .isEmpty();
        } finally {
            execute("SET REFERENTIAL_INTEGRITY TRUE");
        }
    }

    @Test
    void rowsTakenAwayOrPutInAnotherOrderShow() {
        assertThat(after("DELETE FROM reading WHERE sequence = (SELECT MAX(sequence) FROM reading)")
                        .sentence())
                .contains("the reading", "is missing");
        String columns = TestServer.READING;
        assertThat(after(
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
        assertThat(after(
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

    /** As a forger would who has the database and the program, but not the key. */
    private static void computeAnew(JdbcTemplate jdbc) {
        String before = "";
        for (Map<String, Object> row : jdbc.queryForList("SELECT sequence, at, by_whom, action, subject,"
                + " CAST(content AS VARCHAR) AS content FROM journal ORDER BY sequence")) {
            String line = String.join(
                    "\n",
                    before,
                    row.get("sequence").toString(),
                    Long.toString(((OffsetDateTime) row.get("at")).toInstant().toEpochMilli()),
                    (String) row.get("by_whom"),
                    (String) row.get("action"),
                    (String) row.get("subject"),
                    (String) row.get("content"));
            before = Digest.sha256(line);
            jdbc.update("UPDATE journal SET hash = ? WHERE sequence = ?", before, row.get("sequence"));
        }
        jdbc.update("UPDATE journal_head SET hash = ?", before);
    }

    @Test
    void aChainComputedAnewShows() {
        SERVER.bean(SignedHeads.class).sign("test");
        JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
        JournalCheck.Outcome outcome = SERVER.bean(TransactionTemplate.class).execute(status -> {
            status.setRollbackOnly();
            jdbc.update("UPDATE journal SET by_whom = 'nettlebank', at = DATEADD(HOUR, -1, at) WHERE sequence = 30");
            computeAnew(jdbc);
            return check();
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
            assertThat(check().sentence()).contains("was not signed so");
        }
        // what a killed process leaves is no forgery, and the next line begins on its own
        Files.writeString(heads.file(), kept + "{\"form\":1,\"sequ");
        assertThat(check().sound()).isTrue();
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(status -> SERVER.bean(Journal.class)
                .write("inspector", "test.done", "x", Map.of()));
        heads.sign("test");
        assertThat(check().sound()).isTrue();
        Path key = heads.keyFile();
        assertThat(Files.getPosixFilePermissions(key))
                .containsOnly(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
        String pem = Files.readString(key);
        Files.delete(key);
        assertThat(check().sentence()).contains("the key that the journal's ends were signed with is missing");
        Files.writeString(key, pem);
        assertThat(check().sound()).isTrue();
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
            computeAnew(jdbc);
            Files.delete(earlier.bean(SignedHeads.class).file());
            String readings = String.format(
                    Locale.ROOT, "%,d readings", jdbc.queryForObject("SELECT COUNT(*) FROM reading", Long.class));
            JournalCheck check = earlier.bean(JournalCheck.class);
            assertThat(check.run().sentence()).contains("sound", "word for word: " + readings + ".");
            for (int start = 1; start <= 2; start++) {
                earlier.bean(StockTaking.class).ensure("undanus");
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
