package org.undanus.server.commissioning;

import jakarta.validation.Valid;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.StationView;

/** What is to be filled in for a record, and filled-in templates that come back. */
@RestController
@RequestMapping("/api/installations/{id}")
class RecordTemplateController {
    private static final String CSV = "text/csv";

    /** A line to be filled in. */
    record RecordLineView(
            String point,
            String component,
            String title,
            Point.Kind kind,
            List<Option> options,
            Optional<String> example) {}

    private final CommissioningRecords records;
    private final CaseFiles cases;

    RecordTemplateController(CommissioningRecords records, CaseFiles cases) {
        this.records = records;
        this.cases = cases;
    }

    /** The lines of an installation's record, in the order of the work. */
    @GetMapping("/record-lines")
    List<RecordLineView> lines(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        Wording wording = viewer.wording(UnitSystem.SI);
        return RecordLines.of(cases.open(id, person).facts()).stream()
                .map(line -> new RecordLineView(
                        line.point().id(),
                        line.key().component(),
                        line.point().titled(line.subject().title()).in(wording),
                        line.point().kind(),
                        StationView.options(line.point(), wording),
                        line.point().notation().map(notation -> notation.example())))
                .toList();
    }

    /** An empty record to be filled in with any spreadsheet. */
    @GetMapping(path = "/record-template.csv", produces = CSV)
    ResponseEntity<byte[]> template(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        String name = "record-" + file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + ".csv";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .contentType(MediaType.parseMediaType(CSV))
                .body(RecordSheet.template(file.header().reference(), file.facts())
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** Takes in a filled-in template. */
    @PostMapping(path = "/record-template.csv", consumes = CSV)
    @ResponseStatus(HttpStatus.CREATED)
    BroughtRecord bringTable(
            @PathVariable String id, @RequestBody String table, @AuthenticationPrincipal Person person) {
        return new BroughtRecord(
                records.bring(id, reference -> RecordSheet.read(table), person).id());
    }

    /** The template of a record, filled as far as the installation is known, as JSON. */
    @GetMapping("/record-template.json")
    FilledTemplate jsonTemplate(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return FilledTemplate.of(cases.open(id, person));
    }

    @PostMapping("/record-template.json")
    @ResponseStatus(HttpStatus.CREATED)
    BroughtRecord bringJson(
            @PathVariable String id,
            @Valid @RequestBody FilledTemplate filled,
            @AuthenticationPrincipal Person person) {
        return new BroughtRecord(
                records.bring(id, reference -> filled.sheet(), person).id());
    }
}
