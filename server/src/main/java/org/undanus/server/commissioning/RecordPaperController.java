package org.undanus.server.commissioning;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.nio.charset.StandardCharsets;
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
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;

/** Papers of a record, and where on them a value stands. */
@RestController
@RequestMapping("/api")
class RecordPaperController {
    record DrawnBox(
            @NotBlank(message = "is empty") String document,
            int page,
            double left,
            double top,
            double width,
            double height) {}

    private final RecordPapers papers;

    RecordPaperController(RecordPapers papers) {
        this.papers = papers;
    }

    /** Keeps a photo or PDF of the paper. */
    @PostMapping(path = "/records/{id}/documents", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    RecordView.PaperView attach(
            @PathVariable String id,
            @RequestParam String name,
            @RequestBody byte[] content,
            @AuthenticationPrincipal Person person) {
        return RecordView.paper(papers.attach(id, name, content, person));
    }

    @GetMapping(
            path = "/record-documents/{id}",
            produces = {MediaType.APPLICATION_PDF_VALUE, MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<byte[]> document(@PathVariable String id, @AuthenticationPrincipal Person person) {
        RecordPapers.Content document = papers.document(id, person);
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
        return papers.page(id, number, person);
    }

    /** Draws the box round a value on its document. */
    @PutMapping("/claims/{id}/box")
    RecordView.BoxView box(
            @PathVariable String id, @Valid @RequestBody DrawnBox drawn, @AuthenticationPrincipal Person person) {
        ClaimRow now = papers.box(
                id,
                Optional.of(new RecordPapers.Box(
                        drawn.document(), drawn.page(), drawn.left(), drawn.top(), drawn.width(), drawn.height())),
                person);
        return RecordView.box(now);
    }

    @DeleteMapping("/claims/{id}/box")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unbox(@PathVariable String id, @AuthenticationPrincipal Person person) {
        papers.box(id, Optional.empty(), person);
    }
}
