package org.undanus.server.installation;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WhatChanged;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.words.Languages;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** The register: which installations there are and how each stands. */
@RestController
@RequestMapping("/api/installations")
class RegisterController {

    /**
     * Stage and what follows are empty where it is to be judged first.
     *
     * @param said the most pressing sentence; empty where nothing is open
     */
    record RegisterEntry(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            String stage,
            Optional<LocalDate> visitedOn,
            Optional<Verdict> worst,
            Map<Verdict, Long> counts,
            int readings,
            String said) {}

    /**
     * @param total how many fit the filters
     * @param all how many there are
     * @param outdated how many of these are still being judged again, so that they may stand otherwise soon
     */
    record RegisterPage(List<RegisterEntry> entries, int total, int all, int outdated, StripView strip) {}

    /** The programme at a glance; each number is how many the register shows with that filter. */
    record StripView(
            Map<Verdict, Integer> verdicts, List<CrewCount> crews, List<StationCount> stations, int dueThisWeek) {}

    record CrewCount(String crew, int installations, int failing) {}

    record StationCount(Station station, String title, int failing) {}

    /** Which installations are wanted, in which order and units. */
    record Asked(
            Optional<@Size(max = 100) String> words,
            Optional<String> crew,
            Optional<Verdict> worst,
            Optional<Station> station,
            Optional<Boolean> due,
            Optional<RegisterIndex.Order> order,
            Optional<Boolean> reversed) {
        private RegisterIndex.Wanted wanted() {
            return new RegisterIndex.Wanted(
                    words.orElse(""), crew.filter(c -> !c.isBlank()), worst, station, due.orElse(false));
        }
    }

    record InstallationView(
            String id,
            String reference,
            String title,
            String building,
            String system,
            String crew,
            boolean replacement,
            String stage,
            LocalDate visitedOn,
            List<VisitView> visits,
            int version,
            String ruleBook,
            String ruleBookTitle,
            UnitSystem display,
            List<ScopeView> scopes,
            List<UnitView> components,
            List<SubjectView> subjects) {}

    /** @param model as read off its plate or stated; empty where it has not been */
    record UnitView(String id, Component.Kind kind, String title, boolean ownSupply, Optional<String> model) {}

    /**
     * What a new installation can be put together from.
     *
     * @param reference the next free one
     */
    record ChoicesView(String reference, List<String> crews, List<PlaceView> places) {}

    /** @param elevation as it would be typed */
    record PlaceView(String name, String elevation) {}

    /**
     * What joins or serves the units.
     *
     * @param joins the units by their titles
     * @param added by hand, not told from the units
     */
    record SubjectView(
            String id, Subject.Kind kind, String kindTitle, String title, List<String> joins, boolean added) {}

