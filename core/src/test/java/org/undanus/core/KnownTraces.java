package org.undanus.core;

import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.TraceCsv;
import org.undanus.core.evidence.Traces;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;

/** Curves of tests, short enough to be held. */
public final class KnownTraces implements Traces {
    private final Map<String, Trace> traces = new HashMap<>();
    private final Map<String, TreeMap<Instant, Double>> samples = new HashMap<>();

    Trace add(Point point, String csv) {
        TreeMap<Instant, BigDecimal> read = new TreeMap<>();
        Trace trace = TraceCsv.read(
                new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)),
                point.dimension().orElseThrow(),
                point::possible,
                read::put);
        traces.put(trace.sha256(), trace);
        samples.put(trace.sha256(), new TreeMap<>());
        read.forEach(
                (at, value) -> samples.get(trace.sha256()).put(at, trace.unit().toSi(value.doubleValue())));
        return trace;
    }

    private static final int FOLLOWED = 24;

    /** Knows none by its name, but can follow any: up from its least to its most, or to and fro between them. */
    static final Traces ANY = new Traces() {
        @Override
        public Optional<Trace> find(String sha256) {
            return Optional.empty();
        }

        @Override
        public void follow(Trace trace, Instant from, Instant until, Samples to) {
            TreeMap<Instant, Double> all = new TreeMap<>();
            for (int i = 0; i < FOLLOWED; i++) {
                int place = trace.samples() % 2 == 0 ? i : i * 7 % FOLLOWED;
                all.put(
                        trace.from().plusMillis(trace.lasting().toMillis() * i / (FOLLOWED - 1)),
                        trace.least() + (trace.most() - trace.least()) * place / (FOLLOWED - 1));
            }
            within(all, from, until).forEach(to::sample);
        }
    };

    /** One of a day at most, between values that can be. */
    static Trace random(Point point, Random random) {
        Dimension dimension = point.dimension().orElseThrow();
        double one = between(point, random);
        double other = random.nextInt(4) == 0 ? one : between(point, random);
        Instant start = Instant.parse("2026-09-01T10:00:00Z");
        return new Trace(
                Long.toHexString(random.nextLong()),
                dimension,
                FieldUnit.named(dimension, dimension.usualUnits().get(0)).orElseThrow(),
                start,
                start.plusSeconds(1 + random.nextInt(random.nextBoolean() ? 600 : 86_400)),
                2 + random.nextInt(1000),
                Math.min(one, other),
                Math.max(one, other),
                random.nextBoolean() ? 0.1 : 1e-9);
    }

    private static double between(Point point, Random random) {
        double low = random.nextInt(5) == 0 ? point.lowestPossible() : point.least();
        double high = random.nextInt(5) == 0 ? point.highestPossible() : point.most();
        return low + (high - low) * random.nextDouble();
    }

    @Override
    public Optional<Trace> find(String sha256) {
        return Optional.ofNullable(traces.get(sha256));
    }

    @Override
    public void follow(Trace trace, Instant from, Instant until, Samples to) {
        within(samples.get(trace.sha256()), from, until).forEach(to::sample);
    }

    private static Map<Instant, Double> within(TreeMap<Instant, Double> all, Instant from, Instant until) {
        Instant first = Optional.ofNullable(all.floorKey(from)).orElse(all.firstKey());
        return all.tailMap(first, true).headMap(until, true);
    }
}
