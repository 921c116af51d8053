package org.undanus.server.report;

import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;

/** The report over HTTP: the PDF itself and, for looking before printing, its pages. */
@RestController
@RequestMapping("/api/installations/{id}")
class ReportController {

    record Preview(int pages) {}

    private final CaseFiles cases;
    private final Reports reports;

    ReportController(CaseFiles cases, Reports reports) {
        this.cases = cases;
        this.reports = reports;
    }

    @GetMapping(value = "/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @PathVariable String id,
            @RequestParam Optional<Paper> paper,
            @RequestParam Optional<UnitSystem> units,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(made(file, paper, units, person));
    }

    @GetMapping("/report")
    Preview preview(
            @PathVariable String id,
            @RequestParam Optional<Paper> paper,
            @RequestParam Optional<UnitSystem> units,
            @AuthenticationPrincipal Person person) {
        return new Preview(reports.pages(made(cases.open(id, person), paper, units, person)));
    }

    @GetMapping(value = "/report/pages/{number}", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> page(
            @PathVariable String id,
            @PathVariable int number,
            @RequestParam Optional<Paper> paper,
            @RequestParam Optional<UnitSystem> units,
            @AuthenticationPrincipal Person person) {
        return ResponseEntity.ok(reports.page(made(cases.open(id, person), paper, units, person), number));
    }

    private byte[] made(CaseFile file, Optional<Paper> paper, Optional<UnitSystem> units, Person person) {
        return reports.pdf(file, units.orElse(file.rules().display()), paper.orElse(Paper.A4), person);
    }
}
