package org.undanus.server.trace;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.LoggerFile;
import org.undanus.core.evidence.LoggerFile.Dialect;
import org.undanus.core.evidence.LoggerGuess;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.TraceCsv;
import org.undanus.core.judgement.Station;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.TemporaryFiles;
import org.undanus.view.CaseFile;

/** Loggers' own files over HTTP: looked at first, so that a person sees how they are understood, then taken in. */
@RestController
@RequestMapping("/api/installations/{id}/logs")
class LogController {
    private static final int ROWS_SHOWN = 4;
    private static final int MOST_COLUMNS = 60;
    private static final Set<String> ENCODINGS = Set.of("UTF-8", "windows-1252");
    private static final Set<String> DELIMITERS = Set.of(";", ",", "\t", "|");

    /**
     * How a logger writes.
     *
     * @param delimiter one letter
     * @param headings rows before the first sample
     * @param time the column the time stands in, from 0
     * @param parted whether the time of day stands in the column after the date
     * @param zone of times that say none
     * @param start of times that count from it
     * @param columns how many there are
     */
    record Writing(
            @NotNull String encoding,
            @NotNull String delimiter,
            @NotNull boolean decimalComma,
            @NotNull int headings,
            @NotNull LoggerFile.Clock clock,
            @NotNull int time,
            @NotNull boolean parted,
            @NotNull String zone,
            Optional<Instant> start,
            @NotNull int columns) {

        static Writing of(Dialect dialect) {
            return new Writing(
                    dialect.encoding(),
                    String.valueOf(dialect.delimiter()),
                    dialect.decimalComma(),
                    dialect.headings(),
                    dialect.clock(),
                    dialect.time(),
                    dialect.parted(),
                    dialect.zone().getId(),
                    dialect.start(),
                    dialect.columns().size());
        }

        Dialect dialect() {
            if (!ENCODINGS.contains(encoding)
                    || !DELIMITERS.contains(delimiter)
                    || columns < 2
                    || columns > MOST_COLUMNS
                    || time < 0
                    || time >= columns) {
                throw new UnsuitableException(
                        "file", "A log has a time and a value in each row, parted by one letter.");
            }
            try {
                return new Dialect(
                        encoding,
                        delimiter.charAt(0),
                        decimalComma,
                        headings,
                        clock,
                        time,
                        parted,
                        zoneOf(zone),
                        start,
                        Collections.nCopies(columns, ""));
            } catch (IllegalArgumentException e) {
                throw new UnsuitableException("file", RefusedException.said(e));
            }
        }
    }

    /**
     * A line that may take a column.
     *
     * @param units its values may be in
     * @param column that seems to be meant
     * @param unit that column seems to be in
     */
    record Taker(String point, String title, List<String> units, Optional<Integer> column, Optional<String> unit) {}

    /**
     * What a file looks like.
     *
     * @param plain whether it is a curve in the open form, which needs no looking at
     * @param titles of the columns
     * @param rows the first ones
     * @param first moment of the first sample, as it is understood
     */
    record Look(
            boolean plain,
            Writing writing,
            List<String> titles,
            List<List<String>> rows,
            Optional<Instant> first,
            List<Taker> takers) {}

    /**
     * A column that is taken.
     *
     * @param sha256 what a reading of it says
     */
    record Taken(String point, String sha256, Instant from, Instant to, long samples) {}

    private final Clock clock;
    private final TemporaryFiles temporary;
    private final TraceStore store;
    private final CaseFiles cases;
    private final TransactionTemplate transactions;

    LogController(
            Clock clock,
            TemporaryFiles temporary,
            TraceStore store,
            CaseFiles cases,
            TransactionTemplate transactions) {
        this.clock = clock;
        this.temporary = temporary;
        this.store = store;
        this.cases = cases;
        this.transactions = transactions;
    }

    private static ZoneId zoneOf(String name) {
        try {
            return ZoneId.of(name);
        } catch (DateTimeException e) {
            throw new UnsuitableException(
                    "zone", Text.of("There is no time zone \"{name}\". Choose one, or UTC.", name));
        }
    }

