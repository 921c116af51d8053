package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Data sheets, toolcase, visits and calculators over HTTP. */
class LibraryTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client lead = SERVER.signedIn("lead");
    private final Client inspector = SERVER.signedIn("inspector");

    private JsonNode file(String model) {
        return lead.get("/api/data-sheets/file.json?model=" + Client.encoded(model))
                .expect(200)
                .json();
    }

    private static ObjectNode sheet(JsonNode file) {
        return (ObjectNode) file.at("/dataSheets/0");
    }

    @Test
    void aChangeOfASheetIsSeenBeforehandAndThenComparedAndJudgedBy() {
        String lido = inspector.installation("LH-01");
        JsonNode changed = file("WS-12 I");
        sheet(changed).put("leastThrow", "16 ft").put("document", "Ondrel 4411, edition 4");
        JsonNode preview =
                inspector.post("/api/data-sheets/preview", changed).expect(200).json();
        assertThat(preview.at("/sheets/0/differences").toString())
                .contains("8 ft")
                .contains("16 ft");
        JsonNode trial = tried(changed);
        assertThat(trial.path("state").asString()).as(trial.toString()).isEqualTo("DONE");
        assertThat(trial.path("done").asInt())
                .isEqualTo(trial.path("total").asInt())
                .isGreaterThan(10);
        assertThat(StreamSupport.stream(trial.path("installations").spliterator(), false)
                        .filter(each -> each.path("reference").asString().equals("LH-01"))
                        .flatMap(each ->
                                StreamSupport.stream(each.path("judgements").spliterator(), false))
                        .map(e -> e.path("title").asString() + " "
                                + e.path("before").asString() + " "
                                + e.path("now").asString()))
                .containsExactly("Free throw MEETS FAILS");
        SERVER.signedIn("nettlebank").post("/api/data-sheets/trials", changed).expect(403);
        assertThat(inspector
                        .judgement(lido, "siting", "siting.indoor-throw@indoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("MEETS");
        inspector.post("/api/data-sheets", changed).expect(403);
        assertThat(lead.post("/api/data-sheets", changed)
                        .expect(201)
                        .json()
                        .path("models")
                        .toString())
                .contains("WS-12 I");
        assertThat(lead.post("/api/data-sheets", changed)
                        .expect(201)
                        .json()
                        .path("models")
                        .isEmpty())
                .isTrue();
        assertThat(inspector
                        .judgement(lido, "siting", "siting.indoor-throw@indoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("FAILS");
        JsonNode differences = inspector
                .get("/api/data-sheets/differences?model=" + Client.encoded("WS-12 I") + "&from=1&to=2")
                .expect(200)
                .json();
        assertThat(differences.size()).isEqualTo(1);
        assertThat(differences.at("/0/title").asString()).isEqualTo("Least free throw");
    }

    private JsonNode tried(JsonNode sheets) {
        JsonNode trial =
                inspector.post("/api/data-sheets/trials", sheets).expect(202).json();
        while (trial.path("state").asString().equals("RUNNING")) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            trial = inspector
                    .get("/api/trials/" + trial.path("id").asString())
                    .expect(200)
                    .json();
        }
        return trial;
    }

    @Test
    void aSheetOfAModelThatNobodyHasChangesNothing() {
        JsonNode other = file("WS-12 I");
        sheet(other).put("model", "WS-99 X");
        JsonNode trial = tried(other);
        assertThat(trial.path("state").asString()).as(trial.toString()).isEqualTo("DONE");
        assertThat(trial.path("done").asInt()).isEqualTo(trial.path("total").asInt());
        assertThat(trial.path("changed").asInt()).isZero();
        assertThat(trial.path("installations").isEmpty()).isTrue();
    }

    @Test
    void sheetsThatLackOrContradictAreRefusedWhole() {
        JsonNode lacking = file("TZ-30");
        sheet(lacking).remove("document");
        assertThat(lead.post("/api/data-sheets", lacking).expect(422).detail()).contains("document");
        JsonNode contradicting = file("TZ-30");
        sheet(contradicting).put("minimumLineLength", "300 ft");
        assertThat(lead.post("/api/data-sheets", contradicting).expect(422).detail())
                .contains("contradicts itself");
        JsonNode unknown = file("TZ-30");
        sheet(unknown).put("colour", "grey");
        assertThat(lead.post("/api/data-sheets", unknown).expect(422).detail()).contains("colour");
        JsonNode other = file("TZ-30");
        ((ObjectNode) other).put("format", "another/1");
        for (String asked : List.of("preview", "trials")) {
            assertThat(lead.post("/api/data-sheets/" + asked, other).expect(422).detail())
                    .contains("undanus-data-sheets/1");
        }
        assertThat(inspector
                        .get("/api/data-sheets/sheet?model=TZ-30")
                        .json()
                        .path("version")
                        .asInt())
                .isEqualTo(1);
        inspector.get("/api/data-sheets/sheet?model=none").expect(404);
        inspector.get("/api/data-sheets/sheet?model=TZ-30&version=7").expect(404);
    }

    private JsonNode instrument(String id) {
        return StreamSupport.stream(lead.get("/api/instruments").json().spliterator(), false)
                .filter(i -> i.path("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aNewCalibrationWithItsCertificateIsKeptBesideTheOld() {
        JsonNode before = instrument("gauge-5");
        assertThat(before.path("lapsed").asBoolean()).isTrue();
        byte[] certificate = "%PDF-1.7 certificate".getBytes(StandardCharsets.US_ASCII);
        String sha256 = lead.upload("/api/instruments/gauge-5/certificates", certificate)
                .expect(201)
                .json()
                .path("sha256")
                .asString();
        ObjectNode record = (ObjectNode) before.path("instrument").deepCopy();
        record.withArray("calibrations")
                .addObject()
                .put("on", "2026-11-20")
                .put("months", 12)
                .put("certificate", "SC-2600")
                .put("file", sha256);
        Map<String, Object> change =
                Map.of("instrument", record, "version", before.path("version").asInt());
        inspector.put("/api/instruments/gauge-5", change).expect(403);
        JsonNode after =
                lead.put("/api/instruments/gauge-5", change).expect(200).json();
        assertThat(after.path("until").asString()).isEqualTo("2027-11-20");
        assertThat(after.at("/instrument/calibrations").size()).isEqualTo(2);
        assertThat(lead.put("/api/instruments/gauge-5", change).expect(409).detail())
                .contains("meanwhile");
        assertThat(inspector
                        .get("/api/instruments/gauge-5/certificate?sha256=" + sha256)
                        .expect(200)
                        .response()
                        .body())
                .isEqualTo(certificate);
        assertThat(lead.upload("/api/instruments/gauge-5/certificates", new byte[] {'M', 'Z', 0, 1})
                        .expect(422)
                        .detail())
                .contains("by its content");
    }

    @Test
    void anInstrumentIsAddedOnceAndStaysOfItsKind() {
        assertThat(inspector.get("/api/instruments/kinds").expect(200).text())
                .contains("\"key\":\"clamp-meter\"")
                .doesNotContain("read-off");
        Map<String, Object> tape = Map.of("id", "tape-77", "title", "Tape 77", "kind", "tape", "constant", "2 mm");
        lead.post("/api/instruments", tape).expect(201);
        assertThat(lead.post("/api/instruments", tape).expect(422).detail()).contains("already in the toolcase");
        Map<String, Object> level =
                Map.of("id", "tape-77", "title", "Tape 77", "kind", "level", "dimension", "ratio", "constant", "1 %");
        assertThat(lead.put("/api/instruments/tape-77", Map.of("instrument", level, "version", 1))
                        .expect(422)
                        .detail())
                .contains("kind stays");
        inspector.post("/api/instruments", tape).expect(403);
    }

    @Test
    void aLineTellsWhichInstrumentWouldSettleIt() {
        String id = inspector.installation("LH-36");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "915 mm")
                .expect(201);
        JsonNode line = StreamSupport.stream(
                        inspector
                                .get("/api/installations/" + id + "/stations/siting?units=SI")
                                .json()
                                .path("lines")
                                .spliterator(),
                        false)
                .filter(l -> l.path("point").asString().equals("siting.outdoor-clearance-front"))
                .findFirst()
                .orElseThrow();
        assertThat(line.path("goodEnough").asString()).isEmpty();
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "917 mm")
                .expect(201);
        assertThat(inspector
                        .get("/api/installations/" + id + "/stations/siting?units=SI")
                        .text())
                .contains("Would settle it: Tape 2, class II");
        // the office's instruments are not a crew's business
        String crew =
                inspector.get("/api/installations/" + id).json().path("crew").asString();
        String account = crew.toLowerCase(Locale.ROOT).split(" ")[0];
        assertThat(SERVER.signedIn(account)
                        .get("/api/installations/" + id + "/stations/siting?units=SI")
                        .expect(200)
                        .text())
                .doesNotContain("Would settle it");
        assertThat(SERVER.signedIn(account)
                        .get("/api/installations/" + id + "/revisit?units=SI")
                        .expect(200)
                        .text())
                .doesNotContain("Tape 2");
    }

    @Test
    void aNextVisitDecidesWhatIsDue() {
        String id = inspector.installation("LH-31");
        String visits = "/api/installations/" + id + "/visits";
        assertThat(inspector
                        .post(visits, Map.of("stage", "FINAL", "visitedOn", "2026-11-01"))
                        .expect(422)
                        .detail())
                .contains("cannot lie before");
        inspector
                .post(visits, Map.of("stage", "NEVER", "visitedOn", "2026-11-30"))
                .expect(400);
        SERVER.signedIn("dunmarrow")
                .post(visits, Map.of("stage", "FINAL", "visitedOn", "2026-11-30"))
                .expect(403);
        JsonNode due =
                inspector.get("/api/installations/" + id + "/stations/mounting").json();
        assertThat(due.path("lines").toString()).contains("\"due\":false");
        JsonNode facts = inspector
                .post(visits, Map.of("stage", "FINAL", "visitedOn", "2026-11-30"))
                .expect(201)
                .json();
        assertThat(facts.path("visits").size()).isEqualTo(3);
        assertThat(inspector
                        .get("/api/installations/" + id + "/stations/mounting")
                        .json()
                        .path("lines")
                        .toString())
                .doesNotContain("\"due\":false");
        // read before cover, so it still counts
        assertThat(inspector
                        .judgement(id, "mounting", "mounting.plate-flat@indoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("MEETS");
        inspector.save(id, "mounting.sleeve", "indoor-1", "yes").expect(201);
        assertThat(inspector
                        .judgement(id, "mounting", "mounting.sleeve@indoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("NOT_SHOWN");
    }

    @Test
    void theCalculatorsAnswerWithoutACase() {
        JsonNode all = inspector.get("/api/calculators").expect(200).json();
        assertThat(all.size()).isGreaterThan(8);
        JsonNode steps = inspector
                .post("/api/calculators/bundle?units=US", Map.of("diameters", "1 in; 1 in", "slack", "10 %"))
                .expect(200)
                .json()
                .path("steps");
        assertThat(steps.at("/1/value").asString()).isEqualTo("2-1/4 in");
        JsonNode refused = inspector
                .post("/api/calculators/bundle", Map.of("diameters", "wide", "slack", "10 %"))
                .expect(422)
                .json();
        assertThat(refused.path("fields").has("diameters")).isTrue();
        inspector.post("/api/calculators/nothing", Map.of()).expect(404);
        inspector
                .post("/api/calculators/bundle", Map.of("diameters", "x".repeat(900), "slack", "1"))
                .expect(422);
    }
}
