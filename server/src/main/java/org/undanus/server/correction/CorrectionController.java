package org.undanus.server.correction;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Trade;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.station.Walk;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.hold.CalendarFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.reading.AnsweredReading;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** Corrections over HTTP. */
@RestController
@RequestMapping("/api")
class CorrectionController {
    private static final String CALENDAR = "text/calendar";

    /** @param words empty takes each judgement's own remedy */
    record NewCorrections(
            @NotNull(message = "is missing") @Size(min = 1, max = 500, message = "names none, or more than 500")
                    List<@NotBlank(message = "is empty") @Size(max = 160, message = "is no judgement") String>
                            judgements,
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            Optional<LocalDate> due) {}

    record AmendedCorrection(
            @NotBlank(message = "is empty") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            Optional<LocalDate> due,
            int version) {}

    /** @param confirmed whether the person has been asked about an unusual value */
    record NewStep(
            @NotNull(message = "is missing") Step.Kind kind,
            @NotNull(message = "is missing") @Size(max = 2000, message = "is longer than 2000 characters") String words,
            @NotNull(message = "is missing") @Size(max = 20, message = "holds more than 20")
                    List<@Valid @NotNull(message = "is empty") AnsweredReading> readings,
            boolean confirmed,
            int version) {}

    /** What could be asked for, trade by trade. */
    record Proposed(Trade trade, String title, List<ProposedItem> items) {}

    record ProposedItem(
            String judgement,
            String what,
            Verdict verdict,
            Severity severity,
            String brief,
            String remedy,
            Optional<LocalDate> due) {}

    /**
     * A correction with all that was said and done, as a short letter is read.
     *
     * @param trade whose work it is
     * @param may what this person may do about it now
     * @param now how the judgement stands at this moment; empty where what it was about is gone
     * @param lines what it rests on, so that an answer can give a reading
     */
    record Conversation(
            Correction correction,
            String reference,
            String title,
            String building,
            String crew,
            String trade,
            boolean overdue,
            List<LetterStep> steps,
            List<Corrections.Attachment> files,
            List<Step.Kind> may,
            Optional<Now> now,
            List<AnswerLine> lines) {}

    record LetterStep(Step.Kind kind, String words, List<GivenReading> readings, String by, Instant at) {}

    record GivenReading(String line, String said, String grade) {}

    record Now(Verdict verdict, String brief) {}

    record AnswerLine(String point, String component, String title) {}

    private final Clock clock;
    private final Corrections corrections;
    private final CaseFiles cases;

    CorrectionController(Clock clock, Corrections corrections, CaseFiles cases) {
        this.clock = clock;
        this.corrections = corrections;
        this.cases = cases;
    }

    @GetMapping("/corrections")
    List<Corrections.Listed> all(@AuthenticationPrincipal Person person) {
        return corrections.all(person);
    }

