package org.undanus.server.installation;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Traces;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.Site;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judge;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Years;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.installation.InstallationMapper.ComponentRow;
import org.undanus.server.installation.InstallationMapper.InstallationRow;
import org.undanus.server.installation.InstallationMapper.InstallationState;
import org.undanus.server.installation.InstallationMapper.ReadingRow;
import org.undanus.server.installation.InstallationMapper.SiteRow;
import org.undanus.server.installation.InstallationMapper.SubjectRow;
import org.undanus.server.installation.InstallationMapper.VisitRow;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.store.Commit;
import org.undanus.server.toolcase.Instruments;
import org.undanus.view.CaseFile;

/** Opens case files, keeps what is added to them, and lets nobody see another crew's. */
@Service
public class CaseFiles {

    /**
     * What an installation needs to be entered.
     *
     * @param zone in which wall clocks at a building that is new here are read; the application's where it is left out
     */
    public record Opening(
            String reference,
            String title,
            String building,
            double elevation,
            Optional<ZoneId> zone,
            String system,
            String crew,
            boolean replacement,
            Stage stage,
            LocalDate visitedOn,
            boolean unannounced,
            List<Component> components,
            RuleBook rules) {
        private static final Pattern REFERENCE = Pattern.compile("[A-Za-z0-9][A-Za-z0-9 ./-]{0,39}");
        private static final int LONGEST = 200;
        private static final int LONGEST_CREW = 120;

        /** What an installation that is opened must be, from whichever side it comes in. */
        private void requireSuitable() {
            if (!REFERENCE.matcher(reference).matches()) {
                throw new UnsuitableException(
                        "reference", "A reference holds letters, digits, spaces, . / and -, 40 at most.");
            }
            requireText("title", title, LONGEST);
            requireText("building", building, LONGEST);
            requireText("system", system, LONGEST);
            requireText("crew", crew, LONGEST_CREW);
            if (components.isEmpty() || components.size() > MOST_UNITS) {
                throw new UnsuitableException(
                        "components", Text.of("A system holds 1 to {mostUnits} units.", MOST_UNITS));
            }
            requireDay(visitedOn);
            try {
                new Case(new Site(building, Length.ofMetres(elevation)), components, DataSheets.NONE, visitedOn);
            } catch (IllegalArgumentException e) {
                throw new UnsuitableException("components", Text.of("{why}.", RefusedException.said(e)));
            }
        }

        private static void requireText(String field, String text, int most) {
            if (text.isBlank() || text.length() > most) {
                throw new UnsuitableException(
                        field, Text.of("The {field} is a text of 1 to {most} characters.", field, most));
            }
        }
    }

    private static final int MOST_UNITS = 20;
    private static final int ASKED_AT_ONCE = 500;
    private static final int MOST_SUBJECTS = 200;

    private static void requireDay(LocalDate visitedOn) {
        if (!Years.OF_VISITS.hold(visitedOn)) {
            throw new UnsuitableException("visitedOn", Text.of("A visit lies in {ofVisits}.", Years.OF_VISITS));
        }
    }

    private static final int REMEMBERED = 300;

    private final Clock clock;
    private final Cache<String, CaseFile> judged =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<String, CaseFile.Known> read =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final InstallationMapper mapper;
    private final Stretch stretch;
    private final RuleBooks books;
    private final CaseMaterial.Sheets sheets;
    private final Instruments instruments;
    private final CaseMaterial.Drawings drawings;
    private final CaseMaterial.Curves curves;
    private final RefrigerantStore refrigerants;
    private final Journal journal;
    private final Judge judge;

    CaseFiles(
            Clock clock,
            InstallationMapper mapper,
            Stretch stretch,
            RuleBooks books,
            CaseMaterial.Sheets sheets,
            Instruments instruments,
            CaseMaterial.Drawings drawings,
            CaseMaterial.Curves curves,
            RefrigerantStore refrigerants,
            Journal journal,
            ComputationFailures failures) {
        this.clock = clock;
        this.judge = Walk.judge().containing(failures);
        this.mapper = mapper;
        this.stretch = stretch;
        this.instruments = instruments;
        this.drawings = drawings;
        this.curves = curves;
        this.refrigerants = refrigerants;
        this.books = books;
        this.sheets = sheets;
        this.journal = journal;
    }

