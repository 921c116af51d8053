package org.undanus.server.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.unit.DataSize;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.CarriedRecords;
import org.undanus.server.correction.Correction;
import org.undanus.server.correction.Corrections;
import org.undanus.server.datasheet.SheetLibrary;
import org.undanus.server.exchange.CaseDocument.CorrectionRecord;
import org.undanus.server.exchange.CaseDocument.FileRecord;
import org.undanus.server.exchange.CaseDocument.InstallationRecord;
import org.undanus.server.exchange.CaseDocument.JudgementRecord;
import org.undanus.server.exchange.CaseDocument.LimitRecord;
import org.undanus.server.exchange.CaseDocument.ReadingRecord;
import org.undanus.server.exchange.CaseDocument.UnderstoodRecord;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.photo.Photo;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.siteplan.SitePlans;
import org.undanus.server.trace.TraceStore;
import org.undanus.server.upload.KeptFile;
import org.undanus.view.CaseFile;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Writes case files out. */
@Service
public class CaseExport {
    private static final TypeReference<Map<String, Object>> JSON_OBJECT = new TypeReference<>() {};
    /** Of so many bytes base64 makes so many characters (RFC 4648). */
    private static final int BASE64_BYTES = 3;

    private static final int BASE64_TEXT = 4;
    /** Bytes; what is said about a photo beside its content. */
    private static final long ABOUT_A_PHOTO = 1024;

    private final Clock clock;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Corrections corrections;
    private final SheetLibrary sheets;
    private final Instruments instruments;
    private final SitePlans plans;
    private final Photos photos;
    private final TraceStore traces;
    private final CarriedRecords records;
    private final JsonMapper json;
    private final DataSize largest;

    CaseExport(
            Clock clock,
            CaseFiles cases,
            KeptReadings keptReadings,
            Corrections corrections,
            SheetLibrary sheets,
            Instruments instruments,
            SitePlans plans,
            Photos photos,
            TraceStore traces,
            CarriedRecords records,
            JsonMapper json,
            @org.springframework.beans.factory.annotation.Value("${undanus.largest-case-file}") DataSize largest) {
        this.clock = clock;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.corrections = corrections;
        this.sheets = sheets;
        this.instruments = instruments;
        this.plans = plans;
        this.photos = photos;
        this.traces = traces;
        this.records = records;
        this.json = json;
        this.largest = largest;
    }

    /**
     * One installation with everything it is judged by. Its photos are fetched when it is written out.
     *
     * @throws UnsuitableException where with its photos it would be larger than what can be imported again
     */
    @Transactional(readOnly = true)
    CaseDocument export(CaseFile file, ExchangeController.PhotoChoice choice, Person person) {
        if (choice != ExchangeController.PhotoChoice.NONE) {
            requireNotTooLarge(file, person);
        }
        List<String> models = file.facts().components().stream()
                .flatMap(c -> file.model(c).stream())
                .toList();
        List<String> used = file.evidence().readings().stream()
                .flatMap(reading -> reading.instrument().stream())
                .distinct()
                .toList();
        return new CaseDocument(
                CaseDocument.FORMAT,
                Optional.of(clock.instant().truncatedTo(ChronoUnit.SECONDS)),
                Optional.of(file.rules().layers().stream().map(RuleBook::yaml).toList()),
                Optional.of(file.facts().refrigerants().files()).filter(files -> !files.isEmpty()),
                Optional.of(sheets.recordsOf(models)),
                Optional.of(instruments.records().stream()
                        .filter(i -> used.contains(i.id()))
                        .toList()),
                List.of(installation(file, choice, person)));
    }

    /**
     * A case with its photos as files beside the document, written out one after another.
     *
     * @throws UnsuitableException where it would be larger than what can be imported again
     */
    @Transactional(readOnly = true)
    StreamingResponseBody zip(CaseFile file, ExchangeController.PhotoChoice choice, Person person) {
        List<CaseZip.Beside> files = new ArrayList<>();
        CaseDocument beside = beside(export(file, choice, person), files);
        return to -> CaseZip.write(beside, files, json, to);
    }

    /** A case to be frozen: its document as JSON, and the files beside it. */
    public record Frozen(byte[] document, List<Held> files) {}

    /** A file beside a case's document. */
    public record Held(String name, Opening opening) {}

    /** Opens a file; each time anew. */
    @FunctionalInterface
    public interface Opening {
        InputStream open() throws IOException;
    }

