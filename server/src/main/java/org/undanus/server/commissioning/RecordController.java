package org.undanus.server.commissioning;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.audit.Found;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** Commissioning records over HTTP: those of an installation, and one with what was found in it. */
@RestController
@RequestMapping("/api")
class RecordController {
    /** For reading again, where nobody says how many there are. */
    private static final int MINUTES = 20;

    record NewClaim(
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no line") String point,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String component,
            @NotBlank(message = "is empty") @Size(max = 2000, message = "is longer than 2000 characters") String value,
            Optional<@Size(max = 16, message = "is no time") String> readAt,
            Optional<@Size(max = 60, message = "is longer than 60 characters") String> instrument) {}

    /** A record as it is typed. */
    record NewRecord(
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String signedBy,
            @NotNull(message = "is missing") LocalDate day,
            Optional<@Size(max = 20, message = "is no temperature") String> coldest,
            Optional<@Size(max = 20, message = "is no temperature") String> warmest,
            @NotNull(message = "is missing") @Size(min = 1, max = 2000, message = "holds none, or more than 2000")
                    List<@Valid @NotNull(message = "is empty") NewClaim> values) {}

    record RecordListed(String id, String signedBy, LocalDate day, int values, Optional<Integer> doubts, int open) {}

    record AmendedRecord(
            Optional<@Size(max = 20, message = "is no temperature") String> coldest,
            Optional<@Size(max = 20, message = "is no temperature") String> warmest,
            boolean released,
            int version) {}

    private final CommissioningRecords records;
    private final RecordPapers papers;
    private final RecordQuestions questions;
    private final CaseFiles cases;

    RecordController(CommissioningRecords records, RecordPapers papers, RecordQuestions questions, CaseFiles cases) {
        this.records = records;
        this.papers = papers;
        this.questions = questions;
        this.cases = cases;
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
                        (int) questions.of(row.id()).stream()
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

    private static boolean maySee(RecordRow row, Person person) {
        return person.inspects() || row.released();
    }

    /** @param minutes there are for reading lines again */
    @GetMapping("/records/{id}")
    RecordView one(
            @PathVariable String id,
            Viewer viewer,
            @RequestParam(defaultValue = "" + MINUTES) @Min(0) @Max(1000) int minutes,
            @AuthenticationPrincipal Person person) {
        return view(records.visible(id, person), person, viewer.wording(UnitSystem.SI), minutes);
    }

    private RecordView view(RecordRow row, Person person, Wording wording, int minutes) {
        CaseFile file = cases.open(row.installationId(), person);
        return RecordView.of(
                new RecordView.Material(
                        records.audited(row, file),
                        records.claims(row.id()),
                        papers.of(row.id()),
                        questions.of(row.id())),
                maySee(row, person),
                wording,
                minutes);
    }

    /** The weather of its day, and whether the crew's copy of the report has what was found. */
    @PutMapping("/records/{id}")
    RecordView amend(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody AmendedRecord wanted,
            @AuthenticationPrincipal Person person) {
        RecordRow now =
                records.amend(id, wanted.coldest(), wanted.warmest(), wanted.released(), wanted.version(), person);
        return view(now, person, viewer.wording(UnitSystem.SI), MINUTES);
    }
}
