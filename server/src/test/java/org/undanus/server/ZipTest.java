package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A case with its pictures in one file, out and in. */
class ZipTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.largest-case-file=2MB");

    private static final JsonMapper JSON = new JsonMapper();
    private static final int THREE_MEGABYTES = 3 << 20;

    private final Client lead = SERVER.signedIn("lead");

    private static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private static byte[] packed(Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
            }
        }
        return bytes.toByteArray();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private Client.Answer bringIn(byte[] zip) {
        JsonNode begun = lead.send("POST", "/api/imports", zip, "application/zip")
                .expect(202)
                .json();
        return lead.settled(begun.path("id").asString());
    }

    private Map<String, byte[]> exported() throws IOException {
        String path = "/api/installations/" + lead.installation("LH-01");
        lead.upload(path + "/photos?component=outdoor-1", TestPictures.jpegFromACamera())
                .expect(201);
        Client.Answer zip = lead.get(path + "/case.zip").expect(200);
        assertThat(zip.header("Content-Disposition")).contains("LH-01.zip");
        return unpacked(zip.response().body());
    }

    private static Map<String, byte[]> renamed(Map<String, byte[]> entries, String reference) {
        ObjectNode document = (ObjectNode) JSON.readTree(entries.get("case.json"));
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        installation.put("reference", reference);
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        Map<String, byte[]> renamed = new LinkedHashMap<>(entries);
        renamed.put("case.json", bytes(document.toString()));
        return renamed;
    }

    @Test
    void aCaseGoesOutWithItsPicturesBesideItAndComesInAgain() throws IOException {
        Map<String, byte[]> entries = exported();
        JsonNode photo = JSON.readTree(entries.get("case.json"))
                .at("/installations/0/photos")
                .valueStream()
                .reduce((first, last) -> last)
                .orElseThrow();
        assertThat(photo.has("content")).isFalse();
        byte[] picture = entries.get(photo.path("file").asString());
        assertThat(Arrays.copyOf(picture, 2)).containsExactly(0xFF, 0xD8);
        assertThat(new String(picture, StandardCharsets.ISO_8859_1))
                .as("no position")
                .doesNotContain("GPS");

        String id = bringIn(packed(renamed(entries, "ZIP-1")))
                .expect(200)
                .json()
                .at("/installations/0")
                .asString();
        JsonNode photos =
                lead.get("/api/installations/" + id + "/photos").expect(200).json();
        assertThat(photos).isNotEmpty();
        byte[] curve = entries.entrySet().stream()
                .filter(entry -> entry.getKey().startsWith("traces/"))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
        assertThat(new String(curve, StandardCharsets.UTF_8)).startsWith("time,°F\n2026-09-01T09:04:00Z,68.2\n");
        assertThat(lead.judgement(id, "running", "running.steady@indoor-1")
                        .path("derivation")
                        .toString())
                .contains("64 samples");
        lead.get("/api/photos/" + photos.get(0).path("id").asString() + "/picture")
                .expect(200);
    }

    @Test
    void whatItShouldNotHoldIsRefusedAndNothingIsSaved() throws IOException {
        Map<String, byte[]> entries = renamed(exported(), "ZIP-2");
        Map<String, byte[]> outside = new LinkedHashMap<>(entries);
        outside.put("photos/../../evil.jpg", bytes("x"));
        assertThat(bringIn(packed(outside)).expect(422).detail()).contains("holds other things");
        Map<String, byte[]> program = new LinkedHashMap<>(entries);
        program.put("run.sh", bytes("x"));
        assertThat(bringIn(packed(program)).expect(422).detail()).contains("holds other things");
        assertThat(bringIn(packed(Map.of("photos/a.jpg", bytes("x"))))
                        .expect(422)
                        .detail())
                .contains("no case.json");
        Map<String, byte[]> without = new LinkedHashMap<>(entries);
        without.keySet().removeIf(name -> name.startsWith("photos/"));
        assertThat(bringIn(packed(without)).expect(422).detail()).contains("is not there");
        byte[] whole = packed(entries);
        bringIn(Arrays.copyOf(whole, whole.length / 2)).expect(422);
        assertThat(lead.get("/api/installations?words=ZIP-2")
                        .expect(200)
                        .json()
                        .path("total")
                        .asInt())
                .isZero();
    }

    @Test
    void whatUnpacksToMoreThanMayComeInEnds() throws IOException {
        byte[] bomb = packed(Map.of("case.json", new byte[THREE_MEGABYTES]));
        assertThat(bomb.length).isLessThan(20_000);
        assertThat(bringIn(bomb).expect(422).detail()).contains("larger than what can be imported");
    }

    @Test
    void aCrewTakesItsOwnCaseOutAndNoOther() {
        Client crew = SERVER.signedIn("dunmarrow");
        crew.get("/api/installations/" + lead.installation("LH-12") + "/case.zip")
                .expect(404);
        crew.get("/api/installations/" + crew.installation("LH-07") + "/case.zip?photos=NONE")
                .expect(200);
    }
}
