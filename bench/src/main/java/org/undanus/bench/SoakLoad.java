package org.undanus.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Some people work at a server on this machine without a pause: they read the register and stations, save, print reports and
 * take cases out; how much memory its process has is told as it goes on, and once nobody asks for anything any more. Arguments:
 * address, the server's process, seconds of work, seconds of rest.
 */
public final class SoakLoad {
    private static final int PEOPLE = 6;
    private static final int TOLD = 10;
    private static final double KILOBYTES = 1024;
    private static final Pattern ID = Pattern.compile("\"id\":\"([^\"]+)\",\"reference\"");
    private static final Pattern RESIDENT = Pattern.compile("VmRSS:\\s+(\\d+) kB");
    private static final List<String> STATIONS =
            List.of("papers", "siting", "electrical", "airside", "evacuation", "charge", "running");

    private final String address;
    private final Path status;
    private final long end;

    private SoakLoad(String address, String process, Duration work) {
        this.address = address;
        this.status = Path.of("/proc", process, "status");
        this.end = System.nanoTime() + work.toNanos();
    }

    public static void main(String[] arguments) throws Exception {
        Duration work = Duration.ofSeconds(Long.parseLong(arguments[2]));
        Duration rest = Duration.ofSeconds(Long.parseLong(arguments[3]));
        new SoakLoad(arguments[0], arguments[1], work).run(work, rest);
    }

    private double megabytes() throws IOException {
        Matcher found = RESIDENT.matcher(Files.readString(status));
        if (!found.find()) {
            throw new IOException("The memory of the server's process is not told here.");
        }
        return Long.parseLong(found.group(1)) / KILOBYTES;
    }

    private void run(Duration work, Duration rest) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
        List<Future<Long>> all = new ArrayList<>();
        double begun = megabytes();
        for (int i = 0; i < PEOPLE; i++) {
            // one after another: so many sign-ins under one name at once are taken for guessing
            Caller caller = new Caller(address);
            all.add(people.submit(() -> work(caller)));
        }
        List<Double> told = new ArrayList<>();
        try {
            for (int i = 0; i < TOLD; i++) {
                TimeUnit.NANOSECONDS.sleep(work.toNanos() / TOLD);
                told.add(megabytes());
                System.out.printf("after %d s: %.0f MB%n", work.toSeconds() * (i + 1) / TOLD, told.get(i));
            }
            long requests = 0;
            for (Future<Long> one : all) {
                requests += one.get();
            }
            TimeUnit.NANOSECONDS.sleep(rest.toNanos());
            System.out.printf(
                    "%d requests; %.0f MB at the start, %.0f MB at half the time, %.0f MB at its end: %+.0f MB in the second half;"
                            + " %.0f MB after %d s of rest%n",
                    requests,
                    begun,
                    told.get(TOLD / 2 - 1),
                    told.get(TOLD - 1),
                    told.get(TOLD - 1) - told.get(TOLD / 2 - 1),
                    megabytes(),
                    rest.toSeconds());
        } finally {
            people.shutdownNow();
        }
    }

    private long work(Caller caller) throws IOException, InterruptedException {
        List<String> installations = new ArrayList<>();
        Matcher found = ID.matcher(caller.send("GET", "/api/installations", ""));
        while (found.find()) {
            installations.add(found.group(1));
        }
        long requests = 0;
        while (System.nanoTime() < end) {
            ThreadLocalRandom random = ThreadLocalRandom.current();
            String one = "/api/installations/" + installations.get(random.nextInt(installations.size()));
            switch (random.nextInt(20)) {
                case 0 -> caller.send("GET", one + "/report.pdf?units=US", "");
                case 1 -> caller.send("GET", one + "/case.zip?photos=NONE", "");
                case 2, 3, 4 -> caller.send("GET", "/api/installations?size=50", "");
                case 5, 6, 7, 8 -> save(caller, one);
                default -> caller.send("GET", one + "/stations/" + STATIONS.get(random.nextInt(STATIONS.size())), "");
            }
            requests++;
        }
        return requests;
    }

    /** What is sealed takes no more readings; that is refused here as everywhere. */
    private static void save(Caller caller, String installation) throws IOException, InterruptedException {
        try {
            caller.send(
                    "POST",
                    installation + "/readings",
                    "{\"id\":\"" + UUID.randomUUID()
                            + "\",\"point\":\"siting.outdoor-clearance-back\",\"component\":\"outdoor-1\",\"typed\":\"31 in\","
                            + "\"grade\":\"WITNESSED\",\"confirmed\":true}");
        } catch (IllegalStateException refused) {
            if (!refused.getMessage().startsWith("4")) {
                throw refused;
            }
        }
    }
}