    /** @param joins ids of units */
    record NewSubject(
            @NotNull(message = "is missing") Subject.Kind kind,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String title,
            @NotNull(message = "is missing") @Size(min = 1, max = 20, message = "names 1 to 20 units")
                    List<@NotBlank(message = "is empty") String> joins) {}

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
            boolean replacement,
            @NotNull(message = "is missing") Stage stage,
            @NotNull(message = "is missing") LocalDate visitedOn,
            @NotBlank(message = "is empty") String ruleBook,
            @NotNull(message = "is missing") @Size(min = 1, max = 20, message = "holds 1 to 20 units")
                    List<@Valid NewComponent> components) {}

    record NewVisit(
            @NotNull(message = "is missing") Stage stage,
            @NotNull(message = "is missing") LocalDate visitedOn,
            Optional<Boolean> unannounced,
            Optional<@Size(max = 12, message = "names 12 scopes at most") List<@NotBlank @Size(max = 40) String>>
                    scopes) {}

    /** @param sealedAs the number it was sealed under; empty while it goes on */
    record VisitView(
            String stage, LocalDate visitedOn, boolean unannounced, Optional<String> sealedAs, List<String> scopes) {}

    /** A part of the work that a visit may be confined to. */
    record ScopeView(String id, String title) {}

    /** @param scopes ids of the rule book's scopes; none for the whole */
    record Confined(
            @NotNull(message = "is missing") @Size(max = 12, message = "names 12 scopes at most")
                    List<@NotBlank(message = "is empty") @Size(max = 40) String> scopes) {}

    record Amendment(
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String title,
            @NotBlank(message = "is empty") @Size(max = 200, message = "is longer than 200 characters") String system,
            @NotBlank(message = "is empty") @Size(max = 120, message = "is longer than 120 characters") String crew,
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
    private final AddedSubjects addedSubjects;
    private final Visits visits;
    private final KeptReadings keptReadings;
    private final Register register;
    private final Amendments amendments;
    private final RuleBooks books;
    private final RegisterIndex standings;
    private final Choices choices;
    private final Languages languages;

    RegisterController(
            Clock clock,
            CaseFiles cases,
            AddedSubjects addedSubjects,
            Visits visits,
            KeptReadings keptReadings,
            Register register,
            Amendments amendments,
            RuleBooks books,
            RegisterIndex standings,
            Choices choices,
            Languages languages) {
        this.languages = languages;
        this.clock = clock;
        this.choices = choices;
        this.cases = cases;
        this.addedSubjects = addedSubjects;
        this.visits = visits;
        this.keptReadings = keptReadings;
        this.register = register;
        this.amendments = amendments;
        this.books = books;
        this.standings = standings;
    }

    private Wording wording() {
        return new Wording(UnitSystem.SI, languages.ofRequest());
    }

    /**
     * The register, page by page.
     *
     * @param page from 0
     */
    @GetMapping
    RegisterPage page(
            @ParameterObject @Valid Asked asked,
            Viewer viewer,
            @RequestParam(defaultValue = "0") @Min(0) @Max(100_000) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(200) int size,
            @AuthenticationPrincipal Person person) {
        RegisterIndex.Page found = standings.page(
                person,
                asked.wanted(),
                asked.order().orElse(RegisterIndex.Order.STAKE),
                asked.reversed().orElse(false),
                page,
                size);
        return new RegisterPage(
                found.entries().stream()
                        .map(listed -> entry(listed, viewer.wording(UnitSystem.US)))
                        .toList(),
                found.total(),
                found.all(),
                found.outdated(),
                view(found.strip()));
    }

    private StripView view(RegisterIndex.Strip strip) {
        return new StripView(
                strip.verdicts(),
                strip.crews().stream()
                        .map(crew -> new CrewCount(crew.crew(), crew.installations(), crew.failing()))
                        .toList(),
                strip.stations().entrySet().stream()
                        .map(each -> new StationCount(
                                each.getKey(), wording().say(each.getKey().title()), each.getValue()))
                        .toList(),
                strip.dueThisWeek());
    }

    /** The register as a table for other programs, every row that fits. */
    @GetMapping(value = "/register.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(
            @ParameterObject @Valid Asked asked, Viewer viewer, @AuthenticationPrincipal Person person) {
        List<RegisterEntry> entries = standings
                .all(
                        person,
                        asked.wanted(),
                        asked.order().orElse(RegisterIndex.Order.STAKE),
                        asked.reversed().orElse(false))
                .stream()
                .map(listed -> entry(listed, viewer.wording(UnitSystem.US)))
                .toList();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"register.csv\"")
                .body(RegisterCsv.of(entries).getBytes(StandardCharsets.UTF_8));
    }

    /** What a new installation can be put together from. */
    @GetMapping("/choices")
    @MayAlsoAnswer(HttpStatus.FORBIDDEN)
    ChoicesView choices(@AuthenticationPrincipal Person person) {
        requireInspector(person);
        return new ChoicesView(
                choices.nextReference(),
                choices.crews(),
                choices.places().stream()
                        .map(place -> new PlaceView(place.name(), Math.round(place.elevation()) + " m"))
                        .toList());
    }

    @GetMapping("/{id}")
    InstallationView one(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return view(cases.open(id, person));
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView enter(@Valid @RequestBody NewInstallation asked, @AuthenticationPrincipal Person person) {
        requireInspector(person);
        List<Component> units = components(asked.components());
        String id = register.enter(
                new Register.Opening(
                        asked.reference().strip(),
                        asked.title().strip(),
                        asked.building().strip(),
                        elevation(asked.elevation()),
                        asked.zone().map(RegisterController::zone),
                        asked.system().strip(),
                        asked.crew().strip(),
                        asked.replacement(),
                        asked.stage(),
                        asked.visitedOn(),
                        false,
                        units,
                        book(asked.ruleBook())),
                person.name());
        state(id, units, asked.components(), person);
        return view(cases.open(id, person));
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
        requireInspector(person);
        amendments.amend(file, amended(asked, file, person), person);
        return view(cases.open(id, person));
    }

    /** What a correction would change; nothing is kept. */
    @PostMapping("/{id}/amendment")
    @Transactional(readOnly = true)
    AmendmentView tried(
            @PathVariable String id, @Valid @RequestBody Amendment asked, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        requireInspector(person);
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

    /** Begins another visit. */
    @PostMapping("/{id}/visits")
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView visit(
            @PathVariable String id, @Valid @RequestBody NewVisit asked, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        requireInspector(person);
        visits.begin(id, asked.stage(), asked.visitedOn(), asked.unannounced().orElse(false), person);
        asked.scopes().filter(scopes -> !scopes.isEmpty()).ifPresent(scopes -> visits.confine(id, scopes, person));
        return view(cases.open(id, person));
    }

    /** Confines the visit that goes on to some parts of the work. */
    @PutMapping("/{id}/scopes")
    @Transactional
    InstallationView confine(
            @PathVariable String id, @Valid @RequestBody Confined asked, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        requireInspector(person);
        visits.confine(id, asked.scopes(), person);
        return view(cases.open(id, person));
    }

    /** Adds what joins or serves units and cannot be told from them: a joint, a zone, a second line set. */
    @PostMapping("/{id}/subjects")
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    InstallationView add(
            @PathVariable String id, @Valid @RequestBody NewSubject asked, @AuthenticationPrincipal Person person) {
        cases.openForWriting(id, person);
        requireInspector(person);
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
        return view(cases.open(id, person));
    }

    /** Takes away what was added, as long as nothing has been read of it. */
    @DeleteMapping("/{id}/subjects/{subject}")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    @Transactional
    InstallationView remove(
            @PathVariable String id, @PathVariable String subject, @AuthenticationPrincipal Person person) {
        cases.openForWriting(id, person);
        requireInspector(person);
        addedSubjects.remove(id, subject, person);
        return view(cases.open(id, person));
    }

    private static void requireInspector(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("The register is kept by the inspection office.");
        }
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
        String stem = kind == Component.Kind.OUTDOOR ? "outdoor-" : "indoor-";
        int number = 1;
        while (!taken.add(stem + number)) {
            number++;
        }
        return stem + number;
    }

    private static RegisterEntry entry(RegisterIndex.Listed listed, Wording wording) {
        RegisterIndexMapper.ListedRow row = listed.row();
        return new RegisterEntry(
                row.id(),
                row.reference(),
                row.title(),
                row.building(),
                row.system(),
                row.crew(),
                Optional.ofNullable(row.stage()).map(Stage::title).orElse(""),
                Optional.ofNullable(row.visitedOn()),
                listed.worst(),
                listed.counts(),
                Optional.ofNullable(row.readings()).orElse(0),
                Optional.ofNullable(wording.units() == UnitSystem.US ? row.saidUs() : row.saidSi())
                        .orElse(""));
    }

    private InstallationView view(CaseFile file) {
        CaseFile.Header h = file.header();
        return new InstallationView(
                h.id(),
                h.reference(),
                h.title(),
                h.building(),
                h.system(),
                h.crew(),
                h.replacement(),
                wording().say(h.stage().title()),
                h.visitedOn(),
                h.visits().stream()
                        .map(v -> new VisitView(
                                wording().say(v.stage().title()), v.on(), v.unannounced(), v.sealedAs(), v.scopes()))
                        .toList(),
                h.version(),
                file.rules().id(),
                file.rules().title(),
                file.rules().display(),
                file.rules().scopes().values().stream()
                        .map(scope -> new ScopeView(scope.id(), scope.title()))
                        .toList(),
                file.facts().components().stream()
                        .map(unit ->
                                new UnitView(unit.id(), unit.kind(), unit.title(), unit.ownSupply(), file.model(unit)))
                        .toList(),
                file.facts().subjects().stream()
                        .filter(subject -> subject.kind().addable())
                        .map(subject -> new SubjectView(
                                subject.id(),
                                subject.kind(),
                                wording().say(subject.kind().title()),
                                subject.title(),
                                subject.joins().stream()
                                        .map(file.facts()::title)
                                        .toList(),
                                file.facts().added().contains(subject)))
                        .toList());
    }
}
