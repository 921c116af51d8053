package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.Traces;
import org.undanus.server.store.Digest;
import org.undanus.server.trace.TraceStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Logged curves: kept, gone through, read as evidence, out and in. */
class TraceTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String LOG = "running.supply-log";
    private static final String STEADY = "running.steady@indoor-1";
    private static final Instant START = Instant.parse("2026-09-02T09:00:00Z");

    private final Client lead = SERVER.signedIn("lead");
    private String id;
    private String traces;

    @BeforeEach
    void anInstallationWithoutALog() {
        id = lead.installation("LH-07");
        traces = "/api/installations/" + id + "/traces";
    }

    private static String curve(int samples, IntFunction<String> value) {
        return IntStream.range(0, samples)
                .mapToObj(i -> START.plusSeconds(i) + "," + value.apply(i) + "\n")
                .collect(Collectors.joining("", "time,°C\n", ""));
    }

    private Client.Answer upload(String csv) {
        return lead.upload(traces + "?point=" + LOG + "&component=indoor-1", csv.getBytes(StandardCharsets.UTF_8));
    }

    private Client.Answer read(String sha256) {
        Map<String, Object> reading = new HashMap<>(Client.reading(LOG, "indoor-1", sha256));
        reading.put("grade", "LOGGED");
        lead.standing(id, LOG, "indoor-1").ifPresent(standing -> reading.put("basedOn", standing));
        return lead.post("/api/installations/" + id + "/readings", reading);
    }

    @Test
    void aLoggersFileBecomesEvidenceAndIsHandedOutAgain() {
        String csv = curve(400, i -> i < 50 ? "15.0" : "8.2");
        JsonNode kept = upload(csv).expect(201).json();
        String sha256 = kept.path("sha256").asString();
        assertThat(sha256).isEqualTo(Digest.sha256(csv));
        assertThat(kept.path("samples").asInt()).isEqualTo(400);
        assertThat(upload(csv).expect(201).json()).as("sent twice").isEqualTo(kept);

        JsonNode line = read(sha256).expect(201).json().path("line");
        assertThat(line.at("/reading/said").asString())
                .isEqualTo("log of 400 samples, 2026-09-02 09:00 to 2026-09-02 09:06 UTC");
        assertThat(line.at("/reading/si").asString()).isEqualTo("8.2 °C to 15.0 °C");
        assertThat(lead.judgement(id, "running", STEADY).path("verdict").asString())
                .isEqualTo("MEETS");
        assertThat(lead.judgement(id, "running", STEADY).path("derivation").toString())
                .contains("400 samples");
        assertThat(lead.get(traces + "/" + sha256).expect(200).text()).isEqualTo(csv);
    }

    @Test
    void whatIsNoCurveOfThisLineIsRefused() {
        assertThat(upload("time,kPa\n2026-09-02T09:00:00Z,4\n").expect(422).detail())
                .contains("no unit of");
        assertThat(upload("").expect(422).detail()).contains("two samples");
        assertThat(upload(curve(3, i -> i == 2 ? "9000" : "8")).expect(422).detail())
                .contains("Row 4", "not possible");
        assertThat(upload(curve(3, i -> i + "e")).expect(422).detail()).contains("Row 2");
        lead.upload(traces + "?point=running.airflow&component=indoor-1", new byte[1])
                .expect(422);
        lead.upload(traces + "?point=running.supply-log&component=outdoor-1", new byte[1])
                .expect(404);
        lead.upload(traces + "?point=" + LOG + "&component=indoor-1", new byte[(64 << 20) + 1])
                .expect(413);
        assertThat(read("0".repeat(64)).expect(422).detail()).contains("Choose the logger's file");
        assertThat(read("54.0 °F").expect(422).detail()).contains("Choose the logger's file");
    }

    @Test
    void anUnusualCurveIsAskedAboutOnce() {
        String sha256 = upload(curve(400, i -> "95.0"))
                .expect(201)
                .json()
                .path("sha256")
                .asString();
        assertThat(read(sha256).expect(422).json().path("ask").asBoolean()).isTrue();
    }

    @Test
    void noOtherCrewSeesOrAddsOne() {
        String sha256 =
                upload(curve(3, i -> "8")).expect(201).json().path("sha256").asString();
        Client other = SERVER.signedIn("threeways");
        other.get(traces + "/" + sha256).expect(404);
        other.upload(
                        traces + "?point=" + LOG + "&component=indoor-1",
                        curve(3, i -> "8").getBytes(StandardCharsets.UTF_8))
                .expect(404);
        String own = other.installation("LH-28");
        other.get("/api/installations/" + own + "/traces/" + sha256).expect(404);
        Map<String, Object> reading = new HashMap<>(Client.reading(LOG, "indoor-1", sha256));
        reading.put("grade", "RECORDED");
        assertThat(other.post("/api/installations/" + own + "/readings", reading)
                        .expect(422)
                        .detail())
                .contains("Choose the logger's file");
    }

    @Test
    void aLongCurveIsKeptInChunksAndFollowedFromWhereItIsWanted() {
        String csv = curve(20_001, i -> String.valueOf(i % 100));
        String sha256 = upload(csv).expect(201).json().path("sha256").asString();
        assertThat(lead.get(traces + "/" + sha256).expect(200).text()).isEqualTo(csv);
        Traces kept = SERVER.bean(TraceStore.class).curves(id);
        Trace trace = kept.find(sha256).orElseThrow();
        assertThat(followed(kept, trace, Instant.EPOCH)).hasSize(20_001).startsWith(START);
        assertThat(followed(kept, trace, START.plusMillis(8_192_500)))
                .as("the last one that is not after it, across the edge of a chunk")
                .hasSize(20_001 - 8_192)
                .startsWith(START.plusSeconds(8_192));
        assertThat(followed(kept, trace, START.plusMillis(8_191_500))).startsWith(START.plusSeconds(8_191));
        assertThat(followed(kept, trace, trace.to().plusSeconds(5))).containsExactly(trace.to());
    }

    private static List<Instant> followed(Traces traces, Trace trace, Instant from) {
        List<Instant> times = new ArrayList<>();
        traces.follow(trace, from, Instant.MAX, (at, si) -> times.add(at));
        return times;
    }

    @Test
    void aCaseAsJsonAloneCarriesItsCurves() {
        String sha256 =
                upload(curve(400, i -> "8.2")).expect(201).json().path("sha256").asString();
        read(sha256).expect(201);
        ObjectNode document = (ObjectNode) new JsonMapper()
                .readTree(lead.get("/api/installations/" + id + "/case.json")
                        .expect(200)
                        .text());
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        ObjectNode trace = (ObjectNode) installation
                .path("traces")
                .valueStream()
                .filter(t -> t.path("sha256").asString().equals(sha256))
                .findFirst()
                .orElseThrow();
        installation.put("reference", "LOG-1");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        String copy = lead.bringIn(document.toString())
                .expect(200)
                .json()
                .at("/installations/0")
                .asString();
        assertThat(lead.judgement(copy, "running", STEADY)).isEqualTo(lead.judgement(id, "running", STEADY));
        assertThat(lead.get("/api/installations/" + copy + "/traces/" + sha256)
                        .expect(200)
                        .text())
                .isEqualTo(curve(400, i -> "8.2"));

        installation.put("reference", "LOG-2");
        trace.put("sha256", "0".repeat(64));
        assertThat(lead.bringIn(document.toString()).expect(422).detail()).contains("not the one it is called");
        trace.put("point", "running.airflow");
        assertThat(lead.bringIn(document.toString()).expect(422).detail()).contains("takes a logger's file");
        installation.remove("traces");
        assertThat(lead.bringIn(document.toString()).expect(422).detail()).contains("Choose the logger's file");
    }
}
