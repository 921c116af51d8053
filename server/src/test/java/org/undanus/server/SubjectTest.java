package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What joins the units: told, added, taken away, exported and imported. */
class SubjectTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    private static Map<String, Object> joint(String title, String... joins) {
        return Map.of("kind", "JOINT", "title", title, "joins", List.of(joins));
    }

    private Client.Answer deleted(String path) {
        return inspector.send("DELETE", path, "", "application/json");
    }

    private static List<String> ids(JsonNode installation) {
        return installation
                .path("subjects")
                .valueStream()
                .map(s -> s.path("id").asString())
                .toList();
    }

    @Test
    void whatIsToldStandsThereAndWhatIsAddedIsNumbered() {
        String path = "/api/installations/" + inspector.installation("LH-12");
        assertThat(ids(inspector.get(path).expect(200).json()))
                .contains("line-set-indoor-1", "line-set-indoor-2", "circuit-outdoor-1");
        JsonNode with = inspector
                .post(path + "/subjects", joint("Flare, boat hall", "indoor-1"))
                .expect(201)
                .json();
        assertThat(ids(with)).contains("joint-1");
        JsonNode added = with.path("subjects").get(with.path("subjects").size() - 1);
        assertThat(added.path("kindTitle").asString()).isEqualTo("joint");
        assertThat(added.path("joins").get(0).asString()).contains("boat hall");
        assertThat(added.path("added").asBoolean()).isTrue();
        deleted(path + "/subjects/joint-1").expect(200);
        assertThat(ids(inspector.get(path).json())).doesNotContain("joint-1");
        assertThat(ids(inspector
                        .post(path + "/subjects", joint("Another", "indoor-1"))
                        .expect(201)
                        .json()))
                .as("an id is never used again")
                .contains("joint-2");
        deleted(path + "/subjects/joint-1").expect(404);
        deleted(path + "/subjects/line-set-indoor-1").expect(404);
        String id = path.substring(path.lastIndexOf('/') + 1);
        assertThat(SERVER.journalled("subject.removed", id + "/joint-1")).isEqualTo("inspector");
    }

    @Test
    void whatCannotBeIsRefusedByItsField() {
        String path = "/api/installations/" + inspector.installation("LH-01") + "/subjects";
        assertThat(inspector.post(path, joint("Flare", "indoor-9")).expect(422).detail())
                .contains("indoor-9");
        assertThat(inspector.post(path, joint(" ", "indoor-1")).expect(400).detail())
                .contains("title");
        assertThat(inspector
                        .post(path, Map.of("kind", "UNIT", "title", "x", "joins", List.of("indoor-1")))
                        .expect(422)
                        .detail())
                .contains("entered with the installation");
        inspector.post(path, joint("Flare")).expect(400);
        SERVER.signedIn("dunmarrow").post(path, joint("Flare", "indoor-1")).expect(404);
    }

    @Test
    void aCaseTakesThemAlong() {
        Client lead = SERVER.signedIn("lead");
        String path = "/api/installations/" + lead.installation("LH-31");
        lead.post(path + "/subjects", joint("Flare at the wall", "indoor-1")).expect(201);
        ObjectNode document =
                (ObjectNode) lead.get(path + "/case.json").expect(200).json();
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        assertThat(installation.at("/subjects/0/id").asString()).isEqualTo("joint-1");
        installation.put("reference", "LH-31-again");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        String again = lead.bringIn(document.toString())
                .expect(200)
                .json()
                .at("/installations/0")
                .asString();
        assertThat(ids(lead.get("/api/installations/" + again).json())).contains("joint-1");
    }

    @Test
    void aCaseThatNamesTwoThingsAlikeIsRefusedWhole() {
        Client lead = SERVER.signedIn("lead");
        String path = "/api/installations/" + lead.installation("LH-31");
        ObjectNode document =
                (ObjectNode) lead.get(path + "/case.json").expect(200).json();
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        installation.put("reference", "LH-31-twice");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        installation
                .putArray("subjects")
                .addObject()
                .put("id", "line-set-indoor-1")
                .put("kind", "LINE_SET")
                .put("title", "Again")
                .putArray("joins")
                .add("indoor-1");
        assertThat(lead.bringIn(document.toString()).expect(422).detail()).contains("share the id line-set-indoor-1");
        installation.remove("subjects");
        ((ObjectNode) installation.at("/components/0")).put("id", "system");
        assertThat(lead.bringIn(document.toString()).expect(422).detail()).contains("share the id system");
    }
}
