package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Large files on their way in and out. */
class ImportTest {
    private static final int LARGE_FILE = 40;

    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.largest-case-file=" + LARGE_FILE + "MB");

    private static final int MANY = 10_000;

    private final Client lead = SERVER.signedIn("lead");

    private ObjectNode exported(String reference, String newReference) {
        ObjectNode document = (ObjectNode) lead.get("/api/installations/" + lead.installation(reference) + "/case.json")
                .expect(200)
                .json();
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        installation.put("reference", newReference);
        installation.remove("judgements");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        return document;
    }

    /** One line read over and over. */
    private String manyReadings(String reference) {
        ObjectNode document = exported("LH-01", reference);
        ArrayNode readings = (ArrayNode) document.at("/installations/0/readings");
        JsonNode first = readings.get(0);
        while (readings.size() < MANY) {
            readings.add(first.deepCopy());
        }
        return document.toString();
    }

    private boolean registered(String reference) {
        return lead.get("/api/installations").expect(200).text().contains("\"" + reference + "\"");
    }

    private String begin(String document) {
        JsonNode begun = lead.send("POST", "/api/imports", document, "application/json")
                .expect(202)
                .json();
        return begun.path("id").asString();
    }

    private JsonNode waitUntilKeeping(String id) {
        while (true) {
            JsonNode now = lead.get("/api/imports/" + id).expect(200).json();
            if (now.path("done").asInt() > 0) {
                return now;
            }
        }
    }

    @Test
    void othersGoOnWhileThousandsOfReadingsComeInAndNoneOfThemShowsBeforeAllDo() {
        String id = begin(manyReadings("BIG-1"));
        JsonNode under = waitUntilKeeping(id);
        assertThat(under.path("state").asString()).isEqualTo("KEEPING");
        assertThat(under.path("steps").asInt()).as("readings and curves").isEqualTo(MANY + 4);
        Client inspector = SERVER.signedIn("inspector");
        String other = inspector.installation("LH-07");
        int saved = 0;
        boolean shown = registered("BIG-1");
        while (lead.get("/api/imports/" + id).json().path("state").asString().equals("KEEPING")) {
            assertThat(shown).isFalse();
            inspector.save(other, "plate.serial", "outdoor-1", "S" + saved++).expect(201);
            shown = registered("BIG-1");
        }
        // had they to wait for the import, the first would have outlasted it
        assertThat(saved).isGreaterThan(3);
        lead.settled(id).expect(200);
        assertThat(registered("BIG-1")).isTrue();
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    @Test
    void aCancelledImportLeavesNothing() {
        long entries = SERVER.bean(JournalCheck.class).run().entries();
        String id = begin(manyReadings("BIG-2"));
        waitUntilKeeping(id);
        lead.send("DELETE", "/api/imports/" + id, "", "application/json").expect(200);
        assertThat(lead.settled(id).json().path("state").asString()).isEqualTo("CANCELLED");
        assertThat(registered("BIG-2")).isFalse();
        assertThat(SERVER.bean(JournalCheck.class).run().entries()).isEqualTo(entries);
        assertThat(SERVER.folder().resolve("imports").resolve(id)).doesNotExist();
    }

    @Test
    void onlyWhoBeganItSeesHowItStands() {
        String id = begin(exported("LH-36", "OWN-1").toString());
        lead.settled(id).expect(200);
        SERVER.signedIn("inspector").get("/api/imports/" + id).expect(404);
        lead.get("/api/imports/none").expect(404);
    }

    @Test
    void tooManyWaitingAreAskedToComeBack() {
        String slow = begin(manyReadings("BIG-3"));
        List<String> waiting = new ArrayList<>();
        Client.Answer last;
        do {
            last = lead.send("POST", "/api/imports", "{}", "application/json");
            if (last.status() == 202) {
                waiting.add(last.json().path("id").asString());
            }
        } while (last.status() == 202 && waiting.size() < 20);
        assertThat(last.expect(503).header("Retry-After")).isEqualTo("60");
        lead.send("DELETE", "/api/imports/" + slow, "", "application/json").expect(200);
        lead.settled(slow).expect(200);
        for (String id : waiting) {
            lead.settled(id).expect(422);
        }
    }

    @Test
    void whatIsHandedOutWithItsPhotosCanBeBroughtInAgain() {
        ObjectNode document = exported("LH-36", "PHOTO-1");
        String id = lead.bringIn(document.toString())
                .expect(200)
                .json()
                .at("/installations/0")
                .asString();
        // noise does not pack: about 9 MB each
        for (int i = 0; i < 3; i++) {
            lead.upload("/api/installations/" + id + "/photos?component=outdoor-1", TestPictures.noise(1750, 1750, i))
                    .expect(201);
        }
        String path = "/api/installations/" + id + "/case.json?photos=POSITIONED";
        String out = lead.get(path).expect(200).text();
        assertThat(out.length()).isBetween(30_000_000, LARGE_FILE * 1024 * 1024);
        String renamed =
                out.replace("\"PHOTO-1\"", "\"PHOTO-2\"").replaceAll("\"id\":\"[0-9a-f-]{36}\",\"point\"", "\"point\"");
        String again =
                lead.bringIn(renamed).expect(200).json().at("/installations/0").asString();
        assertThat(lead.get("/api/installations/" + again + "/photos").json())
                .extracting(photo -> photo.path("sha256").asString())
                .isEqualTo(lead.get("/api/installations/" + id + "/photos")
                        .json()
                        .valueStream()
                        .map(photo -> photo.path("sha256").asString())
                        .toList());

        lead.upload("/api/installations/" + id + "/photos?component=outdoor-1", TestPictures.noise(1750, 1750, 9))
                .expect(201);
        assertThat(lead.get(path).expect(422).detail())
                .contains("40 MB can be imported again. Take it without photos.");
        lead.get("/api/installations/" + id + "/case.json").expect(200);
    }
}
