package org.undanus.server.problem;

import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.undanus.core.rules.RuleBookException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.words.Languages;
import tools.jackson.core.JacksonException;

/** Turns every failure into problem+json. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Set<String> EMPTY = Set.of("is empty", "is missing");

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    private final Languages languages;

    ProblemAdvice(Languages languages) {
        this.languages = languages;
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "Not found", e.said());
    }

    @ExceptionHandler
    ProblemDetail notAllowed(NotAllowedException e) {
        return problem(HttpStatus.FORBIDDEN, "Not allowed", e.said());
    }

    @ExceptionHandler
    ProblemDetail notSignedIn(AuthenticationException e) {
        ProblemDetail problem = problem(HttpStatus.UNAUTHORIZED, "Not signed in", Text.plain(e.getMessage()));
        if (e instanceof CodeNeededException) {
            problem.setProperty("code", true);
        }
        return problem;
    }

    @ExceptionHandler
    ProblemDetail unsuitable(UnsuitableException e) {
        return unsuitableProblem(e);
    }

    private ProblemDetail unsuitableProblem(UnsuitableException e) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Cannot be taken", e.said());
        problem.setProperty("fields", Map.of(e.field(), problem.getDetail()));
        if (!e.choices().isEmpty()) {
            problem.setProperty("choices", e.choices());
        }
        return problem;
    }

    @ExceptionHandler
    ProblemDetail askFirst(AskFirstException e) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "Unusual value", e.said());
        problem.setProperty("ask", true);
        return problem;
    }

    @ExceptionHandler
    ProblemDetail conflict(ConflictException e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.said());
        problem.setProperty("yours", e.yours());
        problem.setProperty("theirs", e.theirs());
        return problem;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooManyTries(TooManyTriesException e) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.seconds()))
                .body(problem(HttpStatus.TOO_MANY_REQUESTS, "Slow down", e.said()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> busy(BusyException e) {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.retryAfter().toSeconds()))
                .body(problem(HttpStatus.SERVICE_UNAVAILABLE, "Busy", e.said()));
    }

    @ExceptionHandler
    ProblemDetail diskFull(DiskFullException e) {
        return problem(HttpStatus.INSUFFICIENT_STORAGE, "Disk full", e.said());
    }

    private record BookProblem(int line, String key, String message) {}

    @ExceptionHandler
    ProblemDetail ruleBook(RuleBookException e) {
        ProblemDetail problem = problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "Rule book cannot be read",
                Text.of(
                        "The rule book has {problems} problem(s); nothing was changed.",
                        e.problems().size()));
        Wording wording = wording();
        problem.setProperty(
                "problems",
                e.problems().stream()
                        .map(each -> new BookProblem(
                                each.line(), each.key(), each.message().in(wording)))
                        .toList());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail wrongKind(MethodArgumentTypeMismatchException e) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "Cannot be read",
                Text.of(
                        "\"{value}\" is not a value for {name}.",
                        shortened(String.valueOf(e.getValue())),
                        e.getName()));
    }

    @ExceptionHandler
    ProblemDetail empty(EmptyParameterException e) {
        return problem(HttpStatus.BAD_REQUEST, "Cannot be read", e.said());
    }

    @ExceptionHandler
    ProblemDetail doesNotFit(DataIntegrityViolationException e) {
        LOG.info("Refused by the database: {}", e.getMostSpecificCause().getMessage());
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "Cannot be taken",
                Text.of("Something in it is missing, too long or already there. Nothing was saved."));
    }

    @ExceptionHandler
    ProblemDetail database(DataAccessException e) {
        LOG.error("The database refused", e);
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Database",
                Text.of(
                        Saved.marked()
                                ? "It was saved, but the database did not answer in time for the rest. Load the page again."
                                : "The database did not answer in time. Nothing was saved; what you typed is still here. Try again."));
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        LOG.error("Unexpected", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Unexpected",
                Text.of(
                        Saved.marked()
                                ? "It was saved, but the answer to it could not be made. Load the page again and look before you go on. The server's log says more."
                                : "Something went wrong here that should not. Nothing was saved. The server's log says more."));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (FieldError error : e.getBindingResult().getFieldErrors()) {
            fields.putIfAbsent(error.getField(), error.getDefaultMessage());
        }
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, "Cannot be taken", mend(fields));
        problem.setProperty("fields", fields);
        return handleExceptionInternal(e, problem, headers, status, request);
    }

    /** What is to be entered, and what is wrong with the rest. */
    private static Text mend(Map<String, String> fields) {
        List<Text> empty = fields.entrySet().stream()
                .filter(field -> EMPTY.contains(field.getValue()))
                .map(field -> Text.of(field.getKey()))
                .toList();
        List<Text> wrong = fields.entrySet().stream()
                .filter(field -> !EMPTY.contains(field.getValue()))
                .map(field -> Text.of("{field} {wrong}", field.getKey(), field.getValue()))
                .toList();
        if (empty.isEmpty()) {
            return Text.of("Please correct: {wrong}.", Text.series(wrong));
        }
        return wrong.isEmpty()
                ? Text.of("Please enter: {empty}.", Text.series(empty))
                : Text.of("Please enter: {empty}. Please correct: {wrong}.", Text.series(empty), Text.series(wrong));
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Map<String, String> wrong = new LinkedHashMap<>();
        e.getParameterValidationResults()
                .forEach(result -> wrong.putIfAbsent(
                        result.getMethodParameter().getParameterName(),
                        result.getResolvableErrors().get(0).getDefaultMessage()));
        ProblemDetail problem = problem(HttpStatus.BAD_REQUEST, "Cannot be taken", mend(wrong));
        return handleExceptionInternal(e, problem, headers, status, request);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail problem = unreadable(e);
        return handleExceptionInternal(e, problem, headers, HttpStatusCode.valueOf(problem.getStatus()), request);
    }

    /** A file that is read after the request that brought it. */
    @ExceptionHandler
    ProblemDetail fileUnreadable(JacksonException e) {
        return unreadable(e);
    }

    /** More was sent than is taken, where whoever reads the request is not Spring. */
    @ExceptionHandler
    ProblemDetail streamTooLarge(UncheckedIOException e) {
        return cause(e, BodyTooLargeException.class)
                .map(large -> large.problem(wording()))
                .orElseGet(() -> unexpected(e));
    }

    private ProblemDetail unreadable(Throwable e) {
        Optional<BodyTooLargeException> tooLarge = cause(e, BodyTooLargeException.class);
        if (tooLarge.isPresent()) {
            return tooLarge.get().problem(wording());
        }
        Optional<UnsuitableException> unsuitable = cause(e, UnsuitableException.class);
        if (unsuitable.isPresent()) {
            return unsuitableProblem(unsuitable.get());
        }
        Optional<PlainText.ControlCharacterException> control = cause(e, PlainText.ControlCharacterException.class);
        if (control.isPresent()) {
            String field =
                    cause(e, JacksonException.class).map(ProblemAdvice::path).orElse("");
            ProblemDetail problem = problem(
                    HttpStatus.BAD_REQUEST,
                    "Cannot be taken",
                    Text.of(
                            "\"{field}\" {wrong}. Nothing was changed.",
                            shortened(field),
                            control.get().said()));
            problem.setProperty("fields", Map.of(field, control.get().said().in(wording())));
            return problem;
        }
        return problem(
                HttpStatus.BAD_REQUEST,
                "Cannot be read",
                cause(e, JacksonException.class)
                        .map(ProblemAdvice::notExpected)
                        .orElse(Text.of("What was sent is not the JSON expected. Nothing was changed.")));
    }

    private static Text notExpected(JacksonException e) {
        String path = shortened(path(e));
        long line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
        if (path.isEmpty()) {
            return line > 0
                    ? Text.of("What was sent is not the JSON expected in line {line}. Nothing was changed.", line)
                    : Text.of("What was sent is not the JSON expected. Nothing was changed.");
        }
        return line > 0
                ? Text.of(
                        "What was sent is not the JSON expected at \"{path}\" in line {line}. Nothing was changed.",
                        path,
                        line)
                : Text.of("What was sent is not the JSON expected at \"{path}\". Nothing was changed.", path);
    }

    /** Where in what was sent: {@code installations.[0].title}. */
    private static String path(JacksonException e) {
        return e.getPath().stream()
                .map(r -> r.getPropertyName() == null ? "[" + r.getIndex() + "]" : r.getPropertyName())
                .reduce((a, b) -> a + "." + b)
                .orElse("");
    }

    /** What the container cannot make sense of: a body in parts without a boundary, a parameter without a name. */
    @ExceptionHandler({MultipartException.class, InvalidParameterException.class})
    ProblemDetail malformed(RuntimeException e) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "Cannot be read",
                Text.of(
                        "The request is malformed: its parts or parameters cannot be told apart. Nothing was changed."));
    }

    private static <T extends Throwable> Optional<T> cause(Throwable thrown, Class<T> kind) {
        for (Throwable t = thrown; t != null; t = t.getCause()) {
            if (kind.isInstance(t)) {
                return Optional.of(kind.cast(t));
            }
        }
        return Optional.empty();
    }

    private static String shortened(String words) {
        return words.length() <= 80 ? words : words.substring(0, 80) + "…";
    }

    private ProblemDetail problem(HttpStatus status, String title, Text detail) {
        Wording wording = wording();
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail.in(wording));
        problem.setTitle(wording.say(title));
        return problem;
    }

    private Wording wording() {
        return new Wording(UnitSystem.SI, languages.ofRequest());
    }
}
