package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;

/** What is left alone for a while is kept by the server. */
class HoldTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String TIME = "tightness.hold-time";
    private static final String LINES = "line-set-indoor-1";

    private final Client inspector = SERVER.signedIn("inspector");

    private static Map<String, Object> hold(UUID id, String point, long ago) {
        return Map.of("id", id.toString(), "point", point, "component", LINES, "ago", ago);
    }

    private static String holds(String installation) {
        return "/api/installations/" + installation + "/holds";
    }

    private static Client.Answer end(Client client, String installation, UUID hold, UUID reading, boolean keep) {
        return client.post(
                holds(installation) + "/" + hold + "/end", Map.of("reading", reading.toString(), "keep", keep));
    }

    private static List<JsonNode> running(Client client, String installation) {
        return client.get("/api/holds?installation=" + installation)
                .expect(200)
                .json()
                .valueStream()
                .filter(hold -> hold.path("installationId").asString().equals(installation))
                .toList();
    }

    @Test
    void aHoldSaysWhatItCouldShowAndItsTimeBecomesAReading() {
        String id = inspector.installation("LH-28");
        UUID hold = UUID.randomUUID();
        JsonNode started =
                inspector.post(holds(id), hold(hold, TIME, 600)).expect(201).json();
        assertThat(started.path("needed").asDouble()).isGreaterThan(60);
        assertThat(started.path("power").asString()).startsWith("A leak over").endsWith("would have shown by now.");
        assertThat(started.at("/meanwhile/number").asInt())
                .as("not what waits for this")
                .isNotEqualTo(11);
        assertThat(inspector
                        .post(holds(id), hold(hold, TIME, 600))
                        .expect(201)
                        .json()
                        .path("startedAt"))
                .as("sent twice")
                .isEqualTo(started.path("startedAt"));
        assertThat(running(SERVER.signedIn("lead"), id))
                .as("whoever looks at this installation sees it")
                .extracting(each -> each.path("id").asString())
                .containsExactly(hold.toString());
        assertThat(inspector
                        .post(holds(id), hold(UUID.randomUUID(), TIME, 0))
                        .expect(409)
                        .detail())
                .contains("held already, by inspector");

        Client.Answer calendar =
                inspector.get(holds(id) + "/" + hold + "/calendar").expect(200);
        assertThat(calendar.text()).contains("BEGIN:VALARM\r\n", "SUMMARY:Hold\\, how long\\, Reading room");

        UUID reading = UUID.randomUUID();
        String lasted = end(inspector, id, hold, reading, true)
                .expect(200)
                .json()
                .path("lasted")
                .asString();
        assertThat(lasted).startsWith("10 min");
        assertThat(end(inspector, id, hold, reading, true)
                        .expect(200)
                        .json()
                        .path("lasted")
                        .asString())
                .as("sent twice")
                .isEqualTo(lasted);
        assertThat(end(inspector, id, hold, UUID.randomUUID(), true).expect(409).detail())
                .contains("ended already");
        assertThat(running(inspector, id)).isEmpty();
        JsonNode line = inspector
                .get("/api/installations/" + id + "/history?point=" + TIME + "&component=" + LINES)
                .expect(200)
                .json();
        assertThat(line.get(line.size() - 1).path("typed").asString()).isEqualTo(lasted);
        assertThat(line.get(line.size() - 1).path("grade").asString()).isEqualTo("WITNESSED");
        assertThat(SERVER.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
    }

    @Test
    void whatTheCrewStartedIsRecordedWhoeverEndsIt() {
        String id = inspector.installation("LH-07");
        Client crew = SERVER.signedIn("dunmarrow");
        UUID hold = UUID.randomUUID();
        crew.post(holds(id), hold(hold, "evacuation.hold-time", 60)).expect(201);
        assertThat(inspector.get("/api/holds").expect(200).json())
                .as("of others only where it is looked at")
                .noneMatch(each -> each.path("id").asString().equals(hold.toString()));
        UUID reading = UUID.randomUUID();
        end(inspector, id, hold, reading, true).expect(200);
        JsonNode line = inspector
                .get("/api/installations/" + id + "/history?point=evacuation.hold-time&component=" + LINES)
                .expect(200)
                .json();
        assertThat(line).anySatisfy(each -> {
            assertThat(each.path("id").asString()).isEqualTo(reading.toString());
            assertThat(each.path("grade").asString()).isEqualTo("RECORDED");
        });
    }

    @Test
    void itCanBeLeftWithoutAReading() {
        String id = inspector.installation("LH-31");
        UUID hold = UUID.randomUUID();
        inspector.post(holds(id), hold(hold, TIME, 0)).expect(201);
        String history = "/api/installations/" + id + "/history?point=" + TIME + "&component=" + LINES;
        int before = inspector.get(history).expect(200).json().size();
        end(inspector, id, hold, UUID.randomUUID(), false).expect(200);
        assertThat(inspector.get(history).expect(200).json()).hasSize(before);
        assertThat(running(inspector, id)).isEmpty();
    }

    @Test
    void theDemoOpensInTheMiddleOfAVisitWithTwoHolds() {
        String boathouse = inspector.installation("LH-12");
        assertThat(running(inspector, boathouse))
                .extracting(hold -> hold.path("point").asString())
                .containsExactly("tightness.hold-time", "evacuation.hold-time");
        assertThat(running(SERVER.signedIn("threeways"), boathouse))
                .as("the crew there sees the same")
                .hasSize(2);
    }

    @Test
    void twoAtOnceStartOneAndEndItOnce() throws Exception {
        String id = inspector.installation("LH-40");
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<UUID> ids = List.of(UUID.randomUUID(), UUID.randomUUID());
            List<Callable<Integer>> starts = ids.stream()
                    .<Callable<Integer>>map(each ->
                            () -> inspector.post(holds(id), hold(each, TIME, 0)).status())
                    .toList();
            assertThat(statuses(both.invokeAll(starts))).containsExactlyInAnyOrder(201, 409);
            UUID hold = UUID.fromString(running(inspector, id).get(0).path("id").asString());
            List<Callable<Integer>> ends = ids.stream()
                    .<Callable<Integer>>map(
                            each -> () -> end(inspector, id, hold, each, true).status())
                    .toList();
            assertThat(statuses(both.invokeAll(ends))).containsExactlyInAnyOrder(200, 409);
        } finally {
            both.shutdown();
        }
    }

    private static List<Integer> statuses(List<Future<Integer>> answers) throws Exception {
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> answer : answers) {
            statuses.add(answer.get());
        }
        return statuses;
    }

    @Test
    void whatCannotBeHeldIsRefusedAndOthersSeeNothing() {
        String id = inspector.installation("LH-28");
        assertThat(inspector
                        .post(holds(id), hold(UUID.randomUUID(), "tightness.gas", 0))
                        .expect(422)
                        .detail())
                .contains("no time that something is left alone for");
        inspector
                .post(holds(id), hold(UUID.randomUUID(), "tightness.nothing", 0))
                .expect(404);
        inspector.post(holds(id), hold(UUID.randomUUID(), TIME, -5)).expect(422);
        inspector.post(holds(id), hold(UUID.randomUUID(), TIME, 90_000)).expect(422);
        end(inspector, id, UUID.randomUUID(), UUID.randomUUID(), true).expect(404);

        UUID hold = UUID.randomUUID();
        inspector.post(holds(id), hold(hold, "evacuation.pull-time", 0)).expect(201);
        Client other = SERVER.signedIn("nettlebank");
        assertThat(running(other, id)).isEmpty();
        other.get(holds(id) + "/" + hold + "/calendar").expect(404);
        end(other, id, hold, UUID.randomUUID(), true).expect(404);
        end(inspector, id, hold, UUID.randomUUID(), false).expect(200);
    }
}
