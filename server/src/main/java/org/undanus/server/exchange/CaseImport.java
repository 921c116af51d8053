package org.undanus.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Site;
import org.undanus.core.installation.Subject;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.CarriedRecord;
import org.undanus.server.commissioning.CarriedRecords;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Corrections;
import org.undanus.server.correction.Step;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.exchange.CaseDocument.CorrectionRecord;
import org.undanus.server.exchange.CaseDocument.FileRecord;
import org.undanus.server.exchange.CaseDocument.InstallationRecord;
import org.undanus.server.exchange.CaseDocument.ReadingRecord;
import org.undanus.server.installation.AddedSubjects;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.installation.Register;
import org.undanus.server.installation.Visits;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.photo.Photo;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.refrigerant.RefrigerantStore;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.server.siteplan.SitePlans;
import org.undanus.server.trace.TraceStore;
import org.undanus.server.upload.ArrivedFile;
import org.undanus.view.CaseFile;
import tools.jackson.databind.json.JsonMapper;

/** Reads case files in. */
@Service
public class CaseImport {
    private static final double SAME = 1e-9;

    private final Clock clock;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final AddedSubjects addedSubjects;
    private final Register register;
    private final Visits visits;
    private final Corrections corrections;
    private final RuleBooks books;
    private final RefrigerantStore refrigerants;
    private final SheetLibrary sheets;
    private final Instruments instruments;
    private final SitePlans plans;
    private final Photos photos;
    private final TraceStore traces;
    private final CarriedRecords records;
    private final JsonMapper json;
    private final TransactionTemplate transactions;

    CaseImport(
            Clock clock,
            CaseFiles cases,
            KeptReadings keptReadings,
            AddedSubjects addedSubjects,
            Register register,
            Visits visits,
            Corrections corrections,
            RuleBooks books,
            RefrigerantStore refrigerants,
            SheetLibrary sheets,
            Instruments instruments,
            SitePlans plans,
            Photos photos,
            TraceStore traces,
            CarriedRecords records,
            JsonMapper json,
            TransactionTemplate transactions) {
        this.clock = clock;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.addedSubjects = addedSubjects;
        this.register = register;
        this.visits = visits;
        this.corrections = corrections;
        this.books = books;
        this.refrigerants = refrigerants;
        this.sheets = sheets;
        this.instruments = instruments;
        this.plans = plans;
        this.photos = photos;
        this.traces = traces;
        this.records = records;
        this.json = json;
        this.transactions = transactions;
    }

    /**
     * Reads a file in that nobody waits for.
     *
     * @throws UnsuitableException naming the place that cannot be taken
     */
    public void read(Path file, Person person) {
        read(file, person, ImportProgress.UNWATCHED);
    }

    /**
     * Reads a file in, whole or not at all: until the transaction commits nobody else sees any of it, nor waits for it.
     *
     * @param file in a folder that photos may be unpacked into
     * @return the ids of the installations entered
     * @throws UnsuitableException naming the place that cannot be taken
     * @throws ImportProgress.CancelledException where it is not wanted any more
     */
    List<String> read(Path file, Person person, ImportProgress progress) {
        CaseDocument document = json.readerFor(CaseDocument.class)
                .withAttribute(FileContent.FOLDER, file.getParent())
                .readValue(file.toFile());
        return transactions.execute(status -> enter(document, file.getParent(), person, progress));
    }

    private List<String> enter(CaseDocument document, Path folder, Person person, ImportProgress progress) {
        Instant now = clock.instant();
        if (!CaseDocument.FORMAT.equals(document.format())) {
            throw new UnsuitableException(
                    "format",
                    Text.of("This reads {format}, not {other}.", CaseDocument.FORMAT, shortened(document.format())));
        }
        if (document.installations() == null || document.installations().isEmpty()) {
            throw new UnsuitableException("installations", "The file holds no installation.");
        }
        requireNoGaps("installations", document.installations());
        library(document, person);
        document.installations().forEach(CaseImport::requireWhole);
        progress.begins(document.installations().stream()
                .mapToInt(i -> i.readings().size()
                        + i.corrections().map(List::size).orElse(0)
                        + i.photos().map(List::size).orElse(0)
                        + i.traces().map(List::size).orElse(0)
                        + i.records().map(List::size).orElse(0)
                        + i.files().map(List::size).orElse(0))
                .sum());
        return document.installations().stream()
                .map(i -> enter(i, folder, person, now, progress))
                .toList();
    }

