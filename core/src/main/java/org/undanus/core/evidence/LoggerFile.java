package org.undanus.core.evidence;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.function.LongConsumer;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.RefusedException;

/**
 * A logger's own file as it comes: some rows of heading, then a time and one or more values a row. How it is written is a
 * {@link Dialect}; {@link LoggerGuess} proposes one. Read a row at a time, however long it is.
 */
public final class LoggerFile {

    /** How times are written. */
    public enum Clock {
        /** Year, month, day. */
        YEAR_FIRST,
        /** Day, month, year. */
        DAY_FIRST,
        /** Month, day, year. */
        MONTH_FIRST,
        /** Seconds since the start. */
        SECONDS,
        /** Minutes since the start. */
        MINUTES;

        /** Whether times count from a start that the file does not tell. */
        public boolean elapsed() {
            return this == SECONDS || this == MINUTES;
        }

        double seconds(double number) {
            return this == MINUTES ? number * 60 : number;
        }
    }

    /**
     * How one logger writes.
     *
     * @param encoding of its letters
     * @param headings rows before the first sample
     * @param time the column the time stands in, from 0
     * @param parted whether the time of day stands in the column after the date
     * @param zone of times that say none
     * @param start of times that count from it
     * @param columns every column's heading, empty where it has none
     */
    public record Dialect(
            String encoding,
            char delimiter,
            boolean decimalComma,
            int headings,
            Clock clock,
            int time,
            boolean parted,
            ZoneId zone,
            Optional<Instant> start,
            List<String> columns) {
        public Dialect {
            columns = List.copyOf(columns);
            if (clock.elapsed() && start.isEmpty()) {
                throw new TraceCsv.Unreadable("Its times count from a start: say when that was.");
            }
        }

        /** This dialect with other columns. */
        Dialect with(List<String> others) {
            return new Dialect(encoding, delimiter, decimalComma, headings, clock, time, parted, zone, start, others);
        }

        /** This dialect with another number of rows before the first sample. */
        Dialect after(int rows) {
            return new Dialect(encoding, delimiter, decimalComma, rows, clock, time, parted, zone, start, columns);
        }

        /** The columns that hold values. */
        public List<Integer> values() {
            List<Integer> values = new ArrayList<>();
            for (int i = 0; i < columns.size(); i++) {
                if (i != time && !(parted && i == time + 1)) {
                    values.add(i);
                }
            }
            return values;
        }
    }

    /**
     * A column that is wanted.
     *
     * @param possible whether a value in SI can be a reading at all
     * @param to hears of each sample
     */
    public record Wanted(
            int column, FieldUnit unit, Dimension dimension, DoublePredicate possible, TraceCsv.Written to) {}

    private static final int MOST_DIGITS = 9;
    private static final int DATE_AND_TIME = 6;
    private static final int AFTER_NOON = 12;
    private static final int NANOS_OF_DIGIT = 1_000_000_000;
    private static final int TOLD_EVERY = 16_384;

    private final Dialect dialect;
    private final ZoneRules rules;
    private final int[] numbers = new int[DATE_AND_TIME + 1];
    private LocalDateTime before;

    private LoggerFile(Dialect dialect) {
        this.dialect = dialect;
        this.rules = dialect.zone().getRules();
    }

    /**
     * Reads a file.
     *
     * @param told hears now and then how many rows were read; may throw to end it
     * @return a curve for each wanted column, in their order
     * @throws TraceCsv.Unreadable naming the row that cannot be taken
     */
    public static List<Trace> read(InputStream in, Dialect dialect, List<Wanted> wanted, LongConsumer told) {
        LoggerFile file = new LoggerFile(dialect);
        List<TraceCsv> curves = wanted.stream()
                .map(w -> new TraceCsv(w.unit, w.dimension, w.possible, w.to))
                .toList();
        try (CsvReader<CsvRecord> rows = open(in, dialect)) {
            long number = 0;
            for (CsvRecord row : rows) {
                number++;
                if (row.getStartingLineNumber() > dialect.headings()) {
                    file.take(row, wanted, curves);
                }
                if (number % TOLD_EVERY == 0) {
                    told.accept(number);
                }
            }
        } catch (CsvParseException e) {
            throw new TraceCsv.Unreadable("The file is not CSV: {message}.", RefusedException.said(e));
        } catch (IOException e) {
            throw TraceCsv.failed(e);
        } catch (UncheckedIOException e) {
            throw TraceCsv.failed(e.getCause());
        }
        return curves.stream().map(TraceCsv::trace).toList();
    }

    static CsvReader<CsvRecord> open(InputStream in, Dialect dialect) {
        return CsvReader.builder()
                .fieldSeparator(dialect.delimiter())
                .detectBomHeader(true)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .ofCsvRecord(new InputStreamReader(
                        in,
                        Charset.forName(dialect.encoding())
                                .newDecoder()
                                .onMalformedInput(CodingErrorAction.REPORT)
                                .onUnmappableCharacter(CodingErrorAction.REPORT)));
    }

    private void take(CsvRecord row, List<Wanted> wanted, List<TraceCsv> curves) {
        long line = row.getStartingLineNumber();
        if (row.getFieldCount() <= dialect.time() + (dialect.parted() ? 1 : 0)
                || row.getField(dialect.time()).isBlank()) {
            if (row.getFields().stream().allMatch(String::isBlank)) {
                return;
            }
            throw new TraceCsv.Unreadable("Row {line}: it has no time.", line);
        }
        Instant at = time(row);
        for (int i = 0; i < curves.size(); i++) {
            Wanted w = wanted.get(i);
            String text =
                    w.column < row.getFieldCount() ? row.getField(w.column).strip() : "";
            if (!text.isEmpty()) {
                curves.get(i).take(line, at, value(line, text, w));
            }
        }
    }

