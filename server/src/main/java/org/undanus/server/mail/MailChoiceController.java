package org.undanus.server.mail;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.server.account.Accounts;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;

/** What people get by mail: each chooses for themselves, the quality lead for everybody. */
@RestController
@RequestMapping("/api")
class MailChoiceController {
    private static final String NO_ADDRESS = "is no mail address, for example wren@undanus.example";

    /** @param address empty to get none */
    record WantedMail(
            @NotNull(message = "is missing")
                    @Size(max = MailChoice.LONGEST, message = "is longer than 254 characters")
                    @Pattern(regexp = "|" + MailChoice.ADDRESS, message = NO_ADDRESS)
                    String address,
            @NotNull(message = "is missing") Set<@NotNull(message = "is missing") LetterKind> kinds,
            int version) {}

    /**
     * @param offered which letters there are for this person
     * @param sends whether letters leave at all
     */
    record MailView(String address, Set<LetterKind> kinds, Set<LetterKind> offered, int version, boolean sends) {}

    private final MailChoices choices;
    private final Deliveries deliveries;
    private final Accounts accounts;

    MailChoiceController(MailChoices choices, Deliveries deliveries, Accounts accounts) {
        this.choices = choices;
        this.deliveries = deliveries;
        this.accounts = accounts;
    }

    @GetMapping("/mail")
    MailView own(@AuthenticationPrincipal Person person) {
        return view(person, choices.of(person.name()));
    }

    @PutMapping("/mail")
    @MayAlsoAnswer({HttpStatus.CONFLICT, HttpStatus.UNPROCESSABLE_CONTENT})
    MailView choose(@Valid @RequestBody WantedMail wanted, @AuthenticationPrincipal Person person) {
        return keep(person, wanted, person);
    }

    @GetMapping("/people/{name}/mail")
    @MayAlsoAnswer(HttpStatus.FORBIDDEN)
    MailView of(@PathVariable String name, @AuthenticationPrincipal Person person) {
        return view(chosenBy(name, person), choices.of(name));
    }

    @PutMapping("/people/{name}/mail")
    @MayAlsoAnswer({HttpStatus.CONFLICT, HttpStatus.UNPROCESSABLE_CONTENT})
    MailView chooseFor(
            @PathVariable String name, @Valid @RequestBody WantedMail wanted, @AuthenticationPrincipal Person person) {
        return keep(chosenBy(name, person), wanted, person);
    }

    private Person chosenBy(String name, Person lead) {
        if (!lead.leads()) {
            throw new NotAllowedException("People are kept by the quality lead.");
        }
        return accounts.all().stream()
                .map(Accounts.Account::person)
                .filter(person -> person.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is nobody of this name."));
    }

    private MailView keep(Person whose, WantedMail wanted, Person by) {
        MailChoice choice = new MailChoice(wanted.address(), wanted.kinds(), wanted.version());
        return view(whose, choices.keep(whose.name(), choice, by.name()));
    }

    private MailView view(Person person, MailChoice choice) {
        return new MailView(
                choice.address(), choice.kinds(), LetterKind.to(person), choice.version(), deliveries.sends());
    }
}
