package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.UnaryOperator;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.undanus.server.journal.JournalCheck;
import org.undanus.server.seal.SealCheck;
import org.undanus.server.signing.SigningKey;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A visit is sealed once, speaks for itself, and every change in it is named. */
class SealTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    @TempDir
    Path folder;

    private JsonNode sealed(String id) {
        return inspector
                .post("/api/installations/" + id + "/seals", Map.of())
                .expect(201)
                .json();
    }

    private byte[] file(String number) {
        String id = inspector.installation(number.split("/")[0]);
        return inspector
                .get("/api/installations/" + id + "/seals/" + number.split("/")[1] + "/file")
                .expect(200)
                .response()
                .body();
    }

    private static byte[] kept(String number) {
        return SERVER.bean(JdbcTemplate.class)
                .queryForObject("SELECT content FROM seal WHERE number = ?", byte[].class, number);
    }

    private JsonNode checked(byte[] file) {
        return inspector
                .send("POST", "/api/sealed/check", file, "application/zip")
                .expect(200)
                .json();
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private static byte[] zipped(Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(stored(entry.getKey(), entry.getValue()));
                zip.write(entry.getValue());
            }
        }
        return out.toByteArray();
    }

    private static ZipEntry stored(String name, byte[] content) {
        CRC32 crc = new CRC32();
        crc.update(content);
        ZipEntry entry = new ZipEntry(name);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(content.length);
        entry.setCrc(crc.getValue());
        return entry;
    }

    private static byte[] with(byte[] zip, String name, UnaryOperator<String> change) throws IOException {
        Map<String, byte[]> entries = entries(zip);
        entries.computeIfPresent(name, (any, content) -> change.apply(new String(content, StandardCharsets.UTF_8))
                .getBytes(StandardCharsets.UTF_8));
        return zipped(entries);
    }

    @Test
    void whatIsSealedSpeaksForItselfAndEveryChangeIsNamed() throws IOException {
        String id = inspector.installation("LH-40");
        inspector
                .upload("/api/installations/" + id + "/photos?component=outdoor-1", TestPictures.jpeg(30, 20))
                .expect(201);
        RecordTest.withPaperBoxAndAnswer(SERVER, id, "nettlebank");
        JsonNode seal = sealed(id);
        assertThat(seal.path("number").asString()).isEqualTo("LH-40/1");
        byte[] zip = file("LH-40/1");
        JsonNode sound = checked(zip);
        assertThat(sound.path("sound").asBoolean()).as(sound.toString()).isTrue();
        assertThat(sound.path("known").asBoolean()).isTrue();
        assertThat(sound.path("sentence").asString()).contains("LH-40/1").contains("inspector");

        // kept once: the photo is put in again, byte by byte, when the file is handed out
        assertThat(entries(zip).keySet()).anyMatch(name -> name.startsWith("photos/"));
        assertThat(entries(kept("LH-40/1")).keySet()).noneMatch(name -> name.startsWith("photos/"));

        // anywhere else, without this office's keys
        Path elsewhere = Files.write(folder.resolve("sealed.zip"), zip);
        SealCheck.Verification offline = new SealCheck(new JsonMapper(), Optional.empty()).check(elsewhere);
        assertThat(offline.sound()).as(offline.toString()).isTrue();
        assertThat(offline.known()).isEmpty();

        assertProblem(
                with(zip, "case.json", text -> text.replaceFirst("\"typed\":\"[^\"]+\"", "\"typed\":\"99 in\"")),
                "Changed: readings 1");
        assertProblem(
                with(zip, "case.json", text -> text.replaceFirst("\"MEETS\"", "\"FAILS\"")), "Changed: judgements");
        assertProblem(with(zip, "case.json", text -> text.replaceFirst("at-least", "at-most")), "Changed: ruleBooks 1");
        assertProblem(with(zip, "case.json", text -> text.replaceFirst("\"title\":\"", "\"title\":\"X")), "Changed: ");
        assertProblem(
                with(zip, "case.json", text -> text.replaceFirst("\"signedBy\":\"", "\"signedBy\":\"X")),
                "Changed: records 1: 2026-08-04");
        assertProblem(
                with(zip, "case.json", text -> text.replaceFirst("\"name\":\"paper", "\"name\":\"other")),
                "Changed: files 1: files/");
        assertProblem(with(zip, "case.json", text -> "{"), "case.json cannot be read");
        assertProblem(
                with(zip, "seal.json", text -> text.replace("LH-40/1", "LH-40/2")), "The signature does not belong");
        assertProblem(
                with(zip, "seal.json", text -> text.replaceFirst("\"root\":\"", "\"root\":\"0")),
                "hash over all parts");

        Map<String, byte[]> others = entries(zip);
        String photo = others.keySet().stream()
                .filter(name -> name.startsWith("photos/"))
                .findFirst()
                .orElseThrow();
        others.put(photo, TestPictures.jpeg(31, 20));
        others.put("more.txt", new byte[] {1});
        assertProblem(zipped(others), "Changed: file " + photo);
        assertProblem(zipped(others), "Added: file more.txt");
        others.remove(photo);
        assertProblem(zipped(others), "Missing: file " + photo);
        others.remove("seal.json");
        assertThat(checked(zipped(others)).path("sentence").asString()).isEqualTo("This is no sealed file.");
        assertThat(checked("no zip".getBytes(StandardCharsets.UTF_8))
                        .path("sound")
                        .asBoolean())
                .isFalse();
    }

    private void assertProblem(byte[] zip, String said) {
        JsonNode outcome = checked(zip);
        assertThat(outcome.path("sound").asBoolean()).as(said).isFalse();
        assertThat(outcome.path("problems").toString()).contains(said);
    }

    @Test
    void aSealedVisitTakesNoMoreReadingsAndTheNextOneDoes() {
        String id = inspector.installation("LH-02");
        inspector.save(id, "plate.serial", "indoor-1", "A1").expect(201);
        sealed(id);
        assertThat(inspector
                        .save(id, "plate.serial", "indoor-1", "A2")
                        .expect(422)
                        .detail())
                .contains("sealed as LH-02/1")
                .contains("Begin a re-visit");
        assertThat(inspector
                        .post("/api/installations/" + id + "/seals", Map.of())
                        .expect(409)
                        .detail())
                .contains("sealed already");
        inspector
                .post(
                        "/api/installations/" + id + "/visits",
                        Map.of("stage", "RE_VISIT", "visitedOn", "2026-11-20", "unannounced", true))
                .expect(201);
        inspector.save(id, "plate.serial", "indoor-1", "A2").expect(201);
        JsonNode visits = inspector
                .get("/api/installations/" + id + "/visits")
                .expect(200)
                .json();
        assertThat(visits.at("/0/sealedAs").asString()).isEqualTo("LH-02/1");
        assertThat(visits.at("/1/unannounced").asBoolean()).isTrue();
        assertThat(sealed(id).path("number").asString()).isEqualTo("LH-02/2");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    @Test
    void aVisitSaysWhatItChangedAndThePlanWhatIsLeft() {
        String id = inspector.installation("LH-07");
        inspector
                .post("/api/installations/" + id + "/visits", Map.of("stage", "RE_VISIT", "visitedOn", "2026-11-20"))
                .expect(201);
        inspector
                .save(id, "siting.outdoor-clearance-back", "outdoor-1", "40 in")
                .expect(201);
        JsonNode changes = inspector
                .get("/api/installations/" + id + "/visits?units=US")
                .expect(200)
                .json()
                .at("/1/changes");
        assertThat(changes.valueStream()
                        .filter(change -> change.path("title").asString().equals("Clearance, back"))
                        .map(change -> change.path("before").asString() + " "
                                + change.path("now").asString()))
                .containsExactly("FAILS MEETS");
        JsonNode plan = inspector
                .get("/api/installations/" + id + "/revisit?units=US&on=2026-11-30")
                .expect(200)
                .json();
        assertThat(plan.path("stops").toString()).contains("Pad is sound").doesNotContain("Clearance, back");
        assertThat(plan.path("tools").toString()).contains("tape");
        assertThat(plan.path("time").asString()).isNotEmpty();
    }

    @Test
    void nothingIsSealedWhileSomethingRuns() {
        String id = inspector.installation("LH-03");
        inspector
                .post(
                        "/api/installations/" + id + "/holds",
                        Map.of(
                                "id",
                                "00000000-0000-0000-0000-00000000aa01",
                                "point",
                                "evacuation.hold-time",
                                "component",
                                lineSet(id)))
                .expect(201);
        assertThat(inspector
                        .post("/api/installations/" + id + "/seals", Map.of())
                        .expect(422)
                        .detail())
                .contains("A hold is running here");
        assertThat(inspector.get("/api/installations/" + id + "/seals").json()).isEmpty();
    }

    private String lineSet(String id) {
        return inspector
                .get("/api/installations/" + id + "/stations/evacuation")
                .expect(200)
                .json()
                .path("lines")
                .valueStream()
                .filter(line -> line.path("point").asString().equals("evacuation.hold-time"))
                .map(line -> line.path("component").asString())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void oneOfTwoWhoSealAtOnceIsTold() throws Exception {
        String id = inspector.installation("LH-05");
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<Future<Integer>> answers = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                Client one = SERVER.signedIn("inspector");
                answers.add(both.submit(() -> one.post("/api/installations/" + id + "/seals", Map.of())
                        .status()));
            }
            assertThat(List.of(answers.get(0).get(), answers.get(1).get())).containsExactlyInAnyOrder(201, 409);
        } finally {
            both.shutdown();
        }
        assertThat(inspector.get("/api/installations/" + id + "/seals").json()).hasSize(1);
    }

    @Test
    void sealsOfOthersAreNobodysBusinessAndACrewSealsNothing() {
        String id = inspector.installation("LH-15");
        sealed(id);
        Client own = SERVER.signedIn("threeways");
        Client other = SERVER.signedIn("nettlebank");
        String file = "/api/installations/" + id + "/seals/1/file";
        List<Integer> answers = List.of(
                own.get(file).status(),
                other.get(file).status(),
                SERVER.signedIn("dunmarrow").get(file).status());
        assertThat(answers).containsOnlyOnce(200).containsOnly(200, 404);
        inspector.get("/api/installations/" + id + "/seals/2/file").expect(404);
        assertThat(List.of(
                        SERVER.signedIn("dunmarrow")
                                .post("/api/installations/" + id + "/seals", Map.of())
                                .status(),
                        own.post("/api/installations/" + id + "/seals", Map.of())
                                .status(),
                        other.post("/api/installations/" + id + "/seals", Map.of())
                                .status()))
                .containsOnly(403, 404);
    }

    @Test
    void aSealedVerdictStandsBesideWhatNewerRulesWouldSay() {
        String id = inspector.installation("LH-06");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "40 in")
                .expect(201);
        sealed(id);
        JsonNode before = inspector
                .get("/api/installations/" + id + "/seals")
                .expect(200)
                .json()
                .get(0);
        assertThat(before.path("beside")).isEmpty();
        String book = inspector
                .get("/api/installations/" + id)
                .json()
                .path("ruleBook")
                .asString();
        String yaml = BookText.next(inspector
                        .get("/api/rule-books/" + book)
                        .json()
                        .path("yaml")
                        .asString())
                .replaceFirst("(outdoor-clearance-front:\\s+- \\{by: programme, at-least:) (36 in|900 mm)", "$1 50 in");
        SERVER.signedIn("lead")
                .send("POST", "/api/rule-books?untried=a+test+of+what+follows", yaml, "text/plain")
                .expect(201);
        JsonNode after = inspector
                .get("/api/installations/" + id + "/seals")
                .expect(200)
                .json()
                .get(0);
        assertThat(after.path("newest").asInt()).isEqualTo(11);
        assertThat(after.path("verdicts")).isEqualTo(before.path("verdicts"));
        assertThat(after.path("beside")).hasSize(1);
        assertThat(after.at("/beside/0/asSealed").asString()).isEqualTo("MEETS");
        assertThat(after.at("/beside/0/byNewest").asString()).isEqualTo("FAILS");
    }

    @Test
    void anotherKeySignsAndOldSealsStillVerify() throws SQLException {
        String id = inspector.installation("LH-09");
        sealed(id);
        String before = checked(file("LH-09/1")).path("fingerprint").asString();
        SigningKey.changed(SERVER.folder());
        JsonNode old = checked(file("LH-09/1"));
        assertThat(old.path("sound").asBoolean()).isTrue();
        String next = inspector.installation("LH-10");
        sealed(next);
        JsonNode fresh = checked(file("LH-10/1"));
        assertThat(fresh.path("sound").asBoolean()).isTrue();
        assertThat(fresh.path("fingerprint").asString()).isNotEqualTo(before);
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");

        execute("UPDATE seal SET anchor_hash = 'x' WHERE number = 'LH-10/1'");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).contains("the seal LH-10/1 rests on");
    }

    private static void execute(String sql) throws SQLException {
        try (Connection connection = SERVER.bean(DataSource.class).getConnection();
                Statement statement = connection.createStatement()) {
            statement.executeUpdate(sql);
        }
    }

    @Test
    void aClockBehindTheJournalSealsNothing() throws SQLException {
        String id = inspector.installation("LH-23");
        execute("UPDATE journal SET at = DATEADD('DAY', 2, at) WHERE sequence = (SELECT MAX(sequence) FROM journal)");
        try {
            assertThat(inspector
                            .post("/api/installations/" + id + "/seals", Map.of())
                            .expect(422)
                            .detail())
                    .contains("The clock of this machine is behind");
        } finally {
            execute(
                    "UPDATE journal SET at = DATEADD('DAY', -2, at) WHERE sequence = (SELECT MAX(sequence) FROM journal)");
        }
        assertThat(inspector.get("/api/installations/" + id + "/seals").json()).isEmpty();
    }
}
