package org.undanus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The process is killed outright while readings come in, or the disk is full; every reading acknowledged is there again. */
class KillTest {
    private static final int WRITERS = 4;
    private static final int ROUNDS = Application.THOROUGH ? 3 : 1;
    private static final List<String> POINTS =
            List.of("plate.maker", "plate.model", "plate.serial", "siting.outdoor-clearance-front");

    /** One person who keeps reading one line over and over. */
    private final class Writer implements Runnable {
        private final String address;
        private final String point;
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();
        private String installation;

        Writer(String address, String point) throws Exception {
            this.address = address;
            this.point = point;
            send("GET", "/api/session", "");
            send("POST", "/api/session", "{\"name\":\"inspector\",\"password\":\"inspector-demo\"}");
            String register = send("GET", "/api/installations", "").body();
            Matcher matcher = Pattern.compile("\"id\":\"([^\"]+)\",\"reference\":\"LH-36\"")
                    .matcher(register);
            assertThat(matcher.find()).isTrue();
            installation = matcher.group(1);
        }

        HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
            return http.send(
                    HttpRequest.newBuilder(URI.create(address + path))
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .method(method, HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        String history() throws IOException, InterruptedException {
            return send("GET", "/api/installations/" + installation + "/history?component=outdoor-1&point=" + point, "")
                    .body();
        }

        /** The id of the reading that stands, null where there is none. */
        String standing() throws IOException, InterruptedException {
            Matcher ids = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(history());
            String standing = null;
            while (ids.find()) {
                standing = ids.group(1);
            }
            return standing;
        }

        HttpResponse<String> post(String basedOn, String typed) throws IOException, InterruptedException {
            return post(UUID.randomUUID().toString(), basedOn, typed);
        }

        private HttpResponse<String> post(String id, String basedOn, String typed)
                throws IOException, InterruptedException {
            String body = String.format(
                    "{\"id\":\"%s\",\"point\":\"%s\",\"component\":\"outdoor-1\",\"typed\":\"%s\","
                            + "\"grade\":\"WITNESSED\"%s,\"confirmed\":true}",
                    id, point, typed, basedOn == null ? "" : ",\"basedOn\":\"" + basedOn + "\"");
            return send("POST", "/api/installations/" + installation + "/readings", body);
        }

        /** Its id, where it was acknowledged. */
        Optional<String> save(String basedOn, String typed) throws IOException, InterruptedException {
            String id = UUID.randomUUID().toString();
            if (post(id, basedOn, typed).statusCode() != 201) {
                return Optional.empty();
            }
            acknowledged.put(id, typed);
            return Optional.of(id);
        }

        @Override
        public void run() {
            try {
                Optional<String> last = Optional.ofNullable(standing());
                for (int i = 1; i == 1 || last.isPresent(); i++) {
                    last = save(last.orElse(null), point.startsWith("plate") ? "X" + i : (30 + i % 20) + " in");
                }
            } catch (IOException | InterruptedException killed) {
                // the server is gone: what it did not acknowledge it need not know
            }
        }
    }

    private final Map<String, String> acknowledged = new ConcurrentHashMap<>();

    @Test
    void everyAcknowledgedReadingSurvives() throws Exception {
        Application application = Application.startDemo();
        try {
            for (int round = 1; round <= ROUNDS; round++) {
                ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
                for (String point : POINTS) {
                    writers.submit(new Writer(application.address(), point));
                }
                int before = acknowledged.size();
                long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
                while (acknowledged.size() < before + 60 && System.nanoTime() < end) {
                    TimeUnit.MILLISECONDS.sleep(20);
                }
                application.kill();
                writers.shutdown();
                assertThat(writers.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
                assertThat(acknowledged.size())
                        .as("round %s wrote enough to mean something", round)
                        .isGreaterThan(before + 50);
                if (round == ROUNDS) {
                    // what any of the kills had broken would still be
                    assertThat(application.checkData()).isZero();
                }
                application.start();
                assertAllKept(application);
            }
        } finally {
            application.close();
        }
    }

    @Test
    void everyAcknowledgedSampleSurvives() throws Exception {
        try (Application application = Application.startDemo()) {
            String live = "/api/installations/" + listening(application) + "/live";
            AtomicInteger acknowledged = new AtomicInteger();
            Thread sender = new Thread(() -> send(application.address(), acknowledged));
            sender.start();
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
            while (acknowledged.get() < 1000 && System.nanoTime() < end) {
                TimeUnit.MILLISECONDS.sleep(5);
            }
            application.kill();
            sender.join();
            assertThat(acknowledged.get()).isGreaterThanOrEqualTo(1000);
            application.start();
            String heard = new Writer(application.address(), POINTS.get(0))
                    .send("GET", live, "")
                    .body();
            Matcher samples = Pattern.compile("\"samples\":(\\d+)").matcher(heard);
            assertThat(samples.find()).as(heard).isTrue();
            // the last pack may have been kept without anybody being told
            assertThat(Integer.parseInt(samples.group(1)))
                    .isBetween(acknowledged.get(), acknowledged.get() + SAMPLES_A_PACK);
        }
    }

    private static final int SAMPLES_A_PACK = 10;

    /** The installation whose vacuum is listened to. */
    private String listening(Application application) throws Exception {
        Writer writer = new Writer(application.address(), POINTS.get(0));
        String listen = String.format(
                "{\"id\":\"%s\",\"point\":\"evacuation.log\",\"component\":\"line-set-indoor-1\","
                        + "\"instrument\":\"vacuum-1\"}",
                UUID.randomUUID());
        assertThat(writer.send("POST", "/api/installations/" + writer.installation + "/live", listen)
                        .statusCode())
                .isEqualTo(201);
        return writer.installation;
    }

    /** Sends packs one after the other until nobody answers. */
    private static void send(String address, AtomicInteger acknowledged) {
        HttpClient http = HttpClient.newHttpClient();
        double start = System.currentTimeMillis() / 1000.0 - 3600;
        try {
            for (int pack = 0; ; pack++) {
                StringBuilder records = new StringBuilder("[{\"bn\":\"a\",\"bu\":\"Pa\"}");
                for (int i = 0; i < SAMPLES_A_PACK; i++) {
                    double at = start + (pack * SAMPLES_A_PACK + i) * 0.1;
                    records.append(String.format(Locale.ROOT, ",{\"t\":%.3f,\"v\":%d}", at, 40 + i));
                }
                HttpResponse<String> answer = http.send(
                        HttpRequest.newBuilder(URI.create(address + "/api/senml"))
                                .header("Content-Type", "application/senml+json")
                                .header("Authorization", "Bearer demo-vacuum-1")
                                .POST(HttpRequest.BodyPublishers.ofString(records + "]"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() == 200) {
                    acknowledged.addAndGet(SAMPLES_A_PACK);
                }
            }
        } catch (IOException | InterruptedException killed) {
            // the server is gone
        }
    }

    private void assertAllKept(Application application) throws Exception {
        StringBuilder kept = new StringBuilder();
        for (String point : POINTS) {
            kept.append(new Writer(application.address(), point).history());
        }
        String all = kept.toString();
        assertThat(acknowledged.keySet()).allSatisfy(id -> assertThat(all).contains(id));
    }

    /** With no byte left on the disk: refused with a reason, read on, killed, and nothing lost. */
    @Test
    void aFullDiskLosesNothingAndUndanusGoesOnByItselfWhenThereIsRoom() throws Exception {
        try (SmallDisk disk = SmallDisk.mounted(300);
                Application application = Application.startDemoBelow(disk.folder())) {
            Writer writer = new Writer(application.address(), POINTS.get(0));
            writer.save(null, "before").orElseThrow();
            disk.fill(0);
            HttpResponse<String> refused = writer.post(writer.standing(), "refused");
            assertThat(refused.statusCode()).isEqualTo(507);
            assertThat(refused.body()).contains("The disk is full: nothing was saved, reading still works");
            assertThat(writer.history()).contains("before").doesNotContain("refused");
            assertThat(writer.send("GET", "/actuator/health", "").body()).contains("DOWN");
            disk.makeRoom();
            writer.save(writer.standing(), "after").orElseThrow();
            assertThat(writer.send("GET", "/actuator/health", "").body()).contains("UP");

            disk.fill(0);
            application.kill();
            disk.makeRoom();
            assertThat(application.checkData()).isZero();
            application.start();
            assertAllKept(application);
            Writer again = new Writer(application.address(), POINTS.get(0));
            again.save(again.standing(), "again").orElseThrow();
        }
    }
}
