package org.undanus.server.exchange;

import java.io.InputStream;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Site;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.server.account.Person;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Corrections;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.exchange.CaseDocument.CorrectionRecord;
import org.undanus.server.exchange.CaseDocument.InstallationRecord;
import org.undanus.server.exchange.CaseDocument.JudgementRecord;
import org.undanus.server.exchange.CaseDocument.LimitRecord;
import org.undanus.server.exchange.CaseDocument.ReadingRecord;
import org.undanus.server.exchange.CaseDocument.UnderstoodRecord;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.photo.Photo;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.siteplan.SitePlans;
import org.undanus.server.toolcase.Instruments;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Writes case files out and reads them in. */
@Service
public class Exchange {
    private static final TypeReference<Map<String, Object>> JSON_OBJECT = new TypeReference<>() {};
    private static final double SAME = 1e-9;

    private final CaseFiles cases;
    private final Corrections corrections;
    private final RuleBooks books;
    private final SheetLibrary sheets;
    private final Instruments instruments;
    private final SitePlans plans;
    private final Photos photos;
    private final JsonMapper json;

    Exchange(
            CaseFiles cases,
            Corrections corrections,
            RuleBooks books,
            SheetLibrary sheets,
            Instruments instruments,
            SitePlans plans,
            Photos photos,
            JsonMapper json) {
        this.cases = cases;
        this.corrections = corrections;
        this.books = books;
        this.sheets = sheets;
        this.instruments = instruments;
        this.plans = plans;
        this.photos = photos;
        this.json = json;
    }

    /** One installation with everything it is judged by. */
    @Transactional(readOnly = true)
    CaseDocument export(CaseFile file, ExchangeController.PhotoChoice choice, Person person) {
        List<String> models = file.facts().components().stream()
                .flatMap(c -> file.model(c).stream())
                .toList();
        List<String> used = file.evidence().readings().stream()
                .flatMap(reading -> reading.instrument().stream())
                .distinct()
                .toList();
        return new CaseDocument(
                CaseDocument.FORMAT,
                Optional.of(Instant.now().truncatedTo(ChronoUnit.SECONDS)),
                Optional.of(List.of(file.rules().yaml())),
                Optional.of(sheets.recordsOf(models)),
                Optional.of(instruments.records().stream()
                        .filter(i -> used.contains(i.id()))
                        .toList()),
                List.of(installation(file, choice, person)));
    }

    private InstallationRecord installation(CaseFile file, ExchangeController.PhotoChoice choice, Person person) {
        CaseFile.Header h = file.header();
        Map<UUID, Integer> visits = cases.visitNumbers(h);
        List<Correction> raised = corrections.of(file);
        return new InstallationRecord(
                h.reference(),
                h.title(),
                h.building(),
                file.facts().site().elevation().si() + " m",
                h.system(),
                h.crew(),
                h.replacement(),
                h.stage(),
                h.visitedOn(),
                new CaseDocument.BookRecord(file.rules().id(), file.rules().version()),
                file.facts().components(),
                Optional.of(h.visits().stream()
                                .limit(h.visits().size() - 1)
                                .map(v -> new CaseDocument.VisitRecord(v.stage(), v.on()))
                                .toList())
                        .filter(earlier -> !earlier.isEmpty()),
                file.facts().plan().map(plan -> json.readValue(plans.geoJson().write(plan), JSON_OBJECT)),
                file.evidence().readings().stream()
                        .map(r -> reading(r, visits.get(r.id()), h.visits().size() - 1))
                        .toList(),
                Optional.of(raised.stream().map(Exchange::correction).toList()),
                Optional.of(choice)
                        .filter(c -> c != ExchangeController.PhotoChoice.NONE)
                        .map(c -> photos.of(file).stream()
                                .map(photo -> photo(photo, raised, c, person))
                                .toList()),
                Optional.of(file.judgements().all().stream()
                        .map(Exchange::judgement)
                        .toList()));
    }

    private static ReadingRecord reading(Reading reading, int visit, int last) {
        Optional<UnderstoodRecord> understood = reading.value() instanceof Value.Measured m
                ? Optional.of(new UnderstoodRecord(m.quantity().si(), m.standardUncertainty()))
                : Optional.empty();
        return new ReadingRecord(
                Optional.of(reading.id().toString()),
                reading.key().point(),
                Optional.of(reading.key().component()).filter(c -> !c.equals(PointKey.SYSTEM)),
                reading.typed(),
                understood,
                reading.instrument(),
                reading.grade(),
                reading.by(),
                reading.at(),
                visit == last ? Optional.empty() : Optional.of(visit),
                Optional.of(reading.byCrew()).filter(crew -> crew));
    }

