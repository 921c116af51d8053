package org.undanus.server.commissioning;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.InputStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;

/** Many filled-in templates at once. */
@RestController
@RequestMapping("/api/record-imports")
class RecordImportController {
    private final RecordImports imports;

    RecordImportController(RecordImports imports) {
        this.imports = imports;
    }

    /** Takes in many filled-in templates from one ZIP file; how it goes on is asked under its id. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    @MayAlsoAnswer({HttpStatus.CONTENT_TOO_LARGE, HttpStatus.UNPROCESSABLE_CONTENT})
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            required = true,
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    RecordImport.RecordImportView beginImport(
            InputStream content, Viewer viewer, @AuthenticationPrincipal Person person) {
        return imports.begin(content, person, viewer.wording(UnitSystem.SI));
    }

    @GetMapping("/{id}")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    RecordImport.RecordImportView importState(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return imports.of(id, person.name()).view();
    }

    @DeleteMapping("/{id}")
    @KeepsNothing
    RecordImport.RecordImportView cancelImport(@PathVariable String id, @AuthenticationPrincipal Person person) {
        RecordImport going = imports.of(id, person.name());
        going.cancel();
        return going.view();
    }
}
