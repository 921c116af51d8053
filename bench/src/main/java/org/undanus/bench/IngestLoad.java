package org.undanus.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Four instruments that each send ten samples a second, one at a time, until the process is ended. */
public final class IngestLoad {
    private static final long BETWEEN_MS = 100;
    private static final Map<String, String> LINES = new LinkedHashMap<>();

    static {
        LINES.put("vacuum-1", "LH-28 evacuation.log");
        LINES.put("vacuum-2", "LH-31 evacuation.log");
        LINES.put("gauge-7", "LH-40 tightness.pressure-log");
        LINES.put("thermo-4", "LH-40 tightness.temperature-log");
    }

    private IngestLoad() {}

    public static void main(String[] arguments) throws Exception {
        String address = arguments[0];
        Caller lead = new Caller(address, "lead");
        String register = lead.send("GET", "/api/installations", "");
        for (Map.Entry<String, String> line : LINES.entrySet()) {
            String[] where = line.getValue().split(" ");
            String installation = found(register, "\"id\":\"([^\"]+)\",\"reference\":\"" + where[0] + "\"");
            String token = found(
                    lead.send("POST", "/api/instruments/" + line.getKey() + "/token", ""), "\"token\":\"([^\"]+)\"");
            lead.send(
                    "POST",
                    "/api/installations/" + installation + "/live",
                    String.format(
                            "{\"id\":\"%s\",\"point\":\"%s\",\"component\":\"line-set-indoor-1\",\"instrument\":\"%s\"}",
                            UUID.randomUUID(), where[1], line.getKey()));
            String unit = line.getKey().startsWith("thermo") ? "Cel" : "Pa";
            double value = line.getKey().startsWith("gauge") ? 2e6 : 20;
            new Thread(() -> send(address, token, unit, value), line.getKey()).start();
        }
    }

    private static String found(String text, String pattern) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException("Nothing like " + pattern);
        }
        return matcher.group(1);
    }

    private static void send(String address, String token, String unit, double value) {
        HttpClient http = HttpClient.newHttpClient();
        try {
            for (long sent = 0; ; sent++) {
                String pack = String.format(
                        Locale.ROOT,
                        "[{\"bn\":\"a\",\"u\":\"%s\",\"v\":%.3f,\"t\":%.3f,\"bt\":%d}]",
                        unit,
                        value + sent % 7,
                        System.currentTimeMillis() % 1000 / 1000.0,
                        System.currentTimeMillis() / 1000);
                HttpResponse<String> answer = http.send(
                        HttpRequest.newBuilder(URI.create(address + "/api/senml"))
                                .header("Content-Type", "application/senml+json")
                                .header("Authorization", "Bearer " + token)
                                .POST(HttpRequest.BodyPublishers.ofString(pack))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() != 200) {
                    throw new IllegalStateException(answer.statusCode() + " " + answer.body());
                }
                Thread.sleep(BETWEEN_MS);
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
