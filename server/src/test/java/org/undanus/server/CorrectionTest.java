package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;

/** The life of a correction: raised, seen, answered, accepted or refused, closed by what is read. */
class CorrectionTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String DEVICE = "electrical.overcurrent-device@outdoor-1";
    private static final String BACK = "siting.outdoor-clearance-back@outdoor-1";
    private static final String FRONT = "siting.outdoor-clearance-front@outdoor-1";

    private final Client inspector = SERVER.signedIn("inspector");

    private JsonNode raise(String installation, List<String> judgements, String words) {
        return inspector
                .post(
                        "/api/installations/" + installation + "/corrections?units=US",
                        Map.of("judgements", judgements, "words", words))
                .expect(201)
                .json();
    }

    private static Map<String, Object> step(String kind, String words, JsonNode seen) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("kind", kind);
        body.put("words", words);
        body.put("readings", List.of());
        body.put("confirmed", false);
        body.put("version", seen.path("version").asInt());
        return body;
    }

    private static Client.Answer take(Client who, JsonNode correction, Map<String, Object> step) {
        return who.post("/api/corrections/" + correction.path("id").asString() + "/steps?units=US", step);
    }

    private static JsonNode after(Client.Answer answer) {
        return answer.expect(201).json().path("correction");
    }

    private static int days(JsonNode correction) {
        return (int) (LocalDate.parse(correction.path("due").asString()).toEpochDay()
                - LocalDate.now().toEpochDay());
    }

    @Test
    void whatIsAtStakeSetsTheDayByTheBook() {
        String museum = inspector.installation("LH-07");
        JsonNode proposed = inspector
                .get("/api/installations/" + museum + "/corrections/proposed?units=US")
                .expect(200)
                .json();
        assertThat(proposed.valueStream().map(trade -> trade.path("title").asString()))
                .contains("setting and fixing", "electrical")
                .doesNotHaveDuplicates();
        JsonNode electrical = proposed.valueStream()
                .filter(trade -> trade.path("trade").asString().equals("ELECTRICAL"))
                .findFirst()
                .orElseThrow();
        JsonNode device = electrical
                .path("items")
                .valueStream()
                .filter(item -> item.path("judgement").asString().equals(DEVICE))
                .findFirst()
                .orElseThrow();
        assertThat(device.path("severity").asString()).isEqualTo("SAFETY");
        assertThat(days(device)).isEqualTo(2);

        JsonNode raised = raise(museum, List.of(DEVICE, BACK), "");
        assertThat(raised).hasSize(2);
        assertThat(days(raised.get(0))).isEqualTo(2);
        assertThat(raised.at("/0/number").asInt() + 1)
                .isEqualTo(raised.at("/1/number").asInt());
        assertThat(inspector
                        .get("/api/installations/" + museum + "/corrections/proposed")
                        .expect(200)
                        .text())
                .as("what is asked for is not proposed again")
                .doesNotContain(DEVICE);
        assertThat(inspector
                        .post(
                                "/api/installations/" + museum + "/corrections",
                                Map.of("judgements", List.of("siting.pad-sound@outdoor-1", DEVICE), "words", ""))
                        .expect(422)
                        .detail())
                .contains("already open")
                .contains("Nothing was saved");
        assertThat(inspector
                        .get("/api/installations/" + museum + "/corrections/proposed")
                        .text())
                .as("all of them or none")
                .contains("siting.pad-sound@outdoor-1");
    }

    @Test
    void aLetterEachWayUntilARevisitShowsIt() {
        String roof = inspector.installation("LH-15");
        JsonNode before = inspector
                .get("/api/installations/" + roof + "/corrections")
                .json()
                .get(0);
        assertThat(before.path("what").asString()).contains("Overcurrent protective device");
        take(inspector, before, step("WITHDRAWN", "Begun again.", before)).expect(201);
        Client own = SERVER.signedIn(crewOf(roof));
        Client other = SERVER.signedIn(crewOf(roof).equals("threeways") ? "nettlebank" : "threeways");
        JsonNode raised = raise(roof, List.of(DEVICE), "Change the breaker.").get(0);
        assertThat(own.get("/api/letters").expect(200).json().at("/0/subject").asString())
                .contains("LH-15");
        String letter =
                "/api/letters/" + own.get("/api/letters").json().at("/0/id").asString();
        assertThat(own.get(letter).expect(200).text())
                .contains("Message-ID: <")
                .containsPattern("To: [A-Z][a-z]+ [A-Z][a-z]+ <[a-z]+-[a-z]+@undanus[.]invalid>")
                .contains("Change the breaker.");
        other.get(letter).expect(404);
        other.get("/api/corrections/" + raised.path("id").asString()).expect(404);

        assertThat(take(inspector, raised, step("SEEN", "", raised)).expect(403).detail())
                .contains("The crew sees and answers");
        JsonNode seen = after(take(own, raised, step("SEEN", "", raised)));
        assertThat(take(inspector, seen, step("ACCEPTED", "", seen)).expect(422).detail())
                .contains("no answer to look at");
        assertThat(take(own, seen, step("ANSWERED", " ", seen)).expect(422).detail())
                .contains("Say what was done");

        Map<String, Object> answer = step("ANSWERED", "Changed to 40 A.", seen);
        answer.put(
                "readings",
                List.of(Map.of(
                        "point",
                        "electrical.device-rating",
                        "component",
                        "outdoor-1",
                        "typed",
                        "40 A",
                        "grade",
                        "STATED")));
        Client.Answer answered = take(own, seen, answer);
        JsonNode thread = answered.expect(201).json();
        assertThat(thread.at("/steps/1/readings/0/said").asString()).contains("40 A");
        assertThat(thread.at("/steps/1/readings/0/grade").asString()).isEqualToIgnoringCase("stated");
        assertThat(thread.at("/now/verdict").asString())
                .as("what the crew states does not take the place of what was witnessed")
                .isEqualTo("FAILS");

        JsonNode now = thread.path("correction");
        assertThat(take(inspector, now, step("REFUSED", "", now)).expect(422).detail())
                .contains("Say why");
        JsonNode refused = after(take(inspector, now, step("REFUSED", "Show the label.", now)));
        JsonNode again = after(take(own, refused, step("ANSWERED", "Label in the photo.", refused)));
        assertThat(take(inspector, again, step("CLOSED", "", again)).expect(422).detail())
                .contains("It still reads: Fails");
        Map<String, Object> atRevisit = Client.reading("electrical.device-rating", "outdoor-1", "40 A");
        atRevisit.put(
                "basedOn",
                inspector
                        .save(roof, "electrical.device-rating", "outdoor-1", "40 A")
                        .expect(409)
                        .json()
                        .at("/theirs/id")
                        .asString());
        assertThat(inspector
                        .get("/api/corrections/" + raised.path("id").asString())
                        .json()
                        .path("may")
                        .toString())
                .doesNotContain("CLOSED");
        inspector.post("/api/installations/" + roof + "/readings", atRevisit).expect(201);
        assertThat(inspector
                        .get("/api/corrections/" + raised.path("id").asString())
                        .json()
                        .path("may")
                        .toString())
                .as("read again, and it meets")
                .contains("CLOSED");
        JsonNode closed = after(take(inspector, again, step("CLOSED", "", again)));
        assertThat(closed.path("state").asString()).isEqualTo("CLOSED");

        Client.Answer late = take(own, closed, step("ANSWERED", "Also painted it.", closed));
        assertThat(late.expect(409).detail()).contains("This correction is closed already");
        assertThat(own.upload(
                                "/api/installations/" + roof + "/photos?correction="
                                        + closed.path("id").asString(),
                                TestPictures.jpeg(30, 20))
                        .expect(409)
                        .detail())
                .contains("closed already");
        assertThat(own.get("/api/corrections/" + raised.path("id").asString())
                        .json()
                        .path("steps"))
                .hasSize(5);
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    @Test
    void whatMeetsWithoutBeingReadAgainIsNotClosed() {
        String id = inspector.installation("LH-02");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "3 in")
                .expect(201);
        JsonNode raised = raise(id, List.of(FRONT), "").get(0);
        Client own = SERVER.signedIn(crewOf(id));
        JsonNode answered = after(take(own, raised, step("ANSWERED", "Moved it.", raised)));
        assertThat(take(inspector, answered, step("CLOSED", "", answered))
                        .expect(422)
                        .detail())
                .contains("It still reads");
        JsonNode accepted = after(take(inspector, answered, step("ACCEPTED", "", answered)));
        assertThat(accepted.path("state").asString()).isEqualTo("ACCEPTED");
        assertThat(inspector
                        .put(
                                "/api/corrections/" + raised.path("id").asString(),
                                Map.of(
                                        "words",
                                        "x",
                                        "version",
                                        accepted.path("version").asInt()))
                        .expect(409)
                        .detail())
                .contains("accepted already");
    }

    private String crewOf(String id) {
        return inspector
                .get("/api/installations/" + id)
                .expect(200)
                .json()
                .path("crew")
                .asString()
                .split(" ")[0]
                .toLowerCase(java.util.Locale.ROOT);
    }

    @Test
    void oneOfTwoWhoActAtOnceIsTold() throws Exception {
        String id = inspector.installation("LH-03");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "3 in")
                .expect(201);
        JsonNode raised = raise(id, List.of(FRONT), "").get(0);
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<Future<Integer>> answers = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                Client one = SERVER.signedIn("inspector");
                answers.add(both.submit(() ->
                        take(one, raised, step("WITHDRAWN", "A slip.", raised)).status()));
            }
            assertThat(List.of(answers.get(0).get(), answers.get(1).get())).containsExactlyInAnyOrder(201, 409);
        } finally {
            both.shutdown();
        }
    }

    @Test
    void filesHangOnItAndAreToldByTheirContent() {
        String id = inspector.installation("LH-05");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "3 in")
                .expect(201);
        String correction = raise(id, List.of(FRONT), "").at("/0/id").asString();
        String files = "/api/corrections/" + correction + "/files?name=";
        byte[] text = "Invoice, made up".getBytes(StandardCharsets.UTF_8);
        JsonNode kept =
                inspector.upload(files + "invoice.txt", text).expect(201).json();
        Client.Answer back =
                inspector.get("/api/attachments/" + kept.path("id").asString()).expect(200);
        assertThat(back.text()).isEqualTo("Invoice, made up");
        assertThat(back.header("Content-Disposition")).startsWith("attachment").contains("invoice.txt");
        assertThat(inspector
                        .upload(files + "x", new byte[] {0, 1, 2, 3})
                        .expect(422)
                        .detail())
                .contains("this is none");
        inspector.upload(files + "a%2Fb%22", text).expect(201);
        inspector.upload(files + "%2E%2F".repeat(80), text).expect(422);
        String other = crewOf(id).equals("threeways") ? "nettlebank" : "threeways";
        SERVER.signedIn(other)
                .get("/api/attachments/" + kept.path("id").asString())
                .expect(404);
        assertThat(inspector.upload(files + "big", new byte[12 * 1024 * 1024]).status())
                .isEqualTo(413);
    }

    @Test
    void daysStandInACalendar() {
        String id = inspector.installation("LH-06");
        inspector
                .save(id, "siting.outdoor-clearance-front", "outdoor-1", "3 in")
                .expect(201);
        JsonNode raised = raise(id, List.of(FRONT), "Move it; mind the \"drain\", please.")
                .get(0);
        String calendar = inspector.get("/api/due-dates").expect(200).text();
        assertThat(calendar)
                .contains("DTSTART;VALUE=DATE:" + raised.path("due").asString().replace("-", ""))
                .contains("UID:" + raised.path("id").asString())
                .contains("Move it\\; mind");
        take(inspector, raised, step("WITHDRAWN", "A slip.", raised)).expect(201);
        assertThat(inspector.get("/api/due-dates").text())
                .doesNotContain(raised.path("id").asString());
    }

    @Test
    void arrowsLieOverAPhotoThatStaysAsItIs() {
        String id = inspector.installation("LH-09");
        String photo = inspector
                .upload("/api/installations/" + id + "/photos?component=outdoor-1", TestPictures.jpeg(30, 20))
                .expect(201)
                .json()
                .path("id")
                .asString();
        byte[] before =
                inspector.get("/api/photos/" + photo + "/picture").response().body();
        Map<String, Object> arrow = Map.of("kind", "ARROW", "x", 0.1, "y", 0.2, "toX", 0.5, "toY", 0.6);
        String path = "/api/photos/" + photo + "/marks";
        JsonNode drawn = inspector
                .put(path, Map.of("marks", List.of(arrow), "version", 0))
                .expect(200)
                .json();
        assertThat(drawn.at("/marks/0/toX").asDouble()).isEqualTo(0.5);
        assertThat(inspector
                        .put(path, Map.of("marks", List.of(), "version", 0))
                        .expect(409)
                        .detail())
                .contains("drew on this photo meanwhile");
        assertThat(inspector
                        .put(
                                path,
                                Map.of(
                                        "marks",
                                        List.of(Map.of("kind", "CIRCLE", "x", 0.1, "y", -0.2, "toX", 0.5, "toY", 0.6)),
                                        "version",
                                        1))
                        .expect(422)
                        .detail())
                .contains("within the picture");
        assertThat(inspector.get("/api/photos/" + photo + "/picture").response().body())
                .isEqualTo(before);
    }
}
