package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What a visit comes to, over HTTP. */
class SummaryTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    private JsonNode summary(String reference) {
        return inspector
                .get("/api/installations/" + inspector.installation(reference) + "/summary?units=SI")
                .expect(200)
                .json();
    }

    @Test
    void theWorstDecidesAndItsPicturesAreAskedFor() {
        JsonNode bad = summary("LH-07");
        assertThat(bad.path("outcome").asString()).contains("must be put right");
        assertThat(bad.path("decisive"))
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.path("severity").asString()).isEqualTo("safety"))
                .allSatisfy(each -> assertThat(each.path("verdict").asString()).isEqualTo("FAILS"));
        assertThat(bad.path("pictures"))
                .extracting(each -> each.path("what").asString())
                .contains("Nameplate", "Filters");
        assertThat(bad.path("couldChange").size()).isLessThanOrEqualTo(12);
    }

    @Test
    void whatGoesOnIsOpenAndWeatherIsWaitedFor() {
        String id = inspector.installation("LH-36");
        assertThat(summary("LH-36").path("open")).isEmpty();
        inspector
                .save(id, "running.cooling-seen", "system", "not possible today")
                .expect(201);
        inspector
                .post(
                        "/api/installations/" + id + "/holds",
                        Map.of(
                                "id",
                                UUID.randomUUID().toString(),
                                "point",
                                "operation.run-time",
                                "component",
                                "system",
                                "ago",
                                0))
                .expect(201);
        JsonNode waits = summary("LH-36");
        assertThat(waits.at("/revisits/0/weather").asString()).matches("at least .* °C outdoors");
        assertThat(waits.at("/revisits/0/what/0").asString()).isEqualTo("Cooling");
        assertThat(waits.at("/open/0/what").asString()).isEqualTo("Hold is running");
        assertThat(waits.at("/open/0/where").asString()).contains("Running without a break");
    }

    @Test
    void anotherCrewsInstallationHasNone() {
        SERVER.signedIn("dunmarrow")
                .get("/api/installations/" + inspector.installation("LH-01") + "/summary")
                .expect(404);
    }
}
