package org.undanus.server.correction;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.visit.DueDates;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.correction.CorrectionMapper.AttachmentRow;
import org.undanus.server.correction.CorrectionMapper.AttachmentState;
import org.undanus.server.correction.CorrectionMapper.CorrectionRow;
import org.undanus.server.correction.CorrectionMapper.StepRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.reading.AnsweredReading;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.server.store.Digest;
import org.undanus.server.store.Moment;
import org.undanus.server.upload.ArrivedFile;
import org.undanus.server.upload.FileName;
import org.undanus.server.upload.KeptFile;
import org.undanus.server.upload.Upload;
import org.undanus.view.CaseFile;
import org.undanus.view.JudgementView;

/** Raises corrections, takes what the crew answers and what the inspection office makes of it, and keeps all of it. */
@Service
public class Corrections {
    private static final int MOST_FILES = 20;

    /**
     * A correction with what the register says of its installation.
     *
     * @param overdue whether the day it was to be put right by has gone
     */
    public record Listed(Correction correction, String reference, String title, String crew, boolean overdue) {}

    /** A file hung on a correction. */
    public record Attachment(String id, String name, String mediaType, int bytes, String addedBy, Instant addedAt) {}

    /** A file's content. */
    record Content(String name, String mediaType, byte[] content) {}

    /** What is asked for at once. */
    record Asked(List<String> judgements, String words, Optional<LocalDate> due) {}

    /**
     * What somebody does about a correction.
     *
     * @param confirmed whether the person has been asked about an unusual value
     * @param version of the correction that was seen
     */
    record Doing(Step.Kind kind, String words, List<AnsweredReading> readings, boolean confirmed, int version) {}

    private final Clock clock;
    private final CorrectionMapper mapper;
    private final CaseFiles cases;
    private final ReadingIntake readings;
    private final CorrectionLetters letters;
    private final Journal journal;

    Corrections(
            Clock clock,
            CorrectionMapper mapper,
            CaseFiles cases,
            ReadingIntake readings,
            CorrectionLetters letters,
            Journal journal) {
        this.clock = clock;
        this.mapper = mapper;
        this.cases = cases;
        this.readings = readings;
        this.letters = letters;
        this.journal = journal;
    }

    @Transactional(readOnly = true)
    public List<Correction> of(CaseFile file) {
        return mapper.ofInstallation(file.header().id()).stream()
                .map(CorrectionRow::correction)
                .toList();
    }

    /** What was said and done about one, in order. */
    @Transactional(readOnly = true)
    public List<Step> steps(String correction) {
        return mapper.steps(correction).stream().map(StepRow::step).toList();
    }

    @Transactional(readOnly = true)
    List<Attachment> attachments(String correction) {
        return mapper.attachments(correction).stream()
                .map(Corrections::attachment)
                .toList();
    }

    @Transactional(readOnly = true)
    List<Listed> all(Person person) {
        Map<String, CaseFiles.Named> visible =
                cases.named(person).stream().collect(Collectors.toMap(CaseFiles.Named::id, Function.identity()));
        return mapper.all().stream()
                .filter(row -> visible.containsKey(row.installationId()))
                .map(row -> {
                    CaseFiles.Named header = visible.get(row.installationId());
                    return new Listed(
                            row.correction(),
                            header.reference(),
                            header.title(),
                            header.crew(),
                            row.correction().overdue(LocalDate.now(clock)));
                })
                .toList();
    }

    /** @throws NotFoundException where there is none, or it is none of this person's business */
    @Transactional(readOnly = true)
    Correction visible(String id, Person person) {
        Correction correction = kept(id);
        cases.open(correction.installationId(), person);
        return correction;
    }

    private Correction kept(String id) {
        CorrectionRow row = mapper.find(id);
        if (row == null) {
            throw new NotFoundException("There is no such correction.");
        }
        return row.correction();
    }

