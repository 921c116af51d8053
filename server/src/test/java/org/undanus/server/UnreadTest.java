package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Readings that are taken back, and lines of which it is said why they were not read. */
class UnreadTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String FRONT = "siting.outdoor-clearance-front";
    private static final String BACK = "siting.outdoor-clearance-back";
    private static final String LEFT = "siting.outdoor-clearance-left";
    private final Client lead = SERVER.signedIn("lead");
    private final Client inspector = SERVER.signedIn("inspector");

    private JsonNode line(Client who, String id, String point) {
        JsonNode lines = who.get("/api/installations/" + id + "/stations/siting?units=US")
                .expect(200)
                .json()
                .path("lines");
        return StreamSupport.stream(lines.spliterator(), false)
                .filter(line -> line.path("point").asString().equals(point))
                .findFirst()
                .orElseThrow();
    }

    private Client.Answer says(
            Client who, String id, String point, String typed, Optional<String> basedOn, String grade) {
        Map<String, Object> reading = Client.reading(point, "outdoor-1", typed);
        reading.put("grade", grade);
        basedOn.ifPresent(standing -> reading.put("basedOn", standing));
        return who.post("/api/installations/" + id + "/readings", reading);
    }

    private Client.Answer says(String id, String point, String typed) {
        return says(inspector, id, point, typed, standing(id, point), "WITNESSED");
    }

    private Optional<String> standing(String id, String point) {
        return Optional.of(line(inspector, id, point).at("/reading/id"))
                .filter(JsonNode::isString)
                .map(JsonNode::asString);
    }

    @Test
    void whatIsTakenBackStaysInTheHistoryAndTheEarlierReadingStandsAgain() {
        String id = inspector.installation("LH-36");
        says(id, FRONT, "70 in").expect(201);
        says(id, FRONT, "17 in").expect(201);
        assertThat(inspector
                        .get("/api/installations/" + id + "/readings/last")
                        .json()
                        .path("id")
                        .asString())
                .isEqualTo(standing(id, FRONT).orElseThrow());
        JsonNode after =
                says(id, FRONT, "taken back: of the other unit").expect(201).json();
        assertThat(after.at("/line/reading/typed").asString()).isEqualTo("70 in");
        assertThat(after.path("changed").toString()).contains("MEETS");
        JsonNode history = inspector
                .get("/api/installations/" + id + "/history?point=" + FRONT + "&component=outdoor-1")
                .expect(200)
                .json();
        JsonNode last = history.get(history.size() - 1);
        assertThat(last.path("says").asString()).isEqualTo("TAKEN_BACK");
        assertThat(last.path("said").asString()).isEqualTo("taken back: of the other unit");
        assertThat(history.get(history.size() - 2).path("typed").asString()).isEqualTo("17 in");
    }

    @Test
    void anOpenLineHasNothingToTakeBackAndAReadLineIsNotInaccessible() {
        String id = inspector.installation("LH-36");
        while (standing(id, BACK).isPresent()) {
            says(id, BACK, "taken back: to begin anew").expect(201);
        }
        assertThat(says(id, BACK, "taken back: twice").expect(422).detail()).contains("Nothing stands on this line");
        assertThat(says(id, BACK, "not accessible").expect(422).detail()).contains("Say why");
        says(id, BACK, "40 in").expect(201);
        assertThat(says(id, BACK, "not looked at").expect(422).detail()).contains("Take it back first");
        says(id, BACK, "taken back: typed on the wrong line").expect(201);
        JsonNode before = route(id);
        says(id, BACK, "Not accessible: locked yard").expect(201);
        JsonNode after = route(id);
        assertThat(after.path("unread").asInt()).isEqualTo(before.path("unread").asInt() + 1);
        assertThat(after.path("read").asInt()).isEqualTo(before.path("read").asInt());
        assertThat(line(inspector, id, BACK).at("/reading/says").asString()).isEqualTo("UNREAD");
        assertThat(inspector
                        .judgement(id, "siting", BACK + "@outdoor-1")
                        .path("because")
                        .asString())
                .contains("not accessible: locked yard");
        assertThat(inspector
                        .get("/api/installations/" + id + "/report.html")
                        .expect(200)
                        .text())
                .contains("What was not read, and why")
                .contains("Not accessible: locked yard")
                .contains("not accessible, ");
        says(id, BACK, "41 in").expect(201);
        assertThat(inspector
                        .get("/api/installations/" + id + "/report.html")
                        .expect(200)
                        .text())
                .doesNotContain("locked yard");
    }

    private JsonNode route(String id) {
        JsonNode stations =
                inspector.get("/api/installations/" + id + "/route").expect(200).json();
        return StreamSupport.stream(stations.spliterator(), false)
                .filter(station -> station.path("key").asString().equals("siting"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatWasReadBeforeItWasDueCountsAsRead() {
        String id = inspector.installation("LH-12");
        JsonNode siting = route(id);
        assertThat(siting.path("open").asInt())
                .as("nothing of it is due at a witness visit")
                .isZero();
        assertThat(siting.path("said").asString())
                .startsWith(siting.path("read").asInt() + " of ");
    }

    @Test
    void whoTypesInchesOfMercuryIsAskedWhereTheyAreCountedFrom() {
        String id = inspector.installation("LH-36");
        Client.Answer asked = inspector.save(id, "evacuation.reached", "line-set-indoor-1", "29.9 inHg");
        assertThat(asked.expect(422).detail()).contains("below the air's pressure, or absolute?");
        assertThat(asked.json().path("choices").toString()).contains("29.9 inHg abs");
    }

    @Test
    void aCrewTakesBackNothingOfTheOffice() {
        Client crew = SERVER.signedIn("nettlebank");
        String id = inspector
                        .get("/api/installations?crew=" + Client.encoded("Nettlebank Air"))
                        .json()
                        .path("rows")
                        .isEmpty()
                ? inspector.installation("LH-36")
                : inspector.installation("LH-36");
        says(id, LEFT, "70 in").expect(201);
        assertThat(says(crew, id, LEFT, "taken back: wrong", standing(id, LEFT), "RECORDED")
                        .expect(403)
                        .detail())
                .contains("takes back its own");
    }

    @Test
    void whatWasSaidGoesOutAndComesInWithTheCase() {
        String id = inspector.installation("LH-36");
        says(id, FRONT, "70 in").expect(201);
        says(id, FRONT, "17 in").expect(201);
        says(id, FRONT, "taken back: of the other unit").expect(201);
        ObjectNode document = (ObjectNode)
                lead.get("/api/installations/" + id + "/case.json").expect(200).json();
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        installation.put("reference", "LH-96");
        installation.remove("judgements");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        assertThat(document.toString()).contains("taken back: of the other unit");
        lead.bringIn(document.toString()).expect(200);
        String copy = inspector.installation("LH-96");
        assertThat(line(inspector, copy, FRONT).at("/reading/typed").asString()).isEqualTo("70 in");
    }
}
