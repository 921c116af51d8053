package org.undanus.core.evidence;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.LoggerFile.Clock;
import org.undanus.core.evidence.LoggerFile.Dialect;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;

/** How a logger seems to write, told from the beginning of one of its files. Whoever brought the file may say otherwise. */
public final class LoggerGuess {
    /** Bytes of a file that are looked at. */
    public static final int LOOKED_AT = 64 * 1024;

    private static final String UTF_8 = "UTF-8";
    private static final String WESTERN = "windows-1252";
    private static final char[] DELIMITERS = {';', '\t', ',', '|'};
    private static final int FEWEST_ROWS = 2;
    private static final int LAST_MONTH = 12;
    private static final Pattern POINTED = Pattern.compile("[-+]?\\d+(\\.\\d+)?");
    private static final Pattern COMMAED = Pattern.compile("[-+]?\\d+(,\\d+)?");
    private static final Pattern DATE = Pattern.compile("(\\d{1,4})([-./])(\\d{1,2})[-./](\\d{1,4})([T ].*)?");
    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d{2}(:\\d{2}([.,]\\d+)?)?( ?[AaPp][Mm])?.*");
    private static final Pattern BRACKETED = Pattern.compile("[\\[(]([^\\])]+)[\\])]");

    private LoggerGuess() {}

    /**
     * What the file looks like.
     *
     * @param start of times that count from one
     * @throws TraceCsv.Unreadable where it looks like no logger's file
     */
    public static Dialect of(byte[] head, ZoneId zone, Instant start) {
        byte[] looked = head.length > LOOKED_AT ? Arrays.copyOf(head, LOOKED_AT) : head;
        for (byte letter : looked) {
            if (letter == 0) {
                throw new TraceCsv.Unreadable("This is no text file. Export the log as CSV, then choose that.");
            }
        }
        String encoding = encoding(looked);
        String text = new String(looked, encoding.equals(UTF_8) ? StandardCharsets.UTF_8 : Charset.forName(encoding));
        String whole = looked.length == head.length && head.length < LOOKED_AT
                ? text
                : text.substring(0, Math.max(0, text.lastIndexOf('\n')));
        Candidate best = null;
        for (char delimiter : DELIMITERS) {
            Candidate candidate = Candidate.of(whole, delimiter);
            if (candidate != null && (best == null || candidate.score() > best.score())) {
                best = candidate;
            }
        }
        if (best == null) {
            throw new TraceCsv.Unreadable(
                    "No rows with a time and a value were found. Export the log as CSV, then choose that.");
        }
        return best.dialect(encoding, zone, start);
    }

