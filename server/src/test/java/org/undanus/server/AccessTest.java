package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is none of one's business looks like what is not there. */
class AccessTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    @Test
    void crewSeesItsOwnInstallationsOnly() {
        var register = SERVER.signedIn("dunmarrow")
                .get("/api/installations")
                .expect(200)
                .json()
                .path("entries");
        assertThat(register)
                .isNotEmpty()
                .allSatisfy(entry -> assertThat(entry.path("crew").asString()).isEqualTo("Dunmarrow Services"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "/route",
                "/stations/papers",
                "/history?point=plate.model&component=outdoor-1",
                "/corrections",
                "/corrections/proposed",
                "/report",
                "/report.pdf",
                "/report/pages/1",
                "/case.json",
                "/photos",
                "/site-plan",
                "/site-plan.geojson"
            })
    void anotherCrewsInstallationIsNotFoundLikeAnUnknownOne(String part) {
        String museum = SERVER.signedIn("inspector").installation("LH-07");
        Client crew = SERVER.signedIn("nettlebank");
        String theirs =
                crew.get("/api/installations/" + museum + part).expect(404).text();
        String unknown = crew.get("/api/installations/" + UUID.randomUUID() + part)
                .expect(404)
                .text();
        assertThat(theirs.replaceAll("\"instance\":\"[^\"]*\"", ""))
                .isEqualTo(unknown.replaceAll("\"instance\":\"[^\"]*\"", ""));
    }

    @Test
    void anotherCrewsInstallationCannotBeWrittenTo() {
        String museum = SERVER.signedIn("inspector").installation("LH-07");
        Client crew = SERVER.signedIn("nettlebank");
        Map<String, Object> reading = Client.reading("plate.serial", "outdoor-1", "X");
        reading.put("grade", "RECORDED");
        crew.post("/api/installations/" + museum + "/readings", reading).expect(404);
        crew.post(
                        "/api/installations/" + museum + "/understand",
                        Map.of("point", "plate.serial", "component", "outdoor-1", "typed", "X"))
                .expect(404);
        crew.post("/api/installations/" + museum + "/corrections", Map.of("judgements", List.of("x@y"), "words", ""))
                .expect(404);
    }

    @Test
    void crewDoesNotKeepTheOfficesThings() {
        Client crew = SERVER.signedIn("nettlebank");
        String own = crew.installation("LH-01");
        crew.post(
                        "/api/installations/" + own + "/corrections",
                        Map.of("judgements", List.of("papers.plate-age@outdoor-1"), "words", ""))
                .expect(403);
        crew.send("POST", "/api/rule-books", "x", "text/plain").expect(403);
        SERVER.signedIn("inspector")
                .post("/api/imports", Map.of("format", "x", "installations", List.of()))
                .expect(403);
    }

    @Test
    void unknownStationsLinesAndPagesAreNotFound() {
        Client inspector = SERVER.signedIn("inspector");
        String id = inspector.installation("LH-01");
        inspector.get("/api/installations/" + id + "/stations/kitchen").expect(404);
        inspector
                .get("/api/installations/" + id + "/history?point=plate.model&component=indoor-9")
                .expect(404);
        inspector.get("/api/installations/" + id + "/report/pages/99").expect(404);
        inspector.get("/api/nothing-here").expect(404);
        inspector.get("/api/rule-books/none").expect(404);
    }
}
