package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;

/** Everything goes out as open files and into an empty system, which judges the same and verifies the seals. */
class EverythingTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static JsonNode brought(Client lead, byte[] zip, int expected) {
        String id = lead.send("POST", "/api/imports", zip, "application/zip")
                .expect(202)
                .json()
                .path("id")
                .asString();
        return lead.settled(id).expect(expected).json();
    }

    private static byte[] without(byte[] zip, String prefix) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip));
                ZipOutputStream to = new ZipOutputStream(out)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (!entry.getName().startsWith(prefix)) {
                    to.putNextEntry(new ZipEntry(entry.getName()));
                    in.transferTo(to);
                }
            }
        }
        return out.toByteArray();
    }

    private static List<String> people(Client lead) {
        return lead.get("/api/people")
                .json()
                .valueStream()
                .map(each ->
                        each.path("name").asString() + " " + each.path("role").asString() + " "
                                + each.path("active").asBoolean())
                .toList();
    }

    /** A correction that stays open. */
    private static String raised(Client lead, String installation) {
        return lead.post(
                        "/api/installations/" + installation + "/corrections",
                        Map.of("judgements", List.of("papers.plate-age@outdoor-1"), "words", "Once more."))
                .expect(201)
                .json()
                .at("/0/id")
                .asString();
    }

    @Test
    void anEmptySystemJudgesTheSameAndTheSealsVerify() throws IOException {
        Client lead = SERVER.signedIn("lead");
        String sealed = lead.installation("LH-23");
        RefrigerantTest.bring(lead, RefrigerantTest.file()).expect(201);
        lead.save(lead.installation("LH-15"), "plate.refrigerant", "outdoor-1", "R9932")
                .expect(201);
        lead.upload("/api/installations/" + sealed + "/photos?component=outdoor-1", TestPictures.jpeg(30, 20))
                .expect(201);
        lead.upload("/api/installations/" + sealed + "/photos?point=papers.permit&component=system", TestPictures.pdf())
                .expect(201);
        JsonNode raised = lead.post(
                        "/api/installations/" + sealed + "/corrections",
                        Map.of("judgements", List.of("papers.plate-age@outdoor-1"), "words", "Show the papers."))
                .expect(201)
                .json()
                .get(0);
        lead.post(
                        "/api/corrections/" + raised.path("id").asString() + "/steps",
                        Map.of(
                                "kind",
                                "WITHDRAWN",
                                "words",
                                "Shown.",
                                "readings",
                                List.of(),
                                "confirmed",
                                false,
                                "version",
                                1))
                .expect(201);
        lead.upload(
                        "/api/corrections/" + raised(lead, sealed) + "/files?name=note.txt",
                        "Shown on site.".getBytes(StandardCharsets.UTF_8))
                .expect(201);
        String record = RecordTest.withPaperBoxAndAnswer(SERVER, sealed, "threeways");
        lead.post("/api/installations/" + sealed + "/seals", Map.of()).expect(201);
        byte[] zip = lead.get("/api/everything").expect(200).response().body();
        SERVER.signedIn("inspector").get("/api/everything").expect(403);

        TestServer empty = TestServer.empty();
        empty.start();
        try {
            Client to = empty.firstLead();
            assertThat(brought(to, without(zip, "library.json"), 422).toString())
                    .contains("no library.json");
            assertThat(to.get("/api/installations").json().path("entries"))
                    .as("whole or not at all")
                    .isEmpty();
            assertThat(brought(to, zip, 200).path("installations")).hasSize(20);
            for (String reference : List.of("LH-01", "LH-07", "LH-15", "LH-23", "LH-40")) {
                JsonNode there = lead.get("/api/installations/" + lead.installation(reference) + "/case.json")
                        .json()
                        .at("/installations/0");
                assertThat(to.get("/api/installations/" + to.installation(reference) + "/case.json")
                                .json()
                                .at("/installations/0"))
                        .as(reference)
                        .isEqualTo(there);
            }
            String here = to.installation("LH-23");
            assertThat(RecordTest.carried(to, here))
                    .as("a record with its paper, box, question and answer")
                    .isEqualTo(RecordTest.carried(lead, sealed));
            assertThat(RecordTest.carried(to, here).toString()).contains("The thermometer lay outdoors.");
            assertThat(to.get("/api/installations/" + here + "/photos").json().valueStream())
                    .as("a photo and a paper")
                    .hasSize(2)
                    .anyMatch(photo -> photo.path("mediaType").asString().equals("application/pdf"));
            byte[] seal = to.get("/api/installations/" + here + "/seals/1/file")
                    .expect(200)
                    .response()
                    .body();
            JsonNode checked = to.send("POST", "/api/sealed/check", seal, "application/zip")
                    .expect(200)
                    .json();
            assertThat(checked.path("sound").asBoolean()).as(checked.toString()).isTrue();
            assertThat(checked.path("known").asBoolean()).isTrue();
            assertThat(to.get("/api/installations/" + here + "/seals")
                            .expect(200)
                            .json()
                            .at("/0/number")
                            .asString())
                    .isEqualTo("LH-23/1");
            assertThat(to.get("/api/letters").expect(200).json())
                    .as("letters, word for word")
                    .hasSameSizeAs(lead.get("/api/letters").expect(200).json())
                    .isNotEmpty();
            assertThat(people(to)).as("accounts, switched off").contains("inspector INSPECTOR false");
            assertThat(to.get("/api/people/inspector/mail")
                            .json()
                            .path("address")
                            .asString())
                    .as("where their letters go")
                    .isEqualTo("inspector@sallowmere.example");
            empty.client().signIn("inspector", "inspector-demo").expect(401);
            assertThat(new String(zip, StandardCharsets.ISO_8859_1)).doesNotContain("$2a$");
            assertThat(empty.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
            assertThat(brought(to, zip, 422).toString()).contains("already in the register");
        } finally {
            empty.stop();
        }
    }
}
