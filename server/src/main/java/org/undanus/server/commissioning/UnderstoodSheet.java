package org.undanus.server.commissioning;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Years;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.view.CaseFile;

/** What a sheet says, understood line by line: all of it, or none. */
record UnderstoodSheet(String signedBy, LocalDate day, Weather weather, List<ClaimRow> claims) {
    private static final int MOST_PROBLEMS = 20;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_INSTRUMENT = 60;
    /** A day, a blank or a T, a time with or without seconds, and a zone where one is written. */
    private static final DateTimeFormatter TIME = new DateTimeFormatterBuilder()
            .parseCaseInsensitive()
            .append(DateTimeFormatter.ISO_LOCAL_DATE)
            .appendPattern("['T'][ ]")
            .append(DateTimeFormatter.ISO_LOCAL_TIME)
            .appendPattern("[ ]['['VV']'][ ][XXX][XX][X]['['VV']']")
            .toFormatter(Locale.ROOT);

    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm");

    /** Of the day, K; both null where nobody entered it. */
    record Weather(Double coldest, Double warmest) {

        /** @throws UnsuitableException where they are no temperatures, or one alone */
        static Weather of(Optional<String> coldest, Optional<String> warmest) {
            List<Text> problems = new ArrayList<>();
            Weather weather = of(coldest, warmest, problems);
            requireNone(problems, "weather");
            return weather;
        }

        private static Weather of(Optional<String> coldest, Optional<String> warmest, List<Text> problems) {
            Optional<Double> low = temperature("Coldest of the day", coldest, problems);
            Optional<Double> high = temperature("Warmest of the day", warmest, problems);
            if (low.isPresent() != high.isPresent() || low.isPresent() && low.get() > high.get()) {
                problems.add(Text.of("Weather: give the coldest and the warmest of the day, or neither."));
            }
            return new Weather(low.orElse(null), high.orElse(null));
        }
    }

    /**
     * @param record id of the record it becomes
     * @param today a record is of no day after tomorrow: its day may begin earlier than here
     * @throws UnsuitableException with every line that cannot be taken
     */
    static UnderstoodSheet of(RecordSheet sheet, String record, CaseFile file, LocalDate today) {
        List<Text> problems = new ArrayList<>();
        if (!sheet.installation().equals(file.header().reference())) {
            problems.add(Text.of(
                    "This is the record of {installation}, not of {reference}.",
                    sheet.installation().isEmpty() ? "no installation" : sheet.installation(),
                    file.header().reference()));
            requireNone(problems, "installation");
        }
        Optional<LocalDate> day = day(sheet.day(), today, problems);
        if (sheet.signedBy().isBlank() || sheet.signedBy().length() > LONGEST_NAME) {
            problems.add(Text.of("Signed by: say who signed it, in 1 to {longestName} characters.", LONGEST_NAME));
        }
        Weather weather = Weather.of(sheet.coldest(), sheet.warmest(), problems);
        if (sheet.rows().isEmpty()) {
            problems.add(Text.of("No line has a value."));
        }
        List<ClaimRow> claims = claims(record, sheet.rows(), file, problems);
        requireNone(problems, "values");
        return new UnderstoodSheet(sheet.signedBy().strip(), day.orElseThrow(), weather, claims);
    }

    private static void requireNone(List<Text> problems, String field) {
        if (!problems.isEmpty()) {
            int more = problems.size() - MOST_PROBLEMS;
            Text first = Text.lines(problems.stream().limit(MOST_PROBLEMS).toList());
            throw new UnsuitableException(
                    field,
                    (more > 0 ? Text.lines(List.of(first, Text.of("And {more} more.", more))) : first)
                            .then(Text.of("Nothing was saved.")));
        }
    }

