package org.undanus.server.trace;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.undanus.core.evidence.TraceCsv;

/**
 * Some thousand samples in a row, compressed. Times and values are written as differences to the one before, the first time to
 * the chunk's beginning, values in steps of their own last digit, so that they come out as they were written.
 */
final class TraceChunk {
    /** Samples. */
    static final int MOST = 8192;

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final DataOutputStream out = new DataOutputStream(new DeflaterOutputStream(bytes));
    private Instant from;
    private int samples;
    private long time;
    private long steps;

    void add(Instant at, BigDecimal value) {
        try {
            long now = value.unscaledValue().longValueExact();
            from = samples == 0 ? at : from;
            out.writeByte(value.scale());
            out.writeLong(at.toEpochMilli() - (samples == 0 ? from.toEpochMilli() : time));
            out.writeLong(now - steps);
            time = at.toEpochMilli();
            steps = now;
            samples++;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Its first moment; null as long as it is empty. */
    Instant from() {
        return from;
    }

    boolean full() {
        return samples == MOST;
    }

    /** Ends it. */
    byte[] packed() {
        try {
            out.close();
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void unpack(Instant from, byte[] packed, TraceCsv.Written to) {
        long time = from.toEpochMilli();
        long steps = 0;
        try (DataInputStream in = new DataInputStream(new InflaterInputStream(new ByteArrayInputStream(packed)))) {
            for (int scale = in.read(); scale >= 0; scale = in.read()) {
                time += in.readLong();
                steps += in.readLong();
                to.sample(Instant.ofEpochMilli(time), BigDecimal.valueOf(steps, scale));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
