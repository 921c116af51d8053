package org.undanus.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fifty people save readings at a server on this machine, each about one every two seconds, and the time from sending to
 * verdict is measured. Arguments: address, people, saves per person.
 */
public final class SavingLoad {
    private static final long PAUSE_MS = 2000;
    private static final int WARM_UP_SAVES = 8;
    private static final Pattern ID = Pattern.compile("\"id\":\"([^\"]+)\",\"reference\"");
    private static final Pattern LAST_ID = Pattern.compile("\"id\":\"([^\"]+)\",\"typed\"");

    private final String address;
    private final int saves;
    private final ConcurrentLinkedQueue<Long> times = new ConcurrentLinkedQueue<>();

    private SavingLoad(String address, int saves) {
        this.address = address;
        this.saves = saves;
    }

    public static void main(String[] arguments) throws Exception {
        SavingLoad load = new SavingLoad(arguments[0], Integer.parseInt(arguments[2]));
        load.run(Integer.parseInt(arguments[1]));
    }

    private void run(int people) throws Exception {
        ExecutorService executor = Executors.newFixedThreadPool(people);
        List<Future<Void>> all = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            int number = i;
            Callable<Void> person = () -> {
                new Person().walk(number);
                return null;
            };
            all.add(executor.submit(person));
        }
        try {
            for (Future<Void> one : all) {
                one.get();
            }
        } finally {
            executor.shutdownNow();
        }
        double[] sorted = times.stream().mapToDouble(t -> t / 1e6).sorted().toArray();
        System.out.printf(
                "%d people, %d saves: median %.1f ms, p95 %.1f ms, p99 %.1f ms, longest %.1f ms%n",
                people,
                sorted.length,
                at(sorted, 0.5),
                at(sorted, 0.95),
                at(sorted, 0.99),
                Arrays.stream(sorted).max().orElse(0));
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, Math.round(share * sorted.length))];
    }

    private final class Person {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();

        private String send(String method, String path, String body) throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(address + path))
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .method(method, HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 400 && answer.statusCode() != 409) {
                throw new IllegalStateException(answer.statusCode() + " " + answer.body());
            }
            return answer.body();
        }

        /** Reads one line of one installation over and over; people share installations as they do in an office. */
        void walk(int number) throws IOException, InterruptedException {
            send("GET", "/api/session", "");
            send("POST", "/api/session", "{\"name\":\"inspector\",\"password\":\"inspector-demo\"}");
            List<String> ids = new ArrayList<>();
            Matcher matcher = ID.matcher(send("GET", "/api/installations", ""));
            while (matcher.find()) {
                ids.add(matcher.group(1));
            }
            String installation = ids.get(number % ids.size());
            String[] points = {
                "plate.serial",
                "plate.maker",
                "siting.outdoor-clearance-front",
                "siting.outdoor-clearance-back",
                "plate.model"
            };
            String point = points[number / ids.size() % points.length];
            String standing = standing(installation, point);
            for (int i = 0; i < saves; i++) {
                TimeUnit.MILLISECONDS.sleep(ThreadLocalRandom.current().nextLong(2 * PAUSE_MS));
                String id = UUID.randomUUID().toString();
                String typed = point.startsWith("plate") ? "X" + i : (30 + i) + " in";
                String body = String.format(
                        "{\"id\":\"%s\",\"point\":\"%s\",\"component\":\"outdoor-1\",\"typed\":\"%s\",\"grade\":\"WITNESSED\"%s,\"confirmed\":true}",
                        id, point, typed, standing.isEmpty() ? "" : ",\"basedOn\":\"" + standing + "\"");
                long before = System.nanoTime();
                String answer = send("POST", "/api/installations/" + installation + "/readings?units=US", body);
                if (i >= WARM_UP_SAVES) {
                    times.add(System.nanoTime() - before);
                }
                standing = answer.contains("\"route\"") ? id : standing(installation, point);
            }
        }

        private String standing(String installation, String point) throws IOException, InterruptedException {
            Matcher matcher = LAST_ID.matcher(send(
                    "GET", "/api/installations/" + installation + "/history?component=outdoor-1&point=" + point, ""));
            String last = "";
            while (matcher.find()) {
                last = matcher.group(1);
            }
            return last;
        }
    }
}
