package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks HTTP as a browser does: keeps cookies and sends the CSRF token with every change. */
public final class Client {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Set<String> ENDED = Set.of("DONE", "CANCELLED");
    private static final long POLL = TimeUnit.MILLISECONDS.toNanos(20);

    private final String address;
    private String language = "en";
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    Client(String address) {
        this.address = address;
    }

    /** An answer, ready to be looked at. */
    public record Answer(HttpResponse<byte[]> response) {
        public int status() {
            return response.statusCode();
        }

        public String text() {
            return new String(response.body(), StandardCharsets.UTF_8);
        }

        public JsonNode json() {
            return JSON.readTree(response.body());
        }

        public String header(String name) {
            return response.headers().firstValue(name).orElse("");
        }

        public Answer expect(int status) {
            assertThat(status()).as(text()).isEqualTo(status);
            return this;
        }

        /** The sentence of a problem. */
        public String detail() {
            assertThat(header("Content-Type")).contains("problem+json");
            return json().path("detail").asString();
        }
    }

    public Answer signIn(String name, String password) {
        get("/api/session");
        return post("/api/session", Map.of("name", name, "password", password));
    }

    /** Asks in another language from now on. */
    public Client speaking(String tag) {
        language = tag;
        return this;
    }

    public Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    /** An answer that goes on, line by line. */
    public HttpResponse<Stream<String>> follow(String path) {
        try {
            return http.send(
                    HttpRequest.newBuilder(URI.create(address + path)).GET().build(),
                    HttpResponse.BodyHandlers.ofLines());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public Answer post(String path, Object body) {
        return send("POST", path, JSON.writeValueAsString(body), "application/json");
    }

    public Answer put(String path, Object body) {
        return send("PUT", path, JSON.writeValueAsString(body), "application/json");
    }

    public Answer send(String method, String path, String body, String contentType) {
        return send(method, path, body.getBytes(StandardCharsets.UTF_8), contentType);
    }

    public Answer send(String method, String path, byte[] body, String contentType) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", contentType)
                .header("X-XSRF-TOKEN", token())
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    /** A file as it is. */
    public Answer upload(String path, byte[] content) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(content)));
    }

    /** Without the token a browser page would send. */
    public Answer postWithoutToken(String path, Object body) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** Sends a body without saying beforehand how long it is. */
    public Answer postStream(String path, byte[] body) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(body))));
    }

    /** Sends the head of a request, and holds its body back. */
    HeldRequest begin(String method, String path, Object body) throws IOException, InterruptedException {
        String sent = cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
        return new HeldRequest(
                URI.create(address),
                method + " " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nCookie: "
                        + sent + "\r\nX-XSRF-TOKEN: " + token() + "\r\n",
                JSON.writeValueAsBytes(body));
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    private Answer send(HttpRequest.Builder request) {
        request.header("Accept-Language", language);
        try {
            Answer answer = new Answer(http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray()));
            HttpRequest asked = answer.response().request();
            assertThat(Contract.KEPT.faults(
                            asked.method(),
                            asked.uri().getPath(),
                            answer.status(),
                            answer.header("Content-Type"),
                            answer.response().body()))
                    .as("the answer to %s is as described: %s", asked.uri(), answer.text())
                    .isEmpty();
            return answer;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    // -- what tests say often

    /** Brings a case file in and waits for what comes of it: how the import stands, or why it failed. */
    public Answer bringIn(String document) {
        Answer begun = send("POST", "/api/imports", document, "application/json");
        return begun.status() == 202 ? settled(begun.json().path("id").asString()) : begun;
    }

    /** Waits until an import has come to an end. */
    public Answer settled(String id) {
        while (true) {
            Answer now = get("/api/imports/" + id);
            if (now.status() != 200 || ENDED.contains(now.json().path("state").asString())) {
                return now;
            }
            LockSupport.parkNanos(POLL);
        }
    }

    /** The id of the installation with this reference. */
    public String installation(String reference) {
        return get("/api/installations?size=200")
                .expect(200)
                .json()
                .path("entries")
                .valueStream()
                .filter(entry -> entry.path("reference").asString().equals(reference))
                .map(entry -> entry.path("id").asString())
                .findFirst()
                .orElseThrow();
    }

    /** A commissioning record with the outdoor air alone, read at ten. */
    static Map<String, Object> record(String outdoorAir) {
        return Map.of(
                "signedBy",
                "Fitter",
                "day",
                "2026-09-01",
                "coldest",
                "10 °C",
                "warmest",
                "20 °C",
                "values",
                List.of(Map.of(
                        "point",
                        "running.outdoor-dry-bulb",
                        "component",
                        "system",
                        "value",
                        outdoorAir,
                        "readAt",
                        "2026-09-01 10:00")));
    }

    public static Map<String, Object> reading(String point, String component, String typed) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", UUID.randomUUID().toString());
        body.put("point", point);
        body.put("component", component);
        body.put("typed", typed);
        body.put("grade", "WITNESSED");
        body.put("confirmed", false);
        return body;
    }

    /** The reading that stands on a line, as the basis of the next. */
    public Optional<String> standing(String installation, String point, String component) {
        JsonNode history = get("/api/installations/" + installation + "/history?point=" + point + "&component="
                        + component)
                .expect(200)
                .json();
        return history.isEmpty()
                ? Optional.empty()
                : Optional.of(history.get(history.size() - 1).path("id").asString());
    }

    public Answer save(String installation, String point, String component, String typed) {
        Map<String, Object> body = reading(point, component, typed);
        standing(installation, point, component).ifPresent(id -> body.put("basedOn", id));
        return post("/api/installations/" + installation + "/readings?units=US", body);
    }

    public JsonNode judgement(String installation, String station, String key) {
        JsonNode judgements = get("/api/installations/" + installation + "/stations/" + station + "?units=US")
                .expect(200)
                .json()
                .path("judgements");
        return StreamSupport.stream(judgements.spliterator(), false)
                .filter(j -> j.path("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    public static String encoded(String words) {
        return URLEncoder.encode(words, StandardCharsets.UTF_8);
    }
}