    /** Keeps what a file brings of rule books, refrigerants, sheets and instruments. */
    void library(CaseDocument document, Person person) {
        document.ruleBooks().ifPresent(all -> requireNoGaps("ruleBooks", all));
        document.refrigerants().ifPresent(all -> requireNoGaps("refrigerants", all));
        document.dataSheets().ifPresent(all -> requireNoGaps("dataSheets", all));
        document.instruments().ifPresent(all -> requireNoGaps("instruments", all));
        document.ruleBooks().stream().flatMap(List::stream).forEach(yaml -> books.addWithCase(yaml, person.name()));
        document.refrigerants().stream().flatMap(List::stream).forEach(file -> refrigerants.bring(file, person.name()));
        sheets.add(document.dataSheets().orElse(List.of()), person.name(), clock.instant());
        instruments.add(document.instruments().orElse(List.of()), person.name());
    }

    private static void requireWhole(InstallationRecord record) {
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
        record.photos().ifPresent(all -> requireNoGaps(where + ".photos", all));
        record.traces().ifPresent(all -> requireNoGaps(where + ".traces", all));
        record.records().ifPresent(all -> requireNoGaps(where + ".records", all));
        record.files().ifPresent(all -> requireNoGaps(where + ".files", all));
        record.subjects().ifPresent(all -> requireNoGaps(where + ".subjects", all));
        record.earlierVisits().ifPresent(all -> requireNoGaps(where + ".earlierVisits", all));
    }

    private void confine(String id, CaseDocument.VisitRecord visit, Person person) {
        Optional.ofNullable(visit.scopes())
                .flatMap(scopes -> scopes)
                .filter(scopes -> !scopes.isEmpty())
                .ifPresent(scopes -> visits.confine(id, scopes, person));
    }

    private String enter(InstallationRecord record, Path folder, Person person, Instant now, ImportProgress progress) {
        String where = "installations." + record.reference();
        RuleBook rules = book(record.ruleBook(), where);
        String id = opened(record, rules, where, person);
        for (Subject subject : record.subjects().orElse(List.of())) {
            if (!subject.kind().addable()) {
                throw new UnsuitableException(
                        where + ".subjects", "Units and the system are no subjects of their own.");
            }
            addedSubjects.add(id, subject, person);
        }
        record.sitePlan()
                .ifPresent(plan ->
                        plans.keep(id, plans.geoJson().read(json.writeValueAsString(plan)), 0, person.name(), now));
        CaseFile file = cases.open(id, person);
        for (CaseDocument.TraceRecord trace : record.traces().orElse(List.of())) {
            progress.step();
            keep(trace, folder, id, where + ".traces", person, now);
        }
        keepReadings(record, file, rules, where, person, progress);
        keepCorrections(record, id, where, person, progress);
        for (CaseDocument.PhotoRecord photo : record.photos().orElse(List.of())) {
            progress.step();
            keep(photo, folder, file, where, person);
        }
        List<CarriedRecord> handedIn = record.records().orElse(List.of());
        List<List<ArrivedFile>> papers = papers(record, handedIn.size(), folder, file, where, person, progress);
        for (int number = 0; number < handedIn.size(); number++) {
            progress.step();
            keep(handedIn.get(number), papers.get(number), file, where + ".records[" + number + "]", person);
        }
        return id;
    }

    /** @return the id of the installation, opened with all its visits */
    private String opened(InstallationRecord record, RuleBook rules, String where, Person person) {
        List<CaseDocument.VisitRecord> recorded =
                new ArrayList<>(record.earlierVisits().orElse(List.of()));
        recorded.add(new CaseDocument.VisitRecord(
                record.stage(), record.visitedOn(), record.unannounced(), record.scopes()));
        String id = register.enter(
                new Register.Opening(
                        record.reference(),
                        record.title(),
                        record.building(),
                        elevation(record, where),
                        Optional.ofNullable(record.zone()).flatMap(zone -> zone.map(named -> zone(named, where))),
                        record.system(),
                        record.crew(),
                        new CaseFile.Owner(said(record.owner()), said(record.address())),
                        record.replacement(),
                        recorded.get(0).stage(),
                        recorded.get(0).visitedOn(),
                        recorded.get(0).unannounced().orElse(false),
                        record.components(),
                        rules),
                person.name());
        confine(id, recorded.get(0), person);
        recorded.stream().skip(1).forEach(v -> {
            visits.begin(id, v.stage(), v.visitedOn(), v.unannounced().orElse(false), person);
            confine(id, v, person);
        });
        return id;
    }

    /** Left out, also where a file says null: not known. */
    private static String said(Optional<String> told) {
        return told == null ? "" : told.map(String::strip).orElse("");
    }

