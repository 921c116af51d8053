package org.undanus.core.curve;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.LoggerFile;
import org.undanus.core.evidence.LoggerFile.Dialect;
import org.undanus.core.evidence.LoggerGuess;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Trace;
import org.undanus.core.quantity.Dimension;

/** The loggers' files beside the tests, read as they are. */
final class Logs {
    static final Instant START = Instant.parse("2026-06-03T09:14:05Z");

    /** A column of one, in SI. */
    record Log(Trace trace, Outline outline) {}

    private Logs() {}

    static byte[] bytes(String name) {
        try (InputStream in = Logs.class.getResourceAsStream(name + ".csv")) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Dialect dialect(String name) {
        return LoggerGuess.of(bytes(name), ZoneOffset.UTC, START);
    }

    static Log column(String name, int which, Dimension dimension) {
        Dialect dialect = dialect(name);
        int column = dialect.values().get(which);
        List<Instant> at = new ArrayList<>();
        List<BigDecimal> values = new ArrayList<>();
        Trace trace = LoggerFile.read(
                        new ByteArrayInputStream(bytes(name)),
                        dialect,
                        List.of(new LoggerFile.Wanted(
                                column,
                                LoggerGuess.unit(dialect.columns().get(column), dimension)
                                        .orElseThrow(),
                                dimension,
                                si -> true,
                                (time, value) -> {
                                    at.add(time);
                                    values.add(value);
                                })),
                        rows -> {})
                .get(0);
        Outline.Builder builder = new Outline.Builder(trace.from());
        for (int i = 0; i < at.size(); i++) {
            builder.sample(at.get(i), trace.unit().toSi(values.get(i).doubleValue()));
        }
        return new Log(trace, builder.outline());
    }
}
