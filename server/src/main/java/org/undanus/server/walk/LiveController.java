package org.undanus.server.walk;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.live.Listening;
import org.undanus.server.live.LiveFeed;
import org.undanus.server.live.LiveStore;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.toolcase.Instruments;
import org.undanus.server.trace.TraceStore;

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

    /** @param shown the last value, in words; empty before the first */
    record LiveView(
            String id,
            String point,
            String component,
            String instrument,
            String startedBy,
            Instant startedAt,
            long samples,
            Optional<Instant> lastAt,
            Optional<String> shown) {}

    private final LiveStore live;
    private final CaseFiles cases;
    private final Readings readings;
    private final TraceStore traces;
    private final Instruments instruments;
    private final TransactionTemplate transactions;
    private final LiveFeed feed;

    LiveController(
            LiveStore live,
            CaseFiles cases,
            Readings readings,
            TraceStore traces,
            Instruments instruments,
            TransactionTemplate transactions,
            LiveFeed feed) {
        this.live = live;
        this.cases = cases;
        this.readings = readings;
        this.traces = traces;
        this.instruments = instruments;
        this.transactions = transactions;
        this.feed = feed;
    }

    /** The lines that listen here, with what they heard last. */
    @GetMapping
    List<LiveView> listening(
            @PathVariable String id, @RequestParam Optional<UnitSystem> units, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return live.at(id).stream()
                .map(each -> view(each, units.orElse(file.rules().display())))
                .toList();
    }

    private LiveView view(Listening listening, UnitSystem units) {
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
                        .map(dimension -> QuantityFormat.of(units).format(dimension.of(sample.si())))));
    }

    /** The instruments that a line could listen to. */
    @GetMapping("/senders")
    List<Sender> senders(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            @AuthenticationPrincipal Person person) {
        Point asked = Readings.line(cases.open(id, person), new PointKey(point, component))
                .point();
        if (asked.kind() != Point.Kind.CURVE) {
            throw new UnsuitableException("point", asked.title() + " takes no curve.");
        }
        return live.senders(asked).stream()
                .flatMap(sender -> instruments.find(sender).stream())
                .map(instrument -> new Sender(instrument.id(), instrument.title()))
                .toList();
    }

    /** Lets a line listen to an instrument. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    LiveView listen(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
            @Valid @RequestBody NewListening asked,
            @AuthenticationPrincipal Person person) {
        Listening listening =
                live.listen(id, asked.id(), new PointKey(asked.point(), asked.component()), asked.instrument(), person);
        return view(listening, units.orElse(UnitSystem.SI));
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
            if (cases.keptReading(asked.reading()).isPresent()) {
                return;
            }
            Listening taken = live.hold(id, listening);
            Point point = Readings.line(file, taken.key()).point();
            String sha256 = traces.keep(id, point, live.csv(taken), person.name(), Instant.now())
                    .sha256();
            readings.save(
                    id,
                    new Readings.Typed(
                            asked.reading(),
                            taken.key(),
                            sha256,
                            Optional.of(taken.instrument()),
                            person.inspects() ? Grade.LOGGED : Grade.RECORDED,
                            file.evidence().latest(taken.key()).map(Reading::id),
                            true),
                    person,
                    UnitSystem.SI);
            live.forget(taken);
        });
    }

    /** It listens no more; what it took is not kept. */
    @PostMapping("/{listening}/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String id, @PathVariable String listening, @AuthenticationPrincipal Person person) {
        transactions.executeWithoutResult(status -> {
            cases.openForWriting(id, person);
            live.forget(live.hold(id, listening));
        });
    }

    /** Says when something came in, for as long as a screen looks (server-sent events). */
    @Hidden
    @GetMapping(path = "/feed", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter feed(@PathVariable String id, @AuthenticationPrincipal Person person) {
        cases.open(id, person);
        return feed.follow(id);
    }
}