    private void keepReadings(
            InstallationRecord record,
            CaseFile file,
            RuleBook rules,
            String where,
            Person person,
            ImportProgress progress) {
        requireNewIds(record.readings(), where);
        int index = 0;
        for (ReadingRecord reading : record.readings()) {
            progress.step();
            keep(reading, file, rules, person, where + ".readings[" + index++ + "]");
        }
    }

    private void keepCorrections(
            InstallationRecord record, String id, String where, Person person, ImportProgress progress) {
        List<CorrectionRecord> raised = record.corrections().orElse(List.of());
        if (raised.stream().map(CorrectionRecord::number).distinct().count() < raised.size()) {
            throw new UnsuitableException(where + ".corrections", "Two corrections have the same number.");
        }
        for (CorrectionRecord correction : raised) {
            progress.step();
            keep(correction, id, where, person);
        }
    }

    /** Hangs what belongs to corrections on them. @return the papers of each record */
    private List<List<ArrivedFile>> papers(
            InstallationRecord installation,
            int recorded,
            Path folder,
            CaseFile file,
            String where,
            Person person,
            ImportProgress progress) {
        List<List<ArrivedFile>> papers = new ArrayList<>();
        for (int number = 0; number < recorded; number++) {
            papers.add(new ArrayList<>());
        }
        for (FileRecord each : installation.files().orElse(List.of())) {
            progress.step();
            Optional<FileContent> content = each.content()
                    .or(() -> each.file().map(name -> beside(CaseZip.FILES, name, folder, where + ".files")));
            if (content.isEmpty() || each.name() == null || each.addedBy() == null || each.addedAt() == null) {
                throw new UnsuitableException(
                        where + ".files",
                        "A file needs its content or the name of its file, name, addedBy and addedAt.");
            }
            ArrivedFile arrived = new ArrivedFile(
                    each.name(), bytes(content.get(), where + ".files"), each.addedBy(), each.addedAt());
            if (each.correction().isPresent()) {
                corrections.keep(correction(each.correction().get(), file, where + ".files"), arrived, person);
            } else {
                int number = each.record().orElse(0);
                if (number < 1 || number > recorded) {
                    throw new UnsuitableException(
                            where + ".files",
                            Text.of("A file hangs on a correction or on a record; there is none {number}.", number));
                }
                papers.get(number - 1).add(arrived);
            }
        }
        return papers;
    }

    private void keep(CarriedRecord record, List<ArrivedFile> papers, CaseFile file, String where, Person person) {
        try {
            records.keep(file, record, papers, person);
        } catch (UnsuitableException e) {
            throw new UnsuitableException(where, RefusedException.said(e));
        }
    }

    private String correction(int number, CaseFile file, String where) {
        return corrections.of(file).stream()
                .filter(c -> c.number() == number)
                .map(Correction::id)
                .findFirst()
                .orElseThrow(() -> new UnsuitableException(where, Text.of("There is no correction {number}.", number)));
    }

    private RuleBook book(CaseDocument.BookRecord named, String where) {
        try {
            return books.book(named.id(), named.version());
        } catch (NotFoundException e) {
            throw new UnsuitableException(where + ".ruleBook", RefusedException.said(e));
        }
    }

    private static ZoneId zone(String named, String where) {
        try {
            return ZoneId.of(named);
        } catch (DateTimeException e) {
            throw new UnsuitableException(where + ".zone", Text.of("\"{zone}\" is no time zone.", named));
        }
    }