    private static CaseFile.Visit visit(VisitRow row) {
        return new CaseFile.Visit(
                row.id(),
                row.stage(),
                row.visitedOn(),
                Boolean.TRUE.equals(row.unannounced()),
                Optional.ofNullable(row.sealedAs()),
                row.scopes() == null ? List.of() : List.of(row.scopes().split(" ")));
    }

    /** @throws NotFoundException when there is none, or it is none of this person's business */
    @Transactional(readOnly = true)
    public CaseFile open(String id, Person person) {
        return file(visible(id, person));
    }

    /** Whoever asks, held until the transaction ends. */
    @Transactional
    CaseFile lockedFile(String id) {
        mapper.lock(id);
        return file(mapper.find(id));
    }

    private CaseFile file(InstallationRow row) {
        String id = row.id();
        List<VisitRow> visits = mapper.visits(id);
        return file(row, mapper.components(id), mapper.subjects(id), visits, known(id, visits), drawings.drawing(id));
    }

    /**
     * Readings are only ever added, so that only those are fetched that came since. What is remembered has been committed: nobody
     * else is shown what is rolled back.
     */
    private CaseFile.Known known(String id, List<VisitRow> visits) {
        CaseFile.Known before = Optional.ofNullable(read.getIfPresent(id)).orElse(CaseFile.Known.NOTHING);
        List<ReadingRow> later = mapper.readingsAfter(id, before.rows());
        if (later.isEmpty()) {
            return before;
        }
        List<Reading> all = new ArrayList<>(before.evidence().readings());
        all.addAll(readings(id, later, visits));
        CaseFile.Known now = new CaseFile.Known(before.rows() + later.size(), Evidence.of(all));
        Commit.after(() -> read.put(id, now));
        return now;
    }

    private CaseFile.Known whole(String id, List<ReadingRow> rows, List<VisitRow> visits) {
        return new CaseFile.Known(rows.size(), Evidence.of(readings(id, rows, visits)));
    }

    private List<Reading> readings(String id, List<ReadingRow> rows, List<VisitRow> visits) {
        Map<String, Stage> stages = visits.stream().collect(Collectors.toMap(VisitRow::id, VisitRow::stage));
        Traces traces = curves.curves(id);
        Refrigerants known = refrigerants.known();
        return rows.stream()
                .flatMap(row -> reading(row, stages.get(row.visitId()), traces, known).stream())
                .toList();
    }

    /** As {@link #open}, holding the installation for one writer until the transaction ends. */
    @Transactional
    public CaseFile openForWriting(String id, Person person) {
        mapper.lock(id);
        InstallationRow row = visible(id, person);
        mapper.forgetStanding(id);
        return file(row);
    }

    private InstallationRow visible(String id, Person person) {
        InstallationRow row = mapper.find(id);
        if (row == null || !person.maySee(row.crew())) {
            throw new NotFoundException("There is no such installation in your register.");
        }
        return row;
    }

    /** What an installation is called by. */
    public record Named(String id, String reference, String title, String crew) {}

    /** All that this person may see, by reference, unread. */
    @Transactional(readOnly = true)
    public List<Named> named(Person person) {
        return mapper.all().stream()
                .filter(row -> person.maySee(row.crew()))
                .map(row -> new Named(row.id(), row.reference(), row.title(), row.crew()))
                .toList();
    }

    /** All that this person may see, by reference. */
    @Transactional(readOnly = true)
    public List<CaseFile> all(Person person) {
        Map<String, List<ComponentRow>> components = grouped(mapper.allComponents(), ComponentRow::installationId);
        Map<String, List<SubjectRow>> subjects = grouped(mapper.allSubjects(), SubjectRow::installationId);
        Map<String, List<VisitRow>> visits = grouped(mapper.allVisits(), VisitRow::installationId);
        Map<String, List<ReadingRow>> readings = grouped(mapper.allReadings(), ReadingRow::installationId);
        Map<String, SitePlan> plans = drawings.drawings();
        return mapper.all().stream()
                .filter(row -> person.maySee(row.crew()))
                .map(row -> file(
                        row,
                        components.get(row.id()),
                        subjects.getOrDefault(row.id(), List.of()),
                        visits.get(row.id()),
                        whole(row.id(), readings.getOrDefault(row.id(), List.of()), visits.get(row.id())),
                        Optional.ofNullable(plans.get(row.id()))))
                .toList();
    }

