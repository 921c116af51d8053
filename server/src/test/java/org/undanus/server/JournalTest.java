package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;
import org.undanus.server.journal.JournalCheck;

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
    void timesFinerThanADatabaseKeepsDoNotBreakTheChain() {
        Journal journal = SERVER.bean(Journal.class);
        TransactionTemplate transactions = SERVER.bean(TransactionTemplate.class);
        for (int micros : new int[] {1, 499, 500, 999}) {
            Instant at = Instant.parse("2026-11-25T10:00:00Z").plus(micros, ChronoUnit.MICROS);
            transactions.executeWithoutResult(
                    status -> journal.write(at, "inspector", "test.done", "x", Map.of("n", micros)));
        }
        assertThat(check().sentence()).contains("sound");
        assertThat(check().sound()).isTrue();
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
}
