package org.undanus.server.installation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.visit.WhatChanged;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.words.Languages;
import org.undanus.view.CaseFile;

/** One installation: its entry in the register, entered and put right. */
@RestController
@RequestMapping("/api/installations")
class InstallationController {
    /** @param model that of its data sheet, where it is known beforehand; its plate is still to be read */
    record NewComponent(
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") Component.Kind kind,
            boolean ownSupply,
            Optional<@Size(min = 1, max = 120, message = "has 1 to 120 characters") String> model) {}

    record NewInstallation(
            @NotBlank(message = "is empty")
                    @Pattern(
                            regexp = "[A-Za-z0-9][A-Za-z0-9 ./-]{0,39}",
                            message = "may hold letters, digits, spaces, . / and -, 40 at most")
                    String reference,
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String title,
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String building,
            @NotBlank(message = "is empty") String elevation,
            Optional<@Size(max = 60, message = "is no time zone") String> zone,
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String system,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String crew,
            Optional<@Size(max = 200, message = "is longer than 200 characters") String> owner,
            Optional<@Size(max = 300, message = "is longer than 300 characters") String> address,
            boolean replacement,
            @NotNull(message = "is missing") Stage stage,
            @NotNull(message = "is missing") LocalDate visitedOn,
            @NotBlank(message = "is empty") String ruleBook,
            @NotNull(message = "is missing") @Size(min = 1, max = 20, message = "holds 1 to 20 units")
                    List<@Valid NewComponent> components) {}

    record Amendment(
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String title,
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String system,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String crew,
            Optional<@Size(max = 200, message = "is longer than 200 characters") String> owner,
            Optional<@Size(max = 300, message = "is longer than 300 characters") String> address,
            boolean replacement,
            @NotBlank(message = "is empty") String ruleBook,
            Optional<@Size(min = 1, max = 20, message = "holds 1 to 20 units") List<@Valid AmendedUnit>> components,
            int version) {}

    /** @param id of a unit that is there; empty for a new one */
    record AmendedUnit(
            Optional<String> id,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") Component.Kind kind,
            boolean ownSupply) {}

    /**
     * What a correction of an installation would change.
     *
     * @param come how many lines there would be more
     * @param go how many lines would go
     * @param putAway lines that go though something was read there; it is kept, and is there again when they are
     */
    record AmendmentView(List<ChangedVerdict> verdicts, int come, int go, List<String> putAway) {}

    /** @param before empty where there was no such judgement */
    record ChangedVerdict(String title, String subject, Optional<Verdict> before, Optional<Verdict> now) {}

    private final Clock clock;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Register register;
    private final Amendments amendments;
    private final RuleBooks books;
    private final Languages languages;

    InstallationController(
            Clock clock,
            CaseFiles cases,
            KeptReadings keptReadings,
            Register register,
            Amendments amendments,
            RuleBooks books,
            Languages languages) {
        this.clock = clock;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.register = register;
        this.amendments = amendments;
        this.books = books;
        this.languages = languages;
    }

    private Wording wording() {
        return new Wording(UnitSystem.SI, languages.ofRequest());
    }

    private InstallationView view(String id, Person person) {
        return InstallationView.of(cases.open(id, person), languages.ofRequest());
    }

