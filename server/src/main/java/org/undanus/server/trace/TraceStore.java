package org.undanus.server.trace;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Enumeration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.LoggerFile;
import org.undanus.core.evidence.LoggerFile.Dialect;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.TraceCsv;
import org.undanus.core.evidence.Traces;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.words.RefusedException;
import org.undanus.server.installation.CaseMaterial;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.trace.TraceMapper.Chunk;
import org.undanus.server.trace.TraceMapper.TraceRow;

/** The curves there are, each at the installation it was logged at. None is ever changed, and none is held whole. */
@Service
public class TraceStore implements CaseMaterial.Curves {
    /** Of one curve's file. */
    public static final long MOST_BYTES = 64 * 1024 * 1024L;

    private static final int SENT_DECIMALS = 6;
    private static final long MOST_OUTLINES = 2000;

    private final TraceMapper mapper;
    private final Journal journal;
    private final Cache<Part, Outline> outlines =
            Caffeine.newBuilder().maximumSize(MOST_OUTLINES).build();

    TraceStore(TraceMapper mapper, Journal journal) {
        this.mapper = mapper;
        this.journal = journal;
    }

    @Override
    public Traces curves(String installation) {
        return new OfInstallation(installation, this);
    }

    private record OfInstallation(String installation, TraceStore store) implements Traces {
        @Override
        public Optional<Trace> find(String sha256) {
            return Optional.ofNullable(store.mapper.find(installation, sha256)).map(TraceRow::trace);
        }

        @Override
        public void follow(Trace trace, Instant from, Instant until, Samples to) {
            Between between = new Between(from, until, trace, to);
            String id = store.row(installation, trace.sha256()).id();
            Chunk first = store.mapper.chunkAt(id, from);
            store.each(id, first == null ? store.mapper.chunkAfter(id, from) : first, until, between);
            between.end();
        }

        @Override
        public Outline outline(Trace trace, Instant from, Instant until) {
            return store.outlines.get(
                    new Part(installation, trace.sha256(), from, until),
                    part -> Traces.super.outline(trace, from, until));
        }
    }

    /** A stretch of a curve, which never changes. */
    private record Part(String installation, String sha256, Instant from, Instant until) {}

    /** Lets samples through from the last one on that is not after a moment until another. */
    private static final class Between implements TraceCsv.Written {
        private final Instant from;
        private final Instant until;
        private final Trace trace;
        private final Traces.Samples to;
        private Instant heldAt;
        private double held;

        private Between(Instant from, Instant until, Trace trace, Traces.Samples to) {
            this.from = from;
            this.until = until;
            this.trace = trace;
            this.to = to;
        }

        @Override
        public void sample(Instant at, BigDecimal value) {
            if (at.isAfter(until)) {
                return;
            }
            if (at.isAfter(from)) {
                end();
                to.sample(at, trace.unit().toSi(value.doubleValue()));
            } else {
                heldAt = at;
                held = trace.unit().toSi(value.doubleValue());
            }
        }

        private void end() {
            if (heldAt != null) {
                to.sample(heldAt, held);
                heldAt = null;
            }
        }
    }

    private TraceRow row(String installation, String sha256) {
        TraceRow row = mapper.find(installation, sha256);
        if (row == null) {
            throw new NotFoundException("This installation has no such curve.");
        }
        return row;
    }

    private void each(String id, Chunk first, Instant until, TraceCsv.Written to) {
        for (Chunk chunk = first;
                chunk != null && !chunk.fromAt().isAfter(until);
                chunk = mapper.chunkAfter(id, chunk.fromAt())) {
            TraceChunk.unpack(chunk.fromAt(), chunk.content(), to);
        }
    }

    /** All of an installation, by their beginning. */
    @Transactional(readOnly = true)
    public List<Trace> of(String installation) {
        return mapper.of(installation).stream().map(TraceRow::trace).toList();
    }

    /**
     * Keeps a curve; one that is kept already stays as it is. The installation is held for one writer.
     *
     * @param point it is a curve of
     * @throws UnsuitableException naming the row that cannot be taken
     */
    @Transactional
    public Trace keep(String installation, Point point, InputStream csv, String by, Instant at) {
        Keeping keeping = new Keeping();
        Trace trace =
                readable(() -> TraceCsv.read(csv, point.dimension().orElseThrow(), point::possible, keeping.chunks));
        return keeping.keep(installation, trace, by, at);
    }

    /**
     * A column of a logger's own file.
     *
     * @param point it is a curve of
     */
    record Column(Point point, int column, FieldUnit unit) {}

