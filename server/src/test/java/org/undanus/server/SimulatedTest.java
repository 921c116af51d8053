package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The simulated instruments inside the demo, worked by a person. */
class SimulatedTest {
    private static final String SIMULATED = "/api/simulated";

    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    private UUID listen(String id, String point, String instrument) {
        UUID listening = UUID.randomUUID();
        inspector
                .post(
                        "/api/installations/" + id + "/live",
                        Map.of(
                                "id",
                                listening.toString(),
                                "point",
                                point,
                                "component",
                                "line-set-indoor-1",
                                "instrument",
                                instrument))
                .expect(201);
        return listening;
    }

    private JsonNode heard(String id, String point) {
        return inspector
                .get("/api/installations/" + id + "/live?units=SI")
                .expect(200)
                .json()
                .valueStream()
                .filter(each -> each.path("point").asString().equals(point))
                .findFirst()
                .orElseThrow();
    }

    private void until(String id, String point, int samples) throws InterruptedException {
        for (int i = 0; i < 200 && heard(id, point).path("samples").asInt() < samples; i++) {
            TimeUnit.MILLISECONDS.sleep(100);
        }
        assertThat(heard(id, point).path("samples").asInt()).isGreaterThanOrEqualTo(samples);
    }

    @Test
    void whatIsDoneIsShownByItsGaugesAndMarked() throws InterruptedException {
        assertThat(inspector.get(SIMULATED).expect(200).json().has("running")).isFalse();
        assertThat(inspector
                        .post(SIMULATED + "/work", Map.of("act", "PUMP_ON"))
                        .expect(422)
                        .detail())
                .contains("Switch the simulated instruments on first");
        inspector.post(SIMULATED, Map.of("name", "wild", "speed", 60)).expect(422);
        inspector.post(SIMULATED, Map.of("name", "dry", "speed", 0)).expect(400);
        inspector.post(SIMULATED, Map.of("name", "dry", "speed", 6000)).expect(400);
        SERVER.signedIn("nettlebank")
                .post(SIMULATED, Map.of("name", "dry", "speed", 60))
                .expect(403);

        String id = inspector.installation("LH-28");
        listen(id, "evacuation.log", "vacuum-1");
        listen(id, "tightness.pressure-log", "gauge-7");
        JsonNode on = inspector
                .post(SIMULATED, Map.of("name", "dry", "speed", 600))
                .expect(200)
                .json();
        assertThat(on.at("/running/name").asString()).isEqualTo("dry");
        inspector.post(SIMULATED + "/work", Map.of("act", "NITROGEN_IN")).expect(200);
        until(id, "tightness.pressure-log", 5);
        assertThat(heard(id, "tightness.pressure-log").path("shown").asString()).matches("20(\\.0\\d*)? barg");
        assertThat(heard(id, "tightness.pressure-log").at("/marks/0/title").asString())
                .isEqualTo("nitrogen in");
        assertThat(heard(id, "evacuation.log").path("samples").asInt())
                .as("no vacuum gauge stands under pressure")
                .isZero();
        JsonNode pump = inspector
                .post(SIMULATED + "/work", Map.of("act", "PUMP_ON", "warmed", true))
                .expect(200)
                .json();
        assertThat(pump.at("/running/done").asString()).isEqualTo("pump on");
        assertThat(pump.at("/running/warmed").asBoolean()).isTrue();
        until(id, "evacuation.log", 100);
        assertThat(heard(id, "evacuation.log").path("shown").asString()).matches("\\d+(\\.\\d+)? Pa");
        assertThat(inspector
                        .post(SIMULATED + "/stop", Map.of())
                        .expect(200)
                        .json()
                        .has("running"))
                .isFalse();
    }

    private JsonNode shown(String id, String point, String component) {
        return inspector
                .get("/api/installations/" + id + "/live/shown?units=SI&point=" + point + "&component=" + component)
                .expect(200)
                .json();
    }

    private String shownAs(String id, String point, String component, String name) throws InterruptedException {
        for (int i = 0; i < 100; i++) {
            for (JsonNode each : shown(id, point, component)) {
                if (each.path("name").asString().equals(name)) {
                    return each.path("value").asString();
                }
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
        throw new AssertionError("Nothing shows " + name);
    }

    @Test
    void aRunningMachineIsReadOffItsInstrumentsAndJudged() throws InterruptedException {
        inspector
                .post(SIMULATED, Map.of("name", "wild", "speed", 60, "refrigerant", "R410A"))
                .expect(422);
        inspector
                .post(SIMULATED, Map.of("name", "sound", "speed", 60, "refrigerant", "R999"))
                .expect(422);
        inspector
                .post(SIMULATED, Map.of("name", "sound", "speed", 600, "refrigerant", "R410A"))
                .expect(200);
        assertThat(inspector.post(SIMULATED + "/work", Map.of("warmed", true)).status())
                .as("a machine is no line set")
                .isEqualTo(422);
        String id = inspector.installation("LH-44");
        String rest = shownAs(id, "charge.suction-pressure", "outdoor-1", "low side");
        assertThat(rest).matches("20\\.\\d+ barg");
        JsonNode on = inspector
                .post(SIMULATED + "/work", Map.of("runs", true))
                .expect(200)
                .json();
        assertThat(on.at("/running/runs").asBoolean()).isTrue();
        String low = rest;
        for (int i = 0; i < 100 && low.startsWith("20"); i++) {
            TimeUnit.MILLISECONDS.sleep(100);
            low = shownAs(id, "charge.suction-pressure", "outdoor-1", "low side");
        }
        assertThat(low).matches("\\d(\\.\\d+)? barg");
        assertThat(shown(id, "charge.suction-pressure", "outdoor-1"))
                .extracting(each -> each.path("instrument").asString())
                .contains("gauge-2")
                .doesNotContain("thermo-4", "clamp-3");
        assertThat(shownAs(id, "running.return-wet-bulb", "indoor-1", "return wet bulb"))
                .matches("19\\.[345] °C");
        assertThat(shownAs(id, "running.airflow", "indoor-1", "")).matches("19\\d\\d m³/h");
        inspector
                .get("/api/installations/" + id + "/live/shown?point=plate.model&component=outdoor-1")
                .expect(422);
        SERVER.signedIn("dunmarrow")
                .get("/api/installations/" + inspector.installation("LH-01")
                        + "/live/shown?point=running.airflow&component=indoor-1")
                .expect(404);
        inspector.save(id, "charge.suction-pressure", "outdoor-1", low).expect(201);
        inspector.post(SIMULATED + "/stop", Map.of()).expect(200);
    }
}
