package org.undanus.server.live;

import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;

/** The door for instruments. */
@RestController
class SenMlController {
    private static final String BEARER = "Bearer ";

    /** @param token shown once */
    record Token(String token) {}

    private final LiveStore store;
    private final InstrumentIntake intake;

    SenMlController(LiveStore store, InstrumentIntake intake) {
        this.store = store;
        this.intake = intake;
    }

    /**
     * Gives an instrument the token it sends with; an earlier one is worth nothing any more.
     *
     * @param crew that the instrument is handed to; left out where the office alone hears it
     */
    @PostMapping("/api/instruments/{id}/token")
    @ResponseStatus(HttpStatus.CREATED)
    Token token(
            @PathVariable String id,
            @RequestParam Optional<@Size(max = 120, message = "is longer than 120 characters") String> crew,
            @AuthenticationPrincipal Person person) {
        return new Token(store.token(id, crew.map(String::strip).filter(name -> !name.isEmpty()), person));
    }

    /** What an instrument shows: a pack of SenML, taken whole or not at all. Sent twice it is taken once. */
    @PostMapping(path = "/api/senml", consumes = "application/senml+json")
    @MayAlsoAnswer({HttpStatus.UNPROCESSABLE_CONTENT, HttpStatus.CONTENT_TOO_LARGE})
    LiveStore.Receipt receive(
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, required = false) String authorization,
            @RequestBody byte[] pack) {
        String token = authorization != null && authorization.startsWith(BEARER)
                ? authorization.substring(BEARER.length()).strip()
                : "";
        return intake.receive(token, pack);
    }
}
