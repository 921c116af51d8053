package org.undanus.server.commissioning;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.RecordLines;
import org.undanus.core.evidence.Point;
import org.undanus.core.words.Language;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.OpenQuestion;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.journal.Journal;
import org.undanus.server.mail.LetterKind;
import org.undanus.server.mail.Outbox;
import org.undanus.server.problem.ConflictException;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.reading.AnsweredReading;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.server.store.Moment;
import org.undanus.view.CaseFile;

/** Questions to crews about what does not fit together in their records, and their answers. */
@Service
class RecordQuestions {
    private static final int LONGEST_ANSWER = 2000;

    private final Clock clock;
    private final RecordMapper mapper;
    private final CommissioningRecords records;
    private final CaseFiles cases;
    private final Journal journal;
    private final Outbox outbox;
    private final ReadingIntake readings;

    RecordQuestions(
            Clock clock,
            RecordMapper mapper,
            CommissioningRecords records,
            CaseFiles cases,
            Journal journal,
            Outbox outbox,
            ReadingIntake readings) {
        this.clock = clock;
        this.mapper = mapper;
        this.records = records;
        this.cases = cases;
        this.journal = journal;
        this.outbox = outbox;
        this.readings = readings;
    }

    List<QuestionRow> of(String record) {
        return mapper.questions(record);
    }

    /** What is asked of one doubt. */
    record Asked(String check, String subject) {}

    /**
     * Writes to the crew: one question for each doubt, in one letter.
     *
     * @param language of whoever asks
     * @throws UnsuitableException where nothing is doubted there, or it has been asked already
     */
    @Transactional
    List<QuestionRow> ask(String id, List<Asked> asked, Language language, Person person) {
        CommissioningRecords.requireOffice(person);
        RecordRow row = records.visible(id, person);
        CaseFile file = cases.openForWriting(row.installationId(), person);
        CommissioningRecords.Audited audited = records.audited(row, file);
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
                    found.because()
                            .then(Text.of(found.about().asks()))
                            .in(new Wording(file.rules().display(), language)),
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
        List<Object> lines = new ArrayList<>();
        lines.add(Text.of(
                "About the commissioning record of {installation}, signed by {signedBy} for {day}, we should like to know:",
                header.named(),
                row.signedBy(),
                row.recordedOn()));
        for (int i = 0; i < questions.size(); i++) {
            lines.add("");
            lines.add(Text.of("{number}. {question}", i + 1, questions.get(i).question()));
        }
        lines.add("");
        lines.add(Text.of("There is often a plain explanation. Please answer each on the record's page."));
        Text subject = Text.counted(
                questions.size(),
                "{reference}: a question about your record",
                "{reference}: {count} questions about your record",
                header.reference(),
                questions.size());
        outbox.toCrew(LetterKind.RECORD, header, subject, lines, person);
    }

    /** Those that wait for an answer of whoever may see them, oldest first. */
    List<OpenQuestion> open(Person person) {
        return mapper.openQuestions(person.inspects() ? null : person.crew().orElse(""));
    }

    /** An answer in words. */
    record InWords(String question, String words) {}

    /** A question that has been answered, with what it is about. */
    private record Given(CaseFile file, QuestionRow answered, List<AnsweredReading> read) {}

    /**
     * Answers several questions in words, all of them or none; of each installation the office gets one letter.
     *
     * @throws UnsuitableException where one has no words, or stands there twice
     * @throws ConflictException where one is answered already
     */
    @Transactional
    void answer(List<InWords> answers, Person person, Wording wording) {
        if (answers.stream().map(InWords::question).distinct().count() < answers.size()) {
            throw new UnsuitableException("answers", "One question stands there twice. Nothing was saved.");
        }
        Map<String, List<Given>> byInstallation = new LinkedHashMap<>();
        for (InWords each : answers) {
            Given given = keepAnswer(each.question(), each.words(), List.of(), false, person, wording);
            byInstallation
                    .computeIfAbsent(given.file().header().id(), id -> new ArrayList<>())
                    .add(given);
        }
        byInstallation.values().forEach(given -> letter(given, person));
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
        Given given = keepAnswer(question, words, read, confirmed, person, wording);
        letter(List.of(given), person);
        return given.answered();
    }

    private Given keepAnswer(
            String question,
            String words,
            List<AnsweredReading> read,
            boolean confirmed,
            Person person,
            Wording wording) {
        if (person.inspects()) {
            throw new NotAllowedException("The crew answers.");
        }
        QuestionRow before = mapper.question(question);
        if (before == null) {
            throw new NotFoundException("There is no such question.");
        }
        RecordRow row = records.visible(before.recordId(), person);
        CaseFile file = cases.openForWriting(row.installationId(), person);
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
        return new Given(file, answered, read);
    }

    /** To the office, of one installation. */
    private void letter(List<Given> given, Person person) {
        CaseFile.Header header = given.get(0).file().header();
        List<Object> lines = new ArrayList<>();
        for (Given each : given) {
            if (!lines.isEmpty()) {
                lines.add("");
            }
            lines.addAll(told(each.answered(), each.read()));
        }
        outbox.toOffice(
                LetterKind.RECORD,
                header,
                Text.counted(
                        given.size(),
                        "{reference}: an answer about the record",
                        "{reference}: {count} answers about the record",
                        header.reference(),
                        given.size()),
                lines,
                person);
    }

    private static List<Object> told(QuestionRow answered, List<AnsweredReading> read) {
        List<Object> lines = new ArrayList<>(List.of(answered.question(), "", answered.answer()));
        if (!read.isEmpty()) {
            lines.addAll(List.of("", Text.of("With it came:")));
            read.forEach(each -> lines.add(Text.of(
                    "{line}: {typed}",
                    RecordLines.point(each.point()).map(Point::title).orElse(each.point()),
                    each.typed())));
        }
        return lines;
    }
}
