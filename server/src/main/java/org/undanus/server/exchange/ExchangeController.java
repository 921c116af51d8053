package org.undanus.server.exchange;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotAllowedException;

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

    record Imported(List<String> installations) {}

    private final Exchange exchange;
    private final CaseFiles cases;

    ExchangeController(Exchange exchange, CaseFiles cases) {
        this.exchange = exchange;
        this.cases = cases;
    }

    @GetMapping("/installations/{id}/case.json")
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

    @PostMapping("/imports")
    @ResponseStatus(HttpStatus.CREATED)
    Imported read(@RequestBody CaseDocument document, @AuthenticationPrincipal Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("Files are brought in by the quality lead.");
        }
        return new Imported(exchange.read(document, person));
    }
}
