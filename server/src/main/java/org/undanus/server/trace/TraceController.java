package org.undanus.server.trace;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Trace;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.TemporaryFiles;
import org.undanus.view.CaseFile;

/** Logged curves over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/traces")
class TraceController {

    /** @param sha256 what a reading of the curve says */
    record TraceView(String sha256, Instant from, Instant to, long samples) {
        static TraceView of(Trace trace) {
            return new TraceView(trace.sha256(), trace.from(), trace.to(), trace.samples());
        }
    }

    private static final String SENML = "application/senml+json";

    private final Clock clock;
    private final TemporaryFiles temporary;
    private final TraceStore store;
    private final CaseFiles cases;
    private final TransactionTemplate transactions;

    TraceController(
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

    /** Keeps a logger's file for a line; a reading of its digest then makes it evidence. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    TraceView keep(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            InputStream content,
            @AuthenticationPrincipal Person person)
            throws IOException {
        Point of = curve(cases.open(id, person), new PointKey(point, component));
        // whoever sends slowly must not hold the installation meanwhile
        Path file = temporary.file(".csv");
        try {
            Files.copy(content, file, StandardCopyOption.REPLACE_EXISTING);
            return transactions.execute(status -> kept(id, of, file, person));
        } finally {
            Files.delete(file);
        }
    }

    private TraceView kept(String id, Point point, Path file, Person person) {
        cases.openForWriting(id, person);
        try (InputStream csv = Files.newInputStream(file)) {
            return TraceView.of(store.keep(id, point, csv, person.name(), clock.instant()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Point curve(CaseFile file, PointKey key) {
        Point point = file.line(key)
                .orElseThrow(() -> new NotFoundException("This installation has no such line."))
                .point();
        if (point.kind() != Point.Kind.CURVE) {
            throw new UnsuitableException("point", Text.of("{point} takes no logger's file.", point.title()));
        }
        return point;
    }

    /** A curve as CSV. */
    @GetMapping(path = "/{sha256}", produces = "text/csv")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "text/csv", schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<StreamingResponseBody> csv(
            @PathVariable String id, @PathVariable String sha256, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        InputStream csv = store.csv(id, sha256);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + sha256 + ".csv\"")
                .body(csv::transferTo);
    }

    /** A curve as SenML (RFC 8428), in pascals and degrees Celsius. */
    @GetMapping(path = "/{sha256}/senml", produces = SENML)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = SENML, array = @ArraySchema(schema = @Schema(type = "object"))))
    ResponseEntity<StreamingResponseBody> senMl(
            @PathVariable String id, @PathVariable String sha256, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        InputStream pack = store.senMl(id, sha256);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(SENML))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + sha256 + ".json\"")
                .body(pack::transferTo);
    }
}