    /** What a logger's file looks like, told from its beginning. */
    @PostMapping(path = "/look", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    Look look(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            @RequestParam String zone,
            InputStream content,
            @AuthenticationPrincipal Person person)
            throws IOException {
        PointKey key = new PointKey(point, component);
        List<Point> takers = takers(cases.open(id, person), key);
        byte[] head = content.readNBytes(LoggerGuess.LOOKED_AT + 1);
        return looked(head, key, takers, () -> LoggerGuess.of(head, zoneOf(zone), clock.instant()));
    }

    /** What a logger's file looks like when it is read as a person says. */
    @PostMapping(path = "/look/as", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    Look lookAs(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            @Valid @ParameterObject Writing writing,
            InputStream content,
            @AuthenticationPrincipal Person person)
            throws IOException {
        PointKey key = new PointKey(point, component);
        List<Point> takers = takers(cases.open(id, person), key);
        byte[] head = content.readNBytes(LoggerGuess.LOOKED_AT + 1);
        return looked(head, key, takers, () -> LoggerGuess.columns(head, writing.dialect()));
    }

    private static Look looked(byte[] head, PointKey key, List<Point> takers, Supplier<Dialect> read) {
        try {
            Dialect dialect = read.get();
            List<List<String>> rows = LoggerGuess.rows(head, dialect, ROWS_SHOWN);
            return new Look(
                    takers.stream()
                            .filter(taker -> taker.id().equals(key.point()))
                            .anyMatch(taker ->
                                    TraceCsv.heads(head, taker.dimension().orElseThrow())),
                    Writing.of(dialect),
                    dialect.columns(),
                    rows,
                    first(head, dialect),
                    takers.stream().map(taker -> taker(taker, takers, dialect)).toList());
        } catch (TraceCsv.Unreadable e) {
            throw new UnsuitableException("file", RefusedException.said(e));
        }
    }

    /** The moment of the first sample; empty where the guess cannot be right. */
    private static Optional<Instant> first(byte[] head, Dialect dialect) {
        List<Instant> times = new ArrayList<>();
        try {
            LoggerFile.read(
                    new ByteArrayInputStream(head),
                    dialect,
                    List.of(new LoggerFile.Wanted(
                            dialect.values().get(0),
                            FieldUnit.named(Dimension.RATIO, "%").orElseThrow(),
                            Dimension.RATIO,
                            si -> true,
                            (at, value) -> times.add(at))),
                    rows -> {});
        } catch (TraceCsv.Unreadable e) {
            // it may be cut, or its first column be no number; what was read until then is what is asked
        }
        return times.stream().findFirst();
    }

    private static Taker taker(Point point, List<Point> all, Dialect dialect) {
        Dimension dimension = point.dimension().orElseThrow();
        Optional<Integer> named = dialect.values().stream()
                .filter(column -> LoggerGuess.unit(dialect.columns().get(column), dimension)
                        .isPresent())
                .findFirst();
        Optional<Integer> column =
                named.isEmpty() && all.size() == 1 ? dialect.values().stream().findFirst() : named;
        return new Taker(
                point.id(),
                point.title(),
                dimension.usualUnits(),
                column,
                column.flatMap(c -> LoggerGuess.unit(dialect.columns().get(c), dimension))
                        .map(FieldUnit::symbol));
    }

    /** The line asked for, and the others of its station and part that take curves too. */
    private static List<Point> takers(CaseFile file, PointKey key) {
        Point asked = file.line(key)
                .orElseThrow(() -> new NotFoundException("This installation has no such line."))
                .point();
        if (asked.kind() != Point.Kind.CURVE) {
            throw new UnsuitableException("point", Text.of("{asked} takes no logger's file.", asked.title()));
        }
        return Arrays.stream(Station.values())
                .map(file::lines)
                .filter(lines -> lines.stream().anyMatch(line -> line.key().equals(key)))
                .flatMap(List::stream)
                .filter(line -> line.key().component().equals(key.component()))
                .map(CaseFile.Line::point)
                .filter(point -> point.kind() == Point.Kind.CURVE)
                .toList();
    }

    /**
     * Takes columns of a logger's file in, all or none; a reading of each digest then makes it evidence.
     *
     * @param take for each line {@code point:column:unit}
     */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    List<Taken> take(
            @PathVariable String id,
            @RequestParam String component,
            @RequestParam List<String> take,
            @Valid @ParameterObject Writing writing,
            InputStream content,
            @AuthenticationPrincipal Person person)
            throws IOException {
        CaseFile file = cases.open(id, person);
        List<TraceStore.Column> columns = take.stream()
                .map(words -> column(file, component, words, writing))
                .toList();
        Dialect dialect = writing.dialect();
        // whoever sends slowly must not hold the installation meanwhile
        Path sent = temporary.file(".csv");
        try {
            Files.copy(content, sent, StandardCopyOption.REPLACE_EXISTING);
            return transactions.execute(status -> taken(id, sent, dialect, columns, person));
        } finally {
            Files.delete(sent);
        }
    }

    private static TraceStore.Column column(CaseFile file, String component, String words, Writing writing) {
        String[] parts = words.split(":", 3);
        if (parts.length != 3 || !parts[1].matches("\\d{1,2}")) {
            throw new UnsuitableException("take", "Say which line takes which column in which unit.");
        }
        Point point = file.line(new PointKey(parts[0], component))
                .orElseThrow(() -> new NotFoundException("This installation has no such line."))
                .point();
        int column = Integer.parseInt(parts[1]);
        if (point.kind() != Point.Kind.CURVE || column >= writing.columns()) {
            throw new UnsuitableException("take", Text.of("{point} cannot take that column.", point.title()));
        }
        FieldUnit unit = FieldUnit.named(point.dimension().orElseThrow(), parts[2])
                .orElseThrow(() -> new UnsuitableException(
                        "take",
                        Text.of(
                                "\"{unit}\" is no unit of {quantity}.",
                                parts[2],
                                point.dimension().orElseThrow().named())));
        return new TraceStore.Column(point, column, unit);
    }

    private List<Taken> taken(String id, Path sent, Dialect dialect, List<TraceStore.Column> columns, Person person) {
        cases.openForWriting(id, person);
        try (InputStream file = Files.newInputStream(sent)) {
            List<Trace> traces = store.keep(id, file, dialect, columns, person.name(), clock.instant());
            List<Taken> taken = new ArrayList<>();
            for (int i = 0; i < traces.size(); i++) {
                Trace trace = traces.get(i);
                taken.add(new Taken(
                        columns.get(i).point().id(), trace.sha256(), trace.from(), trace.to(), trace.samples()));
            }
            return taken;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