    /** The days by which open ones are due, for a calendar. */
    @GetMapping(path = "/due-dates", produces = CALENDAR)
    ResponseEntity<byte[]> dates(@AuthenticationPrincipal Person person) {
        List<CalendarFile.Day> days = corrections.all(person).stream()
                .filter(item -> !item.correction().state().ended())
                .flatMap(item -> item.correction().due().stream()
                        .map(due -> new CalendarFile.Day(
                                item.correction().id(),
                                item.correction().raisedAt(),
                                due,
                                item.reference() + ": " + item.correction().what(),
                                item.title() + ". " + item.correction().words())))
                .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(CALENDAR))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"corrections.ics\"")
                .body(CalendarFile.ofDays(days));
    }

    @GetMapping("/installations/{id}/corrections")
    List<Correction> ofInstallation(@PathVariable String id, @AuthenticationPrincipal Person person) {
        return corrections.of(cases.open(id, person));
    }

    /** What could be asked for: every judgement that leaves something open and that nobody has asked for yet. */
    @GetMapping("/installations/{id}/corrections/proposed")
    List<Proposed> proposed(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Wording wording = viewer.wording(UnitSystem.SI);
        Map<Trade, List<ProposedItem>> byTrade = corrections.proposed(file).stream()
                .collect(Collectors.groupingBy(
                        judgement -> Trade.of(judgement.about().station()),
                        TreeMap::new,
                        Collectors.mapping(judgement -> item(judgement, file, wording), Collectors.toList())));
        return byTrade.entrySet().stream()
                .map(each ->
                        new Proposed(each.getKey(), wording.say(each.getKey().title()), each.getValue()))
                .toList();
    }

    private ProposedItem item(Judgement judgement, CaseFile file, Wording wording) {
        return new ProposedItem(
                judgement.key(),
                judgement.called().in(wording),
                judgement.verdict(),
                judgement.about().severity(),
                judgement.brief().in(wording),
                judgement.remedy().map(text -> text.in(wording)).orElse(""),
                corrections.due(judgement, file));
    }

    /** Raises one or several; all of them or none. */
    @PostMapping("/installations/{id}/corrections")
    @ResponseStatus(HttpStatus.CREATED)
    List<Correction> raise(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody NewCorrections asked,
            @AuthenticationPrincipal Person person) {
        return corrections.raise(
                id,
                new Corrections.Asked(asked.judgements(), asked.words(), asked.due()),
                person,
                viewer.wording(UnitSystem.SI));
    }

    @GetMapping("/corrections/{id}")
    Conversation conversation(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        return conversation(corrections.visible(id, person), person, viewer.wording(UnitSystem.SI));
    }

    /** Other words, or another date. */
    @PutMapping("/corrections/{id}")
    Correction amend(
            @PathVariable String id,
            @Valid @RequestBody AmendedCorrection asked,
            @AuthenticationPrincipal Person person) {
        return corrections.amend(id, asked.words(), asked.due(), asked.version(), person);
    }

    /** The crew sees or answers; the inspection office accepts, refuses, closes or withdraws. */
    @PostMapping("/corrections/{id}/steps")
    @ResponseStatus(HttpStatus.CREATED)
    Conversation take(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody NewStep asked,
            @AuthenticationPrincipal Person person) {
        Wording wording = viewer.wording(UnitSystem.SI);
        Corrections.Doing doing = new Corrections.Doing(
                asked.kind(), asked.words(), asked.readings(), asked.confirmed(), asked.version());
        return conversation(corrections.take(id, doing, person, wording), person, wording);
    }

    /** Hangs a PDF, a picture or plain text on it. */
    @PostMapping(path = "/corrections/{id}/files", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Corrections.Attachment attach(
            @PathVariable String id,
            @RequestParam String name,
            @RequestBody byte[] content,
            @AuthenticationPrincipal Person person) {
        return corrections.attach(id, name, content, person);
    }

    @GetMapping(
            path = "/attachments/{id}",
            produces = {
                MediaType.APPLICATION_PDF_VALUE,
                MediaType.IMAGE_JPEG_VALUE,
                MediaType.IMAGE_PNG_VALUE,
                MediaType.TEXT_PLAIN_VALUE
            })
    ResponseEntity<byte[]> attachment(@PathVariable String id, @AuthenticationPrincipal Person person) {
        Corrections.Content file = corrections.content(id, person);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.mediaType()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file.content());
    }

    private Conversation conversation(Correction correction, Person person, Wording wording) {
        CaseFile file = cases.open(correction.installationId(), person);
        Optional<Judgement> judgement = file.judgements().all().stream()
                .filter(j -> j.about().id().equals(correction.requirement())
                        && j.component().equals(correction.component()))
                .findFirst();
        return new Conversation(
                correction,
                file.header().reference(),
                file.header().title(),
                file.header().building(),
                file.header().crew(),
                CorrectionLetters.trade(correction).title(),
                correction.overdue(LocalDate.now(clock)),
                corrections.steps(correction.id()).stream()
                        .map(step -> view(step, file, wording))
                        .toList(),
                corrections.attachments(correction.id()),
                Arrays.stream(Step.Kind.values())
                        .filter(kind -> kind.office() == person.inspects() && kind.possible(correction.state()))
                        .filter(kind -> kind != Step.Kind.CLOSED
                                || judgement
                                        .filter(j -> Corrections.shown(correction, j, file))
                                        .isPresent())
                        .toList(),
                judgement.map(j -> new Now(j.verdict(), j.brief().in(wording))),
                judgement.map(j -> lines(j, file, wording)).orElse(List.of()));
    }

    private static LetterStep view(Step step, CaseFile file, Wording wording) {
        List<Reading> with = file.evidence().readings().stream()
                .filter(reading -> step.readings().contains(reading.id().toString()))
                .toList();
        return new LetterStep(
                step.kind(),
                step.words(),
                with.stream()
                        .map(reading -> new GivenReading(
                                wording.say(title(reading.key())),
                                reading.said().in(wording),
                                wording.say(reading.grade().title())))
                        .toList(),
                step.by(),
                step.at());
    }

    private static List<AnswerLine> lines(Judgement judgement, CaseFile file, Wording wording) {
        List<AnswerLine> lines = new ArrayList<>();
        // what it is about first of all stands first
        List<PointKey> keys = Stream.concat(judgement.line(file.evidence()).stream(), judgement.evidence().stream())
                .distinct()
                .toList();
        for (PointKey key : keys) {
            file.line(key)
                    .ifPresent(line -> lines.add(new AnswerLine(
                            key.point(), key.component(), line.called().in(wording))));
        }
        return lines;
    }

    private static String title(PointKey key) {
        return Walk.point(key.point()).map(Point::title).orElse(key.point());
    }
}