    private static String encoding(byte[] looked) {
        for (int cut = 0; cut < 4 && cut < looked.length; cut++) {
            try {
                // the last letter may have been cut in two
                StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(looked, 0, looked.length - cut));
                return UTF_8;
            } catch (CharacterCodingException e) {
                // one byte less
            }
        }
        return WESTERN;
    }

    /**
     * This way of writing with the columns that the file has when it is read so.
     *
     * @throws TraceCsv.Unreadable where a row then has no time and value
     */
    public static Dialect columns(byte[] head, Dialect dialect) {
        List<List<String>> first = rows(head, dialect, 1);
        int count = first.isEmpty() ? 0 : first.get(0).size();
        if (count < 2 || dialect.time() >= count) {
            throw new TraceCsv.Unreadable(
                    "Read so, its first row of samples has no time and value: \"{first}\".",
                    (first.isEmpty() ? "" : String.join(" ", first.get(0))));
        }
        List<String> names = new ArrayList<>(Collections.nCopies(count, ""));
        if (dialect.headings() > 0) {
            List<List<String>> above = rows(head, dialect.after(dialect.headings() - 1), 1);
            for (int i = 0; !above.isEmpty() && i < Math.min(count, above.get(0).size()); i++) {
                names.set(i, above.get(0).get(i).strip());
            }
        }
        return dialect.with(names);
    }

    /** The first rows of samples as they are written, to be looked at. */
    public static List<List<String>> rows(byte[] head, Dialect dialect, int most) {
        List<List<String>> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> all = LoggerFile.open(new ByteArrayInputStream(head), dialect)) {
            for (CsvRecord row : all) {
                if (row.getStartingLineNumber() > dialect.headings() && rows.size() < most) {
                    rows.add(row.getFields());
                }
            }
        } catch (CsvParseException | UncheckedIOException e) {
            // the head may end within a letter or a quotation; its first rows are there
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return rows;
    }

    /** The unit that a column's heading names, in one of these dimensions. */
    public static Optional<FieldUnit> unit(String heading, Dimension dimension) {
        Matcher bracketed = BRACKETED.matcher(heading);
        while (bracketed.find()) {
            Optional<FieldUnit> found =
                    FieldUnit.named(dimension, bracketed.group(1).strip());
            if (found.isPresent()) {
                return found;
            }
        }
        String[] words = heading.strip().split("[\\s_,]+");
        for (int from = 0; from < words.length; from++) {
            Optional<FieldUnit> found =
                    FieldUnit.named(dimension, String.join(" ", Arrays.copyOfRange(words, from, words.length)));
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** A file parted at one letter. */
    private record Candidate(
            char delimiter, List<CsvRecord> rows, int first, int time, boolean parted, boolean elapsed) {

        static Candidate of(String text, char delimiter) {
            List<CsvRecord> rows;
            try {
                rows = CsvReader.builder()
                        .fieldSeparator(delimiter)
                        .detectBomHeader(true)
                        .skipEmptyLines(true)
                        .allowExtraFields(true)
                        .allowMissingFields(true)
                        .ofCsvRecord(text.startsWith("\uFEFF") ? text.substring(1) : text)
                        .stream()
                        .toList();
            } catch (CsvParseException e) {
                return null;
            }
            for (int i = 0; i < rows.size(); i++) {
                Candidate candidate = at(delimiter, rows, i);
                if (candidate != null) {
                    return candidate;
                }
            }
            return null;
        }

        /** Whether samples begin with this row. */
        private static Candidate at(char delimiter, List<CsvRecord> rows, int first) {
            CsvRecord row = rows.get(first);
            int fields = row.getFieldCount();
            if (fields < 2
                    || rows.size() - first < FEWEST_ROWS
                    || rows.get(first + 1).getFieldCount() != fields) {
                return null;
            }
            for (int column = 0; column < fields; column++) {
                Matcher date = DATE.matcher(row.getField(column).strip());
                if (date.matches()) {
                    boolean parted = date.group(5) == null;
                    boolean timed = !parted
                            || column + 1 < fields
                                    && CLOCK.matcher(row.getField(column + 1).strip())
                                            .matches();
                    Candidate candidate = new Candidate(delimiter, rows, first, column, parted, false);
                    return timed && candidate.numbers() > 0 ? candidate : null;
                }
            }
            boolean allNumbers = row.getFields().stream().allMatch(f -> number(f) || f.isBlank());
            boolean rising = allNumbers && value(rows.get(first + 1).getField(0)) > value(row.getField(0));
            return rising ? new Candidate(delimiter, rows, first, 0, false, true) : null;
        }

        private static boolean number(String field) {
            return POINTED.matcher(field.strip()).matches()
                    || COMMAED.matcher(field.strip()).matches();
        }

        private static double value(String field) {
            String text = field.strip().replace(',', '.');
            return POINTED.matcher(text).matches() ? Double.parseDouble(text) : Double.NaN;
        }

        /** Values in the first row. */
        private long numbers() {
            int used = parted ? 2 : 1;
            CsvRecord row = rows.get(first);
            long numbers = 0;
            for (int i = 0; i < row.getFieldCount(); i++) {
                boolean ofTime = i >= time && i < time + used;
                numbers += !ofTime && number(row.getField(i)) ? 1 : 0;
            }
            return numbers;
        }

        /** How much of a row is understood; a date counts more than a number that may mean anything. */
        double score() {
            return (numbers() + (elapsed ? 0.5 : 2)) / rows.get(first).getFieldCount()
                    + 0.01 * rows.get(first).getFieldCount();
        }

        Dialect dialect(String encoding, ZoneId zone, Instant start) {
            List<String> columns = new ArrayList<>();
            CsvRecord heading = first > 0
                            && rows.get(first - 1).getFieldCount()
                                    == rows.get(first).getFieldCount()
                    ? rows.get(first - 1)
                    : null;
            for (int i = 0; i < rows.get(first).getFieldCount(); i++) {
                columns.add(heading == null ? "" : heading.getField(i).strip());
            }
            return new Dialect(
                    encoding,
                    delimiter,
                    decimalComma(),
                    (int) rows.get(first).getStartingLineNumber() - 1,
                    clock(columns.get(time)),
                    time,
                    parted,
                    zone,
                    elapsed ? Optional.of(start) : Optional.empty(),
                    columns);
        }

        private boolean decimalComma() {
            return delimiter != ','
                    && rows.subList(first, rows.size()).stream()
                            .flatMap(row -> row.getFields().stream())
                            .map(String::strip)
                            .anyMatch(field -> COMMAED.matcher(field).matches() && field.contains(","));
        }

        private Clock clock(String heading) {
            if (elapsed) {
                return heading.toLowerCase(Locale.ROOT).matches(".*(\\bmin|_min|minute).*")
                        ? Clock.MINUTES
                        : Clock.SECONDS;
            }
            boolean dayAfterTwelve = false;
            for (CsvRecord row : rows.subList(first, rows.size())) {
                Matcher date = DATE.matcher(
                        row.getFieldCount() > time ? row.getField(time).strip() : "");
                if (!date.matches()) {
                    continue;
                }
                if (date.group(1).length() == 4) {
                    return Clock.YEAR_FIRST;
                }
                if (date.group(2).equals(".") || Integer.parseInt(date.group(1)) > LAST_MONTH) {
                    return Clock.DAY_FIRST;
                }
                dayAfterTwelve |= Integer.parseInt(date.group(3)) > LAST_MONTH;
            }
            boolean slashed = rows.get(first).getField(time).contains("/");
            return slashed || dayAfterTwelve ? Clock.MONTH_FIRST : Clock.DAY_FIRST;
        }
    }
}
