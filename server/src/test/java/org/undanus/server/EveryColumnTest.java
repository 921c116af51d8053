package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.undanus.server.journal.EarlierForm;
import org.undanus.server.journal.JournalBackfill;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.journal.SignedHeads;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Whatever column of whatever table is changed behind the journal's back, the check of the data names it. */
class EveryColumnTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final Tampering TAMPERING = new Tampering(SERVER);

    /** One visit's readings are enough, and the check is asked for each of some hundred columns. */
    private static void shrink() throws IOException {
        JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
        jdbc.update("DELETE FROM seal");
        jdbc.update("UPDATE visit SET sealed_as = NULL");
        jdbc.update(
                "DELETE FROM reading WHERE installation_id <> (SELECT id FROM installation WHERE reference = 'LH-23')");
        jdbc.update("DELETE FROM journal");
        jdbc.update("UPDATE journal_head SET sequence = 0, hash = '', stock_taken = FALSE");
        Files.delete(SERVER.bean(SignedHeads.class).file());
        SERVER.bean(JournalBackfill.class).ensure("undanus");
    }

    /** Tables that say nothing of the work itself, or not yet: what comes live is kept as a curve; the journal's own are held by the chain and the signed ends. */
    private static final Set<String> NOT_KEPT =
            Set.of("FLYWAY_SCHEMA_HISTORY", "JOURNAL", "JOURNAL_HEAD", "STANDING", "LIVE_SAMPLE");

    /** How often a letter was tried on its way says nothing of the work: what it came to does. */
    private static final Set<String> ON_THE_WAY = Set.of("DELIVERY.TRIES", "DELIVERY.DUE_AT", "DELIVERY.SAID");

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
                        .filter(column ->
                                !ON_THE_WAY.contains((column.table() + "." + column.name()).toUpperCase(Locale.ROOT)))
                        .toList();
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

    /** By which names each kind of row is journalled: where that changes, folders of before need an {@link EarlierForm}. */
    private static String forms() {
        StringBuilder forms = new StringBuilder();
        for (JournalledKind kept : SERVER.beans(JournalledKind.class).stream()
                .sorted(Comparator.comparing(JournalledKind::kind))
                .toList()) {
            Set<String> names = new TreeSet<>();
            kept.rows()
                    .each((subject, row) ->
                            named("", SERVER.bean(JsonMapper.class).valueToTree(row), names));
            assertThat(names).as(kept.kind()).isNotEmpty();
            forms.append(kept.kind())
                    .append(": ")
                    .append(String.join(" ", names))
                    .append('\n');
        }
        return forms.toString();
    }

    private static void named(String within, JsonNode node, Set<String> names) {
        node.properties().forEach(each -> {
            names.add(within + each.getKey());
            named(within + each.getKey() + ".", each.getValue(), names);
        });
        node.values().forEach(each -> {
            if (node.isArray()) {
                named(within, each, names);
            }
        });
    }

    @Test
    void aChangeInAnyColumnOfAnyTableShows() throws IOException {
        shrink();
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
        assertThat(TAMPERING.check().sentence())
                .contains(
                        "sound",
                        "1 stop notice,",
                        " hold",
                        "3 photos,",
                        "1 certificate,",
                        "15 traces.",
                        "5 accounts",
                        "20 installations");
        Golden.compare(Path.of("src/test/resources/journalled-forms.txt"), forms());
        JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
        jdbc.execute("SET REFERENTIAL_INTEGRITY FALSE");
        try {
            List<Column> columns = columns();
            assertThat(columns).hasSizeGreaterThan(80);
            assertThat(columns)
                    .filteredOn(column -> TAMPERING.after(column.change()).sound())
                    .isEmpty();
        } finally {
            jdbc.execute("SET REFERENTIAL_INTEGRITY TRUE");
        }
    }
}
