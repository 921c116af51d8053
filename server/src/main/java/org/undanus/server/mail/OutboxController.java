package org.undanus.server.mail;

import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Person;

/** Letters over HTTP. */
@RestController
@RequestMapping("/api/letters")
class OutboxController {
    private static final String EML = "message/rfc822";

    private final Outbox outbox;

    OutboxController(Outbox outbox) {
        this.outbox = outbox;
    }

    @GetMapping
    List<Outbox.Letter> all(@AuthenticationPrincipal Person person) {
        return outbox.latest(person);
    }

    @GetMapping(path = "/{id}", produces = EML)
    ResponseEntity<byte[]> one(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(EML))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"letter-" + id + ".eml\"")
                .body(outbox.file(id, person));
    }
}