    @GetMapping("/{id}")
    InstallationView one(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return view(id, person);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView enter(@Valid @RequestBody NewInstallation asked, @AuthenticationPrincipal Person person) {
        Register.requireKeeper(person);
        List<Component> units = components(asked.components());
        String id = register.enter(
                new Register.Opening(
                        asked.reference().strip(),
                        asked.title().strip(),
                        asked.building().strip(),
                        elevation(asked.elevation()),
                        asked.zone().map(InstallationController::zone),
                        asked.system().strip(),
                        asked.crew().strip(),
                        owner(asked.owner(), asked.address(), CaseFile.Owner.UNKNOWN),
                        asked.replacement(),
                        asked.stage(),
                        asked.visitedOn(),
                        false,
                        units,
                        book(asked.ruleBook())),
                person.name());
        state(id, units, asked.components(), person);
        return view(id, person);
    }

    /** @param before what stays where nothing is said */
    private static CaseFile.Owner owner(Optional<String> name, Optional<String> address, CaseFile.Owner before) {
        return new CaseFile.Owner(
                name.map(String::strip).orElse(before.name()),
                address.map(String::strip).orElse(before.address()));
    }

    /** What is known of the plates beforehand is stated, not read: maker and model. */
    private void state(String id, List<Component> units, List<NewComponent> asked, Person person) {
        CaseFile file = cases.open(id, person);
        for (int i = 0; i < units.size(); i++) {
            Component unit = units.get(i);
            asked.get(i).model().map(String::strip).ifPresent(model -> {
                keptReadings.keep(stated(PlatePoints.MODEL, unit, model, file, person), file.header(), person.name());
                file.facts()
                        .sheets()
                        .of(model)
                        .ifPresent(sheet -> keptReadings.keep(
                                stated(PlatePoints.MAKER, unit, sheet.maker(), file, person),
                                file.header(),
                                person.name()));
            });
        }
    }

    private Reading stated(Point point, Component unit, String words, CaseFile file, Person person) {
        return new Reading(
                UUID.randomUUID(),
                new PointKey(point.id(), unit.id()),
                words,
                understood(point, words),
                "",
                Optional.empty(),
                Grade.STATED,
                person.name(),
                clock.instant().truncatedTo(ChronoUnit.MILLIS),
                file.header().stage());
    }

    private static Value understood(Point point, String words) {
        try {
            return Entry.understand(point, words, Accuracy.EXACT).value();
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("components", RefusedException.said(e));
        }
    }

    /** Puts right what the register says of an installation. */
    @PutMapping("/{id}")
    @Transactional
    InstallationView amend(
            @PathVariable String id, @Valid @RequestBody Amendment asked, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.openForWriting(id, person);
        Register.requireKeeper(person);
        amendments.amend(file, amended(asked, file, person), person);
        return view(id, person);
    }

    /** What a correction would change; nothing is kept. */
    @PostMapping("/{id}/amendment")
    @Transactional(readOnly = true)
    AmendmentView tried(
            @PathVariable String id, @Valid @RequestBody Amendment asked, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Register.requireKeeper(person);
        CaseFile then = amendments.amended(file, amended(asked, file, person));
        Set<PointKey> stay = then.lines().stream().map(CaseFile.Line::key).collect(Collectors.toSet());
        Set<PointKey> were = file.lines().stream().map(CaseFile.Line::key).collect(Collectors.toSet());
        return new AmendmentView(
                WhatChanged.between(file.judgements().all(), then.judgements().all()).stream()
                        .map(this::changed)
                        .toList(),
                (int) stay.stream().filter(key -> !were.contains(key)).count(),
                (int) were.stream().filter(key -> !stay.contains(key)).count(),
                file.answered().stream()
                        .filter(line -> !stay.contains(line.key()))
                        .map(line -> line.called().in(wording()))
                        .toList());
    }

    private ChangedVerdict changed(WhatChanged changed) {
        return new ChangedVerdict(
                wording().say(changed.either().about().title()),
                changed.either().subject(),
                changed.before().map(Judgement::verdict),
                changed.now().map(Judgement::verdict));
    }

    private Amendments.Amended amended(Amendment asked, CaseFile file, Person person) {
        List<Component> units = asked.components()
                .map(given -> units(given, file.facts().components()))
                .orElse(file.facts().components());
        return new Amendments.Amended(
                asked.title().strip(),
                asked.system().strip(),
                asked.crew().strip(),
                owner(asked.owner(), asked.address(), file.header().owner()),
                asked.replacement(),
                bookOf(file.header().id(), asked.ruleBook(), person),
                units,
                asked.version());
    }

    /** Those that were there keep their ids; a new one has the next free one of its kind. */
    private static List<Component> units(List<AmendedUnit> asked, List<Component> before) {
        Set<String> taken = before.stream().map(Component::id).collect(Collectors.toCollection(HashSet::new));
        Set<String> known = Set.copyOf(taken);
        return asked.stream()
                .map(unit -> {
                    String id = unit.id()
                            .map(given -> {
                                if (!known.contains(given)) {
                                    throw new UnsuitableException(
                                            "components", Text.of("There is no unit {given} here.", given));
                                }
                                return given;
                            })
                            .orElseGet(() -> freeId(unit.kind(), taken));
                    return new Component(id, unit.kind(), unit.title().strip(), unit.ownSupply());
                })
                .toList();
    }

    /** The version it is judged by stays, unless another book is chosen: of that the newest. */
    private RuleBook bookOf(String installation, String chosen, Person person) {
        RuleBook now = cases.open(installation, person).rules();
        return now.id().equals(chosen) ? now : book(chosen);
    }

    private static ZoneId zone(String named) {
        try {
            return ZoneId.of(named.strip());
        } catch (DateTimeException e) {
            throw new UnsuitableException(
                    "zone", Text.of("\"{zone}\" is no time zone: write it as America/Chicago.", named));
        }
    }

    private static double elevation(String typed) {
        try {
            Length height =
                    (Length) FieldNotation.parse(typed, Dimension.LENGTH).value();
            AbsolutePressure.ofStandardAtmosphere(height);
            return height.si();
        } catch (FieldNotationException e) {
            throw new UnsuitableException("elevation", RefusedException.said(e));
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("elevation", Text.of("{why}.", RefusedException.said(e)));
        }
    }

    private RuleBook book(String id) {
        return books.newest(id).orElseThrow(() -> new UnsuitableException("ruleBook", "There is no such rule book."));
    }

    /** Ids from kinds: outdoor-1, indoor-1, indoor-2. */
    private static List<Component> components(List<NewComponent> asked) {
        Set<String> taken = new HashSet<>();
        return asked.stream()
                .map(c -> new Component(
                        freeId(c.kind(), taken), c.kind(), c.title().strip(), c.ownSupply()))
                .toList();
    }

    private static String freeId(Component.Kind kind, Set<String> taken) {
        String stem = kind.outdoor() ? "outdoor-" : "indoor-";
        int number = 1;
        while (!taken.add(stem + number)) {
            number++;
        }
        return stem + number;
    }
}