    /** Those judged by any version of a book, by their ids. */
    @Transactional(readOnly = true)
    public List<String> judgedBy(String book) {
        return mapper.judgedBy(book);
    }

    /** All there are, by their ids in order. */
    @Transactional(readOnly = true)
    public List<String> ids() {
        return mapper.ids();
    }

    /** Installations that have a drawing. */
    public Set<String> drawn() {
        return drawings.drawn();
    }

    /**
     * Many at once, whoever may see them, read afresh and remembered nowhere.
     *
     * @param ids in their order; those between the first and the last that are not among them are read over
     * @param points of which readings are wanted; empty for all there are
     * @param drawn those that have a drawing
     */
    @Transactional(readOnly = true)
    public List<CaseFile> some(List<String> ids, Optional<Set<String>> points, Set<String> drawn) {
        if (ids.isEmpty()) {
            return List.of();
        }
        String from = ids.get(0);
        String to = ids.get(ids.size() - 1);
        Set<String> wanted = Set.copyOf(ids);
        Map<String, List<ComponentRow>> components = stretch.components(from, to);
        Map<String, List<SubjectRow>> subjects = stretch.subjects(from, to);
        Map<String, List<VisitRow>> visits = stretch.visits(from, to);
        Map<String, List<ReadingRow>> readings =
                points.map(asked -> stretch.readings(from, to, asked)).orElseGet(() -> stretch.readings(from, to));
        return stretch.installations(from, to).stream()
                .filter(row -> wanted.contains(row.id()))
                .map(row -> {
                    List<ReadingRow> own = readings.getOrDefault(row.id(), List.of());
                    List<Reading> read = readings(row.id(), own, visits.get(row.id()));
                    return built(
                            row,
                            components.get(row.id()),
                            subjects.getOrDefault(row.id(), List.of()),
                            visits.get(row.id()),
                            new CaseFile.Known(
                                    own.size(),
                                    points.map(asked -> Evidence.of(read, asked))
                                            .orElseGet(() -> Evidence.of(read))),
                            drawn.contains(row.id()) ? drawings.drawing(row.id()) : Optional.empty());
                })
                .toList();
    }

    private static <T> Map<String, List<T>> grouped(List<T> rows, Function<T, String> by) {
        return rows.stream().collect(Collectors.groupingBy(by));
    }

    private CaseFile file(
            InstallationRow row,
            List<ComponentRow> components,
            List<SubjectRow> subjects,
            List<VisitRow> visits,
            CaseFile.Known known,
            Optional<SitePlan> plan) {
        return remembered(built(row, components, subjects, visits, known, plan));
    }

    private CaseFile built(
            InstallationRow row,
            List<ComponentRow> components,
            List<SubjectRow> subjects,
            List<VisitRow> visits,
            CaseFile.Known known,
            Optional<SitePlan> plan) {
        VisitRow visit = visits.get(visits.size() - 1);
        Case facts = new Case(
                new Site(
                        row.siteName(),
                        Length.ofMetres(row.elevation()),
                        row.zone() == null ? clock.getZone() : ZoneId.of(row.zone())),
                components.stream()
                        .map(c -> new Component(c.id(), c.kind(), c.title(), c.ownSupply()))
                        .toList(),
                sheets.sheets(),
                visit.visitedOn(),
                visit.stage(),
                row.replacement(),
                instruments.toolcase(),
                plan,
                subjects.stream()
                        .filter(subject -> !subject.removed())
                        .map(SubjectRow::subject)
                        .toList(),
                curves.curves(row.id()),
                refrigerants.known());
        CaseFile.Header header = new CaseFile.Header(
                row.id(),
                row.reference(),
                row.title(),
                row.siteName(),
                row.system(),
                row.crew(),
                row.replacement(),
                visit.stage(),
                visit.visitedOn(),
                visit.id(),
                visits.stream().map(CaseFiles::visit).toList(),
                row.version());
        return new CaseFile(
                header, facts, known, books.book(row.ruleBook(), row.ruleBookVersion()), judge, Optional.empty());
    }

