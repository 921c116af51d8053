package org.undanus.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;

/** Somebody signed in at a server. */
final class Caller {
    private static final int CONFLICT = 409;
    private static final int REFUSED = 400;

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String address;

    Caller(String address) throws IOException, InterruptedException {
        this(address, "inspector");
    }

    Caller(String address, String name) throws IOException, InterruptedException {
        this.address = address;
        send("GET", "/api/session", "");
        send("POST", "/api/session", "{\"name\":\"" + name + "\",\"password\":\"" + name + "-demo\"}");
    }

    /** @throws IllegalStateException when it is refused; that somebody else was first is no refusal */
    String send(String method, String path, String body) throws IOException, InterruptedException {
        return send(method, path, body, "application/json");
    }

    /** The same with a body of another kind. */
    String send(String method, String path, String body, String kind) throws IOException, InterruptedException {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .header("Content-Type", kind)
                        .header("X-XSRF-TOKEN", token)
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= REFUSED && answer.statusCode() != CONFLICT) {
            throw new IllegalStateException(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }
}
