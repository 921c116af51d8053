package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.rules.ShippedRuleBooks;

/** Each bad input gets a clear answer; none is a server error and nothing is lost by it. */
class BadInputTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.largest-case-file=24MB");

    private static final int THIRTY_MEGABYTES = 30 * 1024 * 1024;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{",
                "[]",
                "null",
                "\"text\"",
                "{\"id\": 1}",
                "{\"nonsense\": true}",
                "{\"id\":{\"a\":[1,2,3]}}",
                "{\"grade\":\"RUMOURED\"}",
                "\u0000",
                "{\"confirmed\":\"perhaps\"}"
            })
    void malformedReadings(String body) {
        Client client = SERVER.signedIn("inspector");
        String id = client.installation("LH-36");
        Client.Answer answer = client.send("POST", "/api/installations/" + id + "/readings", body, "application/json");
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.detail()).isNotBlank();
    }

    static List<String> imports() {
        String start = "{\"format\":\"undanus-case/1\",\"installations\":";
        String installation =
                "{\"reference\":\"Z-1\",\"title\":\"t\",\"building\":\"b\",\"elevation\":\"%s\",\"system\":\"s\","
                        + "\"crew\":\"c\",\"replacement\":false,\"stage\":\"FINAL\",\"visitedOn\":\"2026-09-01\","
                        + "\"ruleBook\":{\"id\":\"%s\",\"version\":1},\"components\":%s,\"readings\":%s}";
        String units = "[{\"id\":\"outdoor-1\",\"kind\":\"OUTDOOR\",\"title\":\"O\",\"ownSupply\":true}]";
        String book = "sallowmere-2026-plate";
        String reading =
                "[{\"point\":\"%s\",\"component\":\"outdoor-1\",\"typed\":\"%s\",\"grade\":\"WITNESSED\",\"by\":\"x\","
                        + "\"at\":\"2026-09-01T10:00:00Z\"%s}]";
        return List.of(
                "{}",
                start + "[]}",
                start + "null}",
                start + "[null]}",
                start + "[{}]}",
                "{\"format\":\"other/1\",\"installations\":[{}]}",
                start + "[" + String.format(installation, "high", book, units, "[]") + "]}",
                start + "[" + String.format(installation, "99 km", book, units, "[]") + "]}",
                start + "[" + String.format(installation, "99000 m", book, units, "[]") + "]}",
                start + "[" + String.format(installation, "640 m", "no-such-book", units, "[]") + "]}",
                start + "[" + String.format(installation, "640 m", book, "[null]", "[]") + "]}",
                start + "["
                        + String.format(
                                installation,
                                "640 m",
                                book,
                                "[{\"id\":\"UP\",\"kind\":\"OUTDOOR\",\"title\":\"O\",\"ownSupply\":true}]",
                                "[]")
                        + "]}",
                start + "[" + String.format(installation, "640 m", book, units, "[null]") + "]}",
                start + "["
                        + String.format(installation, "640 m", book, units, String.format(reading, "no.point", "1", ""))
                        + "]}",
                start + "["
                        + String.format(
                                installation,
                                "640 m",
                                book,
                                units,
                                String.format(reading, "electrical.device-rating", "40 in", ""))
                        + "]}",
                start + "["
                        + String.format(
                                installation,
                                "640 m",
                                book,
                                units,
                                String.format(reading, "electrical.device-rating", "40 A", ",\"instrument\":\"none\""))
                        + "]}",
                start + "["
                        + String.format(
                                installation,
                                "640 m",
                                book,
                                units,
                                String.format(reading, "electrical.device-rating", "40 A", ",\"id\":\"not-a-uuid\""))
                        + "]}",
                start + "["
                        + String.format(
                                installation,
                                "640 m",
                                book,
                                units,
                                String.format(
                                        reading,
                                        "electrical.device-rating",
                                        "40 A",
                                        ",\"understood\":{\"si\":41,\"standardUncertainty\":0}"))
                        + "]}",
                "{\"format\":\"undanus-case/1\",\"ruleBooks\":[\"a: [\"],\"installations\":[{}]}",
                "{\"format\":\"undanus-case/1\",\"ruleBooks\":[null],\"installations\":[{}]}",
                "{\"format\":\"undanus-case/1\",\"dataSheets\":[{\"maker\":\"m\"}],\"installations\":[{}]}",
                "{\"format\":\"undanus-case/1\",\"dataSheets\":[null],\"installations\":[{}]}",
                "{\"format\":\"undanus-case/1\",\"dataSheets\":[{\"maker\":\"m\",\"model\":\"q\",\"document\":\"d\",\"clearances\":{\"front\":\"5 A\"}}],\"installations\":[{}]}",
                "{\"format\":\"undanus-case/1\",\"instruments\":[{\"id\":\"i\"}],\"installations\":[{}]}");
    }

    @ParameterizedTest
    @MethodSource("imports")
    void malformedImportsAreRefusedWhole(String body) {
        Client client = SERVER.signedIn("lead");
        int before = client.get("/api/installations").json().path("total").asInt();
        Client.Answer answer = client.bringIn(body);
        assertThat(answer.status()).as(answer.text()).isBetween(400, 422);
        assertThat(answer.detail()).isNotBlank();
        assertThat(client.get("/api/installations").json().path("total").asInt())
                .isEqualTo(before);
    }

    @Test
    void deeplyNestedJsonIsRefused() {
        Client client = SERVER.signedIn("lead");
        String deep = "{\"format\":" + "[".repeat(50_000) + "]".repeat(50_000) + "}";
        client.bringIn(deep).expect(400);
    }

    @Test
    void thirtyMegabytesAreRefusedWhetherAnnouncedOrNot() {
        Client client = SERVER.signedIn("lead");
        byte[] huge = new byte[THIRTY_MEGABYTES];
        Arrays.fill(huge, (byte) ' ');
        assertThat(client.postStream("/api/imports", huge).expect(413).detail()).contains("24576 kB");
        assertThat(client.send("POST", "/api/imports", " ".repeat(THIRTY_MEGABYTES), "application/json")
                        .status())
                .isEqualTo(413);
    }

    @Test
    void rulesWithProblemsAreNamedByLineAndKey() {
        Client client = SERVER.signedIn("lead");
        String yaml = ShippedRuleBooks.demo()
                .get(0)
                .replaceFirst("(?m)^version: \\d+", "version: 99")
                .replace("3 years", "3 psig");
        Client.Answer answer = client.send("POST", "/api/rule-books?untried=a+test+of+what+is+kept", yaml, "text/plain")
                .expect(422);
        assertThat(answer.json().at("/problems/0/key").asString()).isEqualTo("limits.papers.plate-age[0].at-most");
        assertThat(answer.json().at("/problems/0/line").asInt()).isPositive();
        for (String bad : List.of("", "{", "x: " + "y".repeat(400_000), "- a\n- b", "a: &a\n  b: *a")) {
            assertThat(client.send("POST", "/api/rule-books", bad, "text/plain").status())
                    .as(bad)
                    .isBetween(400, 422);
        }
    }

    @Test
    void aKeptVersionOfARuleBookCannotBeRewritten() {
        Client client = SERVER.signedIn("lead");
        String yaml = ShippedRuleBooks.demo().get(0).replace("3 years", "4 years");
        assertThat(client.send("POST", "/api/rule-books", yaml, "text/plain")
                        .expect(409)
                        .detail())
                .contains("Raise the version number");
        client.send(
                        "POST",
                        "/api/rule-books?untried=a+test+of+what+is+kept",
                        yaml.replaceFirst("version: \\d+", "version: 90"),
                        "text/plain")
                .expect(201);
        assertThat(client.get("/api/rule-books/sallowmere-2026-plate")
                        .json()
                        .at("/book/version")
                        .asInt())
                .isEqualTo(90);
    }

    @ParameterizedTest
    @ValueSource(strings = {"units=furlongs", "paper=papyrus"})
    void unknownChoicesInAddresses(String query) {
        Client client = SERVER.signedIn("inspector");
        String id = client.installation("LH-01");
        assertThat(client.get("/api/installations/" + id + "/report.pdf?" + query)
                        .expect(400)
                        .detail())
                .contains(query.substring(query.indexOf('=') + 1));
    }

    @Test
    void wrongMethodAndMediaTypeAreSaidSo() {
        Client client = SERVER.signedIn("inspector");
        client.send("DELETE", "/api/installations", "", "application/json").expect(405);
        client.send("POST", "/api/imports", "a=b", "application/x-www-form-urlencoded")
                .expect(415);
    }

    @Test
    void correctionsOfNothing() {
        Client client = SERVER.signedIn("inspector");
        String id = client.installation("LH-01");
        client.post(
                        "/api/installations/" + id + "/corrections",
                        Map.of("judgements", List.of("no.such@thing"), "words", ""))
                .expect(404);
        assertThat(client.post(
                                "/api/installations/" + id + "/corrections",
                                Map.of("judgements", List.of("papers.plate-age@outdoor-1"), "words", ""))
                        .expect(422)
                        .detail())
                .contains("nothing to correct");
        client.put("/api/corrections/none", Map.of("words", "w", "version", 1)).expect(404);
    }

    @Test
    void whatIsNamedIsNotGivenByNumberNorLeftEmpty() {
        Client client = SERVER.signedIn("inspector");
        String id = client.installation("LH-36");
        Map<String, Object> reading = Client.reading("plate.serial", "outdoor-1", "A1");
        reading.put("grade", 1);
        assertThat(client.post("/api/installations/" + id + "/readings", reading)
                        .expect(400)
                        .detail())
                .contains("grade");
        assertThat(client.get("/api/installations/" + id + "/stations/siting?units=")
                        .expect(400)
                        .detail())
                .contains("\"units\" is empty");
        client.get("/api/installations/" + id + "/stations/siting?units=SI").expect(200);
    }

    @Test
    void anAddressWithSignsThatNoneHasIsRefusedWithASentence() {
        assertThat(SERVER.signedIn("inspector")
                        .get("/api/installations/a;b")
                        .expect(400)
                        .detail())
                .contains("signs that none of ours has");
    }
}
