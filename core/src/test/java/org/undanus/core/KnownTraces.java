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

    /** Knows none by its name, but can follow any: from its least to its most. */
    static final Traces ANY = new Traces() {
        @Override
        public Optional<Trace> find(String sha256) {
            return Optional.empty();
        }

        @Override
        public void follow(Trace trace, Instant from, Instant until, Samples to) {
            Instant first = from.isAfter(trace.from()) ? from : trace.from();
            to.sample(first, trace.least());
            if (until.isAfter(first)) {
                to.sample(until.isBefore(trace.to()) ? until : trace.to(), trace.most());
            }
        }
    };

    /** One of ten minutes at most. */
    static Trace random(Point point, Random random) {
        Trace trace = new KnownTraces().add(point, "time,K\n2026-09-01T10:00:00Z,280\n2026-09-01T10:00:01Z,281\n");
        return new Trace(
                trace.sha256(),
                trace.dimension(),
                trace.unit(),
                trace.from(),
                trace.to().plusSeconds(random.nextInt(600)),
                2,
                trace.least(),
                trace.least() + random.nextInt(20) / 10.0,
                trace.resolution());
    }

    @Override
    public Optional<Trace> find(String sha256) {
        return Optional.ofNullable(traces.get(sha256));
    }

    @Override
    public void follow(Trace trace, Instant from, Instant until, Samples to) {
        TreeMap<Instant, Double> all = samples.get(trace.sha256());
        Instant first = Optional.ofNullable(all.floorKey(from)).orElse(all.firstKey());
        all.tailMap(first, true).headMap(until, true).forEach(to::sample);
    }
}
