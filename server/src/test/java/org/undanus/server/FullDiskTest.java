package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A disk without room: nothing is written, reading goes on, health says why. */
class FullDiskTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.least-free-space=900TB");

    @Test
    void nothingIsSavedReadingGoesOnAndHealthSaysWhy() {
        Client inspector = SERVER.signedIn("inspector");
        String id = inspector.installation("LH-36");
        Client.Answer refused = inspector.save(id, "siting.outdoor-clearance-front", "outdoor-1", "30 in");
        assertThat(refused.expect(507).detail()).contains("The disk is full: nothing was saved, reading still works");
        inspector.get("/api/installations/" + id + "/stations/siting").expect(200);
        inspector
                .post(
                        "/api/installations/" + id + "/understand",
                        Map.of("point", "plate.serial", "component", "outdoor-1", "typed", "x"))
                .expect(200);
        Client.Answer unsealed = inspector.post("/api/installations/" + id + "/seals", Map.of());
        assertThat(unsealed.expect(507).detail()).contains("nothing was saved");
        assertThat(inspector.get("/api/installations/" + id + "/seals").json().isEmpty())
                .isTrue();
        assertThat(SERVER.signedIn("lead").get("/actuator/health").expect(503).text())
                .contains("DOWN")
                .contains("the disk is full");
        assertThat(inspector.standing(id, "siting.outdoor-clearance-front", "outdoor-1"))
                .isEmpty();
    }
}