    private CaseDocument.PhotoRecord photo(
            Photo photo, List<Correction> raised, ExchangeController.PhotoChoice choice, Person person) {
        Photos.Picture picture =
                photos.picture(photo.id(), choice == ExchangeController.PhotoChoice.POSITIONED, person);
        return new CaseDocument.PhotoRecord(
                photo.point(),
                photo.component(),
                photo.correction()
                        .flatMap(id ->
                                raised.stream().filter(c -> c.id().equals(id)).findFirst())
                        .map(Correction::number),
                photo.mediaType(),
                photo.sha256(),
                photo.takenAt(),
                photo.addedBy(),
                photo.addedAt(),
                picture.content());
    }

    private static CorrectionRecord correction(Correction c) {
        return new CorrectionRecord(
                c.number(),
                c.requirement(),
                c.component(),
                c.what(),
                c.finding(),
                c.limits(),
                c.words(),
                c.due(),
                c.state(),
                c.raisedBy(),
                c.raisedAt());
    }

    private static JudgementRecord judgement(Judgement j) {
        return new JudgementRecord(
                j.about().id(),
                j.component(),
                j.verdict(),
                j.because().in(UnitSystem.SI),
                j.comparison().map(c -> c.measured().value()),
                j.comparison().map(c -> c.measured().expanded()),
                j.comparison().stream()
                        .flatMap(c -> c.limits().stream())
                        .map(held -> new LimitRecord(
                                held.limit().authority().id(),
                                held.limit().bound().words(),
                                held.limit().value().si(),
                                held.limit().source(),
                                held.binds()))
                        .toList(),
                j.school().map(SchoolTopic.School::id));
    }

    /** Reads a document in from JSON, whole or not at all. */
    @Transactional
    public List<String> read(InputStream document, Person person) {
        return read(json.readValue(document, CaseDocument.class), person);
    }

    /**
     * Reads a document in, whole or not at all.
     *
     * @return the ids of the installations entered
     * @throws UnsuitableException naming the place that cannot be taken
     */
    @Transactional
    List<String> read(CaseDocument document, Person person) {
        Instant now = Instant.now().truncatedTo(ChronoUnit.MILLIS);
        if (!CaseDocument.FORMAT.equals(document.format())) {
            throw new UnsuitableException(
                    "format", "This reads " + CaseDocument.FORMAT + ", not " + shortened(document.format()) + ".");
        }
        if (document.installations() == null || document.installations().isEmpty()) {
            throw new UnsuitableException("installations", "The file holds no installation.");
        }
        requireNoGaps("installations", document.installations());
        document.ruleBooks().ifPresent(all -> requireNoGaps("ruleBooks", all));
        document.dataSheets().ifPresent(all -> requireNoGaps("dataSheets", all));
        document.instruments().ifPresent(all -> requireNoGaps("instruments", all));
        document.ruleBooks().stream().flatMap(List::stream).forEach(yaml -> books.addWithCase(yaml, person.name()));
        sheets.add(document.dataSheets().orElse(List.of()), person.name(), now);
        instruments.add(document.instruments().orElse(List.of()), person.name());
        return document.installations().stream().map(i -> enter(i, person, now)).toList();
    }

    private String enter(InstallationRecord record, Person person, Instant now) {
        String where = "installations." + record.reference();
        if (record.reference() == null
                || record.title() == null
                || record.building() == null
                || record.elevation() == null
                || record.system() == null
                || record.crew() == null
                || record.stage() == null
                || record.visitedOn() == null
                || record.ruleBook() == null
                || record.components() == null
                || record.components().isEmpty()
                || record.readings() == null) {
            throw new UnsuitableException(
                    where,
                    "An installation needs reference, title, building, elevation, system, crew, stage, visitedOn, ruleBook,"
                            + " components and readings.");
        }
        requireNoGaps(where + ".components", record.components());
        requireNoGaps(where + ".readings", record.readings());
        record.corrections().ifPresent(all -> requireNoGaps(where + ".corrections", all));
        RuleBook rules = books.book(record.ruleBook().id(), record.ruleBook().version());
        List<CaseDocument.VisitRecord> visits =
                new ArrayList<>(record.earlierVisits().orElse(List.of()));
        requireNoGaps(where + ".earlierVisits", visits);
        visits.add(new CaseDocument.VisitRecord(record.stage(), record.visitedOn()));
        String id = cases.enter(
                new CaseFiles.Opening(
                        record.reference(),
                        record.title(),
                        record.building(),
                        elevation(record, where),
                        record.system(),
                        record.crew(),
                        record.replacement(),
                        visits.get(0).stage(),
                        visits.get(0).visitedOn(),
                        record.components(),
                        rules),
                person.name());
        visits.stream().skip(1).forEach(v -> cases.visit(id, v.stage(), v.visitedOn(), person));
        record.sitePlan()
                .ifPresent(plan ->
                        plans.keep(id, plans.geoJson().read(json.writeValueAsString(plan)), 0, person.name(), now));
        CaseFile file = cases.open(id, person);
        int index = 0;
        for (ReadingRecord reading : record.readings()) {
            keep(reading, file, rules, person, where + ".readings[" + index++ + "]");
        }
        List<CorrectionRecord> raised = record.corrections().orElse(List.of());
        if (raised.stream().map(CorrectionRecord::number).distinct().count() < raised.size()) {
            throw new UnsuitableException(where + ".corrections", "Two corrections have the same number.");
        }
        raised.forEach(c -> keep(c, id, person));
        record.photos().stream().flatMap(List::stream).forEach(p -> keep(p, id, where, person));
        return id;
    }

