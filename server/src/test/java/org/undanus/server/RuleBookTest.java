package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.rules.ShippedRuleBooks;
import tools.jackson.databind.JsonNode;

/** Rule books over HTTP: what they say, and that an installation keeps the version it is judged by. */
class RuleBookTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static JsonNode limit(JsonNode book, String key, String authority) {
        return StreamSupport.stream(book.path("limits").spliterator(), false)
                .filter(l -> l.path("key").asString().equals(key)
                        && l.path("authority").asString().equals(authority))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void bothShippedBooksAreThere() {
        JsonNode books =
                SERVER.signedIn("nettlebank").get("/api/rule-books").expect(200).json();
        assertThat(books).hasSize(4);
        assertThat(books).extracting(b -> b.path("display").asString()).containsExactly("SI", "US", "SI", "US");
        assertThat(books.get(0).path("extending")).isEmpty();
        assertThat(books.get(2).at("/extending/0").asString())
                .isEqualTo("Design-current practice, general, version "
                        + BookText.version(ShippedRuleBooks.general().get(0)));
    }

    @Test
    void limitsArePrintedInTheBooksUnitsUnlessTheReaderChooses() {
        Client client = SERVER.signedIn("inspector");
        JsonNode us =
                client.get("/api/rule-books/sallowmere-2026-plate").expect(200).json();
        JsonNode si = client.get("/api/rule-books/sallowmere-2026-plate?units=SI")
                .expect(200)
                .json();
        String front = "siting.outdoor-clearance-front";
        assertThat(limit(us, front, "Lake Halls programme").path("value").asString())
                .isEqualTo("3' 0\"");
        assertThat(limit(si, front, "Lake Halls programme").path("value").asString())
                .as("kept in inches")
                .isEqualTo("3' 0\"");
        assertThat(limit(us, front, "Lake Halls programme").path("layer").asString())
                .as("its own")
                .isEmpty();
        assertThat(limit(us, front, "Adopted code").path("layer").asString()).isEqualTo("Plate practice, general");
        assertThat(limit(us, front, "Adopted code").path("source").asString()).contains("check the adopted edition");
    }

    @Test
    void aGeneralBookSaysWhatItLeavesOpen() {
        JsonNode settings = SERVER.signedIn("inspector")
                .get("/api/rule-books/general-plate")
                .expect(200)
                .json()
                .path("settings");
        assertThat(settings)
                .filteredOn(s -> s.path("title").asString().equals("Design snow depth"))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.path("value").asString()).isEmpty();
                    assertThat(s.path("source").asString()).contains("extends this one");
                });
    }

    @Test
    void schoolsNameTheChosenAndTheOthers() {
        JsonNode schools = SERVER.signedIn("inspector")
                .get("/api/rule-books/sallowmere-2026-design")
                .expect(200)
                .json()
                .path("schools");
        JsonNode protection = schools.valueStream()
                .filter(school -> school.path("chosen").asString().startsWith("Design current"))
                .findFirst()
                .orElseThrow();
        assertThat(protection.at("/others/0/title").asString()).startsWith("Plate ampacity");
    }

    @Test
    void aNewVersionJudgesOnlyWhatIsAmendedToIt() {
        Client lead = SERVER.signedIn("lead");
        String id = lead.installation("LH-23");
        String key = "papers.plate-age@outdoor-1";
        assertThat(lead.judgement(id, "papers", key).path("verdict").asString()).isEqualTo("FAILS");
        String yaml = BookText.next(ShippedRuleBooks.demo().get(1)).replace("3 years", "6 years");
        lead.send("POST", "/api/rule-books?untried=a+test+of+what+follows", yaml, "text/plain")
                .expect(201);
        assertThat(lead.judgement(id, "papers", key).path("verdict").asString())
                .as("kept to its version")
                .isEqualTo("FAILS");

        JsonNode facts = lead.get("/api/installations/" + id).expect(200).json();
        Map<String, Object> amendment = new LinkedHashMap<>();
        for (String field : List.of("title", "system", "crew", "ruleBook")) {
            amendment.put(field, facts.path(field).asString());
        }
        amendment.put("replacement", facts.path("replacement").asBoolean());
        amendment.put("version", facts.path("version").asInt());
        lead.put("/api/installations/" + id, amendment).expect(200);
        assertThat(lead.judgement(id, "papers", key).path("verdict").asString())
                .as("a change in the register moves nothing")
                .isEqualTo("FAILS");

        String versions = "/api/rule-books/sallowmere-2026-design/versions";
        Map<String, Object> only = Map.of("ids", List.of(id));
        assertThat(lead.post(versions + "/11/installations", only)
                        .expect(200)
                        .json()
                        .path("moved")
                        .asInt())
                .isEqualTo(1);
        assertThat(lead.judgement(id, "papers", key).path("verdict").asString()).isEqualTo("MEETS");
        lead.post(versions + "/10/installations", only).expect(200);
        assertThat(lead.judgement(id, "papers", key).path("verdict").asString())
                .as("undone by choosing the old one")
                .isEqualTo("FAILS");
        assertThat(lead.get(versions).expect(200).json())
                .extracting(version -> version.path("version").asInt())
                .containsExactly(11, 10);
        assertThat(lead.get("/api/rule-books/sallowmere-2026-design/changes?from=10&to=11&units=US")
                        .expect(200)
                        .json())
                .singleElement()
                .satisfies(change -> {
                    assertThat(change.path("before").asString()).contains("3 years");
                    assertThat(change.path("now").asString()).contains("6 years");
                });
    }

    @Test
    void onlyTheQualityLeadBringsBooksIn() {
        assertThat(SERVER.signedIn("inspector")
                        .send("POST", "/api/rule-books", ShippedRuleBooks.demo().get(0), "text/plain")
                        .expect(403)
                        .detail())
                .contains("quality lead");
    }

    @Test
    void instrumentsOfTheToolcaseAreListedByKind() {
        JsonNode instruments =
                SERVER.signedIn("inspector").get("/api/instruments").expect(200).json();
        assertThat(instruments)
                .hasSizeGreaterThan(5)
                .allSatisfy(i -> assertThat(i.path("kind").asString()).isNotBlank());
    }
}