    /**
     * The last file of this installation where it says the same, and with it its judgements; else the new one, of which only what
     * changed is judged anew. What is compared is all that a judgement rests on, so that nothing has to be told when something
     * changes.
     */
    private CaseFile remembered(CaseFile read) {
        String id = read.header().id();
        CaseFile last = judged.getIfPresent(id);
        if (last != null && last.saysTheSameAs(read)) {
            return last;
        }
        CaseFile now = last == null ? read : read.after(last);
        judged.put(id, now);
        return now;
    }

    /** Once what was saved stands, this is what the installation is: read and judged already, it need not be again. */
    public void remember(CaseFile saved) {
        String id = saved.header().id();
        Commit.after(() -> {
            judged.put(id, saved);
            read.put(id, saved.known());
        });
    }

    /** Empty for a point this version no longer knows. */
    private static Optional<Reading> reading(ReadingRow row, Stage stage, Traces traces, Refrigerants known) {
        return Walk.point(row.point()).map(point -> {
            Entry.Understood read = understood(row, known.asked(point), traces);
            return new Reading(
                    UUID.fromString(row.id()),
                    new PointKey(row.point(), row.component()),
                    read.kept(row.typed()),
                    read.value(),
                    row.unit(),
                    Optional.ofNullable(row.instrument()),
                    row.grade(),
                    row.enteredBy(),
                    row.enteredAt(),
                    stage,
                    Boolean.TRUE.equals(row.byCrew()));
        });
    }

    /** As kept; set aside where this version could not take it: a list must not fail for one reading. */
    private static Entry.Understood understood(ReadingRow row, Point point, Traces traces) {
        try {
            return point.kind() == Point.Kind.QUANTITY && row.si() != null
                    ? new Entry.Understood(measured(row, point), row.unit(), true)
                    : Entry.answer(point, row.typed(), Accuracy.EXACT, traces);
        } catch (IllegalArgumentException e) {
            return new Entry.Understood(new Value.SetAside(RefusedException.said(e)), row.unit(), true);
        }
    }

    private static Value measured(ReadingRow row, Point point) {
        return point.possible(row.si())
                ? new Value.Measured(
                        point.dimension().orElseThrow().of(row.si()), row.standardUncertainty(), row.resolution())
                : new Value.SetAside(Text.of("No such value is possible on this line."));
    }

    /** On which visit each reading was taken, counted from 0. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> visitNumbers(CaseFile.Header header) {
        List<String> order = header.visits().stream().map(CaseFile.Visit::id).toList();
        return mapper.readings(header.id()).stream()
                .collect(Collectors.toMap(row -> UUID.fromString(row.id()), row -> order.indexOf(row.visitId())));
    }

    /** Where a reading of this id has been kept: the installation's id and the reading. */
    @Transactional(readOnly = true)
    public Optional<Map.Entry<String, Reading>> keptReading(UUID id) {
        return Optional.ofNullable(mapper.reading(id.toString())).flatMap(row -> reading(
                        row,
                        mapper.visit(row.visitId()).stage(),
                        curves.curves(row.installationId()),
                        refrigerants.known())
                .map(reading -> Map.entry(row.installationId(), reading)));
    }

    /** Those of these ids that a reading is kept under. */
    @Transactional(readOnly = true)
    public Set<String> keptAmong(List<String> ids) {
        Set<String> kept = new HashSet<>();
        for (int from = 0; from < ids.size(); from += ASKED_AT_ONCE) {
            kept.addAll(mapper.readingsAmong(ids.subList(from, Math.min(ids.size(), from + ASKED_AT_ONCE))));
        }
        return kept;
    }

