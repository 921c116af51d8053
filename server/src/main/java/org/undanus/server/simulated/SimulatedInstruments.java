package org.undanus.server.simulated;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.simulated.Act;

/**
 * Acts a pressure test and an evacuation out on a virtual line set, and sends what the gauges of the demo would show. Each begins
 * when a line listens, and is over once that line is kept or left; then it waits for the next.
 */
public final class SimulatedInstruments {
    /** The instruments of the demo that are acted, with the tokens that only the demo knows. */
    public static final Map<String, String> TOKENS = Stream.of(
                    "vacuum-1", "gauge-7", "thermo-4", "gauge-2", "psychro-1", "clamp-3", "hood-1")
            .collect(Collectors.toUnmodifiableMap(id -> id, id -> "demo-" + id));

    private static final long AGAIN_MS = 1000;
    private static final long BETWEEN_MS = 250;
    private static final int MOST_AT_ONCE = 500;
    private static final int OK = 200;
    private static final int NOBODY_LISTENS = 409;

    /**
     * @param to the address of the application
     * @param act one of {@link Act#NAMES}
     * @param speed by how much faster than in life
     */
    public record Asked(URI to, String act, double speed, long seed) {
        private static final String TO = "--to=";
        private static final String ACT = "--act=";
        private static final String SPEED = "--speed=";
        private static final String SEED = "--seed=";

        /** @throws IllegalArgumentException naming what cannot be understood */
        public static Asked of(List<String> arguments) {
            double speed = Double.parseDouble(option(arguments, SPEED, "60"));
            if (!(speed > 0 && speed <= 10_000)) {
                throw new IllegalArgumentException("The speed is over 0 and at most 10000 times that of life.");
            }
            Asked asked = new Asked(
                    URI.create(option(arguments, TO, "http://localhost:8080")),
                    option(arguments, ACT, "both"),
                    speed,
                    Long.parseLong(option(arguments, SEED, "1")));
            Act.named(asked.act, Act.Kind.EVACUATION);
            return asked;
        }

        private static String option(List<String> arguments, String name, String usual) {
            return arguments.stream()
                    .filter(argument -> argument.startsWith(name))
                    .map(argument -> argument.substring(name.length()))
                    .findFirst()
                    .orElse(usual);
        }
    }

    /** One instrument, and what it shows of a moment. */
    private record Sender(Packs.Sender packs, Act.Kind act, ToDoubleFunction<Act.Sample> shown) {
        private String instrument() {
            return packs.instrument();
        }
    }

    private static final List<Sender> SENDERS = List.of(
            new Sender(Packs.VACUUM, Act.Kind.EVACUATION, Act.Sample::shown),
            new Sender(Packs.GAUGE, Act.Kind.PRESSURE_TEST, Act.Sample::shown),
            new Sender(Packs.THERMOMETER, Act.Kind.PRESSURE_TEST, sample -> Temperature.ofKelvin(sample.wall())
                    .celsius()));

    private final Asked asked;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();

    private SimulatedInstruments(Asked asked) {
        this.asked = asked;
    }

    /** Sends until it is interrupted. */
    public static void run(String... arguments) {
        SimulatedInstruments instruments = new SimulatedInstruments(Asked.of(Arrays.asList(arguments)));
        List<Thread> all = SENDERS.stream()
                .map(sender -> new Thread(() -> instruments.act(sender), sender.instrument()))
                .toList();
        System.out.println("Acting \"" + instruments.asked.act + "\" at " + instruments.asked.speed
                + " times the speed of life, for " + instruments.asked.to
                + ". Let a line listen to vacuum-1, gauge-7 or thermo-4.");
        all.forEach(Thread::start);
        try {
            for (Thread each : all) {
                each.join();
            }
        } catch (InterruptedException e) {
            all.forEach(Thread::interrupt);
        }
    }

    private void act(Sender sender) {
        Act act = Act.named(asked.act, sender.act);
        try {
            while (true) {
                play(sender, act);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Waits until somebody listens, then plays from the beginning until nobody does, or the end. */
    private void play(Sender sender, Act act) throws InterruptedException {
        List<Act.Sample> samples = act.samples(new Random(asked.seed));
        Instant start = start(act);
        while (send(sender, samples.subList(0, 1), start) != OK) {
            Thread.sleep(AGAIN_MS);
            start = start(act);
        }
        System.out.println(sender.instrument() + ": a line listens.");
        long began = System.nanoTime();
        int sent = 1;
        int status = OK;
        while (status != NOBODY_LISTENS) {
            Thread.sleep(BETWEEN_MS);
            double reached = (System.nanoTime() - began) / 1e9 * asked.speed;
            int due = sent;
            while (due < samples.size()
                    && due - sent < MOST_AT_ONCE
                    && samples.get(due).seconds() <= reached) {
                due++;
            }
            // once it is over it asks now and then whether anybody listens still
            List<Act.Sample> next = due > sent ? samples.subList(sent, due) : samples.subList(sent - 1, sent);
            if (due > sent || sent == samples.size()) {
                status = send(sender, next, start);
                sent = status == OK ? due : sent;
                Thread.sleep(due > sent || status != OK || sent == samples.size() ? AGAIN_MS : 0);
            }
        }
        System.out.println(sender.instrument() + ": nobody listens any more.");
    }

    /** So that it ends now, and no sample lies ahead of the clock. */
    private Instant start(Act act) {
        return Instant.now().minusMillis((long) (1000 * act.lasting() * (1 - 1 / Math.max(1, asked.speed))));
    }

    /** The status answered; 0 where nobody answered. */
    private int send(Sender sender, List<Act.Sample> samples, Instant start) throws InterruptedException {
        String pack = sender.packs.values(samples.stream()
                .map(sample -> new Packs.Shown(
                        start.plusMillis((long) (1000 * sample.seconds())), sender.shown.applyAsDouble(sample)))
                .toList());
        HttpRequest request = HttpRequest.newBuilder(asked.to.resolve("/api/senml"))
                .header("Content-Type", "application/senml+json")
                .header("Authorization", "Bearer " + TOKENS.get(sender.instrument()))
                .timeout(Duration.ofSeconds(20))
                .POST(HttpRequest.BodyPublishers.ofString(pack))
                .build();
        try {
            HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != OK && answer.statusCode() != NOBODY_LISTENS) {
                System.out.println(sender.instrument() + ": " + answer.statusCode() + " " + answer.body());
            }
            return answer.statusCode();
        } catch (IOException notReached) {
            return 0;
        }
    }
}