    /**
     * One installation as it stands, with its photos and curves as they came in.
     *
     * @throws UnsuitableException where it would be larger than what can be imported again
     */
    @Transactional(readOnly = true)
    public Frozen frozen(CaseFile file, Person person) {
        List<CaseZip.Beside> files = new ArrayList<>();
        CaseDocument document = beside(export(file, ExchangeController.PhotoChoice.POSITIONED, person), files);
        return new Frozen(
                json.writeValueAsBytes(document),
                files.stream()
                        .map(each -> new Held(each.name(), each.content()::open))
                        .toList());
    }

    private static CaseDocument beside(CaseDocument document, List<CaseZip.Beside> files) {
        return document.with(document.installations().stream()
                .map(i -> i.with(
                        i.photos().map(all -> all.stream()
                                .map(photo -> set(photo, files))
                                .toList()),
                        i.traces().map(all -> all.stream()
                                .map(trace -> set(trace, files))
                                .toList()),
                        i.files().map(all -> all.stream()
                                .map(file -> set(file, files))
                                .toList())))
                .toList());
    }

    private static CaseDocument.TraceRecord set(CaseDocument.TraceRecord trace, List<CaseZip.Beside> files) {
        String name = CaseZip.TRACES + trace.sha256() + ".csv";
        trace.content().ifPresent(content -> files.add(new CaseZip.Beside(name, content)));
        return trace.in(name);
    }

    private static CaseDocument.FileRecord set(CaseDocument.FileRecord file, List<CaseZip.Beside> files) {
        String name = CaseZip.FILES + named(file.sha256(), file.mediaType(), files);
        file.content().ifPresent(content -> files.add(new CaseZip.Beside(name, content)));
        return file.in(name);
    }

    private static String named(String sha256, String mediaType, List<CaseZip.Beside> files) {
        String ending = mediaType.substring(mediaType.indexOf('/') + 1);
        return (files.size() + 1) + "-" + sha256.substring(0, 12) + "." + ending;
    }

    private static CaseDocument.PhotoRecord set(CaseDocument.PhotoRecord photo, List<CaseZip.Beside> files) {
        String name = CaseZip.PHOTOS + named(photo.sha256(), photo.mediaType(), files);
        photo.content().ifPresent(content -> files.add(new CaseZip.Beside(name, content)));
        return photo.in(name);
    }

    private void requireNotTooLarge(CaseFile file, Person person) {
        long others = json.writeValueAsBytes(export(file, ExchangeController.PhotoChoice.NONE, person)).length;
        List<KeptFile> kept = Stream.concat(
                        corrections.of(file).stream().flatMap(each -> corrections.files(each).stream()),
                        records.of(file).stream().flatMap(each -> each.papers().stream()))
                .toList();
        long bytes =
                photos.bytes(file) + kept.stream().mapToLong(KeptFile::bytes).sum();
        long size =
                others + bytes * BASE64_TEXT / BASE64_BYTES + (photos.of(file).size() + kept.size()) * ABOUT_A_PHOTO;
        if (size > largest.toBytes()) {
            throw new UnsuitableException(
                    "photos",
                    Text.of(
                            "With its photos the file would have {size} MB; {toMegabytes} MB can be imported again. Take it without photos.",
                            size / DataSize.ofMegabytes(1).toBytes(),
                            largest.toMegabytes()));
        }
    }

    /** Those that its rule book knows: it may be another by now than the one they were chosen from. */
    private static Optional<List<String>> scopes(CaseFile.Visit visit, CaseFile file) {
        return Optional.of(visit.scopes().stream()
                        .filter(file.rules().scopes()::containsKey)
                        .toList())
                .filter(scopes -> !scopes.isEmpty());
    }

