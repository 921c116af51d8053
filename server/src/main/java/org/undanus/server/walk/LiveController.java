package org.undanus.server.walk;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.instrument.Instruments;
import org.undanus.server.live.Displays;
import org.undanus.server.live.Listening;
import org.undanus.server.live.LiveFeed;
import org.undanus.server.live.LiveMark;
import org.undanus.server.live.LiveStore;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.server.trace.TraceStore;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** Lines that listen to instruments, over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/live")
class LiveController {

    /** An instrument that may send what a line takes. */
    record Sender(String id, String title) {}

    record NewListening(
            @NotNull(message = "is missing") UUID id,
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no point") String point,
            @NotBlank(message = "is empty") @Size(max = 60, message = "is no unit or part") String component,
            @NotBlank(message = "is empty") @Size(max = 60, message = "is no instrument") String instrument) {}

    /** @param reading with this id it is kept */
    record Keeping(@NotNull(message = "is missing") UUID reading) {}

    /** @param act one of those the line offers */
    record Mark(@NotNull(message = "is missing") Marks.Act act) {}

    /** @param at as it was handed out */
    record MarkBack(@NotNull(message = "is missing") Marks.Act act, @NotNull(message = "is missing") Instant at) {}

    /**
     * What an instrument shows.
     *
     * @param name of what it shows; may be empty
     * @param value as it can be typed
     * @param ago s
     */
    record ShownView(String instrument, String title, String name, String value, long ago) {}

    /** What can be marked. */
    record ActView(Marks.Act act, String title) {}

    /** @param after from the first sample, in words; empty before it */
    record MarkView(Marks.Act act, String title, Instant at, Optional<String> after) {}

    /**
     * @param shown the last value, in words; empty before the first
     * @param acts that can be marked here; empty where another line of the station leads
     */
    record LiveView(
            String id,
            String point,
            String component,
            String instrument,
            String startedBy,
            Instant startedAt,
            long samples,
            Optional<Instant> lastAt,
            Optional<String> shown,
            List<ActView> acts,
            List<MarkView> marks) {}

    /** Samples that make a line. */
    private static final int LEAST_OF_A_CURVE = 2;

    private final Clock clock;
    private final LiveStore live;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final ReadingIntake readings;
    private final TraceStore traces;
    private final Instruments instruments;
    private final TransactionTemplate transactions;
    private final LiveFeed feed;
    private final Displays displays;

    LiveController(
            Clock clock,
            LiveStore live,
            CaseFiles cases,
            KeptReadings keptReadings,
            ReadingIntake readings,
            TraceStore traces,
            Instruments instruments,
            TransactionTemplate transactions,
            LiveFeed feed,
            Displays displays) {
        this.clock = clock;
        this.displays = displays;
        this.live = live;
        this.cases = cases;
        this.keptReadings = keptReadings;
        this.readings = readings;
        this.traces = traces;
        this.instruments = instruments;
        this.transactions = transactions;
        this.feed = feed;
    }

    /** The lines that listen here, with what they heard last. */
    @GetMapping
    List<LiveView> listening(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return live.at(id).stream()
                .map(each -> view(each, viewer.wording(file.rules().display())))
                .toList();
    }

    private LiveView view(Listening listening, Wording wording) {
        Optional<LiveStore.TraceSample> last = live.last(listening);
        return new LiveView(
                listening.id(),
                listening.point(),
                listening.component(),
                instruments.find(listening.instrument()).map(Instrument::title).orElse(listening.instrument()),
                listening.startedBy(),
                listening.startedAt(),
                listening.samples(),
                last.map(LiveStore.TraceSample::at),
                last.flatMap(sample -> LiveStore.dimension(listening)
                        .map(dimension -> QuantityFormat.of(wording.units()).format(dimension.of(sample.si())))),
                live.leading(listening).equals(listening)
                        ? LiveStore.offered(listening).stream()
                                .map(act -> new ActView(act, wording.say(act.title())))
                                .toList()
                        : List.of(),
                marks(listening, wording));
    }

    private List<MarkView> marks(Listening listening, Wording wording) {
        List<Marks.Mark> counted = live.counted(listening).map(Marks::marks).orElse(List.of());
        List<LiveMark> marks = live.marks(listening);
        return IntStream.range(0, marks.size())
                .mapToObj(i -> new MarkView(
                        marks.get(i).act(),
                        marks.get(i).act().title(),
                        marks.get(i).at(),
                        counted.isEmpty()
                                ? Optional.empty()
                                : Optional.of(QuantityFormat.of(wording.units())
                                        .format(Duration.ofSeconds(
                                                counted.get(i).seconds())))))
                .toList();
    }

    /** Marks that something was done: at the moment of the last sample, which the instrument's clock tells. */
    @PostMapping("/{listening}/mark")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    void mark(
            @PathVariable String id,
            @PathVariable String listening,
            @Valid @RequestBody Mark asked,
            @AuthenticationPrincipal Person person) {
        transactions.executeWithoutResult(status -> {
            cases.openForWriting(id, person);
            Listening taken = live.holdOwn(id, listening, person);
            Instant at = live.last(taken).map(LiveStore.TraceSample::at).orElseGet(clock::instant);
            live.mark(taken, at, asked.act(), person.name());
        });
    }

    /** Takes a mark back. */
    @PostMapping("/{listening}/unmark")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unmark(
            @PathVariable String id,
            @PathVariable String listening,
            @Valid @RequestBody MarkBack asked,
            @AuthenticationPrincipal Person person) {
        transactions.executeWithoutResult(status -> {
            cases.openForWriting(id, person);
            live.unmark(live.holdOwn(id, listening, person), asked.at(), asked.act(), person.name());
        });
    }

