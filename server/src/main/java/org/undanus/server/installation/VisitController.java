package org.undanus.server.installation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Stage;
import org.undanus.server.account.Person;
import org.undanus.server.words.Languages;

/** Visits to an installation: begun, and confined to parts of the work. */
@RestController
@RequestMapping("/api/installations")
class VisitController {
    record NewVisit(
            @NotNull(message = "is missing") Stage stage,
            @NotNull(message = "is missing") LocalDate visitedOn,
            Optional<Boolean> unannounced,
            Optional<@Size(max = 12, message = "names 12 scopes at most") List<@NotBlank @Size(max = 40) String>>
                    scopes) {}

    /** @param scopes ids of the rule book's scopes; none for the whole */
    record Confined(
            @NotNull(message = "is missing") @Size(max = 12, message = "names 12 scopes at most")
                    List<@NotBlank(message = "is empty") @Size(max = 40) String> scopes) {}

    private final CaseFiles cases;
    private final Visits visits;
    private final Languages languages;

    VisitController(CaseFiles cases, Visits visits, Languages languages) {
        this.cases = cases;
        this.visits = visits;
        this.languages = languages;
    }

    private InstallationView view(String id, Person person) {
        return InstallationView.of(cases.open(id, person), languages.ofRequest());
    }

    /** Begins another visit. */
    @PostMapping("/{id}/visits")
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView visit(
            @PathVariable String id, @Valid @RequestBody NewVisit asked, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        Register.requireKeeper(person);
        visits.begin(id, asked.stage(), asked.visitedOn(), asked.unannounced().orElse(false), person);
        asked.scopes().filter(scopes -> !scopes.isEmpty()).ifPresent(scopes -> visits.confine(id, scopes, person));
        return view(id, person);
    }

    /** Confines the visit that goes on to some parts of the work. */
    @PutMapping("/{id}/scopes")
    @Transactional
    InstallationView confine(
            @PathVariable String id, @Valid @RequestBody Confined asked, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        Register.requireKeeper(person);
        visits.confine(id, asked.scopes(), person);
        return view(id, person);
    }
}