    /**
     * Keeps columns of a logger's own file, each as a curve, in their order.
     *
     * @throws UnsuitableException naming the row that cannot be taken; nothing is kept then
     */
    @Transactional
    List<Trace> keep(
            String installation, InputStream file, Dialect dialect, List<Column> columns, String by, Instant at) {
        List<Keeping> keepings = columns.stream().map(column -> new Keeping()).toList();
        List<LoggerFile.Wanted> wanted = IntStream.range(0, columns.size())
                .mapToObj(i -> new LoggerFile.Wanted(
                        columns.get(i).column,
                        columns.get(i).unit,
                        columns.get(i).point.dimension().orElseThrow(),
                        columns.get(i).point::possible,
                        keepings.get(i).chunks))
                .toList();
        List<Trace> traces = readable(() -> LoggerFile.read(file, dialect, wanted, rows -> {}));
        return IntStream.range(0, columns.size())
                .mapToObj(i -> keepings.get(i).keep(installation, traces.get(i), by, at))
                .toList();
    }

    private static <T> T readable(Supplier<T> reading) {
        try {
            return reading.get();
        } catch (TraceCsv.Unreadable e) {
            throw new UnsuitableException("file", RefusedException.said(e));
        }
    }

    /** A curve whose chunks are kept before it is known which curve it is. */
    private final class Keeping {
        private final String id = UUID.randomUUID().toString();
        private final Chunks chunks = new Chunks(id);

        private Trace keep(String installation, Trace trace, String by, Instant at) {
            TraceRow known = mapper.find(installation, trace.sha256());
            if (known != null) {
                mapper.forgetChunks(id);
                return known.trace();
            }
            chunks.end();
            TraceRow row = TraceRow.of(id, installation, trace, by, at);
            mapper.insert(row);
            journal.write(by, "trace.added", id, row.state(row.sha256()));
            return trace;
        }
    }

    private final class Chunks implements TraceCsv.Written {
        private final String id;
        private TraceChunk chunk = new TraceChunk();

        private Chunks(String id) {
            this.id = id;
        }

        @Override
        public void sample(Instant at, BigDecimal value) {
            chunk.add(at, value);
            if (chunk.full()) {
                end();
            }
        }

        private void end() {
            if (chunk.from() != null) {
                mapper.insertChunk(id, chunk.from(), chunk.packed());
                chunk = new TraceChunk();
            }
        }
    }

    /**
     * A curve as CSV, made a chunk at a time while it is read.
     *
     * @throws NotFoundException where there is no such curve
     */
    public InputStream csv(String installation, String sha256) {
        return csv(row(installation, sha256));
    }

    InputStream csv(TraceRow row) {
        return pieces(row, TraceCsv.heading(row.unit()), TraceCsv::row, "");
    }

    /**
     * A curve as a pack of SenML, made a chunk at a time while it is read.
     *
     * @throws NotFoundException where there is no such curve
     */
    InputStream senMl(String installation, String sha256) {
        TraceRow row = row(installation, sha256);
        FieldUnit unit = row.trace().unit();
        boolean warmth = row.trace().dimension() == Dimension.TEMPERATURE;
        FieldUnit sent = warmth ? FieldUnit.named(Dimension.TEMPERATURE, "°C").orElseThrow() : null;
        String head = "[{\"bn\":\"urn:undanus:" + sha256 + "\",\"bt\":"
                + seconds(row.trace().from()) + ",\"bu\":\"" + (warmth ? "Cel" : "Pa") + "\"}";
        return pieces(
                row,
                head,
                (at, value) -> {
                    double si = unit.toSi(value.doubleValue());
                    BigDecimal shown = BigDecimal.valueOf(sent == null ? si : sent.fromSi(si))
                            .setScale(SENT_DECIMALS, RoundingMode.HALF_UP)
                            .stripTrailingZeros();
                    BigDecimal later = seconds(at).subtract(seconds(row.trace().from()));
                    return ",{\"t\":" + later.stripTrailingZeros().toPlainString() + ",\"v\":" + shown.toPlainString()
                            + "}";
                },
                "]");
    }

    private static BigDecimal seconds(Instant at) {
        return BigDecimal.valueOf(at.toEpochMilli(), 3);
    }

    private InputStream pieces(TraceRow row, String head, BiFunction<Instant, BigDecimal, String> sample, String foot) {
        return new SequenceInputStream(new Enumeration<>() {
            private String text = head;
            private Instant reached = Instant.EPOCH;
            private boolean ended;

            @Override
            public boolean hasMoreElements() {
                return text != null;
            }

            @Override
            public InputStream nextElement() {
                InputStream piece = new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
                Chunk next = ended ? null : mapper.chunkAfter(row.id(), reached);
                text = next != null ? samples(next, sample) : ended ? null : foot;
                ended = next == null;
                reached = next == null ? reached : next.fromAt();
                return piece;
            }
        });
    }

    private static String samples(Chunk chunk, BiFunction<Instant, BigDecimal, String> sample) {
        StringBuilder samples = new StringBuilder();
        TraceChunk.unpack(chunk.fromAt(), chunk.content(), (at, value) -> samples.append(sample.apply(at, value)));
        return samples.toString();
    }
}