    /** Judgements that leave something to put right and that nobody has asked for yet. */
    @Transactional(readOnly = true)
    List<Judgement> proposed(CaseFile file) {
        List<Correction> raised = of(file);
        return file.judgements().all().stream()
                .filter(judgement -> judgement.verdict().open())
                .filter(judgement -> raised.stream().noneMatch(c -> isOpenFor(c, judgement)))
                .toList();
    }

    private static boolean isOpenFor(Correction correction, Judgement judgement) {
        return !correction.state().ended()
                && correction.requirement().equals(judgement.about().id())
                && correction.component().equals(judgement.component());
    }

    /**
     * Raises corrections from judgements as they now stand; all of them or none. The crew gets one letter.
     *
     * @throws UnsuitableException when a judgement leaves nothing to correct, or has been asked for already
     */
    @Transactional
    List<Correction> raise(String installation, Asked asked, Person person, Wording wording) {
        CaseFile file = cases.openForWriting(installation, person);
        requireOffice(person);
        List<Correction> before = of(file);
        List<Correction> raised = new ArrayList<>();
        for (String key : new LinkedHashSet<>(asked.judgements())) {
            raised.add(raised(
                    file, judgement(file, key), asked, before, before.size() + raised.size() + 1, person, wording));
        }
        raised.forEach(correction -> keep(correction, person.name()));
        letters.raised(file.header(), raised, person);
        return raised;
    }

