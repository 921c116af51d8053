package org.undanus.server.commissioning;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.audit.Auditor;
import org.undanus.core.audit.Claim;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.ClaimRow;
import org.undanus.server.commissioning.RecordMapper.DocumentRow;
import org.undanus.server.commissioning.RecordMapper.DocumentState;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.journal.Journal;
import org.undanus.server.mail.Outbox;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.store.Digest;
import org.undanus.server.store.Moment;
import org.undanus.server.upload.ArrivedFile;
import org.undanus.server.upload.FileName;
import org.undanus.server.upload.PdfPages;
import org.undanus.server.upload.Upload;
import org.undanus.server.walk.AnsweredReading;
import org.undanus.server.walk.Readings;
import org.undanus.server.work.Gate;
import org.undanus.view.CaseFile;

/** Takes in commissioning records, and holds them against everything else. */
@Service
public class CommissioningRecords {
    private static final String NOTHING_SAVED = " Nothing was saved.";
    private static final int MOST_DOCUMENTS = 20;
    private static final int MOST_RECORDS = 50;
    private static final int LONGEST_ANSWER = 2000;
    private static final String PDF = "application/pdf";
    /** Pages drawn at once; a large one takes a second. */
    private static final int DRAWN_AT_ONCE = 2;

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    /** A record with what was found in it. */
    public record Audited(RecordRow row, CaseFile file, CommissioningRecord record, List<Found> found) {}

    /** Where a value stands on a document; shares of its page, from 0 to 1. */
    record Box(String document, int page, double left, double top, double width, double height) {
        private boolean within() {
            return page >= 1
                    && left >= 0
                    && top >= 0
                    && width > 0
                    && height > 0
                    && left + width <= 1
                    && top + height <= 1;
        }
    }

    private final Clock clock;
    private final RecordMapper mapper;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Journal journal;
    private final Outbox outbox;
    private final Readings readings;
    private final Gate gate = new Gate(DRAWN_AT_ONCE, PATIENCE);

    CommissioningRecords(
            Clock clock,
            RecordMapper mapper,
            CaseFiles cases,
            KeptReadings keptReadings,
            Journal journal,
            Outbox outbox,
            Readings readings) {
        this.clock = clock;
        this.readings = readings;
        this.mapper = mapper;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.journal = journal;
        this.outbox = outbox;
    }

