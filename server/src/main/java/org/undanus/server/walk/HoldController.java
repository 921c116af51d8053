package org.undanus.server.walk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.hold.CalendarFile;
import org.undanus.server.hold.Hold;
import org.undanus.server.hold.Holds;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.StationView;

/** Holds over HTTP: what is left alone for a while, its time, and what it could have shown by now. */
@RestController
@RequestMapping("/api")
class HoldController {
    /** Seconds; what lies farther is refused whatever it is, and need not be computed. */
    private static final long FAR = 1_000_000;

    /** @param ago how long before now it began, s */
    record NewHold(
            @NotNull(message = "is missing") UUID id,
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no point") String point,
            @NotBlank(message = "is empty") @Size(max = 60, message = "is no unit or part") String component,
            long ago) {}

    /** @param keep whether its time becomes a reading, with this id */
    record EndOfHold(@NotNull(message = "is missing") UUID reading, boolean keep) {}

    /** @param lasted its time as it stands on the line, ready to be read back */
    record EndedHold(String lasted) {}

    /** Work that can be done meanwhile. */
    record Meanwhile(String key, int number, String title, int undecided) {}

    /**
     * @param now by the server's clock, which the times are of
     * @param needed s; empty where it is not known yet
     * @param power what would have shown by now
     */
    record HoldView(
            String id,
            String installationId,
            String reference,
            String installation,
            String station,
            String point,
            String component,
            String title,
            String subject,
            String startedBy,
            Instant startedAt,
            Instant now,
            Optional<Double> needed,
            Optional<String> power,
            Optional<Meanwhile> meanwhile) {}

    private final Clock clock;
    private final Holds holds;
    private final CaseFiles cases;
    private final HoldTimes times;
    private final TransactionTemplate transactions;

    HoldController(Clock clock, Holds holds, CaseFiles cases, HoldTimes times, TransactionTemplate transactions) {
        this.clock = clock;
        this.transactions = transactions;
        this.holds = holds;
        this.cases = cases;
        this.times = times;
    }

    /** Those of this person that go on, and whoever's at the installation that is looked at. */
    @GetMapping("/holds")
    List<HoldView> running(
            @RequestParam Optional<String> installation, Viewer viewer, @AuthenticationPrincipal Person person) {
        return holds.running().stream()
                .filter(hold -> hold.startedBy().equals(person.name())
                        || installation.filter(hold.installationId()::equals).isPresent())
                .flatMap(hold -> opened(hold, person).flatMap(file -> view(hold, file, viewer)).stream())
                .toList();
    }

    private Optional<CaseFile> opened(Hold hold, Person person) {
        try {
            return Optional.of(cases.open(hold.installationId(), person));
        } catch (NotFoundException notTheirs) {
            return Optional.empty();
        }
    }

    /** Starts one. */
    @PostMapping("/installations/{id}/holds")
    @ResponseStatus(HttpStatus.CREATED)
    HoldView start(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody NewHold started,
            @AuthenticationPrincipal Person person) {
        Hold hold = holds.start(
                id,
                started.id(),
                new PointKey(started.point(), started.component()),
                clock.instant().minusSeconds(Math.max(-FAR, Math.min(FAR, started.ago()))),
                person);
        return view(hold, cases.open(id, person), viewer).orElseThrow();
    }

    /** Ends one, early or not; its time becomes a reading unless it is left. */
    @PostMapping("/installations/{id}/holds/{hold}/end")
    EndedHold end(
            @PathVariable String id,
            @PathVariable String hold,
            @Valid @RequestBody EndOfHold asked,
            @AuthenticationPrincipal Person person) {
        return transactions.execute(status -> ended(id, hold, asked, person));
    }

    private EndedHold ended(String id, String hold, EndOfHold asked, Person person) {
        CaseFile file = cases.openForWriting(id, person);
        Hold running = holds.of(id, hold);
        Instant now = clock.instant();
        EndedHold ended = new EndedHold(HoldTimes.written(running.lasting(now)));
        if (!running.runs() && asked.keep() && asked.reading().toString().equals(running.readingId())) {
            return ended;
        }
        times.end(
                file,
                running,
                now,
                running.lasting(now),
                asked.keep() ? Optional.of(asked.reading()) : Optional.empty(),
                person);
        return ended;
    }

    /** The end of a hold as an appointment with an alarm. */
    @GetMapping(path = "/installations/{id}/holds/{hold}/calendar", produces = "text/calendar")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    ResponseEntity<byte[]> calendar(
            @PathVariable String id, @PathVariable String hold, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Hold running = holds.of(id, hold);
        HoldView view = view(running, file, viewer)
                .orElseThrow(() -> new UnsuitableException("hold", "The line that was held is no more."));
        double needed = view.needed()
                .orElseThrow(() ->
                        new UnsuitableException("hold", "How long it has to be held is not known yet: read on first."));
        byte[] content = CalendarFile.of(
                running.id(),
                view.now(),
                running.startedAt().plusMillis((long) (needed * 1000)),
                view.title() + ", " + view.installation(),
                view.subject() + ". " + view.power().orElse(""));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"hold.ics\"")
                .body(content);
    }

    private Optional<HoldView> view(Hold hold, CaseFile file, Viewer viewer) {
        return file.line(hold.key())
                .map(line -> view(hold, line, file, viewer.wording(file.rules().display())));
    }

    private HoldView view(Hold hold, CaseFile.Line line, CaseFile file, Wording wording) {
        Instant now = clock.instant();
        Station station = file.station(line);
        Optional<HoldableLine> holding = Walk.plan(station).map(StationPlan::holdings).orElse(List.of()).stream()
                .filter(each -> each.line().id().equals(hold.point()))
                .findFirst();
        Optional<Examination> looked =
                holding.map(each -> each.examination(file.facts(), file.evidence(), file.rules(), line.subject()));
        double seconds = Math.max(1, hold.lasting(now).toMillis() / 1000.0);
        return new HoldView(
                hold.id(),
                hold.installationId(),
                file.header().reference(),
                file.header().title(),
                station.key(),
                hold.point(),
                hold.component(),
                wording.say(line.point().title()),
                wording.say(line.subject().title()),
                hold.startedBy(),
                hold.startedAt(),
                now,
                holding.flatMap(each -> each.needed().apply(looked.orElseThrow())),
                holding.flatMap(each -> each.power().after(looked.orElseThrow(), seconds))
                        .map(text -> text.in(wording)),
                meanwhile(file, station, wording));
    }

    /** The first station with open lines that does not wait for this one. */
    private static Optional<Meanwhile> meanwhile(CaseFile file, Station held, Wording wording) {
        return StationView.route(file, wording).stream()
                .filter(each -> each.undecided() > 0 && !waits(each.key(), held))
                .min(Comparator.comparingInt(StationView.RouteStation::number))
                .map(each -> new Meanwhile(each.key(), each.number(), each.title(), each.undecided()));
    }

    private static boolean waits(String station, Station held) {
        return station.equals(held.key())
                || Walk.plans().stream()
                        .filter(plan -> plan.station().key().equals(station))
                        .flatMap(plan -> plan.precedents().stream())
                        .anyMatch(before -> waits(before.station().key(), held));
    }
}
