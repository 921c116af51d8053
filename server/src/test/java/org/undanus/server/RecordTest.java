package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A commissioning record comes in once, is held against everything, and asked about. */
class RecordTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String LINE = "line-set-indoor-1";

    private final Client inspector = SERVER.signedIn("inspector");

    private static Map<String, Object> value(String point, String component, String value, String readAt) {
        Map<String, Object> claim = new LinkedHashMap<>(Map.of("point", point, "component", component, "value", value));
        if (!readAt.isEmpty()) {
            claim.put("readAt", readAt);
        }
        return claim;
    }

    /** A test pressure that stood still while it cooled by nine kelvin, at a fitting order of times. */
    private static List<Map<String, Object>> stoodStill() {
        return new ArrayList<>(List.of(
                value("record.test-begun", LINE, "yes", "2026-08-03 16:00"),
                value("tightness.start-pressure", LINE, "430 psig", "2026-08-03 16:05"),
                value("tightness.start-temperature", LINE, "84 °F", "2026-08-03 16:05"),
                value("tightness.end-pressure", LINE, "430 psig", "2026-08-04 07:00"),
                value("tightness.end-temperature", LINE, "67.8 °F", "2026-08-04 07:00"),
                value("record.test-ended", LINE, "yes", "2026-08-04 07:10"),
                value("record.pump-on", LINE, "yes", "2026-08-04 07:30")));
    }

    private static Map<String, Object> record(List<Map<String, Object>> values) {
        return Map.of("signedBy", "Fitter, Threeways", "day", "2026-08-04", "values", values);
    }

    private static Map<String, Object> words(String words) {
        return Map.of("words", words, "readings", List.of(), "confirmed", false);
    }

    /** A record on a paper with a box, asked about and answered. */
    static String withPaperBoxAndAnswer(TestServer server, String installation, String crew) {
        Client inspector = server.signedIn("inspector");
        String id = inspector
                .post("/api/installations/" + installation + "/records", record(stoodStill()))
                .expect(201)
                .json()
                .path("id")
                .asString();
        String paper = inspector
                .upload("/api/records/" + id + "/documents?name=paper.png", TestPictures.png(60, 40))
                .expect(201)
                .json()
                .path("id")
                .asString();
        String claim =
                inspector.get("/api/records/" + id).json().at("/values/1/id").asString();
        inspector
                .put(
                        "/api/claims/" + claim + "/box",
                        Map.of("document", paper, "page", 1, "left", 0.1, "top", 0.2, "width", 0.3, "height", 0.05))
                .expect(200);
        String question = inspector
                .post(
                        "/api/records/" + id + "/questions",
                        Map.of("questions", List.of(Map.of("check", "record.pressure-hold", "subject", LINE))))
                .expect(201)
                .json()
                .at("/0/id")
                .asString();
        server.signedIn(crew)
                .post("/api/questions/" + question + "/answer", words("The thermometer lay outdoors."))
                .expect(201);
        return id;
    }

    /** The records of a case file with all that hangs on them. */
    static JsonNode carried(Client client, String installation) {
        JsonNode document = client.get("/api/installations/" + installation + "/case.json?photos=POSITIONED")
                .expect(200)
                .json()
                .at("/installations/0");
        assertThat(document.path("files")).isNotEmpty();
        return JsonMapper.builder()
                .build()
                .createObjectNode()
                .<ObjectNode>set("records", document.path("records"))
                .set("files", document.path("files"));
    }

    private String brought(String installation, List<Map<String, Object>> values) {
        return inspector
                .post("/api/installations/" + installation + "/records", record(values))
                .expect(201)
                .json()
                .path("id")
                .asString();
    }

    private JsonNode view(String id) {
        return inspector.get("/api/records/" + id + "?units=SI").expect(200).json();
    }

    @Test
    void severalQuestionsAreAnsweredAtOnceOrNone() {
        List<String> asked = new ArrayList<>();
        String installation = inspector.installation("LH-23");
        for (String fitter : List.of("First fitter", "Second fitter")) {
            String id = inspector
                    .post(
                            "/api/installations/" + installation + "/records",
                            Map.of("signedBy", fitter, "day", "2026-08-04", "values", stoodStill()))
                    .expect(201)
                    .json()
                    .path("id")
                    .asString();
            asked.add(inspector
                    .post(
                            "/api/records/" + id + "/questions",
                            Map.of("questions", List.of(Map.of("check", "record.pressure-hold", "subject", LINE))))
                    .expect(201)
                    .json()
                    .at("/0/id")
                    .asString());
        }
        Client crew = SERVER.signedIn("threeways");
        Client others = SERVER.signedIn("dunmarrow");
        assertThat(open(crew)).containsAll(asked);
        assertThat(open(inspector)).containsAll(asked);
        assertThat(open(others)).doesNotContainAnyElementsOf(asked);
        List<Map<String, String>> both = asked.stream()
                .map(each -> Map.of("question", each, "words", "It lay outdoors."))
                .toList();
        others.post("/api/questions/answers", Map.of("answers", both)).expect(404);
        inspector.post("/api/questions/answers", Map.of("answers", both)).expect(403);
        crew.post("/api/questions/answers", Map.of("answers", List.of(both.get(0), both.get(0))))
                .expect(422);
        crew.post(
                        "/api/questions/answers",
                        Map.of("answers", List.of(both.get(0), Map.of("question", asked.get(1), "words", " "))))
                .expect(400);
        crew.post(
                        "/api/questions/answers",
                        Map.of("answers", List.of(both.get(0), Map.of("question", "nobody's", "words", "Yes."))))
                .expect(404);
        assertThat(open(crew)).as("all or none").containsAll(asked);

        crew.post("/api/questions/answers", Map.of("answers", both)).expect(204);
        assertThat(open(crew)).doesNotContainAnyElementsOf(asked);
        assertThat(inspector.get("/api/letters").json().at("/0/subject").asString())
                .isEqualTo("LH-23: 2 answers about the record");
        assertThat(crew.post("/api/questions/answers", Map.of("answers", both))
                        .expect(409)
                        .detail())
                .contains("answered already");
    }

    private static List<String> open(Client client) {
        return client.get("/api/questions").expect(200).json().values().stream()
                .map(each -> each.path("id").asString())
                .toList();
    }

    private static JsonNode found(JsonNode view, String check) {
        return StreamSupport.stream(view.path("found").spliterator(), false)
                .filter(each -> each.path("check").asString().equals(check))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPressureThatStoodWhileTheNightCooledIsDoubtedAskedAboutAndAnswered() {
        String installation = inspector.installation("LH-02");
        String id = brought(installation, stoodStill());
        JsonNode view = view(id);
        JsonNode hold = view.at("/found/0");
        assertThat(hold.path("check").asString()).isEqualTo("record.pressure-hold");
        assertThat(hold.path("outcome").asString()).isEqualTo("DOUBTFUL");
        assertThat(hold.path("because").asString()).contains("stood at").contains("29.65 barg");
        assertThat(hold.path("strength").asString()).isEqualTo("practically impossible as recorded");
        assertThat(hold.at("/figure/caption").values())
                .extracting(JsonNode::asString)
                .satisfiesExactly(
                        expected -> assertThat(expected).startsWith("Expected: "),
                        claimed -> assertThat(claimed).startsWith("Claimed: "));
        assertThat(found(view, "record.order").path("outcome").asString()).isEqualTo("CONSISTENT");
        assertThat(found(view, "record.weather").path("outcome").asString()).isEqualTo("CANNOT_TELL");
        assertThat(inspector.standing(installation, "tightness.end-pressure", LINE))
                .as("a line that nobody read has its recorded reading")
                .isPresent();
        assertThat(view.path("readAgain"))
                .as("tightness is of no unread line of the running state")
                .isNotNull();

        Client crew = SERVER.signedIn("threeways");
        assertThat(crew.get("/api/records/" + id).expect(200).json().path("found"))
                .as("not before it is released")
                .isEmpty();
        Map<String, Object> asked =
                Map.of("questions", List.of(Map.of("check", "record.pressure-hold", "subject", LINE)));
        crew.post("/api/records/" + id + "/questions", asked).expect(403);
        JsonNode question = inspector
                .post("/api/records/" + id + "/questions", asked)
                .expect(201)
                .json()
                .get(0);
        assertThat(inspector
                        .post("/api/records/" + id + "/questions", asked)
                        .expect(422)
                        .detail())
                .contains("asked already");
        assertThat(inspector
                        .post(
                                "/api/records/" + id + "/questions",
                                Map.of("questions", List.of(Map.of("check", "record.order", "subject", LINE))))
                        .expect(422)
                        .detail())
                .contains("Nothing is doubted there");
        assertThat(question.path("question").asString()).contains("How, where and when were pressure");
        assertThat(crew.get("/api/letters").json().at("/0/subject").asString())
                .isEqualTo("LH-02: a question about your record");
        String answer = "/api/questions/" + question.path("id").asString() + "/answer";
        inspector.post(answer, words("x")).expect(403);
        SERVER.signedIn("dunmarrow").post(answer, words("x")).expect(404);
        assertThat(crew.post(answer, words(" ")).expect(422).detail()).contains("or give a reading");
        crew.upload("/api/records/" + id + "/documents?name=slip.png", TestPictures.png(30, 20))
                .expect(201);
        Map<String, Object> withReading = Map.of(
                "words",
                "The thermometer lay outdoors.",
                "confirmed",
                false,
                "readings",
                List.of(Map.of(
                        "point",
                        "tightness.end-temperature",
                        "component",
                        LINE,
                        "typed",
                        "83 °F",
                        "grade",
                        "RECORDED")));
        JsonNode answered = crew.post(answer, withReading).expect(201).json();
        assertThat(answered.path("answer").asString()).contains("outdoors");
        assertThat(answered.at("/readings/0").asString()).contains("28.3 °C");
        assertThat(crew.post(answer, words("Another.")).expect(409).detail()).contains("answered already");
        assertThat(crew.upload("/api/records/" + id + "/documents?name=late.png", TestPictures.png(30, 20))
                        .expect(403)
                        .detail())
                .contains("none is open");
        assertThat(SERVER.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
    }

    @Test
    void whatAnInspectorReadIsNotOverruledAndADisagreementIsAFindingOfItsOwn() {
        String installation = inspector.installation("LH-06");
        String before = inspector
                .standing(installation, "charge.suction-pressure", "outdoor-1")
                .orElseThrow();
        String id = brought(
                installation, List.of(value("charge.suction-pressure", "outdoor-1", "60 psig", "2026-08-04 11:00")));
        assertThat(inspector
                        .standing(installation, "charge.suction-pressure", "outdoor-1")
                        .orElseThrow())
                .isEqualTo(before);
        JsonNode own = found(view(id), "record.own-reading");
        assertThat(own.path("outcome").asString()).isEqualTo("DOUBTFUL");
        assertThat(own.path("because").asString()).startsWith("Suction line, pressure: read ");
        JsonNode claim = view(id).at("/values/0");
        assertThat(claim.path("own").asString()).contains("bar");
        assertThat(claim.path("doubted").asBoolean()).isTrue();
        assertThat(claim.path("agreement").asString()).isEqualTo("DISAGREES");
    }

    /** As loggers and spreadsheets write times: with seconds, a T, a zone; the clock there counts. */
    @Test
    void timesAreTakenAsTheyAreWritten() {
        String path = "/api/installations/" + inspector.installation("LH-02") + "/record-template.csv";
        String template = inspector.get(path).expect(200).text();
        int day = 1;
        for (String written : List.of(
                "2026-08-06 09:00:30",
                "2026-08-06T09:00",
                "2026-08-06T09:00:30Z",
                "2026-08-06T09:00:30+02:00",
                "2026-08-06 09:00 +02:00")) {
            String filled = template.replace("signed by,", "signed by,Fitter")
                    .replaceFirst("(?m)^day,", "day,2026-08-" + String.format("%02d", 6 + day++))
                    .replaceAll(
                            "(?m)^(tightness.start-pressure,line-set-indoor-1,.*?),,,$",
                            "$1,400 psig," + written + ",");
            String id = inspector
                    .send("POST", path, day % 2 == 0 ? filled : filled.replace(',', '\t'), "text/csv")
                    .expect(201)
                    .json()
                    .path("id")
                    .asString();
            assertThat(view(id).at("/values/0/readAt").asString()).as(written).isEqualTo("2026-08-06 09:00");
        }
    }

    @Test
    void aTemplateIsFilledInAnywhereAndEveryLineThatCannotBeTakenIsNamed() {
        String installation = inspector.installation("LH-03");
        String path = "/api/installations/" + installation + "/record-template.csv";
        String template = inspector.get(path).expect(200).text();
        assertThat(template).startsWith("format,undanus-record/1").contains("installation,LH-03");
        String filled = template.replace("signed by,", "signed by,Fitter")
                .replaceFirst("(?m)^day,", "day,2026-08-06")
                .replaceAll(
                        "(?m)^(tightness.start-pressure,line-set-indoor-1,.*?),,,$", "$1,400 psig,2026-08-06 09:00,")
                .replaceAll("(?m)^(tightness.end-pressure,line-set-indoor-1,.*?),,,$", "$1,401 psig,2026-08-06 11:00,");
        String id = inspector
                .send("POST", path, filled, "text/csv")
                .expect(201)
                .json()
                .path("id")
                .asString();
        assertThat(view(id).path("values")).hasSize(2);
        assertThat(view(id).at("/values/0/readAt").asString()).isEqualTo("2026-08-06 09:00");
        assertThat(template).contains("siting.added-charge,outdoor-1");

        assertThat(inspector.send("POST", path, filled, "text/csv").expect(409).detail())
                .contains("in already");
        String wrong = filled.replace("400 psig", "400").replace("2026-08-06 11:00", "11:00");
        assertThat(inspector.send("POST", path, wrong, "text/csv").expect(422).detail())
                .containsPattern("Line \\d+: .*unit")
                .containsPattern("Line \\d+: a time needs its day")
                .contains("Nothing was saved");
        String other = "/api/installations/" + inspector.installation("LH-05") + "/record-template.csv";
        assertThat(inspector.send("POST", other, filled, "text/csv").expect(422).detail())
                .contains("of LH-03, not of LH-05");
        assertThat(inspector
                        .send("POST", path, "a,b\n1,2\n", "text/csv")
                        .expect(422)
                        .detail())
                .contains("undanus-record/1");
        SERVER.signedIn("nettlebank").send("POST", path, filled, "text/csv").expect(403);
        assertThat(inspector
                        .get("/api/installations/" + installation + "/records")
                        .json())
                .as("nothing of the refused ones")
                .hasSize(2);
    }

    @Test
    void theTemplateIsJsonToo() {
        String path = "/api/installations/" + inspector.installation("LH-12") + "/record-template.json";
        ObjectNode template = (ObjectNode) inspector.get(path).expect(200).json();
        assertThat(inspector.post(path, template).expect(422).detail())
                .contains("Day: ")
                .contains("No line has a value");
        template.put("signedBy", "Fitter");
        template.put("day", "2026-08-06");
        int place = 0;
        for (JsonNode line : template.path("values")) {
            place++;
            if (line.path("line").asString().equals("tightness.start-pressure")) {
                ((ObjectNode) line).put("value", "400");
                break;
            }
        }
        ObjectNode value = (ObjectNode) template.path("values").get(place - 1);
        assertThat(inspector.post(path, template).expect(422).detail()).contains("Line " + place + ": ", "unit");
        value.put("value", "400 psig");
        String id = inspector.post(path, template).expect(201).json().path("id").asString();
        assertThat(view(id).path("values")).hasSize(1);
        String other = "/api/installations/" + inspector.installation("LH-05") + "/record-template.json";
        assertThat(inspector.post(other, template).expect(422).detail()).contains("of LH-12, not of LH-05");
        template.put("format", "undanus-record/2");
        inspector.post(path, template).expect(422);
    }

    private static byte[] zipped(Map<String, String> tables) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> table : tables.entrySet()) {
                zip.putNextEntry(new ZipEntry(table.getKey()));
                zip.write(table.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }

    private String filled(String reference, String day) {
        return inspector
                .get("/api/installations/" + inspector.installation(reference) + "/record-template.csv")
                .expect(200)
                .text()
                .replace("signed by,", "signed by,Fitter")
                .replaceFirst("(?m)^day,", "day," + day)
                .replaceAll("(?m)^(tightness.start-pressure,line-set-indoor-1,.*?),,,$", "$1,400 psig,,");
    }

    private JsonNode settled(JsonNode begun, String path) {
        JsonNode now = begun;
        while (now.path("state").asString().equals("RUNNING")) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            now = inspector.get(path + begun.path("id").asString()).expect(200).json();
        }
        return now;
    }

    /** What a crew wrote of a choice was once kept to the letter; by its id it is the same record still. */
    @Test
    void aRecordOfAnEarlierVersionIsInAlreadyWhateverLettersItsChoicesWereKeptIn() {
        String id = inspector.installation("LH-31");
        String json = FILLED.replace("2026-08-14", "2026-08-15")
                .replace("tightness.start-pressure", "operation.mode")
                .replace("line-set-indoor-1", "system")
                .replace("400 psig", "COOLING");
        String path = "/api/installations/" + id + "/record-template.json";
        String record = inspector
                .send("POST", path, json, "application/json")
                .expect(201)
                .json()
                .path("id")
                .asString();
        JdbcTemplate jdbc = new JdbcTemplate(SERVER.bean(DataSource.class));
        assertThat(jdbc.queryForObject("SELECT typed FROM record_claim WHERE record_id = ?", String.class, record))
                .isEqualTo("cooling");
        jdbc.update("UPDATE record_claim SET typed = 'COOLING' WHERE record_id = ?", record);
        try {
            assertThat(inspector
                            .send("POST", path, json, "application/json")
                            .expect(409)
                            .detail())
                    .contains("in already");
        } finally {
            jdbc.update("UPDATE record_claim SET typed = 'cooling' WHERE record_id = ?", record);
        }
    }

    private static final String FILLED =
            """
            {"format": "undanus-record/1", "installation": "LH-31", "signedBy": "Fitter", "day": "2026-08-14",
             "values": [{"line": "tightness.start-pressure", "of": "line-set-indoor-1", "value": "400 psig"}]}
            """;

    @Test
    void manyComeInAtOnceEachWholeOrNotAtAllAndTheSameFileMayComeAgain() throws IOException {
        String good = filled("LH-31", "2026-08-11");
        Map<String, String> tables = new LinkedHashMap<>();
        tables.put("a/good.csv", good);
        tables.put("semicolons.csv", "\uFEFF" + filled("LH-31", "2026-08-12").replace(',', ';'));
        tables.put("no-unit.csv", filled("LH-31", "2026-08-13").replace("400 psig", "400"));
        tables.put("nowhere.csv", good.replace("LH-31", "LH-99"));
        tables.put("other.csv", "a,b\n");
        tables.put("good.json", FILLED);
        tables.put("no-day.json", FILLED.replace("\"day\"", "\"date\""));
        tables.put("broken.json", "{");
        tables.put("read-me.txt", "not a table");
        byte[] zip = zipped(tables);
        JsonNode done = settled(
                inspector
                        .send("POST", "/api/record-imports", zip, "application/octet-stream")
                        .expect(202)
                        .json(),
                "/api/record-imports/");
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("total").asInt()).isEqualTo(8);
        assertThat(done.path("brought").asInt()).isEqualTo(3);
        assertThat(done.path("refused").asInt()).isEqualTo(5);
        assertThat(done.path("named").toString())
                .contains("no-unit.csv", "Line ", "unit")
                .contains("nowhere.csv", "no installation")
                .contains("other.csv", "undanus-record/1")
                .contains("no-day.json", "broken.json", "This is no filled-in template in JSON");
        JsonNode again = settled(
                inspector
                        .send("POST", "/api/record-imports", zip, "application/octet-stream")
                        .expect(202)
                        .json(),
                "/api/record-imports/");
        assertThat(again.path("brought").asInt()).isZero();
        assertThat(again.path("already").asInt()).isEqualTo(3);

        assertThat(inspector
                        .send(
                                "POST",
                                "/api/record-imports",
                                good.getBytes(StandardCharsets.UTF_8),
                                "application/octet-stream")
                        .expect(422)
                        .detail())
                .contains("no ZIP file");
        assertThat(inspector
                        .send("POST", "/api/record-imports", zipped(Map.of("x.txt", "")), "application/octet-stream")
                        .expect(422)
                        .detail())
                .contains("holds 0");
        SERVER.signedIn("threeways")
                .send("POST", "/api/record-imports", zip, "application/octet-stream")
                .expect(403);
    }

    @Test
    void anImportOfManyIsStoppedAndWhatIsInStays() throws IOException {
        Map<String, String> tables = new LinkedHashMap<>();
        String one = filled("LH-28", "2026-08-11");
        for (int number = 0; number < 1000; number++) {
            tables.put(number + ".csv", one.replace("signed by,Fitter", "signed by,Fitter " + number));
        }
        JsonNode begun = inspector
                .send("POST", "/api/record-imports", zipped(tables), "application/octet-stream")
                .expect(202)
                .json();
        String own = "/api/record-imports/" + begun.path("id").asString();
        SERVER.signedIn("lead").get(own).expect(404);
        while (inspector.get(own).json().path("brought").asInt() < 3) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(5));
        }
        assertThat(inspector
                        .send("POST", "/api/record-imports", zipped(Map.of("one.csv", one)), "application/octet-stream")
                        .expect(409)
                        .detail())
                .as("another does not end it unasked")
                .contains("still running");
        inspector.send("DELETE", own, "{}", "application/json").expect(200);
        JsonNode stopped = inspector.get(own).json();
        assertThat(stopped.path("state").asString()).isEqualTo("CANCELLED");
        assertThat(stopped.path("brought").asInt()).isBetween(3, 50);
        assertThat(SERVER.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
    }

    @Test
    void aPdfIsShownPageByPageAndABoxLiesOnOneOfThem() throws IOException {
        String id = brought(
                inspector.installation("LH-36"),
                List.of(value("tightness.start-pressure", LINE, "400 psig", "2026-08-06 09:00")));
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.addPage(new PDPage());
            document.addPage(new PDPage(new PDRectangle(72_000, 144)));
            document.save(pdf);
        }
        String upload = "/api/records/" + id + "/documents?name=paper.pdf";
        JsonNode paper = inspector.upload(upload, pdf.toByteArray()).expect(201).json();
        assertThat(paper.path("pages").asInt()).isEqualTo(2);
        String pages = "/api/record-documents/" + paper.path("id").asString() + "/pages/";
        BufferedImage second = ImageIO.read(new ByteArrayInputStream(
                inspector.get(pages + 2).expect(200).response().body()));
        assertThat(second.getWidth()).as("a page of twenty-five metres").isLessThanOrEqualTo(2400);
        inspector.get(pages + 3).expect(404);
        SERVER.signedIn("threeways").get(pages + 1).expect(404);
        String box = "/api/claims/" + view(id).at("/values/0/id").asString() + "/box";
        Map<String, Object> drawn = new LinkedHashMap<>(Map.of(
                "document",
                paper.path("id").asString(),
                "page",
                3,
                "left",
                0.1,
                "top",
                0.2,
                "width",
                0.3,
                "height",
                0.05));
        inspector.put(box, drawn).expect(422);
        drawn.put("page", 2);
        inspector.put(box, drawn).expect(200);
        assertThat(view(id).at("/values/0/box/page").asInt()).isEqualTo(2);
        try (PDDocument document = new PDDocument()) {
            PDImageXObject huge = new PDImageXObject(
                    document,
                    new ByteArrayInputStream(new byte[10]),
                    COSName.FLATE_DECODE,
                    20_000,
                    20_000,
                    8,
                    PDDeviceRGB.INSTANCE);
            PDPage page = new PDPage();
            page.setResources(new PDResources());
            page.getResources().add(huge);
            document.addPage(page);
            pdf.reset();
            document.save(pdf);
        }
        assertThat(inspector.upload(upload, pdf.toByteArray()).expect(422).detail())
                .contains("million pixels");
        assertThat(inspector
                        .upload(upload, "%PDF-1.7 torn".getBytes(StandardCharsets.US_ASCII))
                        .expect(422)
                        .detail())
                .contains("cannot be opened");
    }

    @Test
    void aValueHasOneBoxOnAPaperThatIsOne() {
        String installation = inspector.installation("LH-10");
        String id =
                brought(installation, List.of(value("tightness.start-pressure", LINE, "400 psig", "2026-08-06 09:00")));
        String documents = "/api/records/" + id + "/documents?name=paper.png";
        assertThat(inspector
                        .upload(documents, "no photo".getBytes(StandardCharsets.UTF_8))
                        .expect(422)
                        .detail())
                .contains("this is none, by its content");
        String document = inspector
                .upload(documents, TestPictures.png(60, 40))
                .expect(201)
                .json()
                .path("id")
                .asString();
        String claim = view(id).at("/values/0/id").asString();
        String box = "/api/claims/" + claim + "/box";
        Map<String, Object> drawn =
                Map.of("document", document, "page", 1, "left", 0.1, "top", 0.2, "width", 0.3, "height", 0.05);
        Map<String, Object> outside = new LinkedHashMap<>(drawn);
        outside.put("width", 0.95);
        inspector.put(box, outside).expect(422);
        inspector.put(box, drawn).expect(200);
        assertThat(inspector.put(box, drawn).expect(409).detail()).contains("has its box already");
        assertThat(view(id).at("/values/0/box/left").asDouble()).isEqualTo(0.1);
        inspector.send("DELETE", box, "{}", "application/json").expect(204);
        assertThat(view(id).at("/values/0/box").isMissingNode()
                        || view(id).at("/values/0/box").isNull())
                .isTrue();
        SERVER.signedIn("nettlebank").get("/api/record-documents/" + document).expect(200);
        SERVER.signedIn("threeways").get("/api/record-documents/" + document).expect(404);
    }

    @Test
    void theWeatherIsEnteredAndTheRecordReleasedToItsCrew() {
        String installation = inspector.installation("LH-09");
        String id = brought(
                installation, List.of(value("running.outdoor-dry-bulb", "system", "104 °F", "2026-08-06 15:00")));
        JsonNode now = inspector
                .put(
                        "/api/records/" + id + "?units=SI",
                        Map.of("coldest", "16 °C", "warmest", "27 °C", "released", true, "version", 1))
                .expect(200)
                .json();
        assertThat(found(now, "record.weather").path("outcome").asString()).isEqualTo("DOUBTFUL");
        assertThat(inspector
                        .put(
                                "/api/records/" + id,
                                Map.of("coldest", "27 °C", "warmest", "16 °C", "released", true, "version", 2))
                        .expect(422)
                        .detail())
                .contains("coldest and the warmest");
        inspector
                .put(
                        "/api/records/" + id,
                        Map.of("coldest", "16 °C", "warmest", "27 °C", "released", false, "version", 1))
                .expect(409);
        String report = "/api/installations/" + installation + "/report.html";
        assertThat(inspector.get(report).expect(200).text()).contains("Weather of the day");
        assertThat(SERVER.signedIn("dunmarrow").get(report).expect(200).text()).contains("Weather of the day");
        String other =
                brought(installation, List.of(value("charge.barometer", "system", "29.92 inHg", "2026-08-06 15:00")));
        assertThat(inspector.get(report).expect(200).text()).contains("Air pressure against height");
        assertThat(SERVER.signedIn("dunmarrow").get(report).expect(200).text())
                .as("not before it is released: " + other)
                .doesNotContain("Air pressure against height");
        assertThat(SERVER.signedIn("dunmarrow")
                        .get("/api/records/" + id)
                        .expect(200)
                        .json()
                        .path("found"))
                .isNotEmpty();
    }

    @Test
    void allRecordsAreAuditedCrewByCrewAndMayBeStopped() {
        brought(inspector.installation("LH-44"), stoodStill());
        SERVER.signedIn("threeways").post("/api/record-audits", Map.of()).expect(403);
        JsonNode audit =
                inspector.post("/api/record-audits", Map.of()).expect(202).json();
        String id = audit.path("id").asString();
        while (audit.path("state").asString().equals("RUNNING")) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            audit = inspector.get("/api/record-audits/" + id).expect(200).json();
        }
        assertThat(audit.path("state").asString()).as(audit.toString()).isEqualTo("DONE");
        assertThat(audit.path("done").asInt()).isEqualTo(audit.path("total").asInt());
        JsonNode dunmarrow = StreamSupport.stream(audit.path("crews").spliterator(), false)
                .filter(crew -> crew.path("crew").asString().startsWith("Dunmarrow"))
                .findFirst()
                .orElseThrow();
        assertThat(dunmarrow.path("doubted").asInt()).isPositive();
        assertThat(dunmarrow.path("checks").asInt())
                .isGreaterThan(dunmarrow.path("doubtful").asInt());
        assertThat(dunmarrow.path("kinds").toString()).contains("record.pressure-hold");
        SERVER.signedIn("lead").get("/api/record-audits/" + id).expect(404);
        inspector
                .send("DELETE", "/api/record-audits/" + id, "{}", "application/json")
                .expect(200);
    }
}