    private static Judgement judgement(CaseFile file, String key) {
        return file.judgements().all().stream()
                .filter(j -> j.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such judgement."));
    }

    private Correction raised(
            CaseFile file,
            Judgement judgement,
            Asked asked,
            List<Correction> before,
            int number,
            Person person,
            Wording wording) {
        JudgementView view = JudgementView.of(judgement, file.evidence(), wording);
        String what = view.title() + (view.subject().isEmpty() ? "" : ", " + view.subject());
        if (!judgement.verdict().open()) {
            throw new UnsuitableException(
                    "judgement",
                    Text.of(
                            "{what}: this {verdict}; there is nothing to correct. Nothing was saved.",
                            what,
                            judgement.verdict().title().toLowerCase(Locale.ROOT)));
        }
        if (before.stream().anyMatch(c -> isOpenFor(c, judgement))) {
            throw new UnsuitableException(
                    "judgement",
                    Text.of("{what}: a correction for this judgement is already open. Nothing was saved.", what));
        }
        return new Correction(
                UUID.randomUUID().toString(),
                number,
                file.header().id(),
                view.requirement(),
                view.component(),
                what,
                judgement.verdict().title() + ". " + view.because(),
                view.limits().stream()
                        .map(l -> l.authority() + ": " + l.bound() + " " + l.value() + " (" + l.source() + ")")
                        .collect(Collectors.joining("; ")),
                asked.words().isBlank()
                        ? view.remedy().orElse("")
                        : asked.words().strip(),
                asked.due().or(() -> due(judgement, file)),
                Correction.State.OPEN,
                person.name(),
                Moment.kept(clock.instant()),
                Optional.of(judgement.about().severity()),
                1);
    }

    /** By the rule book, counted from today. */
    Optional<LocalDate> due(Judgement judgement, CaseFile file) {
        return DueDates.due(judgement.about().severity(), LocalDate.now(clock), file.rules());
    }

    /**
     * Keeps a correction as it is.
     *
     * @param by who raised it or brought it in
     */
    @Transactional
    public void keep(Correction correction, String by) {
        CorrectionRow row = CorrectionRow.of(correction);
        mapper.insert(row);
        journal.write(by, "correction.raised", row.id(), row);
    }

    /** Keeps a step as it is. */
    @Transactional
    public void keep(Step step, String correction, String by) {
        StepRow row = new StepRow(
                step.id(),
                correction,
                step.kind(),
                step.words(),
                String.join(" ", step.readings()),
                step.by(),
                step.at());
        mapper.insertStep(row);
        journal.write(by, "correction-step.taken", row.id(), row);
    }

    /**
     * Changes what is asked for, or by when.
     *
     * @throws ConflictException with both versions when somebody changed it meanwhile
     */
    @Transactional
    Correction amend(String id, String words, Optional<LocalDate> due, int version, Person person) {
        Correction before = lockedForWriting(id, person);
        requireOffice(person);
        requireOpen(before);
        Correction now = updated(before.with(words.strip(), due, before.state(), version), person);
        if (!now.due().equals(before.due()) || !now.words().equals(before.words())) {
            letters.changed(cases.open(now.installationId(), person).header(), now, person);
        }
        return now;
    }

    /**
     * Takes a step: the crew sees or answers, the inspection office accepts, refuses, closes or withdraws.
     *
     * @throws UnsuitableException where it is not possible as the correction stands
     * @throws ConflictException when somebody did something about it meanwhile
     */
    @Transactional
    Correction take(String id, Doing doing, Person person, Wording wording) {
        Correction before = lockedForWriting(id, person);
        Step.Kind kind = doing.kind();
        if (kind.office()) {
            requireOffice(person);
        } else if (person.inspects()) {
            throw new NotAllowedException("The crew sees and answers; the inspection office looks at the answer.");
        }
        requireOpen(before);
        if (!kind.possible(before.state())) {
            throw new UnsuitableException(
                    "kind",
                    kind == Step.Kind.SEEN
                            ? "This was seen already."
                            : "There is no answer to look at. Nothing was saved.");
        }
        if (kind == Step.Kind.CLOSED) {
            requireShown(before, person);
        }
        String words = doing.words().strip();
        if (words.isEmpty() && (kind == Step.Kind.REFUSED || kind == Step.Kind.WITHDRAWN)) {
            throw new UnsuitableException("words", "Say why, so that the crew knows. Nothing was saved.");
        }
        if (words.isEmpty() && kind == Step.Kind.ANSWERED && doing.readings().isEmpty()) {
            throw new UnsuitableException("words", "Say what was done, or give a reading. Nothing was saved.");
        }
        Correction now = updated(before.with(before.words(), before.due(), kind.leadsTo(), doing.version()), person);
        Step step = new Step(
                UUID.randomUUID().toString(),
                kind,
                words,
                kind == Step.Kind.ANSWERED
                        ? readings.answer(before.installationId(), doing.readings(), doing.confirmed(), person, wording)
                        : List.of(),
                person.name(),
                Moment.kept(clock.instant()));
        keep(step, id, person.name());
        letters.taken(cases.open(now.installationId(), person).header(), now, step, person);
        return now;
    }

    /** A correction is closed by what was read after it was raised, not by what somebody says. */
    private void requireShown(Correction correction, Person person) {
        CaseFile file = cases.open(correction.installationId(), person);
        Judgement now = file.judgements().all().stream()
                .filter(j -> j.about().id().equals(correction.requirement())
                        && j.component().equals(correction.component()))
                .findFirst()
                .orElseThrow(() -> new UnsuitableException(
                        "kind", "What it was about is not there any more. Withdraw it and say why."));
        if (now.verdict().open()) {
            throw new UnsuitableException(
                    "kind",
                    Text.of(
                            "It still reads: {brief}. Read it again at a re-visit; only what then meets is closed.",
                            now.brief().in(file.rules().display())));
        }
        if (!readSince(correction, now, file)) {
            throw new UnsuitableException(
                    "kind",
                    "Nothing that it rests on has been read by the inspection office since it was raised."
                            + " Read it at a re-visit, or accept the crew's answer as it is.");
        }
    }

    /** Whether it may be closed: nothing is open any more, and the inspection office has read again. */
    static boolean shown(Correction correction, Judgement now, CaseFile file) {
        return !now.verdict().open() && readSince(correction, now, file);
    }

    /** Whether the inspection office has read something since that the judgement rests on. */
    private static boolean readSince(Correction correction, Judgement now, CaseFile file) {
        return now.evidence().stream()
                .flatMap(key -> file.evidence().latest(key).stream())
                .anyMatch(reading -> !reading.byCrew() && reading.at().isAfter(correction.raisedAt()));
    }

    private Correction lockedForWriting(String id, Person person) {
        cases.openForWriting(kept(id).installationId(), person);
        return kept(id);
    }

    private Correction updated(Correction wanted, Person person) {
        if (mapper.update(CorrectionRow.of(wanted)) == 0) {
            throw new ConflictException(
                    "Someone changed this correction meanwhile. Nothing was saved; compare the two.",
                    wanted,
                    kept(wanted.id()));
        }
        CorrectionRow now = mapper.find(wanted.id());
        journal.write(person.name(), "correction.amended", now.id(), now);
        return now.correction();
    }

    /**
     * Hangs a file on a correction: a PDF, a picture or plain text.
     *
     * @throws UnsuitableException where it is none of these
     */
    @Transactional
    Attachment attach(String id, String name, byte[] content, Person person) {
        Correction correction = lockedForWriting(id, person);
        requireOpen(correction);
        return attachment(keep(id, new ArrivedFile(name, content, person.name(), clock.instant()), person.name()));
    }

    /** Keeps a file as it came. */
    @Transactional
    public void keep(String id, ArrivedFile file, Person person) {
        keep(id, file, person.name());
    }

    private AttachmentRow keep(String id, ArrivedFile file, String who) {
        byte[] content = file.content();
        String called = FileName.clean(file.name());
        if (mapper.attachments(id).size() >= MOST_FILES) {
            throw new UnsuitableException("file", Text.of("A correction has {mostFiles} files at most.", MOST_FILES));
        }
        String type = Upload.mediaType(content)
                .or(() -> isText(content) ? Optional.of("text/plain") : Optional.empty())
                .orElseThrow(() -> new UnsuitableException(
                        "file",
                        "A file is a PDF, a picture or plain text; this is none, by its content. Nothing was saved."));
        AttachmentRow row = new AttachmentRow(
                UUID.randomUUID().toString(),
                id,
                called,
                type,
                Digest.sha256(content),
                content.length,
                file.addedBy(),
                Moment.kept(file.addedAt()));
        mapper.insertAttachment(row, content);
        journal.write(who, "attachment.added", row.id(), new AttachmentState(row, row.sha256()));
        return row;
    }

    /** What hangs on a correction. */
    @Transactional(readOnly = true)
    public List<KeptFile> files(Correction correction) {
        return mapper.attachments(correction.id()).stream()
                .map(row -> new KeptFile(
                        row.id(), row.name(), row.mediaType(), row.sha256(), row.bytes(), row.addedBy(), row.addedAt()))
                .toList();
    }

    @Transactional(readOnly = true)
    public byte[] content(KeptFile file) {
        return mapper.content(file.id()).content();
    }

    private static boolean isText(byte[] content) {
        if (content.length == 0) {
            return false;
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(content))
                    .chars()
                    .noneMatch(c -> c < ' ' && c != '\n' && c != '\r' && c != '\t');
        } catch (CharacterCodingException e) {
            return false;
        }
    }

    @Transactional(readOnly = true)
    Content content(String attachment, Person person) {
        AttachmentRow row = mapper.attachment(attachment);
        if (row == null) {
            throw new NotFoundException("There is no such file.");
        }
        visible(row.correctionId(), person);
        return new Content(
                row.name(), row.mediaType(), mapper.content(attachment).content());
    }

    private static Attachment attachment(AttachmentRow row) {
        return new Attachment(row.id(), row.name(), row.mediaType(), row.bytes(), row.addedBy(), row.addedAt());
    }

    private static void requireOffice(Person person) {
        if (!person.inspects()) {
            throw new NotAllowedException("Corrections are raised and ended by the inspection office.");
        }
    }

    /** @throws ConflictException where a correction of this installation has ended: nothing more hangs on it */
    @Transactional(readOnly = true)
    public void requireOpen(String id, CaseFile file) {
        of(file).stream().filter(each -> each.id().equals(id)).forEach(Corrections::requireOpen);
    }

    private static void requireOpen(Correction correction) {
        if (correction.state().ended()) {
            throw new ConflictException(
                    Text.of(
                            "This correction is {state} already. Nothing was saved.",
                            correction.state().name().toLowerCase(Locale.ROOT)),
                    "",
                    correction);
        }
    }
}
