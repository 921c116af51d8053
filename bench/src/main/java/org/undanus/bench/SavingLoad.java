package org.undanus.bench;

import java.io.IOException;
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
 * verdict is measured; between them as many empty requests of the same size, so that the ratio of the two says something on any
 * machine. Arguments: address, people, saves per person.
 */
public final class SavingLoad {
    private static final long PAUSE_MS = 2000;
    private static final int WARM_UP_SAVES = 8;
    /** Of so few, none is left out to warm up. */
    private static final int FEW = 10;

    private static final Pattern ID = Pattern.compile("\"id\":\"([^\"]+)\",\"reference\"");
    private static final Pattern SEALED = Pattern.compile("\"sealedAs\":\"");
    private static final Pattern LAST_ID = Pattern.compile("\"id\":\"([^\"]+)\",\"typed\"");

    private final String address;
    private final int saves;
    private final ConcurrentLinkedQueue<Long> times = new ConcurrentLinkedQueue<>();
    /** Of requests as large that ask for nothing but who is signed in: what the machine and the way there take. */
    private final ConcurrentLinkedQueue<Long> empty = new ConcurrentLinkedQueue<>();

    /** Installations that may be read on: what is sealed takes no more readings. */
    private final List<String> open = new ArrayList<>();

    private SavingLoad(String address, int saves) {
        this.address = address;
        this.saves = saves;
    }

    private void findOpen() throws IOException, InterruptedException {
        Caller caller = new Caller(address);
        Matcher found = ID.matcher(caller.send("GET", "/api/installations", ""));
        while (found.find()) {
            String visits = caller.send("GET", "/api/installations/" + found.group(1) + "/visits", "");
            if (!SEALED.matcher(visits).find()) {
                open.add(found.group(1));
            }
        }
    }

    public static void main(String[] arguments) throws Exception {
        SavingLoad load = new SavingLoad(arguments[0], Integer.parseInt(arguments[2]));
        load.run(Integer.parseInt(arguments[1]));
    }

    private void run(int people) throws Exception {
        findOpen();
        ExecutorService executor = Executors.newFixedThreadPool(people);
        List<Future<Void>> all = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            int number = i;
            // one after another: so many sign-ins under one name at once are taken for guessing
            Person person = new Person();
            Callable<Void> walk = () -> {
                person.walk(number);
                return null;
            };
            all.add(executor.submit(walk));
        }
        try {
            for (Future<Void> one : all) {
                one.get();
            }
        } finally {
            executor.shutdownNow();
        }
        double[] sorted = sorted(times);
        double[] nothing = sorted(empty);
        System.out.printf(
                "%d people, %d saves: median %.1f ms, p95 %.1f ms, p99 %.1f ms, longest %.1f ms%n",
                people,
                sorted.length,
                at(sorted, 0.5),
                at(sorted, 0.95),
                at(sorted, 0.99),
                Arrays.stream(sorted).max().orElse(0));
        System.out.printf(
                "as many empty requests: median %.1f ms, p95 %.1f ms; a save's p95 is %.1f times that (aim: 3 at most)%n",
                at(nothing, 0.5), at(nothing, 0.95), at(sorted, 0.95) / at(nothing, 0.95));
    }

    private static double[] sorted(ConcurrentLinkedQueue<Long> nanoseconds) {
        return nanoseconds.stream().mapToDouble(t -> t / 1e6).sorted().toArray();
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, Math.round(share * sorted.length))];
    }

    private final class Person {
        private final Caller caller;

        private Person() throws IOException, InterruptedException {
            this.caller = new Caller(address);
        }

        private String send(String method, String path, String body) throws IOException, InterruptedException {
            return caller.send(method, path, body);
        }

        private int warmUp() {
            return saves < FEW ? 0 : WARM_UP_SAVES;
        }

        /** Reads one line of one installation over and over; people share installations as they do in an office. */
        void walk(int number) throws IOException, InterruptedException {
            String installation = open.get(number % open.size());
            String[] points = {
                "plate.serial",
                "plate.maker",
                "siting.outdoor-clearance-front",
                "siting.outdoor-clearance-back",
                "plate.model"
            };
            String point = points[number / open.size() % points.length];
            String standing = standing(installation, point);
            for (int i = 0; i < saves; i++) {
                TimeUnit.MILLISECONDS.sleep(
                        saves < FEW ? 0 : ThreadLocalRandom.current().nextLong(2 * PAUSE_MS));
                String id = UUID.randomUUID().toString();
                String typed = point.startsWith("plate") ? "X" + i : (30 + i) + " in";
                String body = String.format(
                        "{\"id\":\"%s\",\"point\":\"%s\",\"component\":\"outdoor-1\",\"typed\":\"%s\",\"grade\":\"WITNESSED\"%s,\"confirmed\":true}",
                        id, point, typed, standing.isEmpty() ? "" : ",\"basedOn\":\"" + standing + "\"");
                long begun = System.nanoTime();
                send("GET", "/api/session", body);
                long before = System.nanoTime();
                if (i >= warmUp()) {
                    empty.add(before - begun);
                }
                String answer = send("POST", "/api/installations/" + installation + "/readings?units=US", body);
                if (i >= warmUp()) {
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
