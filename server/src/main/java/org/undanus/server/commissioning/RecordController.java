package org.undanus.server.commissioning;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.audit.Agreement;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.ReReadPlan;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Severity;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.DocumentRow;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.walk.AnsweredReading;
import org.undanus.view.CaseFile;

/** Commissioning records over HTTP. */
@RestController
@RequestMapping("/api")
class RecordController {
    private static final String CSV = "text/csv";
    /** For reading again, where nobody says how many there are. */
    private static final int MINUTES = 20;

    /** A line to be filled in. */
    record RecordLineView(
            String point,
            String component,
            String title,
            Point.Kind kind,
            List<Option> options,
            Optional<String> example) {}

    record NewClaim(
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no line") String point,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String component,
            @NotBlank(message = "is empty") @Size(max = 2000, message = "is longer than 2000 characters") String value,
            Optional<@Size(max = 16, message = "is no time") String> readAt,
            Optional<@Size(max = 60, message = "is longer than 60 characters") String> instrument) {}

    /** @param what for the reader; not read back */
    record FilledLine(
            @NotNull(message = "is missing") @Size(max = 80, message = "is no line") String line,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String of,
            Optional<@Size(max = 400, message = "is longer than 400 characters") String> what,
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String value,
            Optional<@Size(max = 16, message = "is no time") String> readAt,
            Optional<@Size(max = 60, message = "is longer than 60 characters") String> instrument) {}

    /** The template as JSON, empty or filled in; lines without a value are passed over. */
    record FilledTemplate(
            @NotNull(message = "is missing") String format,
            @NotNull(message = "is missing") @Size(max = 40, message = "is no reference") String installation,
            @NotNull(message = "is missing") @Size(max = 120, message = "is longer than 120 characters")
                    String signedBy,
            @NotNull(message = "is missing") @Size(max = 20, message = "is no day") String day,
            Optional<@Size(max = 20, message = "is no temperature") String> coldest,
            Optional<@Size(max = 20, message = "is no temperature") String> warmest,
            @NotNull(message = "is missing") @Size(max = 2000, message = "holds more than 2000")
                    List<@Valid @NotNull(message = "is empty") FilledLine> values) {}

    /** A record as it is typed. */
    record NewRecord(
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String signedBy,
            @NotNull(message = "is missing") LocalDate day,
            Optional<@Size(max = 20, message = "is no temperature") String> coldest,
            Optional<@Size(max = 20, message = "is no temperature") String> warmest,
            @NotNull(message = "is missing") @Size(min = 1, max = 2000, message = "holds none, or more than 2000")
                    List<@Valid @NotNull(message = "is empty") NewClaim> values) {}

    record RecordListed(String id, String signedBy, LocalDate day, int values, Optional<Integer> doubts, int open) {}

    record BroughtRecord(String id) {}

    record AmendedRecord(
            Optional<@Size(max = 20, message = "is no temperature") String> coldest,
            Optional<@Size(max = 20, message = "is no temperature") String> warmest,
            boolean released,
            int version) {}

    record BoxView(String document, int page, double left, double top, double width, double height) {}

    record DrawnBox(
            @NotBlank(message = "is empty") String document,
            int page,
            double left,
            double top,
            double width,
            double height) {}

    /**
     * @param own what others read on the line; empty where nobody did
     * @param agreement how the two stand to each other; empty where nobody read it or the crew may not see it yet
     * @param doubted whether a doubt rests on it
     */
    record ClaimView(
            String id,
            String point,
            String component,
            String title,
            String typed,
            Optional<String> readAt,
            Optional<String> instrument,
            Optional<String> own,
            Optional<Agreement> agreement,
            boolean doubted,
            Optional<BoxView> box) {}

    /** @param pages of a PDF, to be shown one by one; empty where it is a picture */
    record PaperView(
            String id,
            String name,
            String mediaType,
            int bytes,
            Optional<Integer> pages,
            String addedBy,
            Instant addedAt) {}

    record QuestionView(
            String id,
            String check,
            String subject,
            String question,
            String askedBy,
            Instant askedAt,
            Optional<String> answer,
            Optional<String> answeredBy,
            Optional<Instant> answeredAt,
            List<String> readings) {}