    private static Optional<LocalDate> day(String written, LocalDate today, List<Text> problems) {
        try {
            LocalDate day = LocalDate.parse(written);
            if (Years.OF_VISITS.hold(day) && !day.isAfter(today.plusDays(1))) {
                return Optional.of(day);
            }
            problems.add(Text.of("Day: a record is of a day in {ofVisits} that has been.", Years.OF_VISITS));
        } catch (DateTimeParseException e) {
            problems.add(Text.of("Day: write it as 2026-09-01; not \"{written}\".", written));
        }
        return Optional.empty();
    }

    private static Optional<Double> temperature(String what, Optional<String> written, List<Text> problems) {
        try {
            return written.map(text ->
                    FieldNotation.parse(text, Dimension.TEMPERATURE).value().si());
        } catch (FieldNotationException e) {
            problems.add(Text.of("{what}: {why}", what, e.said()));
            return Optional.empty();
        }
    }

    private static List<ClaimRow> claims(
            String record, List<RecordSheet.Row> rows, CaseFile file, List<Text> problems) {
        Map<PointKey, Point> lines = RecordLines.of(file.facts()).stream()
                .collect(Collectors.toMap(RecordLines.Line::key, RecordLines.Line::point, (one, same) -> one));
        Set<PointKey> seen = new HashSet<>();
        List<ClaimRow> claims = new ArrayList<>();
        for (RecordSheet.Row row : rows) {
            PointKey key = new PointKey(row.line(), row.of());
            Point point = lines.get(key);
            String kept = row.value();
            try {
                if (point == null) {
                    throw new RefusedException(
                            "this installation's record has no line {line} of {row}.", row.line(), row.of());
                }
                if (!seen.add(key)) {
                    throw new RefusedException("the line has a value already.");
                }
                kept = kept(point, row, file);
            } catch (IllegalArgumentException e) {
                problems.add(Text.of("Line {number}: {why}", row.number(), RefusedException.said(e)));
            }
            claims.add(ClaimRow.unboxed(
                    UUID.randomUUID().toString(),
                    record,
                    row.line(),
                    row.of(),
                    kept,
                    row.readAt()
                            .flatMap(UnderstoodSheet::time)
                            .map(MINUTE::format)
                            .orElse(null),
                    row.instrument().orElse(null)));
        }
        return claims;
    }

    /**
     * What is kept of a value.
     *
     * @throws IllegalArgumentException with what cannot be taken
     */
    private static String kept(Point point, RecordSheet.Row row, CaseFile file) {
        if (row.readAt().isPresent()
                && row.readAt().flatMap(UnderstoodSheet::time).isEmpty()) {
            throw new RefusedException(
                    "a time needs its day, as 2026-09-01 14:05; not \"{readAt}\".",
                    row.readAt().get());
        }
        if (row.instrument().filter(name -> name.length() > LONGEST_INSTRUMENT).isPresent()) {
            throw new RefusedException(
                    "an instrument's name has {longestInstrument} characters at most.", LONGEST_INSTRUMENT);
        }
        Entry.Understood understood = Entry.understand(
                point,
                row.value(),
                accuracy(point, row.instrument(), file),
                file.facts().traces());
        Entry.requireSaidFromWhere(point, row.value(), understood);
        return understood.kept(row.value());
    }

    /** By the clock there: of a time with its zone the clock's part, which is what else was written that day. */
    static Optional<LocalDateTime> time(String written) {
        try {
            LocalDateTime at = LocalDateTime.from(TIME.parse(written.strip()));
            return Optional.of(at).filter(when -> Years.OF_VISITS.hold(when.toLocalDate()));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Of the instrument it names where the toolcase has it, else of the kind. */
    static Accuracy accuracy(Point point, Optional<String> instrument, CaseFile file) {
        return instrument
                .flatMap(file.facts().toolcase()::find)
                .flatMap(known -> point.dimension().flatMap(known::channel))
                .map(channel -> channel.accuracy())
                .orElseGet(() -> file.rules().accuracy(point.instrument()));
    }
}
