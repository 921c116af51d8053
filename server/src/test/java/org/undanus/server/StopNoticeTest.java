package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Carbon monoxide over the stop limit stops the visit on every device of it. */
class StopNoticeTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static JsonNode standing(Client client, String id) {
        return client.get("/api/installations/" + id + "/notices").expect(200).json();
    }

    @Test
    void everybodyLeavesUntilAPersonSaysWhyItIsSafe() {
        Client inspector = SERVER.signedIn("inspector");
        Client crew = SERVER.signedIn("threeways");
        String id = inspector.installation("LH-23");
        assertThat(standing(inspector, id)).isEmpty();

        inspector.save(id, "fuel.room-carbon-monoxide", "indoor-1", "60 ppm").expect(201);
        JsonNode notices = standing(crew, id);
        assertThat(notices).as("on the crew's device too").hasSize(1);
        assertThat(notices.at("/0/orders").asString()).startsWith("Leave now, everybody.");
        assertThat(notices.at("/0/finding").asString()).contains("allowed").contains("over.");

        inspector.save(id, "fuel.room-carbon-monoxide", "indoor-1", "80 ppm").expect(201);
        assertThat(standing(inspector, id)).as("one is enough").hasSize(1);
        inspector.save(id, "fuel.room-carbon-monoxide", "indoor-1", "2 ppm").expect(201);
        assertThat(standing(inspector, id))
                .as("a better reading takes nothing down")
                .hasSize(1);

        String down =
                "/api/installations/" + id + "/notices/" + notices.at("/0/id").asString() + "/down";
        assertThat(crew.post(down, Map.of("reason", "smells fine")).expect(403).detail())
                .contains("inspection office");
        assertThat(inspector.post(down, Map.of("reason", " ")).expect(400).detail())
                .contains("why it is safe again");
        inspector
                .post(down, Map.of("reason", "Fire service measured 0 ppm at 15:20."))
                .expect(200);
        assertThat(standing(crew, id)).isEmpty();
        assertThat(inspector.post(down, Map.of("reason", "again")).expect(409).detail())
                .contains("already");
        assertThat(inspector
                        .get("/api/installations/" + id + "/history?point=fuel.room-carbon-monoxide&component=indoor-1")
                        .expect(200)
                        .json())
                .as("the readings stay")
                .hasSize(4);
    }

    @Test
    void underTheStopLimitNothingIsRaisedAndOthersSeeNothing() {
        Client inspector = SERVER.signedIn("inspector");
        String id = inspector.installation("LH-44");
        inspector.save(id, "fuel.room-carbon-monoxide", "indoor-1", "30 ppm").expect(201);
        assertThat(standing(inspector, id)).isEmpty();
        SERVER.signedIn("nettlebank")
                .get("/api/installations/" + id + "/notices")
                .expect(404);
        assertThat(inspector
                        .post(
                                "/api/installations/" + id + "/notices/00000000-0000-0000-0000-000000000000/down",
                                Map.of("reason", "none"))
                        .expect(404)
                        .detail())
                .contains("no such notice");
    }
}