    private BigDecimal value(long line, String text, Wanted wanted) {
        String number = text;
        int end = number.length();
        while (end > 0 && !Character.isDigit(number.charAt(end - 1))) {
            end--;
        }
        String unit = number.substring(end).strip();
        if (!unit.isEmpty()) {
            Optional<FieldUnit> said = FieldUnit.named(wanted.dimension, unit);
            if (said.filter(wanted.unit::equals).isEmpty()) {
                throw new TraceCsv.Unreadable(
                        "Row {line}: \"{text}\" is not in {unit} as the column is.",
                        line,
                        TraceCsv.shortened(text),
                        wanted.unit.symbol());
            }
            number = number.substring(0, end);
        }
        number = dialect.decimalComma() ? number.replace(',', '.') : number;
        if (!TraceCsv.NUMBER.matcher(number).matches()) {
            throw new TraceCsv.Unreadable(
                    "Row {line}: \"{text}\" is no number with a decimal {point}",
                    line,
                    TraceCsv.shortened(text),
                    (dialect.decimalComma() ? "comma." : "point."));
        }
        return new BigDecimal(number);
    }

    /** @throws TraceCsv.Unreadable naming the row */
    private Instant time(CsvRecord row) {
        String text = row.getField(dialect.time()).strip();
        if (dialect.clock().elapsed()) {
            try {
                double number = Double.parseDouble(dialect.decimalComma() ? text.replace(',', '.') : text);
                return dialect.start()
                        .orElseThrow()
                        .plusMillis(Math.round(dialect.clock().seconds(number) * 1000));
            } catch (NumberFormatException e) {
                throw noTime(row, text);
            }
        }
        String all =
                dialect.parted() ? text + " " + row.getField(dialect.time() + 1).strip() : text;
        try {
            Instant at = moment(all);
            if (Years.OF_VISITS.hold(at.atZone(ZoneOffset.UTC).getYear())) {
                return at;
            }
        } catch (DateTimeException e) {
            throw new TraceCsv.Unreadable(
                    "Row {row}: \"{all}\" {message}",
                    row.getStartingLineNumber(),
                    TraceCsv.shortened(all),
                    RefusedException.said(e));
        }
        throw noTime(row, all);
    }

    private static TraceCsv.Unreadable noTime(CsvRecord row, String text) {
        return new TraceCsv.Unreadable(
                "Row {row}: \"{text}\" is no time as this logger writes it.",
                row.getStartingLineNumber(),
                TraceCsv.shortened(text));
    }

    private Instant moment(String text) {
        int count = 0;
        int at = 0;
        int nanos = 0;
        while (at < text.length() && count < DATE_AND_TIME) {
            char c = text.charAt(at);
            if (!Character.isDigit(c)) {
                at++;
                continue;
            }
            int from = at;
            int number = 0;
            while (at < text.length() && Character.isDigit(text.charAt(at)) && at - from < MOST_DIGITS) {
                number = 10 * number + text.charAt(at++) - '0';
            }
            numbers[count++] = number;
        }
        if (count < DATE_AND_TIME - 1) {
            throw new DateTimeException("is no time as this logger writes it.");
        }
        int seconds = count == DATE_AND_TIME ? numbers[DATE_AND_TIME - 1] : 0;
        if (count == DATE_AND_TIME && at + 1 < text.length() && (text.charAt(at) == '.' || text.charAt(at) == ',')) {
            int unit = NANOS_OF_DIGIT;
            at++;
            while (at < text.length() && Character.isDigit(text.charAt(at)) && unit > 1) {
                unit /= 10;
                nanos += (text.charAt(at++) - '0') * unit;
            }
        }
        String rest = text.substring(at).strip();
        int hour = hour(numbers[3], rest);
        LocalDateTime local;
        try {
            local = switch (dialect.clock()) {
                case DAY_FIRST ->
                    LocalDateTime.of(year(numbers[2]), numbers[1], numbers[0], hour, numbers[4], seconds, nanos);
                case MONTH_FIRST ->
                    LocalDateTime.of(year(numbers[2]), numbers[0], numbers[1], hour, numbers[4], seconds, nanos);
                default -> LocalDateTime.of(numbers[0], numbers[1], numbers[2], hour, numbers[4], seconds, nanos);
            };
        } catch (DateTimeException e) {
            throw new DateTimeException("is no time as this logger writes it: day or month does not exist.");
        }
        return offset(rest).map(local::toInstant).orElseGet(() -> inZone(local));
    }

    private static int year(int written) {
        return written < 100 ? 2000 + written : written;
    }

    private static int hour(int written, String rest) {
        if (rest.regionMatches(true, 0, "PM", 0, 2)) {
            return written == AFTER_NOON ? written : written + AFTER_NOON;
        }
        return rest.regionMatches(true, 0, "AM", 0, 2) && written == AFTER_NOON ? 0 : written;
    }

    private static Optional<ZoneOffset> offset(String rest) {
        boolean said = rest.equals("Z") || rest.startsWith("+") || rest.startsWith("-");
        return said ? Optional.of(ZoneOffset.of(rest)) : Optional.empty();
    }

    /** The hour that comes twice in autumn is the later one once time would go back; the hour left out in spring there is none. */
    private Instant inZone(LocalDateTime local) {
        List<ZoneOffset> offsets = rules.getValidOffsets(local);
        if (offsets.isEmpty()) {
            throw new DateTimeException("does not exist in " + dialect.zone() + ": clocks were put forward over it.");
        }
        boolean again = offsets.size() > 1 && before != null && !local.isAfter(before);
        if (!again) {
            before = local;
        }
        return local.toInstant(offsets.get(again ? 1 : 0));
    }
}
