package org.undanus.server.installation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.installation.Subject;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.words.Languages;

/** What joins or serves units of an installation and was added to them. */
@RestController
@RequestMapping("/api/installations")
class SubjectController {
    /** @param joins ids of units */
    record NewSubject(
            @NotNull(message = "is missing") Subject.Kind kind,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") @Size(min = 1, max = 20, message = "names 1 to 20 units")
                    List<@NotBlank(message = "is empty") String> joins) {}

    private final CaseFiles cases;
    private final AddedSubjects addedSubjects;
    private final Languages languages;

    SubjectController(CaseFiles cases, AddedSubjects addedSubjects, Languages languages) {
        this.cases = cases;
        this.addedSubjects = addedSubjects;
        this.languages = languages;
    }

    private InstallationView view(String id, Person person) {
        return InstallationView.of(cases.open(id, person), languages.ofRequest());
    }

    /** Adds what joins or serves units and cannot be told from them: a joint, a zone, a second line set. */
    @PostMapping("/{id}/subjects")
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView add(
            @PathVariable String id, @Valid @RequestBody NewSubject asked, @AuthenticationPrincipal Person person) {
        cases.openForWriting(id, person);
        Register.requireKeeper(person);
        if (!asked.kind().addable()) {
            throw new UnsuitableException("kind", "Units and the system are entered with the installation.");
        }
        addedSubjects.add(
                id,
                new Subject(
                        addedSubjects.freeId(id, asked.kind()),
                        asked.kind(),
                        asked.title().strip(),
                        asked.joins()),
                person);
        return view(id, person);
    }

    /** Takes away what was added, as long as nothing has been read of it. */
    @DeleteMapping("/{id}/subjects/{subject}")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    @Transactional
    InstallationView remove(
            @PathVariable String id, @PathVariable String subject, @AuthenticationPrincipal Person person) {
        cases.openForWriting(id, person);
        Register.requireKeeper(person);
        addedSubjects.remove(id, subject, person);
        return view(id, person);
    }
}
