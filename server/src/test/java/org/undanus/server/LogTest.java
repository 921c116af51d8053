package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Loggers' own files: looked at, put right, taken in. */
class LogTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String PRESSURE = "tightness.pressure-log";
    private static final String WALL = "tightness.temperature-log";
    private static final String LINES = "line-set-indoor-1";
    private static final String FILE = IntStream.range(0, 40)
            .mapToObj(i -> String.format("03.06.2026;09:%02d:05;%s;%s\n", i, i % 7 == 3 ? "" : "20,5" + i % 10, "21,3"))
            .collect(Collectors.joining("", "\uFEFFMesswerte;;;\nDatum;Uhrzeit;pressure barg;wall °C\n", ""));

    private final Client lead = SERVER.signedIn("lead");
    private String id;
    private String logs;

    @BeforeEach
    void anInstallation() {
        id = lead.installation("LH-28");
        logs = "/api/installations/" + id + "/logs";
    }

    private Client.Answer look(String file, String point) {
        return lead.upload(
                logs + "/look?point=" + point + "&component=" + LINES + "&zone=UTC",
                file.getBytes(StandardCharsets.UTF_8));
    }

    private static String writing(JsonNode look, Map<String, String> otherwise) {
        Map<String, String> parameters = new HashMap<>();
        look.path("writing").properties().forEach(each -> {
            if (!each.getValue().isNull()) {
                parameters.put(each.getKey(), each.getValue().asString());
            }
        });
        parameters.putAll(otherwise);
        return parameters.entrySet().stream()
                .map(each -> each.getKey() + "=" + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
    }

    private Client.Answer take(String file, String writing, String... takes) {
        String taken = java.util.Arrays.stream(takes)
                .map(each -> "&take=" + URLEncoder.encode(each, StandardCharsets.UTF_8))
                .collect(Collectors.joining());
        return lead.upload(logs + "?component=" + LINES + "&" + writing + taken, file.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aFileOfTwoChannelsBecomesTwoCurves() {
        JsonNode look = look(FILE, PRESSURE).expect(200).json();
        assertThat(look.at("/writing/delimiter").asString()).isEqualTo(";");
        assertThat(look.at("/writing/decimalComma").asBoolean()).isTrue();
        assertThat(look.at("/first").asString()).isEqualTo("2026-06-03T09:00:05Z");
        assertThat(look.at("/rows").size()).isEqualTo(4);
        assertThat(look.at("/takers/0/point").asString()).isEqualTo(PRESSURE);
        assertThat(look.at("/takers/0/column").asInt()).isEqualTo(2);
        assertThat(look.at("/takers/0/unit").asString()).isEqualTo("barg");
        assertThat(look.at("/takers/1/column").asInt()).isEqualTo(3);

        JsonNode taken = take(FILE, writing(look, Map.of()), PRESSURE + ":2:barg", WALL + ":3:°C")
                .expect(201)
                .json();
        assertThat(taken.at("/0/samples").asInt()).as("blank cells are gaps").isEqualTo(34);
        assertThat(taken.at("/1/samples").asInt()).isEqualTo(40);
        assertThat(take(FILE, writing(look, Map.of()), PRESSURE + ":2:barg")
                        .expect(201)
                        .json()
                        .at("/0"))
                .as("sent twice")
                .isEqualTo(taken.at("/0"));
        Map<String, Object> reading = new HashMap<>(
                Client.reading(PRESSURE, LINES, taken.at("/0/sha256").asString()));
        reading.put("grade", "LOGGED");
        Optional<String> standing = lead.standing(id, PRESSURE, LINES);
        standing.ifPresent(s -> reading.put("basedOn", s));
        assertThat(lead.post("/api/installations/" + id + "/readings", reading)
                        .expect(201)
                        .json()
                        .at("/line/reading/si")
                        .asString())
                .isEqualTo("20.50 barg to 20.59 barg");
    }

    @Test
    void whatWasGuessedWrongIsPutRight() {
        String file = "03/06/2026 09:00,700\n03/06/2026 09:01,701\n";
        JsonNode look = look(file, PRESSURE).expect(200).json();
        assertThat(look.at("/first").asString()).isEqualTo("2026-03-06T09:00:00Z");
        JsonNode taken = take(
                        file,
                        writing(look, Map.of("clock", "DAY_FIRST", "zone", "America/Chicago")),
                        PRESSURE + ":1:kPag")
                .expect(201)
                .json();
        assertThat(taken.at("/0/from").asString()).isEqualTo("2026-06-03T14:00:00Z");
    }

    @Test
    void itIsLookedAtAgainAsAPersonSays() {
        String file = "pressure kPa;at\n700,5;03/06/2026 09:00\n701,5;03/06/2026 09:01\n";
        JsonNode guessed = look(file, PRESSURE).expect(200).json();
        assertThat(guessed.at("/plain").asBoolean()).isFalse();
        JsonNode again = lookAs(file, writing(guessed, Map.of("clock", "DAY_FIRST", "zone", "UTC")))
                .expect(200)
                .json();
        assertThat(again.at("/first").asString()).isEqualTo("2026-06-03T09:00:00Z");
        assertThat(again.at("/titles/0").asString()).isEqualTo("pressure kPa");
        assertThat(again.at("/rows/1/0").asString()).isEqualTo("701,5");
        assertThat(lookAs(file, writing(guessed, Map.of("delimiter", "|")))
                        .expect(422)
                        .detail())
                .contains("no time and value", "700,5;03/06");
        assertThat(lookAs(file, writing(guessed, Map.of("headings", "9")))
                        .expect(422)
                        .detail())
                .contains("no time and value");
    }

    private Client.Answer lookAs(String file, String writing) {
        return lead.upload(
                logs + "/look/as?point=" + PRESSURE + "&component=" + LINES + "&" + writing,
                file.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aFileWithTabsIsTakenAsItWasLookedAt() {
        String file = FILE.replace(';', '\t');
        JsonNode look = look(file, PRESSURE).expect(200).json();
        assertThat(look.at("/writing/delimiter").asString()).isEqualTo("\t");
        assertThat(take(file, writing(look, Map.of()), PRESSURE + ":2:barg")
                        .expect(201)
                        .json()
                        .at("/0/samples")
                        .asInt())
                .isEqualTo(34);
        assertThat(take(file, writing(look, Map.of("delimiter", " ")), PRESSURE + ":2:barg")
                        .expect(400)
                        .detail())
                .contains("delimiter", "is empty");
    }

    @Test
    void aCurveInTheOpenFormNeedsNoLooking() {
        String open = "time,barg\n2026-06-03T09:00:05Z,20.5\n2026-06-03T09:01:05Z,20.5\n";
        assertThat(look(open, PRESSURE).expect(200).json().at("/plain").asBoolean())
                .isTrue();
        assertThat(look(open, WALL).expect(200).json().at("/plain").asBoolean())
                .as("not of this line's unit")
                .isFalse();
    }

    @Test
    void whatCannotBeTakenIsSaidByItsRowAndNothingIsKept() {
        String wrong = FILE.replace("03.06.2026;09:20:05", "03.06.2026;08:20:05");
        JsonNode look = look(FILE, PRESSURE).expect(200).json();
        String traces = lead.get("/api/installations/" + id + "/case.json").text();
        assertThat(take(wrong, writing(look, Map.of()), WALL + ":3:°C", PRESSURE + ":2:barg")
                        .expect(422)
                        .detail())
                .contains("Row 23", "not after");
        assertThat(lead.get("/api/installations/" + id + "/case.json").text()).hasSameSizeAs(traces);
        assertThat(take(FILE, writing(look, Map.of("zone", "Nowhere/Else")), WALL + ":3:°C")
                        .expect(422)
                        .detail())
                .contains("no time zone");
        take(FILE, writing(look, Map.of("delimiter", "\"")), WALL + ":3:°C").expect(422);
        take(FILE, writing(look, Map.of("encoding", "EBCDIC")), WALL + ":3:°C").expect(422);
        take(FILE, writing(look, Map.of()), WALL + ":9:°C").expect(422);
        take(FILE, writing(look, Map.of()), WALL + ":3:furlongs").expect(422);
        take(FILE, writing(look, Map.of()), WALL).expect(422);
        take(FILE, writing(look, Map.of()), "tightness.gas:3:°C").expect(422);
        assertThat(look("PK\u0003\u0004\u0000\u0000", PRESSURE).expect(422).detail())
                .contains("no text file");
        look(FILE, "tightness.gas").expect(422);
        look(FILE, "tightness.nothing").expect(404);
    }

    @Test
    void noOtherCrewLooksOrTakes() {
        Client other = SERVER.signedIn("dunmarrow");
        String theirs = SERVER.signedIn("lead").installation("LH-01");
        other.upload(
                        "/api/installations/" + theirs + "/logs/look?point=" + PRESSURE + "&component=" + LINES
                                + "&zone=UTC",
                        FILE.getBytes(StandardCharsets.UTF_8))
                .expect(404);
    }
}