    /**
     * Keeps a reading.
     *
     * @param by who brought it in, which the journal keeps; the reading itself keeps who it says took it, and when
     * @throws UnsuitableException where the visit is sealed; what a crew answers afterwards stands beside the seal
     */
    @Transactional
    public void keep(Reading reading, CaseFile.Header header, String by) {
        header.visit().sealedAs().filter(number -> !reading.byCrew()).ifPresent(number -> {
            throw new UnsuitableException(
                    "visit",
                    Text.of(
                            "This visit is sealed as {number}. Begin a re-visit to read again. Nothing was saved.",
                            number));
        });
        Optional<Value.Measured> measured =
                reading.value() instanceof Value.Measured m ? Optional.of(m) : Optional.empty();
        ReadingRow row = new ReadingRow(
                reading.id().toString(),
                header.id(),
                header.visitId(),
                reading.key().point(),
                reading.key().component(),
                reading.typed(),
                measured.map(m -> m.quantity().si()).orElse(null),
                measured.map(Value.Measured::standardUncertainty).orElse(null),
                measured.map(Value.Measured::resolution).orElse(null),
                reading.unit(),
                reading.instrument().orElse(null),
                reading.grade(),
                reading.by(),
                reading.at(),
                reading.byCrew() ? true : null);
        mapper.insertReading(row);
        journal.write(by, "reading.added", row.id(), row);
    }

    /**
     * Enters an installation in the register.
     *
     * @return its id
     * @throws UnsuitableException when the reference is taken
     */
    @Transactional
    public String enter(Opening opening, String by) {
        opening.requireSuitable();
        if (mapper.countReference(opening.reference()) > 0) {
            throw new UnsuitableException(
                    "reference", Text.of("The reference {reference} is already in the register.", opening.reference()));
        }
        String siteId = siteId(opening, by);
        String id = UUID.randomUUID().toString();
        mapper.insert(new InstallationRow(
                id,
                opening.reference(),
                siteId,
                opening.building(),
                opening.elevation(),
                null,
                opening.title(),
                opening.system(),
                opening.crew(),
                opening.replacement(),
                opening.rules().id(),
                opening.rules().version(),
                1));
        List<Component> components = new ArrayList<>(opening.components());
        for (int place = 0; place < components.size(); place++) {
            Component c = components.get(place);
            mapper.insertComponent(new ComponentRow(id, c.id(), c.kind(), c.title(), c.ownSupply(), place));
        }
        journal.write(by, "installation.entered", id, state(id));
        beginVisit(id, opening.stage(), opening.visitedOn(), opening.unannounced(), by);
        return id;
    }

    private String siteId(Opening opening, String by) {
        SiteRow known = mapper.site(opening.building());
        if (known == null) {
            String id = UUID.randomUUID().toString();
            SiteRow row = new SiteRow(
                    id,
                    opening.building(),
                    opening.elevation(),
                    opening.zone().orElseGet(clock::getZone).getId());
            mapper.insertSite(row);
            journal.write(by, "site.entered", id, row);
            return id;
        }
        return known.id();
    }

    /**
     * Adds a subject that cannot be told from the units.
     *
     * @throws UnsuitableException where the installation cannot have it
     */
    @Transactional
    public void add(String id, Subject subject, Person person) {
        CaseFile file = openForWriting(id, person);
        List<SubjectRow> rows = mapper.subjects(id);
        if (rows.size() >= MOST_SUBJECTS) {
            throw new UnsuitableException(
                    "title", Text.of("An installation has {mostSubjects} of these at most.", MOST_SUBJECTS));
        }
        List<Subject> with = new ArrayList<>(file.facts().added());
        with.add(subject);
        try {
            file.facts().withAdded(with);
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("joins", Text.of("{why}.", RefusedException.said(e)));
        }
        SubjectRow row = new SubjectRow(
                id,
                subject.id(),
                subject.kind(),
                subject.title(),
                String.join(" ", subject.joins()),
                rows.size(),
                false);
        mapper.insertSubject(row);
        journal.write(person.name(), "subject.added", row.key(), row);
    }

