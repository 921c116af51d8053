package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import tools.jackson.databind.JsonNode;

/** The register is read from headers and stored standings, which follow whatever they rest on. */
class RegisterTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.judge-again-every=PT1H");

    private static final Person LEAD = new Person("lead", "Lead", Role.QUALITY_LEAD, Optional.empty());

    private final Client lead = SERVER.signedIn("lead");

    private JsonNode page(String query) {
        return lead.get("/api/installations?" + query).expect(200).json();
    }

    private static List<String> references(JsonNode page) {
        return page.path("entries")
                .valueStream()
                .map(entry -> entry.path("reference").asString())
                .toList();
    }

    private JsonNode entry(String reference) {
        return page("words=" + reference).path("entries").get(0);
    }

    @Test
    void itComesPageByPageAndTellsHowManyThereAre() {
        JsonNode first = page("size=4&order=REFERENCE");
        JsonNode second = page("size=4&page=1&order=REFERENCE");
        assertThat(references(first)).hasSize(4);
        assertThat(references(second)).hasSize(4).doesNotContainAnyElementsOf(references(first));
        assertThat(first.path("total").asInt())
                .isEqualTo(first.path("all").asInt())
                .isGreaterThan(8);
        assertThat(references(page("size=4&page=99"))).isEmpty();
        lead.get("/api/installations?size=0").expect(400);
        lead.get("/api/installations?page=-1").expect(400);
        lead.get("/api/installations?order=moon").expect(400);
    }

    @Test
    void itIsFilteredAndSortedByTheServer() {
        assertThat(references(page("words=bOaT"))).contains("LH-12");
        assertThat(references(page("words=zones%20boat"))).as("in any order").containsExactly("LH-12");
        assertThat(references(page("words=boat%20threeways"))).as("by its crew").containsExactly("LH-12");
        assertThat(references(page("words=qd58811"))).as("by a serial number").containsExactly("LH-07");
        assertThat(references(page("words=crucible%20yard")))
                .as("by its address")
                .containsExactly("LH-07");
        assertThat(references(page("words=foundry%20trust"))).as("by its owner").containsExactly("LH-07");
        assertThat(references(page("words=100%25")))
                .as("a sign of the search language")
                .isEmpty();
        assertThat(references(page("words=_"))).isEmpty();
        JsonNode failing = page("worst=FAILS");
        assertThat(failing.path("entries"))
                .isNotEmpty()
                .allSatisfy(e -> assertThat(e.path("worst").asString()).isEqualTo("FAILS"));
        assertThat(failing.path("total").asInt()).isLessThan(failing.path("all").asInt());
        String crew = failing.at("/strip/crews/0/crew").asString();
        assertThat(page("crew=" + Client.encoded(crew)).path("entries"))
                .allSatisfy(e -> assertThat(e.path("crew").asString()).isEqualTo(crew));
        List<String> days = page("order=VISITED")
                .path("entries")
                .valueStream()
                .map(e -> e.path("visitedOn").asString())
                .toList();
        assertThat(days).isSortedAccordingTo((a, b) -> b.compareTo(a));
    }

    @Test
    void aCrewFindsNothingOfOthersWhateverItAsksFor() {
        JsonNode own = SERVER.signedIn("dunmarrow")
                .get("/api/installations?crew=" + Client.encoded("Nettlebank Mechanical"))
                .expect(200)
                .json();
        assertThat(own.path("total").asInt()).isZero();
        assertThat(own.at("/strip/crews")).hasSize(1);
    }

    @Test
    void whatIsReadIsSeenAtOnce() {
        String id = lead.installation("LH-31");
        JsonNode before = entry("LH-31");
        lead.save(id, "siting.outdoor-clearance-front", "outdoor-1", "10 in").expect(201);
        JsonNode after = entry("LH-31");
        assertThat(after.path("readings").asInt())
                .isEqualTo(before.path("readings").asInt() + 1);
        assertThat(after.path("worst").asString()).isEqualTo("FAILS");
    }

    @Test
    void whatIsStoredEqualsJudgingAfreshAndAForgottenStandingIsMadeAgain() {
        page("");
        new JdbcTemplate(SERVER.bean(DataSource.class)).update("DELETE FROM standing WHERE pressing < 3");
        CaseFiles cases = SERVER.bean(CaseFiles.class);
        page("size=200").path("entries").forEach(entry -> {
            long fails = cases.all(LEAD).stream()
                    .filter(file -> file.header().id().equals(entry.path("id").asString()))
                    .flatMap(file -> file.judgements().all().stream())
                    .filter(j -> j.verdict().name().equals("FAILS"))
                    .count();
            assertThat(entry.at("/counts/FAILS").asLong())
                    .as(entry.path("reference").asString())
                    .isEqualTo(fails);
        });
    }

    @Test
    void aChangedInstrumentHasItsInstallationsJudgedAgain() {
        page("");
        JsonNode tape = lead.get("/api/instruments")
                .json()
                .valueStream()
                .filter(i -> i.path("id").asString().equals("tape-2"))
                .findFirst()
                .orElseThrow();
        lead.send(
                        "PUT",
                        "/api/instruments/tape-2",
                        "{\"instrument\": "
                                + tape.path("instrument").toString().replace("\"8 m\"", "\"1 mm\"")
                                + ", \"version\": " + tape.path("version").asInt() + "}",
                        "application/json")
                .expect(200);
        long unfit = page("size=200")
                .path("entries")
                .valueStream()
                .mapToLong(e -> e.at("/counts/NOT_SHOWN").asLong())
                .sum();
        lead.send(
                        "PUT",
                        "/api/instruments/tape-2",
                        "{\"instrument\": " + tape.path("instrument") + ", \"version\": "
                                + (tape.path("version").asInt() + 1) + "}",
                        "application/json")
                .expect(200);
        long fit = page("size=200")
                .path("entries")
                .valueStream()
                .mapToLong(e -> e.at("/counts/NOT_SHOWN").asLong())
                .sum();
        assertThat(unfit).isGreaterThan(fit + 10);
    }

    @Test
    void whatIsMostAtStakeStandsFirstAndSaysItsMostPressingSentence() {
        JsonNode first = page("units=US").path("entries").get(0);
        assertThat(first.path("worst").asString()).isEqualTo("FAILS");
        JsonNode roof = entry("LH-07");
        assertThat(roof.path("said").asString()).contains("50 A, 10 A over the maker's 40 A");
        List<String> falling = references(page("size=200&order=TITLE"));
        List<String> rising = new ArrayList<>(references(page("size=200&order=TITLE&reversed=true")));
        Collections.reverse(rising);
        assertThat(rising).isEqualTo(falling).hasSizeGreaterThan(8);
    }

    @Test
    void everyNumberOfTheStripIsHowManyTheRegisterShowsByIt() {
        JsonNode strip = page("").path("strip");
        strip.path("verdicts").properties().forEach(verdict -> assertThat(
                        page("worst=" + verdict.getKey()).path("total"))
                .isEqualTo(verdict.getValue()));
        strip.path("crews").forEach(crew -> assertThat(
                        page("crew=" + Client.encoded(crew.path("crew").asString()))
                                .path("total"))
                .isEqualTo(crew.path("installations")));
        assertThat(strip.path("stations")).isNotEmpty();
        strip.path("stations").forEach(station -> assertThat(
                        page("station=" + station.path("station").asString()).path("total"))
                .isEqualTo(station.path("failing")));
        assertThat(page("due=true").path("total")).isEqualTo(strip.path("dueThisWeek"));
    }

    @Test
    void aCorrectionDueThisWeekIsCountedAndOneDueLaterIsNot() {
        String id = lead.installation("LH-07");
        int before = page("").at("/strip/dueThisWeek").asInt();
        String judgement = lead.get("/api/installations/" + id + "/stations/siting")
                .json()
                .path("judgements")
                .valueStream()
                .filter(j -> j.path("verdict").asString().equals("FAILS"))
                .map(j -> j.path("key").asString())
                .findFirst()
                .orElseThrow();
        JsonNode raised = lead.post(
                        "/api/installations/" + id + "/corrections",
                        Map.of(
                                "judgements",
                                List.of(judgement),
                                "words",
                                "Move it",
                                "due",
                                LocalDate.now().plusDays(30).toString()))
                .expect(201)
                .json()
                .get(0);
        assertThat(page("").at("/strip/dueThisWeek").asInt()).isEqualTo(before);
        lead.put(
                        "/api/corrections/" + raised.path("id").asString(),
                        Map.of(
                                "words",
                                "Move it",
                                "due",
                                LocalDate.now().plusDays(7).toString(),
                                "version",
                                raised.path("version").asInt()))
                .expect(200);
        assertThat(page("").at("/strip/dueThisWeek").asInt()).isEqualTo(before + 1);
        assertThat(references(page("due=true"))).contains("LH-07");
    }

    @Test
    void itLeavesAsATableInWhichNoWordIsAFormula() {
        lead.post("/api/installations", installation("=1+1")).expect(201);
        Client.Answer csv = lead.get("/api/installations/register.csv?units=US").expect(200);
        assertThat(csv.header("Content-Type")).isEqualTo("text/csv;charset=UTF-8");
        List<String> lines = csv.text().lines().toList();
        assertThat(lines.get(0)).startsWith("reference,installation,place");
        assertThat(lines).hasSize(page("").path("total").asInt() + 1);
        assertThat(csv.text()).contains("'=1+1").contains("50 A, 10 A over");
        assertThat(lead.get("/api/installations/register.csv?worst=MEETS")
                        .text()
                        .lines()
                        .count())
                .isEqualTo(page("worst=MEETS").path("total").asInt() + 1);
    }

    private static Map<String, Object> installation(String title) {
        return Map.ofEntries(
                Map.entry("reference", "LH-98"),
                Map.entry("title", title),
                Map.entry("building", "Lido"),
                Map.entry("elevation", "2100 ft"),
                Map.entry("system", "Wall split"),
                Map.entry("crew", "Nettlebank Mechanical"),
                Map.entry("replacement", false),
                Map.entry("stage", "FINAL"),
                Map.entry("visitedOn", "2026-10-01"),
                Map.entry("ruleBook", "sallowmere-2026-design"),
                Map.entry(
                        "components", List.of(Map.of("title", "Outdoor unit", "kind", "OUTDOOR", "ownSupply", true))));
    }

    /** A tower and its cellar are one building. */
    @Test
    void anInstallationMayStandHigherThanItsBuilding() {
        for (String[] each : new String[][] {{"LH-91", "640 m"}, {"LH-92", "700 m"}}) {
            Map<String, Object> asked = new HashMap<>(installation("At " + each[1]));
            asked.put("reference", each[0]);
            asked.put("elevation", each[1]);
            String id = lead.post("/api/installations", asked)
                    .expect(201)
                    .json()
                    .path("id")
                    .asString();
            assertThat(lead.get("/api/installations/" + id + "/case.json")
                            .expect(200)
                            .json()
                            .at("/installations/0/elevation")
                            .asString())
                    .isEqualTo(each[1].replace(" m", ".0 m"));
            assertThat(SERVER.bean(CaseFiles.class).all(LEAD).stream()
                            .filter(file -> file.header().id().equals(id))
                            .map(file -> file.facts().site().elevation().si() + " m"))
                    .as("read many at a time too")
                    .containsExactly(each[1].replace(" m", ".0 m"));
        }
    }

    @Test
    void aNewBuildingKeepsItsZoneAndTimesWithoutOneAreReadThere() {
        Map<String, Object> asked = new HashMap<>(installation("Chalet"));
        asked.put("reference", "AA-1");
        asked.put("building", "Far Chalet");
        asked.put("zone", "Nowhere/Land");
        assertThat(lead.post("/api/installations", asked).expect(422).detail()).contains("is no time zone");
        asked.put("zone", "Pacific/Kiritimati");
        String id = lead.post("/api/installations", asked)
                .expect(201)
                .json()
                .path("id")
                .asString();
        lead.post("/api/installations/" + id + "/records", Client.record("15 °C"))
                .expect(201);
        JsonNode carried = lead.get("/api/installations/" + id + "/case.json")
                .expect(200)
                .json()
                .at("/installations/0");
        assertThat(carried.path("zone").asString()).isEqualTo("Pacific/Kiritimati");
        assertThat(carried.at("/readings/0/at").asString()).isEqualTo("2026-08-31T20:00:00Z");
    }

    @Test
    void aNewInstallationIsJudgedFromTheModelsChosenAndItsPlatesAreStillToBeRead() {
        JsonNode choices = lead.get("/api/installations/choices").expect(200).json();
        Map<String, Object> asked = new HashMap<>(installation("Loft"));
        String reference = choices.path("reference").asString();
        assertThat(references(page("size=200"))).doesNotContain(reference);
        asked.put("reference", reference);
        asked.put("building", choices.at("/places/0/name").asString());
        asked.put("elevation", choices.at("/places/0/elevation").asString());
        asked.put(
                "components",
                List.of(
                        Map.of("title", "Outdoor unit", "kind", "OUTDOOR", "ownSupply", true, "model", "WS-12"),
                        Map.of("title", "Wall unit", "kind", "INDOOR_WALL", "ownSupply", false, "model", "WS-12 I")));
        JsonNode made = lead.post("/api/installations", asked).expect(201).json();
        assertThat(made.at("/components/0/model").asString()).isEqualTo("WS-12");
        String id = made.path("id").asString();
        JsonNode papers = lead.get("/api/installations/" + id + "/stations/papers")
                .expect(200)
                .json();
        JsonNode model = papers.path("lines")
                .valueStream()
                .filter(line -> line.path("point").asString().equals("plate.model"))
                .findFirst()
                .orElseThrow();
        assertThat(model.at("/reading/grade").asString()).isEqualTo("STATED");
        assertThat(papers.path("judgements")
                        .valueStream()
                        .filter(j -> j.path("requirement").asString().equals("papers.listed-pair"))
                        .map(j -> j.path("verdict").asString()))
                .containsExactly("MEETS");
        assertThat(lead.get("/api/installations/choices")
                        .json()
                        .path("reference")
                        .asString())
                .isNotEqualTo(reference);
    }

    @Test
    void whatAnInstallationIsPutTogetherFromIsForTheInspectionOffice() {
        SERVER.signedIn("dunmarrow").get("/api/installations/choices").expect(403);
    }
}
