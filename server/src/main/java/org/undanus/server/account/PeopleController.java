package org.undanus.server.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;

/** The people who may sign in; the quality lead keeps them. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    static final int SHORTEST = 10;
    static final String PASSWORD = "has " + SHORTEST + " to 72 characters";

    /**
     * @param active whether they may sign in
     * @param version how often it was changed
     * @param secondFactor whether a code is asked of them beside the password
     */
    record PersonView(
            String name,
            String title,
            Role role,
            Optional<String> crew,
            boolean active,
            boolean secondFactor,
            int version) {}

    record NewPerson(
            @NotBlank(message = "is empty")
                    @Pattern(regexp = Accounts.NAME, message = "holds small letters, digits, . _ and -, 60 at most")
                    String name,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") Role role,
            Optional<@Size(max = 120, message = "is longer than 120 characters") String> crew,
            @NotNull(message = "is missing") @Size(min = SHORTEST, max = 72, message = PASSWORD) String password) {}

    /**
     * @param password empty where the old one stays
     * @param version that was seen
     */
    record ChangedPerson(
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") Role role,
            Optional<@Size(max = 120, message = "is longer than 120 characters") String> crew,
            boolean active,
            Optional<@Size(min = SHORTEST, max = 72, message = PASSWORD) String> password,
            int version) {}

    private final Accounts accounts;

    private final OpenSessions open;

    PeopleController(Accounts accounts, OpenSessions open) {
        this.open = open;
        this.accounts = accounts;
    }

    @GetMapping
    @MayAlsoAnswer(HttpStatus.FORBIDDEN)
    List<PersonView> all(@AuthenticationPrincipal Person person) {
        requireLead(person);
        return accounts.all().stream().map(this::view).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    PersonView add(@Valid @RequestBody NewPerson asked, @AuthenticationPrincipal Person person) {
        requireLead(person);
        if (accounts.known(asked.name())) {
            throw new UnsuitableException("name", "There is somebody of this name already.");
        }
        Person added = new Person(asked.name(), asked.title().strip(), asked.role(), crew(asked.role(), asked.crew()));
        accounts.add(added, asked.password(), person.name());
        return view(new Accounts.Account(added, true, 0));
    }

    /** Another title, role, crew or password; or switched off, or on again. */
    @PutMapping("/{name}")
    @MayAlsoAnswer({HttpStatus.CONFLICT, HttpStatus.UNPROCESSABLE_CONTENT})
    PersonView change(
            @PathVariable String name,
            @Valid @RequestBody ChangedPerson asked,
            @AuthenticationPrincipal Person person) {
        requireLead(person);
        requireKnown(name);
        if (name.equals(person.name()) && (!asked.active() || asked.role() != Role.QUALITY_LEAD)) {
            throw new UnsuitableException(
                    asked.active() ? "role" : "active",
                    "Nobody takes this from themselves: another quality lead has to do it.");
        }
        Accounts.Account wanted = new Accounts.Account(
                new Person(name, asked.title().strip(), asked.role(), crew(asked.role(), asked.crew())),
                asked.active(),
                asked.version());
        return view(accounts.change(wanted, asked.password(), person.name()));
    }

    /** Where somebody is signed in, the last used first. */
    @GetMapping("/{name}/sessions")
    @MayAlsoAnswer(HttpStatus.FORBIDDEN)
    List<OpenSessions.SignedIn> sessions(@PathVariable String name, @AuthenticationPrincipal Person person) {
        requireLead(person);
        requireKnown(name);
        return open.of(name);
    }

    /** Ends all of them: whoever sat there has to sign in again. */
    @DeleteMapping("/{name}/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSessions(@PathVariable String name, @AuthenticationPrincipal Person person) {
        requireLead(person);
        requireKnown(name);
        accounts.endSessions(name, person.name());
    }

    /** Takes somebody's second factor away, for a phone that is lost. */
    @DeleteMapping("/{name}/second-factor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSecondFactor(@PathVariable String name, @AuthenticationPrincipal Person person) {
        requireLead(person);
        requireKnown(name);
        accounts.secondFactor(name, null, person.name());
    }

    private void requireKnown(String name) {
        if (!accounts.known(name)) {
            throw new NotFoundException("There is nobody of this name.");
        }
    }

    private static Optional<String> crew(Role role, Optional<String> crew) {
        Optional<String> named = crew.map(String::strip).filter(name -> !name.isEmpty());
        if (role == Role.CREW && named.isEmpty()) {
            throw new UnsuitableException("crew", "Name the crew: its installations alone are seen.");
        }
        return role == Role.CREW ? named : Optional.empty();
    }

    private static void requireLead(Person person) {
        if (!person.leads()) {
            throw new NotAllowedException("People are kept by the quality lead.");
        }
    }

    private PersonView view(Accounts.Account account) {
        Person person = account.person();
        return new PersonView(
                person.name(),
                person.title(),
                person.role(),
                person.crew(),
                account.active(),
                accounts.secondFactor(person.name()).isPresent(),
                account.version());
    }
}
