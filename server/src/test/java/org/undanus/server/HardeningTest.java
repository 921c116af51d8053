package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What an attacker or a slip could do over HTTP. */
class HardeningTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    @Test
    void aCrewsReadingNeverTakesThePlaceOfTheInspectors() {
        String id = inspector.installation("LH-01");
        assertThat(inspector
                        .save(id, "siting.outdoor-clearance-front", "outdoor-1", "10 in")
                        .expect(201)
                        .text())
                .contains("FAILS");
        Client crew = SERVER.signedIn("nettlebank");
        Map<String, Object> reading = Client.reading("siting.outdoor-clearance-front", "outdoor-1", "60 in");
        reading.put("grade", "RECORDED");
        crew.standing(id, "siting.outdoor-clearance-front", "outdoor-1").ifPresent(b -> reading.put("basedOn", b));
        JsonNode line = crew.post("/api/installations/" + id + "/readings", reading)
                .expect(201)
                .json()
                .path("line");
        assertThat(line.at("/reading/typed").asString()).isEqualTo("10 in");
        assertThat(line.at("/beside/typed").asString()).isEqualTo("60 in");
        assertThat(line.at("/beside/byCrew").asBoolean()).isTrue();
        assertThat(inspector
                        .judgement(id, "siting", "siting.outdoor-clearance-front@outdoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("FAILS");
    }

    @Test
    void sixtyWrongPasswordsAtOnceAreSlowedToo() throws Exception {
        List<Integer> answers = atOnce(60, i -> () -> {
            Client client = SERVER.client();
            return client.signIn("threeways", "guess" + i).status();
        });
        assertThat(answers).filteredOn(status -> status == 401).hasSizeLessThanOrEqualTo(6);
        assertThat(answers).allMatch(status -> status == 401 || status == 429 || status == 503);
    }

    private static <T> List<T> atOnce(int count, IntFunction<Callable<T>> work) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(count);
        try {
            List<T> answers = new ArrayList<>();
            for (Future<T> answer :
                    pool.invokeAll(IntStream.range(0, count).mapToObj(work).toList())) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void strangersLeaveNoSessionsBehind() {
        int before = SERVER.sessions();
        for (int i = 0; i < 200; i++) {
            SERVER.client().get("/api/installations").expect(401);
            SERVER.client().get("/register").expect(200);
        }
        assertThat(SERVER.sessions()).isEqualTo(before);
        SERVER.signedIn("inspector");
        assertThat(SERVER.sessions()).isEqualTo(before + 1);
    }

    @Test
    void manyReportsOfOneCaseAreOneMaking() throws Exception {
        String id = inspector.installation("LH-12");
        List<byte[]> reports = atOnce(
                20,
                i -> () -> inspector
                        .get("/api/installations/" + id + "/report.pdf?units=SI")
                        .expect(200)
                        .response()
                        .body());
        assertThat(reports).allSatisfy(report -> assertThat(report).isEqualTo(reports.get(0)));
    }

    /** Texts that would leave the place they are written into, and fetch something. */
    @Test
    void aReportFetchesNothingWhateverItsTextsSay() throws IOException {
        try (ServerSocket trap = new ServerSocket(0)) {
            trap.setSoTimeout(1500);
            String url = "http://localhost:" + trap.getLocalPort() + "/x.png";
            Client lead = SERVER.signedIn("lead");
            String document = lead.get("/api/installations/" + lead.installation("LH-36") + "/case.json")
                    .expect(200)
                    .text()
                    .replace("\"reference\":\"LH-36\"", "\"reference\":\"LH-36-bad\"")
                    .replaceAll("\"id\":\"[0-9a-f-]{36}\",", "")
                    .replaceAll(
                            "\"title\":\"Almshouse[^\"]*\"",
                            "\"title\":\"</style><img src='" + url + "'/><svg><image href='" + url + "'/></svg>\"");
            String id = lead.bringIn(document)
                    .expect(200)
                    .json()
                    .at("/installations/0")
                    .asString();
            lead.get("/api/installations/" + id + "/report.pdf").expect(200);
            assertThatThrownBy(trap::accept).isInstanceOf(SocketTimeoutException.class);
        }
    }

    @Test
    void theJournalSaysWhoBroughtAFileInAndTheReadingKeepsWhatTheFileSays() {
        Client lead = SERVER.signedIn("lead");
        String document = lead.get("/api/installations/" + lead.installation("LH-40") + "/case.json")
                .expect(200)
                .text()
                .replace("\"reference\":\"LH-40\"", "\"reference\":\"LH-40-copy\"")
                .replaceAll("\"id\":\"[0-9a-f-]{36}\",", "")
                .replace("\"by\":\"inspector\"", "\"by\":\"somebody\"");
        String id =
                lead.bringIn(document).expect(200).json().at("/installations/0").asString();
        JsonNode history = lead.get("/api/installations/" + id + "/history?point=plate.model&component=outdoor-1")
                .expect(200)
                .json();
        assertThat(history.get(0).path("by").asString()).isEqualTo("somebody");
        assertThat(SERVER.journalled("reading.added", history.get(0).path("id").asString()))
                .isEqualTo("lead");
    }

    @Test
    void aCrewSeesOnlyTheInstrumentsUsedAtItsInstallations() {
        List<String> all = ids(inspector.get("/api/instruments").expect(200).json());
        List<String> own = ids(
                SERVER.signedIn("threeways").get("/api/instruments").expect(200).json());
        assertThat(own).isNotEmpty().hasSizeLessThan(all.size());
        assertThat(all).containsAll(own);
        String foreign =
                all.stream().filter(id -> !own.contains(id)).findFirst().orElseThrow();
        SERVER.signedIn("threeways")
                .get("/api/instruments/" + foreign + "/certificate?sha256=" + "0".repeat(64))
                .expect(404);
    }

    private static List<String> ids(JsonNode instruments) {
        return StreamSupport.stream(instruments.spliterator(), false)
                .map(i -> i.path("id").asString())
                .toList();
    }

    @Test
    void controlCharactersAreRefusedByNameAndTextsAreComposed() {
        Client lead = SERVER.signedIn("lead");
        Client.Answer refused = lead.post(
                "/api/installations/" + lead.installation("LH-36") + "/readings",
                Client.reading("plate.serial", "outdoor-1", "A\u0007B"));
        assertThat(refused.expect(400).detail()).contains("typed").contains("control character (code 7)");
        String id = lead.installation("LH-36");
        assertThat(lead.save(id, "plate.serial", "outdoor-1", "Gru\u0308n")
                        .expect(201)
                        .json()
                        .at("/line/reading/typed")
                        .asString())
                .isEqualTo("Gr\u00fcn");
    }

    @Test
    void aRuleBookNestedVeryDeepIsRefused() {
        String deep = "a: " + "[".repeat(900) + "]".repeat(900);
        assertThat(SERVER.signedIn("lead")
                        .send("POST", "/api/rule-books", deep, "application/yaml")
                        .expect(422)
                        .text())
                .contains("levels deep");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "POST /api/installations/x/photos HTTP/1.1|Content-Type: multipart/form-data",
                "POST /api/imports HTTP/1.1|Content-Type: multipart/form-data; boundary=",
                "GET /api/installations?=1 HTTP/1.1|Accept: */*",
                "GET /error HTTP/1.1|Accept: */*",
                "GET /api/installations?units=%zz HTTP/1.1|Accept: */*",
            })
    void malformedRequestsAreAnsweredWithAClientsErrorOrAPage(String request) throws IOException {
        String[] parts = request.split("\\|");
        String address = SERVER.address();
        try (Socket socket =
                new Socket("localhost", Integer.parseInt(address.substring(address.lastIndexOf(':') + 1)))) {
            socket.setSoTimeout((int) Duration.ofSeconds(10).toMillis());
            socket.getOutputStream()
                    .write((parts[0] + "\r\nHost: localhost\r\n" + parts[1]
                                    + "\r\nContent-Length: 0\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).matches("(?s)HTTP/1.1 (200|4\\d\\d) .*");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"reference\":\"LH-36\"|\"reference\":\"\"",
                "\"reference\":\"LH-36\"|\"reference\":\"a}b\"",
                "\"visitedOn\":\"2026|\"visitedOn\":\"0001",
                "\"visitedOn\":\"2026|\"visitedOn\":\"+99999",
                "\"title\":\"Almshouse|\"title\":\"    |blank",
            })
    void importsFollowTheRulesOfTheScreens(String change) {
        String[] parts = change.split("\\|");
        Client lead = SERVER.signedIn("lead");
        String document = lead.get("/api/installations/" + lead.installation("LH-36") + "/case.json")
                .expect(200)
                .text()
                .replaceAll("\"id\":\"[0-9a-f-]{36}\",", "");
        String changed = parts.length > 2
                ? document.replaceAll("\"title\":\"Almshouse[^\"]*\"", "\"title\":\"  \"")
                : document.replace(parts[0], parts[1]);
        assertThat(changed).isNotEqualTo(document);
        Client.Answer answer = lead.bringIn(changed);
        assertThat(answer.status()).as(answer.text()).isBetween(400, 422);
        assertThat(answer.detail()).doesNotContain("already there");
        lead.get("/api/installations").expect(200);
    }
}