    /** An id that nothing of this installation has had: the kind and a number. */
    @Transactional(readOnly = true)
    public String freeId(String installation, Subject.Kind kind) {
        Set<String> taken =
                mapper.subjects(installation).stream().map(SubjectRow::id).collect(Collectors.toSet());
        int number = 1;
        while (taken.contains(kind.key() + "-" + number)) {
            number++;
        }
        return kind.key() + "-" + number;
    }

    /**
     * Takes away a subject that was added, of which nothing has been read.
     *
     * @throws UnsuitableException where something has
     */
    @Transactional
    public void remove(String id, String subject, Person person) {
        CaseFile file = openForWriting(id, person);
        SubjectRow row = mapper.subjects(id).stream()
                .filter(r -> r.id().equals(subject) && !r.removed())
                .findFirst()
                .orElseThrow(() -> new NotFoundException("Nothing of this name was added to the installation."));
        if (file.evidence().readings().stream()
                .anyMatch(r -> r.key().component().equals(subject))) {
            throw new UnsuitableException("subject", Text.of("{row} has readings; it stays.", row.title()));
        }
        SubjectRow removed =
                new SubjectRow(row.installationId(), row.id(), row.kind(), row.title(), row.joins(), row.place(), true);
        mapper.updateSubject(removed);
        journal.write(person.name(), "subject.removed", row.key(), removed);
    }

    /**
     * Begins another visit; what is read from then on is read at it.
     *
     * @throws UnsuitableException when it would lie before the last one
     */
    @Transactional
    public void visit(String id, Stage stage, LocalDate on, boolean unannounced, Person person) {
        CaseFile file = openForWriting(id, person);
        requireDay(on);
        if (on.isBefore(file.header().visitedOn())) {
            throw new UnsuitableException(
                    "visitedOn",
                    Text.of(
                            "The last visit was on {visitedOn}; this one cannot lie before it.",
                            file.header().visitedOn()));
        }
        beginVisit(id, stage, on, unannounced, person.name());
    }

    /**
     * Notes under which number the visit that the header names was sealed.
     *
     * @throws ConflictException where it is already
     */
    @Transactional
    public void seal(CaseFile.Header header, String number, Person person) {
        if (mapper.sealVisit(header.visitId(), number) == 0) {
            throw new ConflictException(
                    "This visit is sealed already. Nothing was changed.", number, mapper.visit(header.visitId()));
        }
        VisitRow row = mapper.visit(header.visitId());
        journal.write(person.name(), "visit.sealed", row.id(), row);
    }

    /**
     * Confines the visit that goes on to some scopes of its rule book.
     *
     * @param scopes their ids; none for the whole
     * @throws UnsuitableException where the book has no such scope, or the visit is sealed
     */
    @Transactional
    public void confine(String id, List<String> scopes, Person person) {
        CaseFile file = openForWriting(id, person);
        CaseFile.Visit visit = file.header().visit();
        if (visit.sealedAs().isPresent()) {
            throw new UnsuitableException(
                    "scopes",
                    Text.of(
                            "This visit is sealed as {sealedAs}; what it looked at stays.",
                            visit.sealedAs().get()));
        }
        scopes.stream()
                .filter(scope -> !file.rules().scopes().containsKey(scope))
                .findFirst()
                .ifPresent(unknown -> {
                    throw new UnsuitableException(
                            "scopes", Text.of("The rule book has no scope \"{unknown}\".", unknown));
                });
        mapper.confineVisit(visit.id(), scopes.isEmpty() ? null : String.join(" ", new LinkedHashSet<>(scopes)));
        VisitRow row = mapper.visit(visit.id());
        journal.write(person.name(), "visit.confined", row.id(), row);
    }

    private void beginVisit(String installation, Stage stage, LocalDate on, boolean unannounced, String by) {
        VisitRow row = new VisitRow(
                UUID.randomUUID().toString(), installation, stage, on, unannounced ? true : null, null, null);
        mapper.insertVisit(row);
        journal.write(by, "visit.begun", row.id(), row);
    }

    private InstallationState state(String id) {
        return new InstallationState(mapper.find(id), mapper.components(id));
    }