    /** @param why what was found there */
    record ReReadLine(String point, String component, String title, Severity stake, String why, String station) {}

    /**
     * A record with what does not fit together.
     *
     * @param found everything that was checked, doubts first; empty for a crew as long as it is not released
     * @param readAgain in walking order, within the minutes asked for
     */
    record RecordView(
            String id,
            String installationId,
            String reference,
            String title,
            String building,
            String crew,
            String signedBy,
            LocalDate day,
            Optional<String> coldest,
            Optional<String> warmest,
            boolean released,
            int version,
            List<ClaimView> values,
            List<PaperView> documents,
            List<FoundView> found,
            List<ReReadLine> readAgain,
            List<QuestionView> questions) {}

    record AskedQuestion(
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no check") String check,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String subject) {}

    record AskedQuestions(
            @NotNull(message = "is missing") @Size(min = 1, max = 50, message = "names none, or more than 50")
                    List<@Valid @NotNull(message = "is empty") AskedQuestion> questions) {}

    /** @param confirmed whether the person has been asked about an unusual value */
    record Answer(
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            @NotNull(message = "is missing") @Size(max = 20, message = "holds more than 20")
                    List<@Valid @NotNull(message = "is empty") AnsweredReading> readings,
            boolean confirmed) {}

    private final CommissioningRecords records;
    private final CrewAudits audits;
    private final RecordImports imports;
    private final CaseFiles cases;

    RecordController(CommissioningRecords records, CrewAudits audits, RecordImports imports, CaseFiles cases) {
        this.imports = imports;
        this.records = records;
        this.audits = audits;
        this.cases = cases;
    }

    /** The lines of an installation's record, in the order of the work. */
    @GetMapping("/installations/{id}/record-lines")
    List<RecordLineView> lines(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return RecordLines.of(cases.open(id, person).facts()).stream()
                .map(line -> new RecordLineView(
                        line.point().id(),
                        line.key().component(),
                        title(line.point(), line.subject().title()),
                        line.point().kind(),
                        line.point().options(),
                        line.point().notation().map(notation -> notation.example())))
                .toList();
    }

    private static String title(Point point, String subject) {
        return point.title() + (subject.isEmpty() || point.scope().ofSystem() ? "" : ", " + subject);
    }

    /** An empty record to be filled in with any spreadsheet. */
    @GetMapping(path = "/installations/{id}/record-template.csv", produces = CSV)
    ResponseEntity<byte[]> template(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        String name = "record-" + file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + ".csv";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(MediaType.parseMediaType(CSV))
                .body(RecordSheet.template(file.header().reference(), file.facts())
                        .getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/installations/{id}/records")
    List<RecordListed> all(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return records.of(file).stream()
                .map(row -> new RecordListed(
                        row.id(),
                        row.signedBy(),
                        row.recordedOn(),
                        records.claims(row.id()).size(),
                        maySee(row, person)
                                ? Optional.of((int) records.audited(row, file).found().stream()
                                        .filter(Found::doubtful)
                                        .count())
                                : Optional.empty(),
                        (int) records.questions(row.id()).stream()
                                .filter(question -> question.answer() == null)
                                .count()))
                .toList();
    }

    /** Takes in a record that was typed. */
    @PostMapping("/installations/{id}/records")
    @ResponseStatus(HttpStatus.CREATED)
    BroughtRecord bring(
            @PathVariable String id, @Valid @RequestBody NewRecord typed, @AuthenticationPrincipal Person person) {
        return new BroughtRecord(
                records.bring(id, reference -> sheet(reference, typed), person).id());
    }

    private static RecordSheet sheet(String reference, NewRecord typed) {
        List<RecordSheet.Row> rows = new ArrayList<>();
        for (NewClaim each : typed.values()) {
            rows.add(new RecordSheet.Row(
                    rows.size() + 1,
                    each.point(),
                    each.component(),
                    each.value().strip(),
                    each.readAt().filter(text -> !text.isBlank()),
                    each.instrument().filter(text -> !text.isBlank())));
        }
        return new RecordSheet(
                reference, typed.signedBy(), typed.day().toString(), typed.coldest(), typed.warmest(), rows);
    }

    /** Takes in a filled-in template. */
    @PostMapping(path = "/installations/{id}/record-template.csv", consumes = CSV)
    @ResponseStatus(HttpStatus.CREATED)
    BroughtRecord bringTable(
            @PathVariable String id, @RequestBody String table, @AuthenticationPrincipal Person person) {
        return new BroughtRecord(
                records.bring(id, reference -> RecordSheet.read(table), person).id());
    }

    /** The template of a record, filled as far as the installation is known, as JSON. */
    @GetMapping("/installations/{id}/record-template.json")
    FilledTemplate jsonTemplate(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return new FilledTemplate(
                RecordSheet.FORMAT,
                file.header().reference(),
                "",
                "",
                Optional.of(""),
                Optional.of(""),
                RecordLines.of(file.facts()).stream()
                        .map(line -> new FilledLine(
                                line.point().id(),
                                line.key().component(),
                                Optional.of(title(line.point(), line.subject().title())),
                                "",
                                Optional.of(""),
                                Optional.of("")))
                        .toList());
    }

    @PostMapping("/installations/{id}/record-template.json")
    @ResponseStatus(HttpStatus.CREATED)
    BroughtRecord bringJson(
            @PathVariable String id,
            @Valid @RequestBody FilledTemplate filled,
            @AuthenticationPrincipal Person person) {
        return new BroughtRecord(
                records.bring(id, reference -> sheet(filled), person).id());
    }

    private static RecordSheet sheet(FilledTemplate filled) {
        if (!filled.format().equals(RecordSheet.FORMAT)) {
            throw new UnsuitableException("format", "This reads " + RecordSheet.FORMAT + ". Nothing was saved.");
        }
        List<RecordSheet.Row> rows = new ArrayList<>();
        int number = 0;
        for (FilledLine line : filled.values()) {
            number++;
            if (!line.value().isBlank()) {
                rows.add(new RecordSheet.Row(
                        number,
                        line.line(),
                        line.of(),
                        line.value().strip(),
                        line.readAt().filter(text -> !text.isBlank()),
                        line.instrument().filter(text -> !text.isBlank())));
            }
        }
        return new RecordSheet(
                filled.installation(),
                filled.signedBy(),
                filled.day(),
                filled.coldest().filter(text -> !text.isBlank()),
                filled.warmest().filter(text -> !text.isBlank()),
                rows);
    }

    private static boolean maySee(RecordRow row, Person person) {
        return person.inspects() || row.released();
    }

    /** @param minutes there are for reading lines again */
    @GetMapping("/records/{id}")
    RecordView one(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
            @RequestParam(defaultValue = "" + MINUTES) @Min(0) @Max(1000) int minutes,
            @AuthenticationPrincipal Person person) {
        return view(records.visible(id, person), person, units.orElse(UnitSystem.SI), minutes);
    }

    private RecordView view(RecordRow row, Person person, UnitSystem units, int minutes) {
        CaseFile file = cases.open(row.installationId(), person);
        CommissioningRecords.Audited audited = records.audited(row, file);
        Evidence own = CommissioningRecords.own(file);
        boolean sees = maySee(row, person);
        List<Found> found = sees
                ? audited.found().stream()
                        .sorted(Comparator.comparingInt(RecordController::rank))
                        .toList()
                : List.of();
        List<ReReadLine> again = sees
                ? ReReadPlan.of(
                                file.facts(),
                                audited.record(),
                                own,
                                file.rules(),
                                audited.found(),
                                Duration.ofSeconds(minutes * 60.0))
                        .stream()
                        .map(line -> again(line, file, units))
                        .toList()
                : List.of();
        QuantityFormat format = QuantityFormat.of(units);
        return new RecordView(
                row.id(),
                row.installationId(),
                file.header().reference(),
                file.header().title(),
                file.header().building(),
                file.header().crew(),
                row.signedBy(),
                row.recordedOn(),
                Optional.ofNullable(row.coldest()).map(k -> format.format(Dimension.TEMPERATURE.of(k))),
                Optional.ofNullable(row.warmest()).map(k -> format.format(Dimension.TEMPERATURE.of(k))),
                row.released(),
                row.version(),
                records.claims(row.id()).stream()
                        .map(claim -> claim(claim, file, own, found, units))
                        .toList(),
                records.documents(row.id()).stream()
                        .map(RecordController::paper)
                        .toList(),
                found.stream()
                        .map(each -> FoundView.of(each, subject(file, each.subject()), units))
                        .toList(),
                again,
                records.questions(row.id()).stream()
                        .map(asked -> question(asked, file, units))
                        .toList());
    }

    /** Doubts first, then what is consistent, then what nothing can be told of. */
    private static int rank(Found found) {
        return found.doubtful() ? 0 : found.doubt().isPresent() ? 1 : 2;
    }

    private static ReReadLine again(ReReadPlan.Line line, CaseFile file, UnitSystem units) {
        Point point = RecordLines.point(line.key().point()).orElseThrow();
        return new ReReadLine(
                line.key().point(),
                line.key().component(),
                title(point, subject(file, line.key().component())),
                line.stake(),
                line.because().about().title() + ": " + line.because().because().in(units),
                line.key().point().split("\\.")[0]);
    }

    private static ClaimView claim(ClaimRow row, CaseFile file, Evidence own, List<Found> found, UnitSystem units) {
        PointKey key = new PointKey(row.point(), row.component());
        Optional<Point> point = RecordLines.point(row.point()).map(file.facts()::asked);
        Optional<String> read =
                own.latest(key).map(reading -> reading.value().in(units).orElseGet(reading::said));
        return new ClaimView(
                row.id(),
                row.point(),
                row.component(),
                point.map(p -> title(p, subject(file, row.component()))).orElse(row.point()),
                point.map(p -> p.said(row.typed())).orElse(row.typed()),
                Optional.ofNullable(row.claimedAt()).map(at -> at.replace('T', ' ')),
                Optional.ofNullable(row.instrument()),
                read,
                read.filter(any -> !found.isEmpty()).map(any -> Agreement.of(key, found)),
                found.stream().filter(Found::doubtful).anyMatch(each -> each.on()
                        .contains(key)),
                Optional.ofNullable(row.documentId())
                        .map(document -> new BoxView(
                                document, row.page(), row.boxLeft(), row.boxTop(), row.boxWidth(), row.boxHeight())));
    }

    /** What a unit or part is called. */
    private static String subject(CaseFile file, String id) {
        return file.facts().subject(id).map(Subject::title).orElse("");
    }

    private static PaperView paper(DocumentRow row) {
        return new PaperView(
                row.id(),
                row.name(),
                row.mediaType(),
                row.bytes(),
                Optional.ofNullable(row.pages()),
                row.addedBy(),
                row.addedAt());
    }

    private QuestionView question(QuestionRow row, Person person, UnitSystem units) {
        return question(row, cases.open(records.visible(row.recordId(), person).installationId(), person), units);
    }

    private static QuestionView question(QuestionRow row, CaseFile file, UnitSystem units) {
        List<String> ids = row.readingIds();
        return new QuestionView(
                row.id(),
                row.checkId(),
                row.subject(),
                row.question(),
                row.askedBy(),
                row.askedAt(),
                Optional.ofNullable(row.answer()),
                Optional.ofNullable(row.answeredBy()),
                Optional.ofNullable(row.answeredAt()),
                file.evidence().readings().stream()
                        .filter(reading -> ids.contains(reading.id().toString()))
                        .map(reading -> RecordLines.point(reading.key().point())
                                        .map(point -> title(
                                                point,
                                                subject(file, reading.key().component())))
                                        .orElse(reading.key().point())
                                + ": " + reading.value().in(units).orElseGet(reading::said))
                        .toList());
    }

    /** The weather of its day, and whether the crew's copy of the report has what was found. */
    @PutMapping("/records/{id}")
    RecordView amend(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
            @Valid @RequestBody AmendedRecord wanted,
            @AuthenticationPrincipal Person person) {
        RecordRow now =
                records.amend(id, wanted.coldest(), wanted.warmest(), wanted.released(), wanted.version(), person);
        return view(now, person, units.orElse(UnitSystem.SI), MINUTES);
    }

    /** Keeps a photo or PDF of the paper. */
    @PostMapping(path = "/records/{id}/documents", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    PaperView attach(
            @PathVariable String id,
            @RequestParam String name,
            @RequestBody byte[] content,
            @AuthenticationPrincipal Person person) {
        return paper(records.attach(id, name, content, person));
    }

    @GetMapping(
            path = "/record-documents/{id}",
            produces = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<byte[]> document(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CommissioningRecords.Content document = records.document(id, person);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(document.row().mediaType()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(document.row().name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(document.content());
    }

    /** A page of a PDF as a picture, to draw boxes on. */
    @GetMapping(path = "/record-documents/{id}/pages/{number}", produces = MediaType.IMAGE_PNG_VALUE)
    byte[] page(@PathVariable String id, @PathVariable int number, @AuthenticationPrincipal Person person) {
        return records.page(id, number, person);
    }

    /** Draws the box round a value on its document. */
    @PutMapping("/claims/{id}/box")
    BoxView box(@PathVariable String id, @Valid @RequestBody DrawnBox drawn, @AuthenticationPrincipal Person person) {
        ClaimRow now = records.box(
                id,
                Optional.of(new CommissioningRecords.Box(
                        drawn.document(), drawn.page(), drawn.left(), drawn.top(), drawn.width(), drawn.height())),
                person);
        return new BoxView(now.documentId(), now.page(), now.boxLeft(), now.boxTop(), now.boxWidth(), now.boxHeight());
    }

    @DeleteMapping("/claims/{id}/box")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unbox(@PathVariable String id, @AuthenticationPrincipal Person person) {
        records.box(id, Optional.empty(), person);
    }

    /** Asks the crew, one question for each doubt, in one letter. */
    @PostMapping("/records/{id}/questions")
    @ResponseStatus(HttpStatus.CREATED)
    List<QuestionView> ask(
            @PathVariable String id, @Valid @RequestBody AskedQuestions asked, @AuthenticationPrincipal Person person) {
        return records
                .ask(
                        id,
                        asked.questions().stream()
                                .map(each -> new CommissioningRecords.Asked(each.check(), each.subject()))
                                .toList(),
                        person)
                .stream()
                .map(question -> question(question, person, UnitSystem.SI))
                .toList();
    }

    @PostMapping("/questions/{id}/answer")
    @ResponseStatus(HttpStatus.CREATED)
    QuestionView answer(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
            @Valid @RequestBody Answer answer,
            @AuthenticationPrincipal Person person) {
        UnitSystem system = units.orElse(UnitSystem.SI);
        QuestionRow answered =
                records.answer(id, answer.words(), answer.readings(), answer.confirmed(), person, system);
        return question(answered, person, system);
    }

    /** Takes in many filled-in templates from one ZIP file; how it goes on is asked under its id. */
    @PostMapping(path = "/record-imports", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    RecordImport.RecordImportView beginImport(InputStream content, @AuthenticationPrincipal Person person) {
        return imports.begin(content, person);
    }

    @GetMapping("/record-imports/{id}")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    RecordImport.RecordImportView importState(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return imports.of(id, person.name()).view();
    }

    @DeleteMapping("/record-imports/{id}")
    @KeepsNothing
    RecordImport.RecordImportView cancelImport(@PathVariable String id, @AuthenticationPrincipal Person person) {
        RecordImport going = imports.of(id, person.name());
        going.cancel();
        return going.view();
    }

    /** Audits all records, crew by crew; how it goes on is asked under its id. */
    @PostMapping("/record-audits")
    @ResponseStatus(HttpStatus.ACCEPTED)
    @KeepsNothing
    CrewAudit.CrewAuditView begin(@RequestParam Optional<UnitSystem> units, @AuthenticationPrincipal Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Crews are looked at by the inspection office.");
        }
        return audits.begin(person.name(), units.orElse(UnitSystem.SI));
    }

    @GetMapping("/record-audits/{id}")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    CrewAudit.CrewAuditView state(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return audits.of(id, person.name()).view();
    }

    @DeleteMapping("/record-audits/{id}")
    @KeepsNothing
    CrewAudit.CrewAuditView cancel(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CrewAudit audit = audits.of(id, person.name());
        audit.cancel();
        return audit.view();
    }
}
