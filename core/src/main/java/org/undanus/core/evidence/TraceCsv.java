package org.undanus.core.evidence;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.function.DoublePredicate;
import java.util.regex.Pattern;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * The open form of a curve: a heading {@code time,UNIT}, then one sample a row, the time in ISO 8601 with its offset, the
 * value with a decimal point. Read a row at a time, however long it is; written, it is the same to the byte for the same
 * samples, and its SHA-256 names the curve.
 */
public final class TraceCsv {

    /** Takes samples as they were written. */
    @FunctionalInterface
    public interface Written {
        void sample(Instant at, BigDecimal value);
    }

    /** The file cannot be taken. The message is a sentence for whoever chose it. */
    public static final class Unreadable extends RefusedException {
        private static final long serialVersionUID = 1L;

        Unreadable(String template, Object... arguments) {
            super(template, arguments);
        }

        Unreadable(Text said) {
            super(said);
        }
    }

    /** A curve of which no sample can be read says nothing. */
    private static final int FEWEST = 2;

    private static final String TIME = "time";
    private static final int COLUMNS = 2;
    /** No gauge shows more digits. */
    static final Pattern NUMBER = Pattern.compile("[-+]?\\d{1,12}(?:\\.\\d{1,9})?");

    private final FieldUnit unit;
    private final DoublePredicate possible;
    private final MessageDigest digest;
    private Instant first;
    private Instant last;
    private long samples;
    private int decimals;
    private double least = Double.POSITIVE_INFINITY;
    private double most = Double.NEGATIVE_INFINITY;

    private final Dimension dimension;
    private final Written to;

    /**
     * Begins a curve that is given sample by sample.
     *
     * @param possible whether a value in SI can be a reading at all
     * @param to hears of each sample
     */
    TraceCsv(FieldUnit unit, Dimension dimension, DoublePredicate possible, Written to) {
        this.unit = unit;
        this.dimension = dimension;
        this.possible = possible;
        this.to = to;
        try {
            digest = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
        digest.update(bytes(heading(unit.symbol())));
    }

    /** The first row of a file whose values are in this unit. */
    public static String heading(String unit) {
        return TIME + "," + unit + "\n";
    }

    /** One more row. */
    public static String row(Instant at, BigDecimal value) {
        return at + "," + value.toPlainString() + "\n";
    }

    /**
     * Reads a file.
     *
     * @param possible whether a value in SI can be a reading at all
     * @param to hears of each sample
     * @return what it is
     * @throws Unreadable naming the row that cannot be taken
     */
    public static Trace read(InputStream in, Dimension dimension, DoublePredicate possible, Written to) {
        TraceCsv reading = null;
        try (CsvReader<CsvRecord> rows =
                CsvReader.builder().ofCsvRecord(new InputStreamReader(in, StandardCharsets.UTF_8.newDecoder()))) {
            for (CsvRecord row : rows) {
                if (row.getFieldCount() != COLUMNS) {
                    throw new Unreadable(
                            "Row {row}: a time and one value are wanted; more channels go into files of their own.",
                            row.getStartingLineNumber());
                }
                if (reading == null) {
                    reading = new TraceCsv(unit(row, dimension), dimension, possible, to);
                } else if (!row.getField(1).isBlank()) {
                    reading.take(row);
                }
            }
        } catch (CsvParseException e) {
            throw new Unreadable("The file is not CSV: {message}.", RefusedException.said(e));
        } catch (IOException e) {
            throw failed(e);
        } catch (UncheckedIOException e) {
            throw failed(e.getCause());
        }
        if (reading == null) {
            throw new Unreadable("A curve has a heading time,unit and two samples at least.");
        }
        return reading.trace();
    }

    /** Whether a file begins as a curve in the open form does. */
    public static boolean heads(byte[] head, Dimension dimension) {
        String first =
                new String(head, StandardCharsets.UTF_8).lines().findFirst().orElse("");
        String[] fields = first.split(",", -1);
        return fields.length == COLUMNS
                && fields[0].strip().equalsIgnoreCase(TIME)
                && FieldUnit.named(dimension, fields[1].strip()).isPresent();
    }

    static RuntimeException failed(IOException e) {
        return e instanceof CharacterCodingException
                ? new Unreadable("The file is not text in UTF-8.")
                : new UncheckedIOException(e);
    }

    private static FieldUnit unit(CsvRecord heading, Dimension dimension) {
        String symbol = heading.getField(1).strip();
        if (!heading.getField(0).strip().equalsIgnoreCase(TIME)) {
            throw new Unreadable("The first row is a heading: time, then the unit of the values.");
        }
        return FieldUnit.named(dimension, symbol)
                .orElseThrow(() -> new Unreadable(
                        "\"{unit}\" in the heading is no unit of {quantity}. Write {example}.",
                        shortened(symbol),
                        dimension.named(),
                        dimension.example()));
    }

    private void take(CsvRecord row) {
        String text = row.getField(1).strip();
        if (!NUMBER.matcher(text).matches()) {
            throw new Unreadable("Row " + row.getStartingLineNumber() + ": \"" + shortened(text)
                    + "\" is no number with a decimal point.");
        }
        take(row.getStartingLineNumber(), time(row), new BigDecimal(text));
    }

    /**
     * The next sample.
     *
     * @param row it stands in, for errors
     * @throws Unreadable where time does not go on, or the value cannot be
     */
    void take(long row, Instant at, BigDecimal value) {
        if (last != null && !at.isAfter(last)) {
            throw new Unreadable("Row " + row + ": its time is not after that of the row before.");
        }
        double si = unit.toSi(value.doubleValue());
        if (!possible.test(si)) {
            throw new Unreadable(
                    "Row {row}: {value} {unit} is not possible here.", row, value.toPlainString(), unit.symbol());
        }
        first = first == null ? at : first;
        last = at;
        samples++;
        decimals = Math.max(decimals, value.scale());
        least = Math.min(least, si);
        most = Math.max(most, si);
        digest.update(bytes(row(at, value)));
        to.sample(at, value);
    }

    /** The moment of the last sample; null before the first. */
    Instant last() {
        return last;
    }

    private static Instant time(CsvRecord row) {
        String text = row.getField(0).strip();
        try {
            OffsetDateTime read = OffsetDateTime.parse(text);
            if (Years.OF_VISITS.hold(read.getYear())) {
                return read.toInstant().truncatedTo(ChronoUnit.MILLIS);
            }
        } catch (DateTimeException e) {
            // said below
        }
        throw new Unreadable("Row " + row.getStartingLineNumber() + ": \"" + shortened(text)
                + "\" is no time with its offset, such as 2026-06-02T14:05:00+02:00.");
    }

    /**
     * The curve, once its last sample has been given.
     *
     * @throws Unreadable of fewer samples than make one
     */
    Trace trace() {
        if (samples < FEWEST) {
            throw new Unreadable("A curve has a heading time,unit and two samples at least.");
        }
        return new Trace(
                HexFormat.of().formatHex(digest.digest()),
                dimension,
                unit,
                first,
                last,
                samples,
                least,
                most,
                Math.abs(unit.factor()) * Math.pow(10, -decimals));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    static String shortened(String words) {
        return words.length() <= 40 ? words : words.substring(0, 40) + "…";
    }
}