    private static double elevation(InstallationRecord record, String where) {
        try {
            Length elevation = (Length)
                    FieldNotation.parse(record.elevation(), Dimension.LENGTH).value();
            return new Site(record.building(), elevation).elevation().si();
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException(where + ".elevation", RefusedException.said(e));
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
            throw new UnsuitableException(where + ".visit", Text.of("There is no visit number {visit}.", visit));
        }
        CaseFile.Header header = file.header().at(visits.get(visit));
        PointKey key = new PointKey(record.point(), record.component().orElse(PointKey.SYSTEM));
        Point point = file.line(key)
                .orElseThrow(() -> new UnsuitableException(
                        where,
                        Text.of(
                                "The installation has no line {line} of {subject}.",
                                shortened(record.point()),
                                shortened(key.component()))))
                .point();
        Accuracy accuracy = instruments
                .accuracy(record.instrument(), point, rules)
                .orElseThrow(() -> new UnsuitableException(
                        where,
                        Text.of(
                                "There is no instrument {instrument}.",
                                shortened(record.instrument().orElseThrow()))));
        Entry.Understood understood;
        try {
            understood =
                    Entry.answer(point, record.typed(), accuracy, file.facts().traces());
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException(where, RefusedException.said(e));
        }
        requireSame(record, understood.value(), where);
        UUID id = record.id().map(text -> uuid(text, where)).orElseGet(UUID::randomUUID);
        keptReadings.keep(
                new Reading(
                        id,
                        key,
                        understood.kept(record.typed()),
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
                        where,
                        Text.of("\"{typed}\" is {here} in SI, but the file says {told}.", record.typed(), here, told));
            }
        }
    }

    private void keep(CaseDocument.PhotoRecord record, Path folder, CaseFile file, String where, Person person) {
        Optional<FileContent> content = record.content()
                .or(() -> record.file().map(name -> beside(CaseZip.PHOTOS, name, folder, where + ".photos")));
        if (content.isEmpty() || record.addedAt() == null || record.addedBy() == null) {
            throw new UnsuitableException(
                    where + ".photos", "A photo needs its content or the name of its file, addedBy and addedAt.");
        }
        Optional<String> correction = record.correction().map(number -> correction(number, file, where + ".photos"));
        Photo kept = photos.keep(
                file,
                new Photos.Hook(record.point(), record.component(), correction),
                bytes(content.get(), where + ".photos"),
                person,
                new Photos.Origin(record.addedBy(), record.addedAt(), record.takenAt()));
        record.marks().ifPresent(marks -> photos.mark(kept.id(), marks, 0, person));
    }

    private static byte[] bytes(FileContent content, String where) {
        try (InputStream in = content.open()) {
            byte[] bytes = in.readNBytes((int) Photos.MOST_BYTES + 1);
            if (bytes.length > Photos.MOST_BYTES) {
                throw new UnsuitableException(
                        where,
                        Text.of(
                                "A photo or paper in the file is larger than {mostBytes} kB.",
                                Photos.MOST_BYTES / 1024));
            }
            return bytes;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void keep(
            CaseDocument.TraceRecord record,
            Path folder,
            String installation,
            String where,
            Person person,
            Instant now) {
        FileContent content = record.content()
                .or(() -> record.file().map(name -> beside(CaseZip.TRACES, name, folder, where)))
                .orElseThrow(
                        () -> new UnsuitableException(where, "A curve needs its content or the name of its file."));
        Point point = Walk.point(record.point() == null ? "" : record.point())
                .filter(known -> known.kind() == Point.Kind.CURVE)
                .orElseThrow(() -> new UnsuitableException(
                        where,
                        Text.of("There is no line {line} that takes a logger's file.", shortened(record.point()))));
        Trace trace;
        try (InputStream csv = content.open()) {
            trace = traces.keep(installation, point, csv, person.name(), now);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (!trace.sha256().equals(record.sha256())) {
            throw new UnsuitableException(
                    where, Text.of("A curve is not the one it is called: its SHA-256 is {sha256}.", trace.sha256()));
        }
    }

    private static FileContent beside(String kind, String name, Path folder, String where) {
        Path file = folder.resolve(kind).resolve(Path.of(name).getFileName());
        if (!name.equals(kind + file.getFileName()) || !Files.isRegularFile(file)) {
            throw new UnsuitableException(where, Text.of("The file {name} is not there.", shortened(name)));
        }
        return FileContent.in(file);
    }

    private void keep(CorrectionRecord c, String installation, String where, Person person) {
        String id = UUID.randomUUID().toString();
        corrections.keep(
                new Correction(
                        id,
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
                        c.severity(),
                        1),
                person.name());
        List<CaseDocument.StepRecord> steps = c.steps().orElse(List.of());
        requireNoGaps(where + ".corrections.steps", steps);
        for (CaseDocument.StepRecord step : steps) {
            if (step.kind() == null || step.words() == null || step.by() == null || step.at() == null) {
                throw new UnsuitableException(
                        where + ".corrections.steps", "A step of a correction needs kind, words, by and at.");
            }
            corrections.keep(
                    new Step(
                            UUID.randomUUID().toString(),
                            step.kind(),
                            step.words(),
                            step.readings().orElse(List.of()),
                            step.by(),
                            step.at()),
                    id,
                    person.name());
        }
    }

    private void requireNewIds(List<ReadingRecord> readings, String where) {
        List<String> ids = readings.stream().flatMap(r -> r.id().stream()).toList();
        Set<String> taken = keptReadings.keptAmong(ids);
        for (int index = 0; index < readings.size(); index++) {
            String id = readings.get(index).id().orElse(null);
            if (id != null && !taken.add(id)) {
                throw new UnsuitableException(
                        where + ".readings[" + index + "]", "A reading with this id is already saved.");
            }
        }
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
