package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A visit confined to scopes, and planned for the time there is. */
class HourTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    private JsonNode hour(String id, int minutes) {
        return inspector
                .get("/api/installations/" + id + "/hour?minutes=" + minutes)
                .expect(200)
                .json();
    }

    private static int due(JsonNode route) {
        return StreamSupport.stream(route.spliterator(), false)
                .mapToInt(station -> station.path("lines").asInt())
                .sum();
    }

    @Test
    void anHourOfAnOpenVisitIsPlannedWithWhatStaysOpen() {
        String id = inspector.installation("LH-36");
        JsonNode hour = hour(id, 60);
        assertThat(hour.path("lines").size()).isBetween(20, 90);
        assertThat(hour.path("minutes").asInt()).isLessThanOrEqualTo(60);
        assertThat(hour.path("resolved").asDouble()).isBetween(0.3, 0.95);
        assertThat(hour.path("unreached").asInt()).isPositive();
        assertThat(hour.path("open")).isNotEmpty();
        assertThat(hour.path("hopeless")).as("final only: out of sight").isNotEmpty();
        JsonNode all = hour(id, 6000);
        assertThat(all.path("resolved").asDouble()).isEqualTo(1);
        assertThat(hour(id, 0).path("lines")).isEmpty();
        assertThat(inspector
                        .get("/api/installations/" + id + "/hour?minutes=-1")
                        .status())
                .isEqualTo(400);
        SERVER.signedIn("nettlebank")
                .get("/api/installations/" + id + "/hour?minutes=60")
                .expect(403);
    }

    private static int open(JsonNode hour) {
        return StreamSupport.stream(hour.path("open").spliterator(), false)
                .mapToInt(each -> each.path("judgements").asInt())
                .sum();
    }

    /** What the line's own example says, or its first option. */
    private void answer(String id, JsonNode asked) {
        String station = asked.path("station").asString();
        JsonNode line = StreamSupport.stream(
                        inspector
                                .get("/api/installations/" + id + "/stations/" + station)
                                .expect(200)
                                .json()
                                .path("lines")
                                .spliterator(),
                        false)
                .filter(each -> each.path("point").equals(asked.path("point"))
                        && each.path("component").equals(asked.path("component")))
                .findFirst()
                .orElseThrow();
        String typed =
                switch (line.path("kind").asString()) {
                    case "YES_NO" -> "yes";
                    case "CHOICE" -> line.at("/options/0/id").asString();
                    case "MONTH" -> "2026-03";
                    case "QUANTITY", "LIST" -> line.path("example").asString();
                    default -> "as on the plate";
                };
        if (line.path("pointless").isMissingNode() || line.path("pointless").isNull()) {
            inspector
                    .save(
                            id,
                            asked.path("point").asString(),
                            asked.path("component").asString(),
                            typed)
                    .expect(201);
        }
    }

    @Test
    void anHourThatIsWalkedAsPlannedLeavesOpenWhatWasSaidBefore() {
        String id = inspector.installation("LH-36");
        int before = open(hour(id, 0));
        JsonNode planned = hour(id, 60);
        planned.path("lines").forEach(line -> answer(id, line));
        int after = open(hour(id, 0));
        assertThat(after - open(planned))
                .as(
                        "an answer may ask for more than was open before, but of %s to be closed most are",
                        before - open(planned))
                .isLessThan((before - open(planned)) / 4);
    }

    @Test
    void aVisitConfinedToItsScopesAsksForTheirLinesAndTellsSo() {
        String id = inspector.installation("LH-36");
        String path = "/api/installations/" + id;
        int whole = due(inspector.get(path + "/route").json());
        assertThat(inspector
                        .put(path + "/scopes", Map.of("scopes", List.of("roof")))
                        .expect(422)
                        .detail())
                .contains("no scope \"roof\"");
        JsonNode view = inspector
                .put(path + "/scopes", Map.of("scopes", List.of("electrical", "drainage")))
                .expect(200)
                .json();
        assertThat(view.at("/visits/0/scopes").toString()).isEqualTo("[\"electrical\",\"drainage\"]");
        int confined = due(inspector.get(path + "/route").json());
        assertThat(confined).isBetween(20, whole / 2);
        JsonNode siting = inspector.get(path + "/stations/siting").expect(200).json();
        assertThat(StreamSupport.stream(siting.path("lines").spliterator(), false)
                        .filter(line -> line.path("due").asBoolean()))
                .as("siting is outside")
                .isEmpty();
        assertThat(inspector.get(path + "/report.html").expect(200).text())
                .contains("Electrical, Drainage (")
                .contains("judgements outside were not looked at");
        JsonNode exported = inspector.get(path + "/case.json").expect(200).json();
        assertThat(exported.at("/installations/0/scopes").toString()).contains("drainage");
        assertThat(hour(id, 60).path("lines").toString()).doesNotContain("siting.");
        SERVER.signedIn("nettlebank")
                .put(path + "/scopes", Map.of("scopes", List.of()))
                .expect(403);
        inspector.put(path + "/scopes", Map.of("scopes", List.of())).expect(200);
        assertThat(due(inspector.get(path + "/route").json())).isEqualTo(whole);
    }
}