    private InstallationRecord installation(CaseFile file, ExchangeController.PhotoChoice choice, Person person) {
        CaseFile.Header h = file.header();
        Map<UUID, Integer> visits = keptReadings.visitNumbers(h);
        List<Correction> raised = corrections.of(file);
        List<CarriedRecords.WithPapers> carried = records.of(file);
        return new InstallationRecord(
                h.reference(),
                h.title(),
                h.building(),
                file.facts().site().elevation().si() + " m",
                Optional.of(file.facts().site().zone().getId()),
                h.system(),
                h.crew(),
                Optional.of(h.owner().name()).filter(known -> !known.isEmpty()),
                Optional.of(h.owner().address()).filter(known -> !known.isEmpty()),
                h.replacement(),
                h.stage(),
                h.visitedOn(),
                Optional.of(h.visit().unannounced()).filter(told -> told),
                scopes(h.visit(), file),
                new CaseDocument.BookRecord(file.rules().id(), file.rules().version()),
                file.facts().components(),
                Optional.of(file.facts().added()).filter(added -> !added.isEmpty()),
                Optional.of(h.visits().stream()
                                .limit(h.visits().size() - 1)
                                .map(v -> new CaseDocument.VisitRecord(
                                        v.stage(),
                                        v.on(),
                                        Optional.of(v.unannounced()).filter(told -> told),
                                        scopes(v, file)))
                                .toList())
                        .filter(earlier -> !earlier.isEmpty()),
                file.facts().plan().map(plan -> json.readValue(plans.geoJson().write(plan), JSON_OBJECT)),
                file.evidence().readings().stream()
                        .map(r -> reading(r, visits.get(r.id()), h.visits().size() - 1))
                        .toList(),
                Optional.of(raised.stream().map(this::correction).toList()),
                Optional.of(choice)
                        .filter(c -> c != ExchangeController.PhotoChoice.NONE)
                        .map(c -> photos.of(file).stream()
                                .map(photo -> photo(photo, raised, c, person))
                                .toList()),
                Optional.of(traces(file)).filter(logged -> !logged.isEmpty()),
                Optional.of(carried.stream()
                                .map(CarriedRecords.WithPapers::record)
                                .toList())
                        .filter(all -> !all.isEmpty()),
                Optional.of(choice)
                        .filter(c -> c != ExchangeController.PhotoChoice.NONE)
                        .map(c -> files(raised, carried, c))
                        .filter(all -> !all.isEmpty()),
                Optional.of(file.judgements().all().stream()
                        .map(CaseExport::judgement)
                        .toList()));
    }

    private List<FileRecord> files(
            List<Correction> raised, List<CarriedRecords.WithPapers> carried, ExchangeController.PhotoChoice choice) {
        List<FileRecord> files = new ArrayList<>();
        for (Correction correction : raised) {
            for (KeptFile kept : corrections.files(correction)) {
                files.add(file(
                        Optional.of(correction.number()),
                        Optional.empty(),
                        kept,
                        choice,
                        () -> corrections.content(kept)));
            }
        }
        int number = 0;
        for (CarriedRecords.WithPapers record : carried) {
            number++;
            for (KeptFile kept : record.papers()) {
                files.add(file(Optional.empty(), Optional.of(number), kept, choice, () -> records.content(kept)));
            }
        }
        return files;
    }

    private static FileRecord file(
            Optional<Integer> correction,
            Optional<Integer> record,
            KeptFile kept,
            ExchangeController.PhotoChoice choice,
            Supplier<byte[]> content) {
        boolean positioned = choice == ExchangeController.PhotoChoice.POSITIONED;
        return new FileRecord(
                correction,
                record,
                kept.name(),
                kept.mediaType(),
                kept.sha256(),
                kept.addedBy(),
                kept.addedAt(),
                Optional.of(FileContent.of(() -> new ByteArrayInputStream(
                        positioned ? content.get() : Photos.withoutPosition(content.get(), kept.mediaType())))),
                Optional.empty());
    }

    private List<CaseDocument.TraceRecord> traces(CaseFile file) {
        return file.evidence().readings().stream()
                .filter(reading -> reading.value() instanceof Value.Logged)
                .map(reading -> new CaseDocument.TraceRecord(
                        reading.typed(),
                        reading.key().point(),
                        Optional.of(
                                FileContent.of(() -> traces.csv(file.header().id(), reading.typed()))),
                        Optional.empty()))
                .collect(Collectors.toMap(CaseDocument.TraceRecord::sha256, trace -> trace, (one, same) -> one))
                .values()
                .stream()
                .toList();
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
        boolean positioned = choice == ExchangeController.PhotoChoice.POSITIONED;
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
                Optional.of(photo.marks()).filter(marks -> !marks.isEmpty()),
                Optional.of(FileContent.of(() -> new ByteArrayInputStream(
                        photos.file(photo.id(), positioned, person).content()))),
                Optional.empty());
    }

    private CorrectionRecord correction(Correction c) {
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
                c.raisedAt(),
                c.severity(),
                Optional.of(corrections.steps(c.id()).stream()
                                .map(step -> new CaseDocument.StepRecord(
                                        step.kind(),
                                        step.words(),
                                        Optional.of(step.readings()).filter(with -> !with.isEmpty()),
                                        step.by(),
                                        step.at()))
                                .toList())
                        .filter(steps -> !steps.isEmpty()));
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
                                held.limit().source().in(UnitSystem.SI),
                                held.binds()))
                        .toList(),
                j.school().map(SchoolTopic.School::id));
    }
}
