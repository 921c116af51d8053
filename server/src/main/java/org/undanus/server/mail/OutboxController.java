package org.undanus.server.mail;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;

/** Letters over HTTP. */
@RestController
@RequestMapping("/api/letters")
class OutboxController {
    private static final String EML = "message/rfc822";

    /**
     * @param crew whose it is; empty for the inspection office
     * @param deliveries to whom it went by mail
     */
    record LetterView(
            String id,
            String installationId,
            String crew,
            String subject,
            Instant writtenAt,
            List<DeliveryView> deliveries) {}

    /**
     * @param to as others see them
     * @param said why it was not taken the last time; empty where nothing was refused
     */
    record DeliveryView(String to, Delivery.State state, String said) {}

    private final Outbox outbox;
    private final Deliveries deliveries;
    private final Accounts accounts;

    OutboxController(Outbox outbox, Deliveries deliveries, Accounts accounts) {
        this.outbox = outbox;
        this.deliveries = deliveries;
        this.accounts = accounts;
    }

    @GetMapping
    List<LetterView> all(@AuthenticationPrincipal Person person) {
        List<Outbox.Letter> letters = outbox.latest(person);
        Map<String, List<Delivery>> sent =
                deliveries.of(letters.stream().map(Outbox.Letter::id).toList());
        Map<String, String> titles = accounts.all().stream()
                .map(Accounts.Account::person)
                .collect(Collectors.toMap(Person::name, Person::title));
        return letters.stream()
                .map(letter -> new LetterView(
                        letter.id(),
                        letter.installationId(),
                        letter.crew(),
                        letter.subject(),
                        letter.writtenAt(),
                        sent.getOrDefault(letter.id(), List.of()).stream()
                                .map(each -> new DeliveryView(titles.get(each.name()), each.state(), each.said()))
                                .toList()))
                .toList();
    }

    @GetMapping(path = "/{id}", produces = EML)
    ResponseEntity<byte[]> one(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(EML))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"letter-" + id + ".eml\"")
                .body(outbox.file(id, person));
    }
}
