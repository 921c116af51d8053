package org.undanus.server.photo;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;

/** Photos over HTTP. */
@RestController
@RequestMapping("/api")
class PhotoController {
    private final Photos photos;
    private final CaseFiles cases;

    PhotoController(Photos photos, CaseFiles cases) {
        this.photos = photos;
        this.cases = cases;
    }

    @GetMapping("/installations/{id}/photos")
    List<Photo> all(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return photos.of(cases.open(id, person));
    }

    /** Hangs a photo on a line (point and component), a unit (component alone) or a correction; on a line a PDF too. */
    @PostMapping(path = "/installations/{id}/photos", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Photo keep(
            @PathVariable String id,
            @RequestParam Optional<String> point,
            @RequestParam Optional<String> component,
            @RequestParam Optional<String> correction,
            @RequestBody byte[] content,
            @AuthenticationPrincipal Person person) {
        return photos.hang(cases.open(id, person), new Photos.Hook(point, component, correction), content, person);
    }

    record WantedMarks(
            @NotNull(message = "is missing") List<@NotNull(message = "is empty") PhotoMark> marks, int version) {}

    /** Arrows and circles over it, in place of those before. */
    @PutMapping("/photos/{id}/marks")
    Photo mark(@PathVariable String id, @Valid @RequestBody WantedMarks drawn, @AuthenticationPrincipal Person person) {
        return photos.mark(id, drawn.marks(), drawn.version(), person);
    }

    /**
     * The picture, or a page of a paper.
     *
     * @param position whether place and time as the camera wrote them stay in the file
     * @param page of a paper, from 1
     */
    @GetMapping(
            path = "/photos/{id}/picture",
            produces = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<byte[]> picture(
            @PathVariable String id,
            @RequestParam(defaultValue = "false") boolean position,
            @RequestParam(defaultValue = "1") int page,
            @AuthenticationPrincipal Person person) {
        return shown(photos.picture(id, position, page, person));
    }

    /** As it came in, for a paper whole; without what a camera wrote about the place. */
    @GetMapping(
            path = "/photos/{id}/file",
            produces = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE, MediaType.APPLICATION_PDF_VALUE})
    ResponseEntity<byte[]> file(@PathVariable String id, @AuthenticationPrincipal Person person) {
        Photos.Picture file = photos.file(id, false, person);
        MediaType type = MediaType.parseMediaType(file.mediaType());
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(id + "." + type.getSubtype())
                                .build()
                                .toString())
                .body(file.content());
    }

    @GetMapping(
            path = "/photos/{id}/thumbnail",
            produces = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
    ResponseEntity<byte[]> thumbnail(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return shown(photos.thumbnail(id, person));
    }

    private static ResponseEntity<byte[]> shown(Photos.Picture picture) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.mediaType()))
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(picture.content());
    }
}
