package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class WalkTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private Client client;
    private String almshouse;

    @BeforeEach
    void signIn() {
        client = SERVER.signedIn("inspector");
        almshouse = client.installation("LH-36");
    }

    private static List<String> texts(JsonNode array, String field) {
        return StreamSupport.stream(array.spliterator(), false)
                .map(node -> node.path(field).asString())
                .toList();
    }

    @Test
    void registerTellsHowEachStands() {
        JsonNode register = client.get("/api/installations").expect(200).json().path("entries");
        assertThat(texts(register, "reference")).contains("LH-01", "LH-07");
        JsonNode museum = StreamSupport.stream(register.spliterator(), false)
                .filter(e -> e.path("reference").asString().equals("LH-07"))
                .findFirst()
                .orElseThrow();
        assertThat(museum.path("worst").asString()).isEqualTo("FAILS");
        assertThat(museum.at("/counts/FAILS").asInt()).isGreaterThan(5);
    }

    @Test
    void savingAReadingAnswersWithTheJudgementsItChanged() {
        JsonNode saved = client.save(almshouse, "siting.outdoor-clearance-front", "outdoor-1", "30 in")
                .expect(201)
                .json();
        assertThat(texts(saved.path("changed"), "key")).containsExactly("siting.outdoor-clearance-front@outdoor-1");
        JsonNode judgement = saved.path("changed").get(0);
        assertThat(judgement.path("verdict").asString()).isEqualTo("FAILS");
        assertThat(judgement.path("because").asString()).contains("6 in short");
        assertThat(judgement.at("/bar/ticks")).isNotEmpty();
        assertThat(saved.at("/line/reading/us").asString()).isEqualTo("2' 6\"");
        assertThat(saved.at("/line/reading/si").asString()).isEqualTo("762 mm");
        assertThat(client.get("/api/installations/" + almshouse + "/stations/siting/drawings?units=SI")
                        .expect(200)
                        .text())
                .contains("front 762 mm, asked 914 mm: Fails");
    }

    @Test
    void aPlateReadingChangesEveryJudgementThatLooksAtIt() {
        client.save(almshouse, "electrical.device-rating", "outdoor-1", "30 A").expect(201);
        JsonNode saved = client.save(almshouse, "plate.model", "outdoor-1", "WS-12")
                .expect(201)
                .json();
        assertThat(texts(saved.path("changed"), "requirement")).contains("electrical.overcurrent-device");
    }

    @Test
    void whatCanChangeMostIsToldAndNoLongerOnceItIsRead() {
        String station = "/api/installations/" + client.installation("LH-31") + "/stations/electrical";
        JsonNode first = client.get(station).expect(200).json().at("/next/0");
        assertThat(first.path("reason").asString()).startsWith("decides: ");
        assertThat(first.path("title").asString()).isNotBlank();
        JsonNode saved = client.save(client.installation("LH-31"), "electrical.device-rating", "outdoor-1", "15 A")
                .expect(201)
                .json();
        assertThat(texts(saved.path("next"), "point")).isNotEmpty();
        assertThat(saved.path("next").valueStream())
                .noneMatch(next -> next.path("point").asString().equals("electrical.device-rating")
                        && next.path("component").asString().equals("outdoor-1"));
        assertThat(client.get(station).expect(200).json().path("next")).isEqualTo(saved.path("next"));
    }

    @Test
    void nothingIsLostAndEarlierReadingsStayVisible() {
        client.save(almshouse, "siting.outdoor-clearance-left", "outdoor-1", "10 in")
                .expect(201);
        client.save(almshouse, "siting.outdoor-clearance-left", "outdoor-1", "14 in")
                .expect(201);
        JsonNode history = client.get("/api/installations/" + almshouse
                        + "/history?point=siting.outdoor-clearance-left&component=outdoor-1")
                .expect(200)
                .json();
        assertThat(texts(history, "typed")).containsExactly("10 in", "14 in");
        assertThat(history.get(0).path("by").asString()).isEqualTo("inspector");
    }

    @Test
    void staleReadingIsOfferedBothVersions() {
        client.save(almshouse, "siting.outdoor-clearance-back", "outdoor-1", "5 in")
                .expect(201);
        Map<String, Object> late = Client.reading("siting.outdoor-clearance-back", "outdoor-1", "7 in");
        JsonNode conflict = client.post("/api/installations/" + almshouse + "/readings?units=US", late)
                .expect(409)
                .json();
        assertThat(conflict.path("yours").asString()).isEqualTo("7 in");
        assertThat(conflict.at("/theirs/typed").asString()).isEqualTo("5 in");
        late.put("basedOn", conflict.at("/theirs/id").asString());
        client.post("/api/installations/" + almshouse + "/readings", late).expect(201);
    }

    @Test
    void sendingTwiceKeepsOnce() {
        Map<String, Object> reading = Client.reading("siting.outdoor-clearance-right", "outdoor-1", "31 in");
        client.post("/api/installations/" + almshouse + "/readings", reading).expect(201);
        client.post("/api/installations/" + almshouse + "/readings", reading).expect(201);
        reading.put("typed", "32 in");
        client.post("/api/installations/" + almshouse + "/readings", reading).expect(422);
        assertThat(client.get("/api/installations/" + almshouse
                                + "/history?point=siting.outdoor-clearance-right&component=outdoor-1")
                        .json())
                .hasSize(1);
    }

    @Test
    void absurdValueIsAskedAboutOnce() {
        Map<String, Object> reading = Client.reading("siting.outdoor-clearance-above", "outdoor-1", "400 m");
        JsonNode asked = client.post("/api/installations/" + almshouse + "/readings", reading)
                .expect(422)
                .json();
        assertThat(asked.path("ask").asBoolean()).isTrue();
        reading.put("confirmed", true);
        client.post("/api/installations/" + almshouse + "/readings", reading).expect(201);
    }

    @Test
    void understandsWithoutKeeping() {
        Map<String, Object> question =
                Map.of("point", "siting.indoor-height", "component", "indoor-1", "typed", "6' 8\"");
        JsonNode echo = client.post("/api/installations/" + almshouse + "/understand?units=SI", question)
                .expect(200)
                .json();
        assertThat(echo.path("us").asString()).isEqualTo("6' 8\"");
        assertThat(echo.path("si").asString()).isEqualTo("2032 mm");
        assertThat(echo.path("uncertainty").asString()).isEqualTo("± 4 mm");
        assertThat(client.standing(almshouse, "siting.indoor-height", "indoor-1"))
                .isEmpty();
    }

    @Test
    void halfTypedTextIsNoErrorButSaysWhatItLacks() {
        Map<String, Object> question = Map.of("point", "siting.indoor-height", "component", "indoor-1", "typed", "6");
        JsonNode echo = client.post("/api/installations/" + almshouse + "/understand", question)
                .expect(200)
                .json();
        assertThat(echo.path("problem").asString()).contains("unit is missing");
        assertThat(echo.path("choices").valueStream().map(JsonNode::asString)).containsExactly("6 in", "6 cm", "6 ft");
        assertThat(echo.has("si")).isFalse();
    }

    @Test
    void anInstrumentSetsTheUncertainty() {
        Map<String, Object> question = Map.of(
                "point", "siting.indoor-height", "component", "indoor-1", "typed", "6' 8\"", "instrument", "tape-2");
        assertThat(client.post("/api/installations/" + almshouse + "/understand?units=SI", question)
                        .expect(200)
                        .json()
                        .path("uncertainty")
                        .asString())
                .isEqualTo("± 2 mm");
    }

    @Test
    void wrongUnitSaysWhatIsExpected() {
        String detail = client.save(almshouse, "electrical.device-rating", "outdoor-1", "40 in")
                .expect(422)
                .detail();
        assertThat(detail).contains("\"in\"").contains("a current").contains("27.4 A");
    }

    @Test
    void unitsAreTheReaders() {
        String museum = client.installation("LH-07");
        assertThat(client.judgement(museum, "siting", "siting.outdoor-clearance-back@outdoor-1")
                        .path("because")
                        .asString())
                .contains("2-1/2 in short");
        JsonNode inSi = client.get("/api/installations/" + museum + "/stations/siting?units=SI")
                .json();
        assertThat(inSi.toString()).contains("64 mm short");
    }

    @Test
    void scriptInTextIsKeptAsTextAndNeverRun() {
        String script = "<script>alert(1)</script>";
        JsonNode saved = client.save(almshouse, "plate.serial", "indoor-1", script)
                .expect(201)
                .json();
        assertThat(saved.at("/line/reading/typed").asString()).isEqualTo(script);
        assertThat(client.get("/api/installations/" + almshouse + "/report.pdf")
                        .expect(200)
                        .header("Content-Type"))
                .isEqualTo("application/pdf");
    }

    @Test
    void crewFillsTheRecordButDoesNotWitness() {
        Client crew = SERVER.signedIn("nettlebank");
        Map<String, Object> reading = Client.reading("plate.serial", "outdoor-1", "X1");
        assertThat(crew.post("/api/installations/" + almshouse + "/readings", reading)
                        .expect(403)
                        .detail())
                .contains("grade recorded or stated");
        reading.put("grade", "RECORDED");
        crew.post("/api/installations/" + almshouse + "/readings", reading).expect(201);
    }

    @Test
    void aNewInstallationIsEnteredAndAmended() {
        Map<String, Object> asked = new LinkedHashMap<>(Map.of(
                "reference", "LH-90",
                "title", "Kiln room",
                "building", "Dye Works studios",
                "elevation", "2100 ft",
                "system", "Wall split",
                "crew", "Nettlebank Mechanical",
                "replacement", false,
                "stage", "FINAL",
                "visitedOn", "2026-10-01",
                "ruleBook", "sallowmere-2026-design"));
        asked.put(
                "components",
                List.of(
                        Map.of("title", "Outdoor", "kind", "OUTDOOR", "ownSupply", true),
                        Map.of("title", "Wall A", "kind", "INDOOR_WALL", "ownSupply", false),
                        Map.of("title", "Wall B", "kind", "INDOOR_WALL", "ownSupply", false)));
        JsonNode entered = client.post("/api/installations", asked).expect(201).json();
        assertThat(texts(entered.path("components"), "id")).containsExactly("outdoor-1", "indoor-1", "indoor-2");
        assertThat(client.post("/api/installations", asked).expect(422).detail())
                .contains("already in the register");

        String path = "/api/installations/" + entered.path("id").asString();
        Map<String, Object> amendment = new LinkedHashMap<>(Map.of(
                "title", "Kiln room, north",
                "system", "Wall split",
                "crew", "Nettlebank Mechanical",
                "replacement", true,
                "ruleBook", "sallowmere-2026-plate",
                "version", 1));
        assertThat(client.put(path, amendment)
                        .expect(200)
                        .json()
                        .path("version")
                        .asInt())
                .isEqualTo(2);
        JsonNode conflict = client.put(path, amendment).expect(409).json();
        assertThat(conflict.at("/theirs/title").asString()).isEqualTo("Kiln room, north");

        amendment.putAll(Map.of("version", 2, "owner", " Dyers' Guild ", "address", "8 Madder Row, Sallowmere"));
        JsonNode owned = client.put(path, amendment).expect(200).json();
        assertThat(owned.path("owner").asString()).isEqualTo("Dyers' Guild");
        amendment.keySet().removeAll(List.of("owner", "address"));
        amendment.put("version", 3);
        assertThat(client.put(path, amendment)
                        .expect(200)
                        .json()
                        .path("address")
                        .asString())
                .as("what is not said stays")
                .isEqualTo("8 Madder Row, Sallowmere");
        amendment.putAll(Map.of("version", 4, "owner", ""));
        assertThat(client.put(path, amendment).expect(200).json().path("owner").asString())
                .isEmpty();
        amendment.putAll(Map.of("version", 5, "owner", "x".repeat(201)));
        client.put(path, amendment).expect(400);
        assertThat(client.get(path + "/case.json")
                        .json()
                        .at("/installations/0/address")
                        .asString())
                .isEqualTo("8 Madder Row, Sallowmere");
    }

    @Test
    void anInstallationIsPutRightWithWhatThatChangesShownFirst() {
        Map<String, Object> asked = new LinkedHashMap<>(Map.of(
                "reference", "LH-91",
                "title", "Vat room",
                "building", "Dye Works studios",
                "elevation", "2100 ft",
                "system", "Furnace",
                "crew", "Nettlebank Mechanical",
                "replacement", false,
                "stage", "FINAL",
                "visitedOn", "2026-10-01",
                "ruleBook", "sallowmere-2026-design"));
        asked.put(
                "components",
                List.of(
                        Map.of("title", "Outdoor", "kind", "OUTDOOR", "ownSupply", true),
                        Map.of("title", "Air handler", "kind", "INDOOR_DUCTED", "ownSupply", true),
                        Map.of("title", "Spare", "kind", "INDOOR_WALL", "ownSupply", false)));
        String id = client.post("/api/installations", asked)
                .expect(201)
                .json()
                .path("id")
                .asString();
        String path = "/api/installations/" + id;
        client.save(id, "plate.serial", "indoor-1", "A-1").expect(201);
        Map<String, Object> right = new LinkedHashMap<>(Map.of(
                "title", "Vat room, furnace",
                "system", "Furnace with coil",
                "crew", "Nettlebank Mechanical",
                "replacement", false,
                "ruleBook", "sallowmere-2026-design",
                "version", 1));
        right.put(
                "components",
                List.of(
                        Map.of("id", "outdoor-1", "title", "Outdoor", "kind", "OUTDOOR", "ownSupply", true),
                        Map.of("id", "indoor-1", "title", "Furnace", "kind", "FURNACE_COIL", "ownSupply", true)));
        JsonNode shown = client.post(path + "/amendment", right).expect(200).json();
        assertThat(shown.path("come").asInt()).isPositive();
        assertThat(shown.path("go").asInt()).isPositive();
        assertThat(shown.path("putAway")).isEmpty();
        assertThat(shown.path("verdicts").toString()).contains("Carbon monoxide in the room");
        assertThat(client.get(path).expect(200).json().path("title").asString()).isEqualTo("Vat room");
        JsonNode now = client.put(path, right).expect(200).json();
        assertThat(texts(now.path("components"), "kind")).containsExactly("OUTDOOR", "FURNACE_COIL");
        assertThat(client.get(path + "/stations/fuel").expect(200).text()).contains("Carbon monoxide in the room");
        assertThat(client.get(path + "/history?point=plate.serial&component=indoor-1")
                        .expect(200)
                        .json())
                .hasSize(1);
        right.put("version", 2);
        right.put(
                "components",
                List.of(Map.of("id", "outdoor-1", "title", "Outdoor", "kind", "OUTDOOR", "ownSupply", true)));
        assertThat(client.post(path + "/amendment", right).expect(422).detail()).contains("has readings");
        assertThat(client.put(path, right).expect(422).detail()).contains("has readings");
        right.put(
                "components",
                List.of(Map.of("id", "indoor-9", "title", "Other", "kind", "OUTDOOR", "ownSupply", true)));
        assertThat(client.put(path, right).expect(422).detail()).contains("no unit indoor-9");
        SERVER.signedIn("nettlebank").put(path, right).expect(403);
    }

    @Test
    void fieldsThatAreMissingAreNamed() {
        Client.Answer answer = client.post("/api/installations", Map.of("reference", "?", "elevation", "here"));
        assertThat(answer.expect(400).json().path("fields").propertyNames())
                .contains("reference", "title", "components", "stage");
        Map<String, Object> reading = Client.reading("plate.serial", "outdoor-1", "A");
        reading.put("id", UUID.randomUUID().toString() + "x");
        assertThat(client.post("/api/installations/" + almshouse + "/readings", reading)
                        .expect(400)
                        .detail())
                .contains("id");
    }

    @Test
    void aStationsFigureIsLaidOutForTheRoomThereIs() {
        Client inspector = SERVER.signedIn("inspector");
        String path = "/api/installations/" + inspector.installation("LH-15") + "/stations/electrical/drawings";
        JsonNode circuit = inspector
                .get(path + "?units=US&width=700&height=200")
                .expect(200)
                .json()
                .get(0);
        assertThat(circuit.path("spoken").asString()).contains("Overcurrent protective device 50 A: Fails");
        assertThat(circuit.path("width").asInt()).isEqualTo(700);
        assertThat(circuit.path("pieces").valueStream())
                .anyMatch(piece -> piece.path("text").asString().equals("50 A")
                        && piece.path("verdict").asString().equals("FAILS")
                        && piece.path("line").asString().equals("electrical.device-rating@outdoor-1")
                        && piece.path("judgement").asString().equals("electrical.overcurrent-device@outdoor-1"));
        assertThat(inspector
                        .get(path + "?width=360&height=200")
                        .expect(200)
                        .json()
                        .get(0)
                        .path("width")
                        .asInt())
                .isEqualTo(360);
        assertThat(inspector.get(path + "?width=0").expect(400).detail()).contains("width");
        inspector.get(path + "?height=99999").expect(400);
        assertThat(inspector.get(path.replace("electrical", "fuel")).expect(200).json())
                .isEmpty();
    }

    @Test
    void aUnitHeldForTheInstrumentCompletesABareNumber() {
        Map<String, Object> question =
                Map.of("point", "siting.indoor-height", "component", "indoor-1", "typed", "80", "held", List.of("in"));
        JsonNode echo = client.post("/api/installations/" + almshouse + "/understand", question)
                .expect(200)
                .json();
        assertThat(echo.path("full").asString()).isEqualTo("80 in");
        assertThat(echo.path("si").asString()).isEqualTo("2032 mm");
    }

    private Client.Answer hear(Client who, String text) {
        return who.post(
                "/api/installations/" + almshouse + "/stations/siting/hear?units=US",
                Map.of(
                        "text",
                        text,
                        "component",
                        "outdoor-1",
                        "held",
                        Map.of("tape", List.of("in")),
                        "instruments",
                        Map.of("tape", "tape-2"),
                        "grade",
                        "WITNESSED"));
    }

    @Test
    void anAnswerThatLeavesNothingToReadElsewhereTellsThoseLines() {
        JsonNode saved = client.save(almshouse, "electrical.disconnect-present", "outdoor-1", "no")
                .expect(201)
                .json();
        assertThat(StreamSupport.stream(saved.path("others").spliterator(), false)
                        .filter(line -> line.path("point").asString().equals("electrical.disconnect-rating")))
                .singleElement()
                .satisfies(line -> assertThat(line.path("pointless").asString()).isEqualTo("Disconnect fitted: no"));
    }

    @Test
    void aRunOfReadingsIsJudgedLineByLineAndNothingIsKept() {
        JsonNode heard = hear(client, "back 7, left 12, no salt air, above clear")
                .expect(200)
                .json();

        assertThat(texts(heard.path("placed"), "typed")).containsExactly("7 in", "12 in", "no");
        JsonNode back = heard.path("placed").get(0);
        assertThat(back.path("title").asString()).isEqualTo("Clearance, back");
        assertThat(back.path("instrument").asString()).isEqualTo("tape-2");
        assertThat(back.at("/judgement/requirement").asString()).isEqualTo("siting.outdoor-clearance-back");
        assertThat(back.at("/judgement/brief").asString()).startsWith("Fails, ");
        assertThat(texts(heard.path("left"), "words")).containsExactly("above clear");
        assertThat(client.standing(almshouse, "siting.outdoor-clearance-back", "outdoor-1"))
                .isEmpty();
    }

    @Test
    void aRunIsRefusedWhereItIsTooLongAndForAnotherCrew() {
        hear(client, "back 7 in, ".repeat(300)).expect(400);
        hear(SERVER.signedIn("dunmarrow"), "back 7 in").expect(404);
    }

    @Test
    void aLineMadePointlessSaysWhyAndIsNotCounted() {
        String outdoor = "outdoor-1";
        client.save(almshouse, "electrical.disconnect-present", outdoor, "no").expect(201);
        String route = "/api/installations/" + almshouse + "/route";
        JsonNode electrical = client.get("/api/installations/" + almshouse + "/stations/electrical")
                .expect(200)
                .json();
        JsonNode rating = StreamSupport.stream(electrical.path("lines").spliterator(), false)
                .filter(line -> line.path("point").asString().equals("electrical.disconnect-rating")
                        && line.path("component").asString().equals(outdoor))
                .findFirst()
                .orElseThrow();
        assertThat(rating.path("pointless").asString()).isEqualTo("Disconnect fitted: no");
        assertThat(electrical
                        .path("next")
                        .valueStream()
                        .map(each -> each.path("point").asString()
                                + each.path("component").asString()))
                .doesNotContain("electrical.disconnect-rating" + outdoor);
        JsonNode before = at(client.get(route).expect(200).json(), "electrical");

        client.save(almshouse, "electrical.disconnect-present", outdoor, "yes").expect(201);
        JsonNode after = at(client.get(route).expect(200).json(), "electrical");
        assertThat(after.path("lines").asInt()).isEqualTo(before.path("lines").asInt() + 8);
        assertThat(after.path("undecided").asInt()).isPositive();
    }

    private static JsonNode at(JsonNode route, String station) {
        return StreamSupport.stream(route.spliterator(), false)
                .filter(each -> each.path("key").asString().equals(station))
                .findFirst()
                .orElseThrow();
    }
}
