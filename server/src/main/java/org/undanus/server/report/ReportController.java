package org.undanus.server.report;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;

/** Report and site note over HTTP: as PDF, as a page for a screen and, for looking before printing, page by page. */
@RestController
@RequestMapping("/api/installations/{id}")
class ReportController {

    record Preview(int pages) {}

    /** A page that holds all it needs: nothing is fetched, nothing runs. */
    private static final String CONTENT_POLICY =
            "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox allow-modals; frame-ancestors 'none'";

    private final CaseFiles cases;
    private final Reports reports;

    ReportController(CaseFiles cases, Reports reports) {
        this.cases = cases;
        this.reports = reports;
    }

    /** What may be asked of a report; readings are in it unless asked otherwise, derivations and photos are not. */
    record Asked(
            Optional<Paper> paper,
            Optional<UnitSystem> units,
            Optional<Boolean> readings,
            Optional<Boolean> derivations,
            Optional<Boolean> photos) {
        private Reports.Wanted of(Reports.Document document, Paper usual, CaseFile file, HttpServletRequest request) {
            return new Reports.Wanted(
                    document,
                    units.orElse(file.rules().display()),
                    paper.orElse(usual),
                    new Contents(readings.orElse(true), derivations.orElse(false), photos.orElse(false)),
                    ServletUriComponentsBuilder.fromContextPath(request)
                            .path("/corrections")
                            .queryParam("installation", file.header().id())
                            .toUriString());
        }
    }

    @GetMapping(value = "/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @PathVariable String id,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        CaseFile file = cases.open(id, person);
        return download(
                file, "", reports.pdf(file, asked.of(Reports.Document.REPORT, Paper.A4, file, request), person));
    }

    /** For reading on a screen, a telephone's too. */
    @GetMapping(value = "/report.html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> html(
            @PathVariable String id,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        CaseFile file = cases.open(id, person);
        Reports.Wanted wanted = asked.of(Reports.Document.REPORT, Paper.SCREEN, file, request);
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .header("Content-Security-Policy", CONTENT_POLICY)
                .body(reports.html(file, wanted, person));
    }

    /** On one page, what a crew has to put right, with a code that leads to it. */
    @GetMapping(value = "/site-note.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> siteNote(
            @PathVariable String id,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        CaseFile file = cases.open(id, person);
        return download(
                file,
                "-site-note",
                reports.pdf(file, asked.of(Reports.Document.SITE_NOTE, Paper.A4, file, request), person));
    }

    private static ResponseEntity<byte[]> download(CaseFile file, String suffix, byte[] pdf) {
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + suffix + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(pdf);
    }

    @GetMapping("/report")
    Preview preview(
            @PathVariable String id,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return new Preview(reports.pages(made(id, asked, person, request)));
    }

    @GetMapping(value = "/report/pages/{number}", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> page(
            @PathVariable String id,
            @PathVariable int number,
            @ParameterObject Asked asked,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return ResponseEntity.ok(reports.page(made(id, asked, person, request), number));
    }

    private byte[] made(String id, @ParameterObject Asked asked, Person person, HttpServletRequest request) {
        CaseFile file = cases.open(id, person);
        return reports.pdf(file, asked.of(Reports.Document.REPORT, Paper.A4, file, request), person);
    }
}