    private static double elevation(InstallationRecord record, String where) {
        try {
            Length elevation = (Length)
                    FieldNotation.parse(record.elevation(), Dimension.LENGTH).value();
            return new Site(record.building(), elevation).elevation().si();
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException(where + ".elevation", e.getMessage());
        }
    }

    private static void requireNoGaps(String where, List<?> items) {
        int gap = new ArrayList<>(items).indexOf(null);
        if (gap >= 0) {
            throw new UnsuitableException(
                    where + "[" + gap + "]", "There is nothing at place " + gap + " of " + where + ".");
        }
    }

    private void keep(ReadingRecord record, CaseFile file, RuleBook rules, Person person, String where) {
        if (record.point() == null
                || record.typed() == null
                || record.grade() == null
                || record.by() == null
                || record.at() == null) {
            throw new UnsuitableException(where, "A reading needs point, typed, grade, by and at.");
        }
        List<CaseFile.Visit> visits = file.header().visits();
        int visit = record.visit().orElse(visits.size() - 1);
        if (visit < 0 || visit >= visits.size()) {
            throw new UnsuitableException(where + ".visit", "There is no visit number " + visit + ".");
        }
        CaseFile.Header header = file.header().at(visits.get(visit));
        PointKey key = new PointKey(record.point(), record.component().orElse(PointKey.SYSTEM));
        Point point = file.line(key)
                .orElseThrow(() -> new UnsuitableException(
                        where,
                        "The installation has no line " + shortened(record.point()) + " of "
                                + shortened(key.component()) + "."))
                .point();
        Accuracy accuracy = instruments
                .accuracy(record.instrument(), point, rules)
                .orElseThrow(() -> new UnsuitableException(
                        where,
                        "There is no instrument "
                                + shortened(record.instrument().orElseThrow()) + "."));
        Entry.Understood understood;
        try {
            understood = Entry.understand(point, record.typed(), accuracy);
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException(where, e.getMessage());
        }
        requireSame(record, understood.value(), where);
        UUID id = record.id().map(text -> uuid(text, where)).orElseGet(UUID::randomUUID);
        if (cases.keptReading(id).isPresent()) {
            throw new UnsuitableException(where, "A reading with this id is already kept.");
        }
        cases.keep(
                new Reading(
                        id,
                        key,
                        record.typed(),
                        understood.value(),
                        understood.unit(),
                        record.instrument(),
                        record.grade(),
                        record.by(),
                        record.at().truncatedTo(ChronoUnit.MILLIS),
                        header.stage(),
                        record.byCrew().orElse(false)),
                header,
                person.name());
    }

    /** What the file says it was understood as must be what it is understood as here. */
    private static void requireSame(ReadingRecord record, Value value, String where) {
        if (record.understood().isPresent() && value instanceof Value.Measured measured) {
            double told = record.understood().get().si();
            double here = measured.quantity().si();
            if (Math.abs(told - here) > SAME * Math.max(1, Math.abs(here))) {
                throw new UnsuitableException(
                        where, "\"" + record.typed() + "\" is " + here + " in SI, but the file says " + told + ".");
            }
        }
    }

    private void keep(CaseDocument.PhotoRecord record, String id, String where, Person person) {
        if (record == null || record.content() == null || record.addedAt() == null || record.addedBy() == null) {
            throw new UnsuitableException(where + ".photos", "A photo needs content, addedBy and addedAt.");
        }
        Optional<String> correction = record.correction().map(number -> corrections.of(cases.open(id, person)).stream()
                .filter(c -> c.number() == number)
                .map(Correction::id)
                .findFirst()
                .orElseThrow(
                        () -> new UnsuitableException(where + ".photos", "There is no correction " + number + ".")));
        photos.keep(
                id,
                new Photos.Hook(record.point(), record.component(), correction),
                record.content(),
                person,
                new Photos.Origin(record.addedBy(), record.addedAt(), record.takenAt()));
    }

    private void keep(CorrectionRecord c, String installation, Person person) {
        corrections.keep(
                new Correction(
                        UUID.randomUUID().toString(),
                        c.number(),
                        installation,
                        c.requirement(),
                        c.component(),
                        c.what(),
                        c.finding(),
                        c.limits(),
                        c.words(),
                        c.due(),
                        c.state(),
                        c.raisedBy(),
                        c.raisedAt(),
                        1),
                person.name());
    }

    private static UUID uuid(String text, String where) {
        try {
            return UUID.fromString(text);
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException(where, "An id is a UUID.");
        }
    }

    private static String shortened(String words) {
        return words == null ? "nothing" : words.length() <= 60 ? words : words.substring(0, 60) + "…";
    }
}
