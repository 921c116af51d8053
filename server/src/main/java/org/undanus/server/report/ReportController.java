package org.undanus.server.report;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.hold.CalendarFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** Report, site note and owner's page over HTTP: as PDF, as a page for a screen and, for looking before printing, page by page. */
@RestController
@RequestMapping("/api/installations/{id}")
class ReportController {

    record Preview(int pages) {}

    /** A page that holds all it needs: nothing is fetched, nothing runs. */
    private static final String CONTENT_POLICY =
            "default-src 'none'; img-src data:; style-src 'unsafe-inline'; sandbox allow-modals; frame-ancestors 'none'";

    private static final LocalTime MORNING = LocalTime.of(9, 0);

    private final Clock clock;
    private final CaseFiles cases;
    private final Reports reports;

    ReportController(Clock clock, CaseFiles cases, Reports reports) {
        this.clock = clock;
        this.cases = cases;
        this.reports = reports;
    }

    /** What may be asked of a report; stations and readings are in it unless asked otherwise, derivations and photos are not. */
    record Asked(
            Optional<PaperSize> paper,
            Optional<Boolean> stations,
            Optional<Boolean> readings,
            Optional<Boolean> derivations,
            Optional<Boolean> photos) {
        private Reports.Wanted of(
                Reports.Document document, PaperSize usual, CaseFile file, Viewer viewer, HttpServletRequest request) {
            return new Reports.Wanted(
                    document,
                    viewer.wording(file.rules().display()),
                    paper.orElse(usual),
                    new Contents(
                            stations.orElse(true),
                            readings.orElse(true),
                            derivations.orElse(false),
                            photos.orElse(false)),
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
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return download(id, asked, viewer, person, request, Reports.Document.REPORT, "");
    }

    /** For reading on a screen, a telephone's too. */
    @GetMapping(value = "/report.html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> html(
            @PathVariable String id,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return onScreen(id, asked, viewer, person, request, Reports.Document.REPORT);
    }

    /** All that a crew has to put right, life first, with a code that leads to it. */
    @GetMapping(value = "/site-note.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> siteNote(
            @PathVariable String id,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return download(id, asked, viewer, person, request, Reports.Document.SITE_NOTE, "-site-note");
    }

    /** On one page, what the owner keeps. */
    @GetMapping(value = "/owner.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> owner(
            @PathVariable String id,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return download(id, asked, viewer, person, request, Reports.Document.OWNERS_PAGE, "-owner");
    }

    /** The owner's page for a telephone. */
    @GetMapping(value = "/owner.html", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> ownerOnScreen(
            @PathVariable String id,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return onScreen(id, asked, viewer, person, request, Reports.Document.OWNERS_PAGE);
    }

    /** The next service as a day in a calendar. */
    @GetMapping(value = "/next-service.ics", produces = "text/calendar")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    ResponseEntity<byte[]> nextService(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        LocalDate month = OwnersPage.nextService(file)
                .orElseThrow(() -> new UnsuitableException(
                        "next-service", "No next service is arranged yet: write its month at the handover."));
        byte[] content = CalendarFile.of(
                file.header().id() + "-next-service",
                clock.instant(),
                month.atTime(MORNING).atZone(file.facts().site().zone()).toInstant(),
                Text.of("Service, {installation}", file.header().title()).in(viewer.wording(UnitSystem.SI)),
                file.header().building() + ". " + file.header().crew() + ".");
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"next-service.ics\"")
                .body(content);
    }

    private ResponseEntity<String> onScreen(
            String id,
            Asked asked,
            Viewer viewer,
            Person person,
            HttpServletRequest request,
            Reports.Document document) {
        CaseFile file = cases.open(id, person);
        return ResponseEntity.ok()
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .header("Content-Security-Policy", CONTENT_POLICY)
                .body(reports.html(file, asked.of(document, PaperSize.SCREEN, file, viewer, request), person));
    }

    private ResponseEntity<byte[]> download(
            String id,
            Asked asked,
            Viewer viewer,
            Person person,
            HttpServletRequest request,
            Reports.Document document,
            String suffix) {
        CaseFile file = cases.open(id, person);
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + suffix + ".pdf";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(reports.pdf(file, asked.of(document, PaperSize.A4, file, viewer, request), person));
    }

    @GetMapping("/report")
    Preview preview(
            @PathVariable String id,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return new Preview(PdfPages.count(made(id, asked, viewer, person, request)));
    }

    @GetMapping(value = "/report/pages/{number}", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> page(
            @PathVariable String id,
            @PathVariable int number,
            @ParameterObject Asked asked,
            Viewer viewer,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request) {
        return ResponseEntity.ok(reports.page(made(id, asked, viewer, person, request), number));
    }

    private byte[] made(String id, Asked asked, Viewer viewer, Person person, HttpServletRequest request) {
        CaseFile file = cases.open(id, person);
        return reports.pdf(file, asked.of(Reports.Document.REPORT, PaperSize.A4, file, viewer, request), person);
    }
}
