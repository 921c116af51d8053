package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;

/** What instruments send while it happens. */
class LiveTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final String LOG = "evacuation.log";
    private static String token;

    private final Client inspector = SERVER.signedIn("inspector");

    @BeforeAll
    static void aGaugeMaySend() {
        token = SERVER.signedIn("lead")
                .post("/api/instruments/vacuum-1/token", Map.of())
                .expect(201)
                .json()
                .path("token")
                .asString();
    }

    private static HttpResponse<String> send(String pack, String by) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(SERVER.address() + "/api/senml"))
                .header("Content-Type", "application/senml+json")
                .POST(HttpRequest.BodyPublishers.ofString(pack));
        if (by != null) {
            request.header("Authorization", "Bearer " + by);
        }
        return HTTP.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String record(Instant at, double pascals) {
        return String.format(Locale.ROOT, "{\"t\":%.3f,\"v\":%.4f}", at.toEpochMilli() / 1000.0, pascals);
    }

    private static String pack(Stream<String> records) {
        return "[{\"bn\":\"gauge:\",\"bu\":\"Pa\",\"n\":\"vacuum\"}," + records.collect(Collectors.joining(",")) + "]";
    }

    /** A rise that levels off: moisture. */
    private static String rise(Instant start, int from, int to) {
        return pack(IntStream.range(from, to)
                .mapToObj(i -> record(start.plusSeconds(5L * i), 10 + 70 * (1 - Math.exp(-5.0 * i / 120)))));
    }

    private String live(String id) {
        return "/api/installations/" + id + "/live";
    }

    private UUID listen(String id, String component) {
        UUID listening = UUID.randomUUID();
        inspector
                .post(
                        live(id),
                        Map.of(
                                "id",
                                listening.toString(),
                                "point",
                                LOG,
                                "component",
                                component,
                                "instrument",
                                "vacuum-1"))
                .expect(201);
        return listening;
    }

    private JsonNode curve(String id) {
        return inspector.judgement(id, "evacuation", "evacuation.curve@line-set-indoor-1");
    }

    @Test
    void aRiseIsJudgedWhileItHappensAndKeptAsACurve() throws Exception {
        String id = inspector.installation("LH-28");
        inspector.save(id, "evacuation.gauge", "line-set-indoor-1", "electronic vacuum gauge");
        Instant start = Instant.now().minusSeconds(1800);
        assertThat(send(rise(start, 0, 3), token).statusCode())
                .as("nobody listens: it is not taken, and not acknowledged")
                .isEqualTo(409);
        UUID listening = listen(id, "line-set-indoor-1");
        assertThat(inspector
                        .post(
                                live(id),
                                Map.of(
                                        "id",
                                        UUID.randomUUID().toString(),
                                        "point",
                                        LOG,
                                        "component",
                                        "line-set-indoor-1",
                                        "instrument",
                                        "vacuum-1"))
                        .expect(409)
                        .detail())
                .contains("listens already");

        // out of order, and some of it twice
        assertThat(send(rise(start, 100, 200), token).body()).contains("\"taken\":100");
        assertThat(send(rise(start, 0, 110), token).body()).contains("\"taken\":100", "\"repeated\":10");
        JsonNode heard = inspector.get(live(id) + "?units=SI").expect(200).json();
        assertThat(heard.at("/0/samples").asInt()).isEqualTo(200);
        assertThat(heard.at("/0/shown").asString()).isEqualTo("80 Pa");
        send(rise(start, 200, 361), token);
        JsonNode judged = curve(id);
        assertThat(judged.path("because").asString())
                .as("before anything is kept")
                .startsWith("Levels off at");
        assertThat(inspector
                        .get("/api/installations/" + id + "/history?point=" + LOG + "&component=line-set-indoor-1")
                        .expect(200)
                        .json())
                .as("nothing is kept yet")
                .isEmpty();

        UUID reading = UUID.randomUUID();
        String keep = live(id) + "/" + listening + "/keep";
        inspector.post(keep, Map.of("reading", reading.toString())).expect(204);
        inspector.post(keep, Map.of("reading", reading.toString())).expect(204);
        assertThat(curve(id).path("because")).as("the same once kept").isEqualTo(judged.path("because"));
        assertThat(inspector.get(live(id)).expect(200).json()).isEmpty();
        JsonNode line = inspector
                .get("/api/installations/" + id + "/history?point=" + LOG + "&component=line-set-indoor-1")
                .expect(200)
                .json();
        assertThat(line).hasSize(1);
        assertThat(line.at("/0/grade").asString()).isEqualTo("LOGGED");
        assertThat(line.at("/0/instrument").asString()).isEqualTo("vacuum-1");
        JsonNode out = inspector
                .get("/api/installations/" + id + "/traces/"
                        + line.at("/0/typed").asString() + "/senml")
                .expect(200)
                .json();
        assertThat(out).as("its samples and what holds for all").hasSize(362);
        assertThat(out.at("/0/bu").asString()).isEqualTo("Pa");
        assertThat(out.at("/1/t").asDouble()).isZero();
        assertThat(out.at("/1/v").asDouble()).isEqualTo(10);
        assertThat(out.at("/361/t").asDouble()).isEqualTo(1800);
        assertThat(send(rise(start, 361, 362), token).statusCode()).isEqualTo(409);
        assertThat(SERVER.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "not json|not JSON: line 1",
                "{}|a list of 1 to 5000 records",
                "[]|a list of 1 to 5000 records",
                "[7]|Record 1: it is no object",
                "[{\"bn\":\"a\",\"bu\":\"Pa\",\"v\":1},{\"x_\":1}]|Record 2: \"x_\" must be understood",
                "[{\"bver\":11,\"n\":\"a\",\"u\":\"Pa\",\"v\":1}]|Record 1: its version is newer",
                "[{\"bn\":7,\"u\":\"Pa\",\"v\":1}]|Record 1: bn is no text",
                "[{\"bt\":\"noon\",\"n\":\"a\",\"u\":\"Pa\",\"v\":1}]|Record 1: bt is no number",
                "[{\"bn\":\"a\",\"bu\":\"bar\",\"v\":1}]|Record 1: \"bar\" is none of Pa, Cel and K",
                "[{\"u\":\"Pa\",\"v\":1}]|Record 1: \"\" is no name",
                "[{\"n\":\"a\",\"u\":\"Pa\",\"vs\":\"low\"}]|Record 1: \"low\" is none of pump on, isolated",
                "[{\"n\":\"a\",\"vb\":true}]|Record 1: only numbers in v and texts in vs",
                "[{\"n\":\"a\",\"vs\":\"isolated\",\"t\":7200}]|not the time of a visit that is under way",
                "[{\"n\":\"a\",\"u\":\"Pa\",\"v\":1e300}]|Record 1: v is no number",
                "[{\"n\":\"a\",\"u\":\"Pa\",\"v\":20,\"t\":1000000000}]|not the time of a visit that is under way",
                "[{\"n\":\"a\",\"u\":\"Pa\",\"v\":20,\"t\":7200}]|not the time of a visit that is under way",
            })
    void whatCannotBeTakenIsSaidByItsRecordAndNothingOfThePackIsTaken(String pack, String why) throws Exception {
        String id = inspector.installation("LH-40");
        UUID listening = listen(id, "line-set-indoor-1");
        HttpResponse<String> answer = send(pack, token);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body().replace("\\\"", "\"")).contains(why);
        assertThat(inspector.get(live(id)).expect(200).json().at("/0/samples").asInt())
                .isZero();
        inspector.post(live(id) + "/" + listening + "/leave", Map.of()).expect(204);
    }

    @RepeatedTest(4)
    void whatIsAcknowledgedWhileALineIsKeptIsInItsCurve() throws Exception {
        String id = inspector.installation("LH-36");
        UUID listening = listen(id, "line-set-indoor-1");
        Instant start = Instant.now().minusSeconds(3600);
        AtomicInteger acknowledged = new AtomicInteger();
        CompletableFuture<Void> sending = CompletableFuture.runAsync(() -> {
            try {
                while (send(rise(start, acknowledged.get(), acknowledged.get() + 1), token)
                                .statusCode()
                        == 200) {
                    acknowledged.incrementAndGet();
                }
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (acknowledged.get() < 20) {
            assertThat(sending).as("still sending").isNotDone();
            assertThat(System.nanoTime())
                    .as("twenty are acknowledged in a minute")
                    .isLessThan(end);
            TimeUnit.MILLISECONDS.sleep(5);
        }
        UUID reading = UUID.randomUUID();
        inspector
                .post(live(id) + "/" + listening + "/keep", Map.of("reading", reading.toString()))
                .expect(204);
        sending.get(20, TimeUnit.SECONDS);
        JsonNode line = inspector
                .get("/api/installations/" + id + "/history?point=" + LOG + "&component=line-set-indoor-1")
                .expect(200)
                .json();
        String kept = inspector
                .get("/api/installations/" + id + "/traces/"
                        + line.get(line.size() - 1).path("typed").asString())
                .expect(200)
                .text();
        assertThat(kept.lines().count() - 1).isEqualTo(acknowledged.get());
    }

    @Test
    void whatIsImpossibleOrOfAnotherKindIsCountedNotTaken() throws Exception {
        String id = inspector.installation("LH-31");
        UUID listening = listen(id, "line-set-indoor-1");
        String mixed = "[{\"bn\":\"a\",\"bu\":\"Pa\",\"v\":-5},{\"v\":50,\"t\":-1},{\"u\":\"Cel\",\"v\":20},"
                + "{\"u\":\"K\",\"v\":290}]";
        assertThat(send(mixed, token).body())
                .contains("\"taken\":1", "\"impossible\":1", "\"unheard\":2", "\"repeated\":0");
        inspector.post(live(id) + "/" + listening + "/leave", Map.of()).expect(204);
        assertThat(inspector.get(live(id)).expect(200).json()).isEmpty();
    }

    private void mark(String id, UUID listening, String act, int expected) {
        inspector.post(live(id) + "/" + listening + "/mark", Map.of("act", act)).expect(expected);
    }

    private List<JsonNode> holds(String id) {
        return inspector
                .get("/api/holds?installation=" + id)
                .expect(200)
                .json()
                .valueStream()
                .filter(hold -> hold.path("installationId").asString().equals(id))
                .toList();
    }

    private JsonNode history(String id, String point) {
        return inspector
                .get("/api/installations/" + id + "/history?point=" + point + "&component=line-set-indoor-1")
                .expect(200)
                .json();
    }

    /** Pulled for ten minutes, then flat: only a mark tells when the pump was valved off. */
    private static String pull(Instant start, int from, int to) {
        return pack(IntStream.range(from, to)
                .mapToObj(i -> record(start.plusSeconds(5L * i), 20 + 100_000 * Math.exp(-5.0 * i / 45))));
    }

    @Test
    void whatIsTappedMeanwhileMarksTheCurveAndBeginsAndEndsHolds() throws Exception {
        String id = inspector.installation("LH-23");
        inspector.save(id, "evacuation.gauge", "line-set-indoor-1", "electronic vacuum gauge");
        inspector.save(id, "evacuation.isolated", "line-set-indoor-1", "valved off at the system");
        UUID listening = listen(id, "line-set-indoor-1");
        Instant start = Instant.now().truncatedTo(ChronoUnit.SECONDS).minusSeconds(3000);
        mark(id, listening, "SOAPED", 422);
        send(pull(start, 0, 1), token);
        mark(id, listening, "PUMP_ON", 204);
        assertThat(holds(id)).extracting(hold -> hold.path("point").asString()).containsExactly("evacuation.pull-time");
        send(pull(start, 1, 241), token);
        assertThat(curve(id).path("because").asString()).contains("Nothing tells when the pump was valved off");
        mark(id, listening, "ISOLATED", 204);
        mark(id, listening, "ISOLATED", 204);
        assertThat(holds(id)).extracting(hold -> hold.path("point").asString()).containsExactly("evacuation.hold-time");
        assertThat(history(id, "evacuation.pull-time").at("/0/typed").asString())
                .as("by the gauge's clock")
                .isEqualTo("20 min");
        send(pull(start, 241, 481), token);
        assertThat(curve(id).path("verdict").asString())
                .as("judged by the mark at once")
                .isEqualTo("MEETS");
        JsonNode heard = inspector.get(live(id)).expect(200).json();
        assertThat(heard.at("/0/marks"))
                .extracting(mark ->
                        mark.path("title").asString() + " " + mark.path("after").asString())
                .containsExactly("pump on 0 s", "isolated 20 min");
        assertThat(heard.at("/0/acts")).hasSize(5);

        inspector
                .post(
                        live(id) + "/" + listening + "/unmark",
                        Map.of(
                                "act",
                                "ISOLATED",
                                "at",
                                heard.at("/0/marks/1/at").asString()))
                .expect(204);
        assertThat(curve(id).path("verdict").asString()).isEqualTo("NOT_SHOWN");
        inspector
                .post(live(id) + "/" + listening + "/unmark", Map.of("act", "ISOLATED", "at", start.toString()))
                .expect(404);
        String said = "[{\"n\":\"a\",\"vs\":\"isolated\",\"t\":"
                + start.plusSeconds(1200).getEpochSecond() + "}]";
        assertThat(send(said, token).body()).contains("\"marked\":1");
        assertThat(send(said, token).body()).as("said twice it is marked once").contains("\"marked\":0");
        assertThat(curve(id).path("verdict").asString()).isEqualTo("MEETS");
        inspector
                .post(
                        live(id) + "/" + listening + "/keep",
                        Map.of("reading", UUID.randomUUID().toString()))
                .expect(204);
        assertThat(history(id, "evacuation.marks").at("/0/typed").asString()).isEqualTo("0 s pump on, 1200 s isolated");
        assertThat(curve(id).path("verdict").asString()).isEqualTo("MEETS");
    }

    @Test
    void aMarkBySomebodyWhoMayNotIsNoMark() {
        String id = inspector.installation("LH-01");
        UUID listening = listen(id, "line-set-indoor-1");
        Client other = SERVER.signedIn("dunmarrow");
        other.post(live(id) + "/" + listening + "/mark", Map.of("act", "ISOLATED"))
                .expect(404);
        inspector
                .post(live(id) + "/" + UUID.randomUUID() + "/mark", Map.of("act", "ISOLATED"))
                .expect(404);
        inspector
                .post(live(id) + "/" + listening + "/mark", Map.of("act", "DANCED"))
                .expect(400);
        inspector.post(live(id) + "/" + listening + "/leave", Map.of()).expect(204);
        mark(id, listening, "ISOLATED", 404);
    }

    @Test
    void onlyItsTokenLetsAnInstrumentInAndANewOneEndsTheOld() throws Exception {
        Instant now = Instant.now();
        assertThat(send(rise(now, 0, 2), null).statusCode()).isEqualTo(401);
        assertThat(send(rise(now, 0, 2), "guess").body()).contains("No instrument has this token");
        assertThat(inspector
                        .post("/api/instruments/gauge-7/token", Map.of())
                        .expect(403)
                        .detail())
                .contains("quality lead");
        Client lead = SERVER.signedIn("lead");
        lead.post("/api/instruments/nothing/token", Map.of()).expect(404);
        String first = lead.post("/api/instruments/vacuum-2/token", Map.of())
                .json()
                .path("token")
                .asString();
        lead.post("/api/instruments/vacuum-2/token", Map.of()).expect(201);
        assertThat(send(rise(now, 0, 2), first).statusCode()).isEqualTo(401);
        assertThat(send("x".repeat(600_000), token).statusCode()).isEqualTo(413);
    }

    @Test
    void anotherCrewNeitherListensNorHears() {
        String id = inspector.installation("LH-01");
        Client other = SERVER.signedIn("dunmarrow");
        other.get(live(id)).expect(404);
        assertThat(other.follow(live(id) + "/feed").statusCode()).isEqualTo(404);
        other.get(live(id) + "/senders?point=" + LOG + "&component=line-set-indoor-1")
                .expect(404);
        assertThat(inspector
                        .get(live(id) + "/senders?point=" + LOG + "&component=line-set-indoor-1")
                        .expect(200)
                        .json())
                .extracting(sender -> sender.path("id").asString())
                .contains("vacuum-1")
                .doesNotContain("gauge-7");
        assertThat(inspector
                        .post(
                                live(id),
                                Map.of(
                                        "id",
                                        UUID.randomUUID().toString(),
                                        "point",
                                        LOG,
                                        "component",
                                        "line-set-indoor-1",
                                        "instrument",
                                        "gauge-5"))
                        .expect(422)
                        .detail())
                .contains("sends nothing that this line takes");
    }

    @Test
    void aScreenHearsThatSomethingCameIn() throws Exception {
        String id = inspector.installation("LH-44");
        UUID listening = listen(id, "line-set-indoor-1");
        CompletableFuture<List<String>> events = CompletableFuture.supplyAsync(() -> inspector
                .follow(live(id) + "/feed")
                .body()
                .filter(line -> line.startsWith("event:"))
                .limit(2)
                .toList());
        TimeUnit.MILLISECONDS.sleep(500);
        send(rise(Instant.now().minusSeconds(60), 0, 3), token);
        assertThat(events.get(20, TimeUnit.SECONDS)).containsExactly("event:following", "event:samples");
        inspector.post(live(id) + "/" + listening + "/leave", Map.of()).expect(204);
    }

    private Client.Answer listens(Client who, String id, UUID listening, String instrument) {
        return who.post(
                live(id),
                Map.of(
                        "id",
                        listening.toString(),
                        "point",
                        LOG,
                        "component",
                        "line-set-indoor-1",
                        "instrument",
                        instrument));
    }

    @Test
    void anInstrumentIsHeardAtOnePlaceAtATime() {
        String here = inspector.installation("LH-44");
        String there = inspector.installation("LH-01");
        UUID listening = UUID.randomUUID();
        listens(inspector, here, listening, "vacuum-1").expect(201);
        assertThat(listens(inspector, there, UUID.randomUUID(), "vacuum-1")
                        .expect(409)
                        .detail())
                .contains("heard at another installation");
        inspector.post(live(here) + "/" + listening + "/leave", Map.of()).expect(204);
        UUID next = UUID.randomUUID();
        listens(inspector, there, next, "vacuum-1").expect(201);
        inspector.post(live(there) + "/" + next + "/leave", Map.of()).expect(204);
    }

    @Test
    void aCrewHearsWhatItWasHandedAndEndsWhatItBegan() throws Exception {
        String id = inspector.installation("LH-44");
        String crew =
                inspector.get("/api/installations/" + id).json().path("crew").asString();
        String account = Map.of(
                        "Dunmarrow Services", "dunmarrow",
                        "Nettlebank Mechanical", "nettlebank",
                        "Threeways Cooling", "threeways")
                .get(crew);
        Client own = SERVER.signedIn(account);
        String senders = live(id) + "/senders?point=" + LOG + "&component=line-set-indoor-1";
        assertThat(own.get(senders).expect(200).json()).isEmpty();
        assertThat(own.get(live(id) + "/sending").expect(200).json()).isEmpty();
        listens(own, id, UUID.randomUUID(), "vacuum-1").expect(422);

        UUID office = UUID.randomUUID();
        listens(inspector, id, office, "vacuum-1").expect(201);
        for (String act : List.of("leave", "keep", "mark")) {
            own.post(
                            live(id) + "/" + office + "/" + act,
                            act.equals("keep")
                                    ? Map.of("reading", UUID.randomUUID().toString())
                                    : Map.of("act", "ISOLATED"))
                    .expect(403);
        }
        inspector.post(live(id) + "/" + office + "/leave", Map.of()).expect(204);

        String handed = SERVER.signedIn("lead")
                .post("/api/instruments/vacuum-2/token?crew=" + crew.replace(" ", "%20"), Map.of())
                .expect(201)
                .json()
                .path("token")
                .asString();
        assertThat(own.get(senders).expect(200).json())
                .extracting(sender -> sender.path("id").asString())
                .containsExactly("vacuum-2");
        UUID began = UUID.randomUUID();
        listens(own, id, began, "vacuum-2").expect(201);
        assertThat(send(rise(Instant.now().minusSeconds(60), 0, 3), handed).statusCode())
                .isEqualTo(200);
        own.post(live(id) + "/" + began + "/leave", Map.of()).expect(204);
        assertThat(SERVER.journalled("live.struck", began.toString())).isEqualTo(account);
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    private CompletableFuture<List<String>> heard(Client by, String id) throws InterruptedException {
        CompletableFuture<List<String>> events = CompletableFuture.supplyAsync(() -> by.follow(live(id) + "/feed")
                .body()
                .filter(line -> line.startsWith("event:"))
                .toList());
        TimeUnit.MILLISECONDS.sleep(300);
        assertThat(events).isNotDone();
        return events;
    }

    @Test
    void aFeedEndsWithItsSession() throws Exception {
        String id = inspector.installation("LH-44");
        Client out = SERVER.signedIn("inspector");
        CompletableFuture<List<String>> signedOut = heard(out, id);
        out.send("DELETE", "/api/session", "{}", "application/json").expect(204);
        assertThat(signedOut.get(10, TimeUnit.SECONDS)).containsExactly("event:following");

        Client lead = SERVER.signedIn("lead");
        lead.post(
                        "/api/people",
                        Map.of("name", "wren", "title", "Wren", "role", "INSPECTOR", "password", "a long password"))
                .expect(201);
        Client wren = SERVER.client();
        wren.signIn("wren", "a long password").expect(200);
        CompletableFuture<List<String>> switchedOff = heard(wren, id);
        lead.put("/api/people/wren", Map.of("title", "Wren", "role", "INSPECTOR", "active", false, "version", 0))
                .expect(200);
        assertThat(switchedOff.get(10, TimeUnit.SECONDS)).containsExactly("event:following");
    }

    @Test
    void whoOpensManyFeedsLosesTheirFirstAndNobodyElseWaits() throws Exception {
        String id = inspector.installation("LH-44");
        CompletableFuture<List<String>> first = heard(inspector, id);
        for (int i = 0; i < 60; i++) {
            HttpResponse<Stream<String>> feed = inspector.follow(live(id) + "/feed");
            assertThat(feed.statusCode()).isEqualTo(200);
            feed.body().close();
        }
        assertThat(first.get(10, TimeUnit.SECONDS)).containsExactly("event:following");
        assertThat(SERVER.signedIn("lead").follow(live(id) + "/feed").statusCode())
                .isEqualTo(200);
    }

    @Test
    void ofTwoWhoLetAnInstrumentBeHeardAtOnceAtTwoPlacesOneIsTold() throws Exception {
        List<String> places = List.of(inspector.installation("LH-44"), inspector.installation("LH-01"));
        for (int round = 0; round < 5; round++) {
            List<UUID> ids = List.of(UUID.randomUUID(), UUID.randomUUID());
            List<CompletableFuture<Integer>> both = IntStream.range(0, 2)
                    .mapToObj(i -> {
                        Client one = SERVER.signedIn("inspector");
                        return CompletableFuture.supplyAsync(() -> listens(one, places.get(i), ids.get(i), "vacuum-1")
                                .status());
                    })
                    .toList();
            List<Integer> answers = List.of(both.get(0).get(), both.get(1).get());
            assertThat(answers).containsExactlyInAnyOrder(201, 409);
            int heard = answers.indexOf(201);
            inspector
                    .post(live(places.get(heard)) + "/" + ids.get(heard) + "/leave", Map.of())
                    .expect(204);
        }
    }
}
