package org.undanus.server.commissioning;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.commissioning.RecordMapper.OpenQuestion;
import org.undanus.server.commissioning.RecordMapper.QuestionRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.reading.AnsweredReading;
import org.undanus.server.words.Viewer;

/** What a crew is asked about a record, and what it answers. */
@RestController
@RequestMapping("/api")
class RecordQuestionController {
    record AskedQuestion(
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no check") String check,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no unit") String subject) {}

    record AskedQuestions(
            @NotNull(message = "is missing") @Size(min = 1, max = 50, message = "names none, or more than 50")
                    List<@Valid @NotNull(message = "is empty") AskedQuestion> questions) {}

    /** @param confirmed whether the person has been asked about an unusual value */
    record Answer(
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            @NotNull(message = "is missing") @Size(max = 20, message = "holds more than 20")
                    List<@Valid @NotNull(message = "is empty") AnsweredReading> readings,
            boolean confirmed) {}

    record AnswerInWords(
            @NotBlank(message = "is empty") @Size(max = 36, message = "is no question") String question,
            @NotBlank(message = "is empty") @Size(max = 2000, message = "is longer than 2000 characters")
                    String words) {}

    record AnswersInWords(
            @NotNull(message = "is missing") @Size(min = 1, max = 50, message = "holds none, or more than 50")
                    List<@Valid @NotNull(message = "is empty") AnswerInWords> answers) {}

    private final CommissioningRecords records;
    private final RecordQuestions questions;
    private final CaseFiles cases;

    RecordQuestionController(CommissioningRecords records, RecordQuestions questions, CaseFiles cases) {
        this.records = records;
        this.questions = questions;
        this.cases = cases;
    }

    /** Asks the crew, one question for each doubt, in one letter. */
    @PostMapping("/records/{id}/questions")
    @ResponseStatus(HttpStatus.CREATED)
    List<RecordView.QuestionView> ask(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody AskedQuestions asked,
            @AuthenticationPrincipal Person person) {
        return questions
                .ask(
                        id,
                        asked.questions().stream()
                                .map(each -> new RecordQuestions.Asked(each.check(), each.subject()))
                                .toList(),
                        viewer.language(),
                        person)
                .stream()
                .map(question -> question(question, person, viewer.wording(UnitSystem.SI)))
                .toList();
    }

    /** Those that wait for an answer, oldest first. */
    @GetMapping("/questions")
    List<OpenQuestion> open(@AuthenticationPrincipal Person person) {
        return questions.open(person);
    }

    /** Answers several in words, all of them or none. */
    @PostMapping("/questions/answers")
    @MayAlsoAnswer(HttpStatus.NOT_FOUND)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void answer(Viewer viewer, @Valid @RequestBody AnswersInWords answers, @AuthenticationPrincipal Person person) {
        questions.answer(
                answers.answers().stream()
                        .map(each -> new RecordQuestions.InWords(each.question(), each.words()))
                        .toList(),
                person,
                viewer.wording(UnitSystem.SI));
    }

    @PostMapping("/questions/{id}/answer")
    @ResponseStatus(HttpStatus.CREATED)
    RecordView.QuestionView answer(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody Answer answer,
            @AuthenticationPrincipal Person person) {
        Wording wording = viewer.wording(UnitSystem.SI);
        QuestionRow answered =
                questions.answer(id, answer.words(), answer.readings(), answer.confirmed(), person, wording);
        return question(answered, person, wording);
    }

    private RecordView.QuestionView question(QuestionRow row, Person person, Wording wording) {
        return RecordView.question(
                row, cases.open(records.visible(row.recordId(), person).installationId(), person), wording);
    }
}