    /** The instruments that a line could listen to. */
    @GetMapping("/senders")
    List<Sender> senders(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            @AuthenticationPrincipal Person person) {
        Point asked = ReadingIntake.line(cases.open(id, person), new PointKey(point, component))
                .point();
        if (asked.kind() != Point.Kind.CURVE) {
            throw new UnsuitableException("point", Text.of("{asked} takes no curve.", asked.title()));
        }
        return live.senders(asked, person).stream()
                .flatMap(sender -> instruments.find(sender).stream())
                .map(instrument -> new Sender(instrument.id(), instrument.title()))
                .toList();
    }

    /** The ids of instruments that may send, whichever line they fit. */
    @GetMapping("/sending")
    List<String> sending(@PathVariable String id, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        return live.sending(person);
    }

    /** What instruments that fit a line show now, to be taken over as its reading. */
    @GetMapping("/shown")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    List<ShownView> shown(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Point asked = ReadingIntake.line(file, new PointKey(point, component)).point();
        if (asked.kind() != Point.Kind.QUANTITY) {
            throw new UnsuitableException("point", Text.of("{asked} is not read off an instrument.", asked.title()));
        }
        QuantityFormat format =
                QuantityFormat.of(viewer.wording(file.rules().display()).units());
        Instant now = clock.instant();
        List<String> heard = live.sending(person);
        return displays.of(asked).stream()
                .filter(shown -> heard.contains(shown.instrument()))
                .map(shown -> new ShownView(
                        shown.instrument(),
                        shown.title(),
                        shown.name(),
                        format.format(shown.quantity(), shown.resolution()),
                        Math.max(0, ChronoUnit.SECONDS.between(shown.came(), now))))
                .toList();
    }

    /** Lets a line listen to an instrument. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    LiveView listen(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody NewListening asked,
            @AuthenticationPrincipal Person person) {
        Listening listening =
                live.listen(id, asked.id(), new PointKey(asked.point(), asked.component()), asked.instrument(), person);
        return view(listening, viewer.wording(UnitSystem.SI));
    }

    /** Keeps what a line took as its curve; it listens no more. */
    @PostMapping("/{listening}/keep")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    void keep(
            @PathVariable String id,
            @PathVariable String listening,
            @Valid @RequestBody Keeping asked,
            @AuthenticationPrincipal Person person) {
        transactions.executeWithoutResult(status -> {
            CaseFile file = cases.openForWriting(id, person);
            if (keptReadings.keptReading(asked.reading()).isPresent()) {
                return;
            }
            Listening taken = live.holdOwn(id, listening, person);
            Point point = ReadingIntake.line(file, taken.key()).point();
            String sha256 = traces.keep(id, point, live.csv(taken), person.name(), clock.instant())
                    .sha256();
            readings.save(
                    id,
                    new ReadingIntake.Typed(
                            asked.reading(),
                            taken.key(),
                            sha256,
                            Optional.of(taken.instrument()),
                            person.inspects() ? Grade.LOGGED : Grade.RECORDED,
                            file.evidence().answer(taken.key()).map(Reading::id),
                            true),
                    person,
                    Wording.english(UnitSystem.SI));
            keepMarks(file, taken, person);
            live.forget(taken, person.name());
        });
    }

    /** What was tapped becomes the marks of the curve; what was written meanwhile is written of it again. */
    private void keepMarks(CaseFile file, Listening taken, Person person) {
        LiveStore.marking(taken).ifPresent(marking -> {
            PointKey key = new PointKey(marking.line().id(), taken.component());
            Optional<Reading> before = file.evidence().latest(key);
            Optional<String> marks = live.counted(taken).map(Marks::written).or(() -> before.filter(
                            written -> written.at().isAfter(taken.startedAt()))
                    .map(Reading::typed));
            marks.ifPresent(written -> readings.save(
                    file.header().id(),
                    new ReadingIntake.Typed(
                            UUID.randomUUID(),
                            key,
                            written,
                            Optional.empty(),
                            person.inspects() ? Grade.WITNESSED : Grade.RECORDED,
                            before.map(Reading::id),
                            true),
                    person,
                    Wording.english(UnitSystem.SI)));
        });
    }

    /** It listens no more; what it took is struck: kept beside the readings, and none of them. */
    @PostMapping("/{listening}/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String id, @PathVariable String listening, @AuthenticationPrincipal Person person) {
        transactions.executeWithoutResult(status -> {
            CaseFile file = cases.openForWriting(id, person);
            Listening taken = live.holdOwn(id, listening, person);
            Optional<String> curve = Optional.of(taken)
                    .filter(heard -> heard.samples() >= LEAST_OF_A_CURVE)
                    .map(heard -> traces.keep(
                                    id,
                                    ReadingIntake.line(file, heard.key()).point(),
                                    live.csv(heard),
                                    person.name(),
                                    clock.instant())
                            .sha256());
            live.strike(taken, curve, person.name());
            live.forget(taken, person.name());
        });
    }

    /** Says when something came in, for as long as a screen looks (server-sent events). */
    @Hidden
    @GetMapping(path = "/feed", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter feed(@PathVariable String id, @AuthenticationPrincipal Person person, HttpSession session) {
        cases.open(id, person);
        return feed.follow(id, person, session.getId());
    }
}
