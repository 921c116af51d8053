package org.undanus.server.correction;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
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
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;

/** Corrections over HTTP. */
@RestController
@RequestMapping("/api")
class CorrectionController {

    record NewCorrection(
            @NotBlank(message = "is empty") @Size(max = 160, message = "is no judgement") String judgement,
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            Optional<LocalDate> due) {}

    record AmendedCorrection(
            @NotBlank(message = "is empty") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            Optional<LocalDate> due,
            @NotNull(message = "is missing") Correction.State state,
            int version) {}

    private final Corrections corrections;
    private final CaseFiles cases;

    CorrectionController(Corrections corrections, CaseFiles cases) {
        this.corrections = corrections;
        this.cases = cases;
    }

    @GetMapping("/corrections")
    List<Corrections.Listed> all(@AuthenticationPrincipal Person person) {
        return corrections.all(person);
    }

    @GetMapping("/installations/{id}/corrections")
    List<Correction> ofInstallation(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return corrections.of(cases.open(id, person));
    }

    @PostMapping("/installations/{id}/corrections")
    @ResponseStatus(HttpStatus.CREATED)
    Correction raise(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
            @Valid @RequestBody NewCorrection asked,
            @AuthenticationPrincipal Person person) {
        return corrections.raise(
                id, asked.judgement(), asked.words(), asked.due(), person, units.orElse(UnitSystem.SI));
    }

    @PutMapping("/corrections/{id}")
    Correction amend(
            @PathVariable String id,
            @Valid @RequestBody AmendedCorrection asked,
            @AuthenticationPrincipal Person person) {
        return corrections.amend(id, asked.words(), asked.due(), asked.state(), asked.version(), person);
    }
}