    private static void requireOffice(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Records are brought in and audited by the inspection office.");
        }
    }

    /** Of an installation, oldest first. */
    @Transactional(readOnly = true)
    public List<RecordRow> of(CaseFile file) {
        return mapper.ofInstallation(file.header().id());
    }

    /** All there are, by installation. */
    @Transactional(readOnly = true)
    Map<String, List<RecordRow>> all() {
        return mapper.all().stream().collect(Collectors.groupingBy(RecordRow::installationId));
    }

    /** @throws NotFoundException where there is none, or it is none of this person's business */
    @Transactional(readOnly = true)
    RecordRow visible(String id, Person person) {
        RecordRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such record.");
        }
        cases.open(row.installationId(), person);
        return row;
    }

    List<ClaimRow> claims(String record) {
        return mapper.claims(record);
    }

    List<DocumentRow> documents(String record) {
        return mapper.documents(record);
    }

    List<QuestionRow> questions(String record) {
        return mapper.questions(record);
    }

    /**
     * Takes a record in, whole or not at all. What it says on lines of the walk is kept as recorded readings of the crew too: they
     * take the place of nothing that an inspector read.
     *
     * @param read makes the sheet of what came in, for an installation of this reference
     * @throws UnsuitableException with every line that cannot be taken
     */
    @Transactional
    RecordRow bring(String installation, Function<String, RecordSheet> read, Person person) {
        CaseFile file = cases.openForWriting(installation, person);
        requireOffice(person);
        RecordSheet sheet = read.apply(file.header().reference());
        String id = UUID.randomUUID().toString();
        UnderstoodSheet understood = UnderstoodSheet.of(sheet, id, file, LocalDate.now(clock));
        requireNew(file, understood.signedBy(), understood.day(), understood.claims());
        RecordRow row = new RecordRow(
                id,
                installation,
                understood.signedBy(),
                understood.day(),
                understood.weather().coldest(),
                understood.weather().warmest(),
                person.name(),
                Moment.kept(clock.instant()),
                false,
                1);
        keep(row, understood.claims(), person);
        understood.claims().forEach(claim -> recorded(claim, row, file, person));
        return row;
    }

    /** Keeps it as it is. */
    void keep(RecordRow row, List<ClaimRow> claims, Person person) {
        mapper.insert(row);
        journal.write(person.name(), "commissioning-record.brought", row.id(), row);
        for (ClaimRow claim : claims) {
            mapper.insertClaim(claim);
            journal.write(person.name(), "claim.added", claim.id(), claim);
        }
    }

    /** A record that is brought in once more, by a second click or a second hand, is none. */
    private void requireNew(CaseFile file, String signedBy, LocalDate day, List<ClaimRow> claims) {
        List<RecordRow> before = of(file);
        if (before.size() >= MOST_RECORDS) {
            throw new UnsuitableException(
                    "values",
                    Text.of("An installation has {mostRecords} records at most. Nothing was saved.", MOST_RECORDS));
        }
        Set<List<String>> said = said(claims, file);
        before.stream()
                .filter(row ->
                        row.signedBy().equals(signedBy) && row.recordedOn().equals(day))
                .filter(row -> said(mapper.claims(row.id()), file).equals(said))
                .findFirst()
                .ifPresent(row -> {
                    throw new ConflictException("This record is in already. Nothing was saved.", "", row.id());
                });
    }

    private static Set<List<String>> said(List<ClaimRow> claims, CaseFile file) {
        return claims.stream()
                .map(claim ->
                        List.of(claim.point(), claim.component(), kept(claim, file), String.valueOf(claim.claimedAt())))
                .collect(Collectors.toSet());
    }

    /** What a claim says as it is kept today: of a choice the id, by whatever words an earlier version kept it. */
    static String kept(ClaimRow claim, CaseFile file) {
        try {
            return RecordLines.point(claim.point())
                    .map(file.facts()::asked)
                    .filter(point -> point.kind() == Point.Kind.CHOICE)
                    .map(point -> Entry.option(point, claim.typed()).id())
                    .orElse(claim.typed());
        } catch (IllegalArgumentException setAside) {
            return claim.typed();
        }
    }

    private void recorded(ClaimRow claim, RecordRow row, CaseFile file, Person person) {
        Point point = RecordLines.point(claim.point()).orElseThrow();
        boolean read = file.evidence()
                .latest(new PointKey(claim.point(), claim.component()))
                .isPresent();
        if (!RecordLines.ofWalk(point) || read) {
            return;
        }
        Claim understood = claim(claim, file);
        LocalDateTime at = understood.at().orElse(row.recordedOn().atStartOfDay());
        keptReadings.keep(
                new Reading(
                        understood.id(),
                        understood.key(),
                        understood.typed(),
                        understood.value(),
                        understood.unit(),
                        understood
                                .instrument()
                                .filter(name ->
                                        file.facts().toolcase().find(name).isPresent()),
                        Grade.RECORDED,
                        row.signedBy(),
                        at.atZone(file.facts().site().zone()).toInstant(),
                        file.header().stage(),
                        true),
                file.header(),
                person.name());
    }

    private static Claim claim(ClaimRow row, CaseFile file) {
        Point point = file.facts().asked(RecordLines.point(row.point()).orElseThrow());
        Optional<String> instrument = Optional.ofNullable(row.instrument());
        return Claim.of(
                UUID.fromString(row.id()),
                new PointKey(row.point(), row.component()),
                row.typed(),
                Entry.understand(
                        point,
                        row.typed(),
                        UnderstoodSheet.accuracy(point, instrument, file),
                        file.facts().traces()),
                Optional.ofNullable(row.claimedAt()).map(LocalDateTime::parse),
                instrument,
                file.facts().traces());
    }

    /** As the audit takes it; what this version can no longer read is left out. */
    CommissioningRecord record(RecordRow row, List<ClaimRow> rows, CaseFile file) {
        List<Claim> claims = new ArrayList<>();
        for (ClaimRow each : rows) {
            if (RecordLines.point(each.point()).isPresent()) {
                try {
                    claims.add(claim(each, file));
                } catch (IllegalArgumentException setAside) {
                    continue;
                }
            }
        }
        return new CommissioningRecord(
                row.id(),
                file.header().reference(),
                file.header().building(),
                file.header().crew(),
                row.signedBy(),
                row.recordedOn(),
                row.coldest() == null
                        ? Optional.empty()
                        : Optional.of(new CommissioningRecord.DayWeather(
                                Temperature.ofKelvin(row.coldest()), Temperature.ofKelvin(row.warmest()))),
                claims);
    }

    /** What others read: not what came with a record. */
    static Evidence own(CaseFile file) {
        return Evidence.of(file.evidence().readings().stream()
                .filter(reading -> reading.grade() != Grade.RECORDED && reading.grade() != Grade.STATED)
                .toList());
    }

    /** A record held against everything. */
    @Transactional(readOnly = true)
    public Audited audited(RecordRow row, CaseFile file) {
        CommissioningRecord record = record(row, mapper.claims(row.id()), file);
        return new Audited(row, file, record, Auditor.audit(file.facts(), record, own(file), file.rules()));
    }

    /** Enters the weather of the day, or lets the crew's copy of the report have what was found. */
    @Transactional
    RecordRow amend(
            String id,
            Optional<String> coldest,
            Optional<String> warmest,
            boolean released,
            int version,
            Person person) {
        requireOffice(person);
        RecordRow before = visible(id, person);
        UnderstoodSheet.Weather weather = UnderstoodSheet.Weather.of(coldest, warmest);
        RecordRow wanted = new RecordRow(
                id,
                before.installationId(),
                before.signedBy(),
                before.recordedOn(),
                weather.coldest(),
                weather.warmest(),
                before.broughtBy(),
                before.broughtAt(),
                released,
                version);
        if (mapper.update(wanted) == 0) {
            throw new ConflictException("Somebody changed this record meanwhile. Nothing was saved.", "", before);
        }
        RecordRow now = mapper.find(id);
        journal.write(person.name(), "commissioning-record.amended", id, now);
        return now;
    }

    /**
     * Keeps the paper it stands on.
     *
     * @throws UnsuitableException where it is neither a picture nor a PDF
     */
    @Transactional
    DocumentRow attach(String id, String name, byte[] content, Person person) {
        visible(id, person);
        if (!person.inspects() && mapper.questions(id).stream().allMatch(each -> each.answer() != null)) {
            throw new NotAllowedException("A crew adds papers to answer a question; none is open.");
        }
        return keep(id, new ArrivedFile(name, content, person.name(), clock.instant()), person);
    }

    /** Keeps a paper as it came. */
    DocumentRow keep(String id, ArrivedFile paper, Person person) {
        byte[] content = paper.content();
        String called = FileName.clean(paper.name());
        if (mapper.documents(id).size() >= MOST_DOCUMENTS) {
            throw new UnsuitableException(
                    "file", Text.of("A record has {mostDocuments} documents at most.", MOST_DOCUMENTS));
        }
        String type = Upload.mediaType(content)
                .orElseThrow(() -> new UnsuitableException(
                        "file",
                        "A photo is a PNG or JPEG, or a PDF; this is none, by its content. Nothing was saved."));
        Integer pages = type.equals(PDF) ? gate.through(() -> PdfPages.count(content)) : null;
        DocumentRow row = new DocumentRow(
                UUID.randomUUID().toString(),
                id,
                called,
                type,
                Digest.sha256(content),
                content.length,
                pages,
                paper.addedBy(),
                paper.addedAt());
        mapper.insertDocument(row, content);
        journal.write(person.name(), "record-document.added", row.id(), new DocumentState(row, row.sha256()));
        return row;
    }

    /**
     * A page of a document as a picture.
     *
     * @param page from 1
     * @throws NotFoundException where it has no such page, or is a picture itself
     */
    byte[] page(String id, int page, Person person) {
        Content document = document(id, person);
        if (document.row().pages() == null) {
            throw new NotFoundException("A picture has no pages.");
        }
        return gate.through(() -> PdfPages.png(document.content(), page));
    }

    /** A document with its content. */
    record Content(DocumentRow row, byte[] content) {}

    @Transactional(readOnly = true)
    Content document(String id, Person person) {
        DocumentRow row = mapper.document(id);
        if (row == null) {
            throw new NotFoundException("There is no such document.");
        }
        visible(row.recordId(), person);
        return new Content(row, mapper.content(id).content());
    }

    /**
     * Draws the box round a value; empty takes it away.
     *
     * @throws ConflictException where the value has its box already
     */
    @Transactional
    ClaimRow box(String claim, Optional<Box> box, Person person) {
        requireOffice(person);
        ClaimRow before = mapper.claim(claim);
        if (before == null) {
            throw new NotFoundException("There is no such value.");
        }
        cases.openForWriting(visible(before.recordId(), person).installationId(), person);
        return box(before, box, person);
    }

    ClaimRow box(ClaimRow before, Optional<Box> box, Person person) {
        if (box.isPresent() && before.documentId() != null) {
            throw new ConflictException(
                    "This value has its box already. Take that away first. Nothing was saved.",
                    "",
                    before.documentId());
        }
        box.ifPresent(drawn -> {
            DocumentRow document = mapper.document(drawn.document());
            if (document == null || !document.recordId().equals(before.recordId())) {
                throw new UnsuitableException("document", "This record has no such document. Nothing was saved.");
            }
            if (!drawn.within() || drawn.page() > (document.pages() == null ? 1 : document.pages())) {
                throw new UnsuitableException("box", "A box lies on a page, and has a size. Nothing was saved.");
            }
        });
        ClaimRow now = new ClaimRow(
                before.id(),
                before.recordId(),
                before.point(),
                before.component(),
                before.typed(),
                before.claimedAt(),
                before.instrument(),
                box.map(Box::document).orElse(null),
                box.map(Box::page).orElse(null),
                box.map(Box::left).orElse(null),
                box.map(Box::top).orElse(null),
                box.map(Box::width).orElse(null),
                box.map(Box::height).orElse(null));
        mapper.box(now);
        journal.write(person.name(), "claim.boxed", now.id(), now);
        return now;
    }

    /** What is asked of one doubt. */
    record Asked(String check, String subject) {}

    /**
     * Writes to the crew: one question for each doubt, in one letter.
     *
     * @throws UnsuitableException where nothing is doubted there, or it has been asked already
     */
    @Transactional
    List<QuestionRow> ask(String id, List<Asked> asked, Person person) {
        requireOffice(person);
        RecordRow row = visible(id, person);
        CaseFile file = cases.openForWriting(row.installationId(), person);
        Audited audited = audited(row, file);
        Map<Asked, QuestionRow> before = mapper.questions(id).stream()
                .collect(Collectors.toMap(q -> new Asked(q.checkId(), q.subject()), Function.identity(), (a, b) -> a));
        List<QuestionRow> questions = new ArrayList<>();
        for (Asked each : new LinkedHashSet<>(asked)) {
            Found found = audited.found().stream()
                    .filter(f -> f.doubtful()
                            && f.about().id().equals(each.check())
                            && f.subject().equals(each.subject()))
                    .findFirst()
                    .orElseThrow(() -> new UnsuitableException(
                            "questions", "Nothing is doubted there any more. Look again. Nothing was saved."));
            if (before.containsKey(each)) {
                throw new UnsuitableException(
                        "questions",
                        Text.of(
                                "{found}: this has been asked already. Nothing was saved.",
                                found.about().title()));
            }
            questions.add(new QuestionRow(
                    UUID.randomUUID().toString(),
                    id,
                    each.check(),
                    each.subject(),
                    found.because().in(file.rules().display()) + " "
                            + found.about().asks(),
                    person.name(),
                    Moment.kept(clock.instant()),
                    null,
                    null,
                    null,
                    ""));
        }
        questions.forEach(question -> keep(question, person));
        letter(file, row, questions, person);
        return questions;
    }

    void keep(QuestionRow question, Person person) {
        mapper.ask(question);
        journal.write(person.name(), "question.asked", question.id(), question);
    }

    private void letter(CaseFile file, RecordRow row, List<QuestionRow> questions, Person person) {
        CaseFile.Header header = file.header();
        StringBuilder words = new StringBuilder("About the commissioning record of " + header.reference() + " "
                + header.title() + ", " + header.building() + ", signed by " + row.signedBy() + " for "
                + row.recordedOn() + ", we should like to know:\n");
        int number = 1;
        for (QuestionRow question : questions) {
            words.append("\n")
                    .append(number++)
                    .append(". ")
                    .append(question.question())
                    .append("\n");
        }
        words.append("\nThere is often a plain explanation. Please answer each on the record's page.\n");
        outbox.toCrew(
                header.crew(),
                header.id(),
                header.reference() + ": " + (questions.size() == 1 ? "a question" : questions.size() + " questions")
                        + " about your record",
                words.toString(),
                person.name());
    }

    /**
     * Answers a question, once, in words or by readings.
     *
     * @param confirmed whether the person has been asked about unusual values
     * @throws ConflictException where it is answered already
     */
    @Transactional
    QuestionRow answer(
            String question,
            String words,
            List<AnsweredReading> read,
            boolean confirmed,
            Person person,
            Wording wording) {
        QuestionRow before = mapper.question(question);
        if (before == null) {
            throw new NotFoundException("There is no such question.");
        }
        RecordRow row = visible(before.recordId(), person);
        CaseFile file = cases.openForWriting(row.installationId(), person);
        if (person.inspects()) {
            throw new NotAllowedException("The crew answers.");
        }
        if (words.isBlank() && read.isEmpty() || words.getBytes(StandardCharsets.UTF_8).length > LONGEST_ANSWER) {
            throw new UnsuitableException(
                    "words",
                    Text.of(
                            "Answer in 1 to {longestAnswer} characters, or give a reading. Nothing was saved.",
                            LONGEST_ANSWER));
        }
        QuestionRow answered = new QuestionRow(
                before.id(),
                before.recordId(),
                before.checkId(),
                before.subject(),
                before.question(),
                before.askedBy(),
                before.askedAt(),
                words.strip(),
                person.name(),
                Moment.kept(clock.instant()),
                String.join(" ", readings.answer(file.header().id(), read, confirmed, person, wording)));
        if (mapper.answer(answered) == 0) {
            throw new ConflictException(
                    "This question is answered already. Nothing was saved.", words, before.answer());
        }
        journal.write(person.name(), "question.answered", answered.id(), answered);
        outbox.toOffice(
                file.header().crew(),
                file.header().id(),
                file.header().reference() + ": an answer about the record",
                before.question() + "\n\n" + answered.answer() + "\n" + (read.isEmpty() ? "" : told(read)),
                person.name());
        return answered;
    }

    private static String told(List<AnsweredReading> read) {
        return read.stream()
                .map(each -> "\n"
                        + RecordLines.point(each.point()).map(Point::title).orElse(each.point()) + ": "
                        + each.typed())
                .collect(Collectors.joining("", "\nWith it came:", "\n"));
    }
}
