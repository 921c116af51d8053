package org.undanus.server.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.InputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.undanus.server.account.Person;
import org.undanus.server.exchange.Import.ImportView;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.space.KeepsNothing;
import org.undanus.view.CaseFile;

/** Open files over HTTP. */
@RestController
@RequestMapping("/api")
class ExchangeController {

    /** Whether a file carries the photos, and what their cameras wrote about the place. */
    enum PhotoChoice {
        NONE,
        STRIPPED,
        POSITIONED
    }

    private final CaseExport exchange;
    private final Everything everything;
    private final Imports imports;
    private final CaseFiles cases;

    ExchangeController(CaseExport exchange, Everything everything, Imports imports, CaseFiles cases) {
        this.everything = everything;
        this.exchange = exchange;
        this.imports = imports;
        this.cases = cases;
    }

    @GetMapping("/installations/{id}/case.json")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    ResponseEntity<CaseDocument> export(
            @PathVariable String id,
            @RequestParam(defaultValue = "NONE") PhotoChoice photos,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + ".json";
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(exchange.export(file, photos, person));
    }

    /** The case with its photos as files beside it. */
    @GetMapping(path = "/installations/{id}/case.zip", produces = "application/zip")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/zip", schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<StreamingResponseBody> zip(
            @PathVariable String id,
            @RequestParam(defaultValue = "STRIPPED") PhotoChoice photos,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + ".zip";
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(exchange.zip(file, photos, person));
    }

    /** Everything there is, as open files; brought in elsewhere as an import. */
    @GetMapping(path = "/everything", produces = "application/zip")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/zip", schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<StreamingResponseBody> everything(@AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Everything is handed out to the quality lead alone.");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"everything.zip\"")
                .body(to -> everything.write(to, person));
    }

    /** Takes a case file in, as JSON or as ZIP; how it goes on is asked under its id. */
    @PostMapping(
            path = "/imports",
            consumes = {MediaType.APPLICATION_JSON_VALUE, "application/zip"})
    @ResponseStatus(HttpStatus.ACCEPTED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(implementation = CaseDocument.class)))
    ImportView begin(InputStream content, @AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Files are imported by the quality lead.");
        }
        return imports.begin(content, person);
    }

    /** How an import stands; where it failed, the answer says why. */
    @GetMapping("/imports/{id}")
    @MayAlsoAnswer({
        HttpStatus.CONFLICT,
        HttpStatus.CONTENT_TOO_LARGE,
        HttpStatus.UNPROCESSABLE_CONTENT,
        HttpStatus.INSUFFICIENT_STORAGE
    })
    ImportView state(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return imports.of(id, person).view();
    }

    /** Ends an import: nothing of it is kept unless all of it was already. */
    @DeleteMapping("/imports/{id}")
    @KeepsNothing
    ImportView cancel(@PathVariable String id, @AuthenticationPrincipal Person person) {
        Import asked = imports.of(id, person);
        asked.cancel();
        return asked.view();
    }
}