    /**
     * What the register is to say of an installation.
     *
     * @param version of what was seen when this was asked for
     */
    public record Amended(
            String title,
            String system,
            String crew,
            boolean replacement,
            RuleBook rules,
            List<Component> components,
            int version) {

        /** Nothing but another book. */
        public static Amended of(CaseFile file, RuleBook rules) {
            CaseFile.Header h = file.header();
            return new Amended(
                    h.title(),
                    h.system(),
                    h.crew(),
                    h.replacement(),
                    rules,
                    file.facts().components(),
                    h.version());
        }
    }

    /**
     * The installation as it would be after an amendment.
     *
     * @throws UnsuitableException where it cannot be so
     */
    public CaseFile amended(CaseFile file, Amended asked) {
        CaseFile.Header h = file.header();
        CaseFile.Header header = new CaseFile.Header(
                h.id(),
                h.reference(),
                asked.title(),
                h.building(),
                asked.system(),
                asked.crew(),
                asked.replacement(),
                h.stage(),
                h.visitedOn(),
                h.visitId(),
                h.visits(),
                h.version());
        Case facts = file.facts();
        if (asked.components().isEmpty() || asked.components().size() > MOST_UNITS) {
            throw new UnsuitableException("components", Text.of("A system holds 1 to {mostUnits} units.", MOST_UNITS));
        }
        for (Component gone : facts.components()) {
            if (asked.components().stream().noneMatch(unit -> unit.id().equals(gone.id()))) {
                requireUnused(gone, file);
            }
        }
        try {
            return file.corrected(header, facts.corrected(asked.components(), asked.replacement()), asked.rules());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("components", Text.of("{why}.", RefusedException.said(e)));
        }
    }

    /** A unit that has been read or drawn stays; its kind and title can be put right. */
    private static void requireUnused(Component unit, CaseFile file) {
        Set<String> its = file.facts().subjects().stream()
                .filter(subject -> subject.joins().contains(unit.id()))
                .map(Subject::id)
                .collect(Collectors.toSet());
        boolean read = file.evidence().readings().stream()
                .map(reading -> reading.key().component())
                .anyMatch(component -> component.equals(unit.id()) || its.contains(component));
        boolean drawn = file.facts()
                .plan()
                .filter(plan -> plan.units().stream()
                        .anyMatch(placed -> placed.component().equals(unit.id())))
                .isPresent();
        if (read || drawn) {
            throw new UnsuitableException(
                    "components",
                    Text.of(
                            "{unit} has readings or stands in the site drawing; it stays. Its kind and title can be put right.",
                            unit.title()));
        }
    }

    /**
     * Changes what the register says, if nobody else has meanwhile.
     *
     * @throws ConflictException with both versions when somebody has
     * @throws UnsuitableException where it cannot be so
     */
    @Transactional
    public void amend(CaseFile file, Amended asked, Person person) {
        CaseFile.Header header = amended(file, asked).header();
        InstallationRow before = visible(header.id(), person);
        int changed = mapper.update(new InstallationRow(
                header.id(),
                before.reference(),
                before.siteId(),
                before.siteName(),
                before.elevation(),
                before.zone(),
                header.title(),
                header.system(),
                header.crew(),
                header.replacement(),
                asked.rules().id(),
                asked.rules().version(),
                asked.version()));
        if (changed == 0) {
            throw new ConflictException(
                    "Someone changed this installation meanwhile. Nothing was saved; compare the two.",
                    header,
                    open(header.id(), person).header());
        }
        Set<String> there =
                mapper.components(header.id()).stream().map(ComponentRow::id).collect(Collectors.toSet());
        for (int place = 0; place < asked.components().size(); place++) {
            Component c = asked.components().get(place);
            ComponentRow row = new ComponentRow(header.id(), c.id(), c.kind(), c.title(), c.ownSupply(), place);
            if (there.remove(c.id())) {
                mapper.updateComponent(row);
            } else {
                mapper.insertComponent(row);
            }
        }
        there.forEach(gone -> mapper.deleteComponent(header.id(), gone));
        journal.write(person.name(), "installation.amended", header.id(), state(header.id()));
    }
}
