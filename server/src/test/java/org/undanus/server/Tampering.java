package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.OffsetDateTime;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.store.Digest;

/** What somebody who has the database could do to it, and what the check of the data says of it. */
record Tampering(TestServer server) {
    JournalCheck.Result check() {
        return server.bean(JournalCheck.class).run();
    }

    /** What the check says if this were done; it is undone again. */
    JournalCheck.Result after(String... changes) {
        return server.bean(TransactionTemplate.class).execute(status -> {
            status.setRollbackOnly();
            JdbcTemplate jdbc = new JdbcTemplate(server.bean(DataSource.class));
            for (String change : changes) {
                assertThat(jdbc.update(change)).as(change).isPositive();
            }
            return check();
        });
    }

    /** As a forger would who has the database and the program, but not the key. */
    static void computeAnew(JdbcTemplate jdbc) {
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
}
