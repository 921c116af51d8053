package org.undanus.server.walk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.SpokenRun;
import org.undanus.core.judgement.Station;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.FigureView;
import org.undanus.view.JudgementView;
import org.undanus.view.SpokenView;
import org.undanus.view.StationView;

/** The walk over HTTP. */
@RestController
@RequestMapping("/api")
class WalkController {

    record TypedReading(
            @NotNull(message = "is missing") UUID id,
            @NotBlank(message = "is empty") @Size(max = 80, message = "is no point") String point,
            @NotBlank(message = "is empty") @Size(max = 60, message = "is no unit or part") String component,
            @NotNull(message = "is missing")
                    @Size(max = Entry.LONGEST_LIST, message = "is longer than a reading can be")
                    String typed,
            Optional<@Size(max = 60, message = "is no instrument") String> instrument,
            @NotNull(message = "is missing") Grade grade,
            Optional<UUID> basedOn,
            boolean confirmed) {}

    /**
     * @param others lines of the same station that may look otherwise by now
     * @param next what can still change something at the line's station
     */
    record SavedReading(
            StationView.LineView line,
            List<StationView.LineView> others,
            List<JudgementView> changed,
            List<StationView.NextLine> next,
            List<StationView.RouteStation> route) {}

    /** @param held symbols of wording said before of the same instrument, the last one first */
    record Question(
            @NotBlank(message = "is empty") String point,
            @NotBlank(message = "is empty") String component,
            @NotNull(message = "is missing")
                    @Size(max = Entry.LONGEST_LIST, message = "is longer than a reading can be")
                    String typed,
            Optional<String> instrument,
            Optional<@Size(max = 20, message = "are more than there are") List<String>> held) {}

    /**
     * @param full what will be kept where the unit was left out and one said before suits
     * @param problem why it could not be kept as it stands; half-typed text is no error
     * @param choices what may have been meant, each ready to be typed instead
     * @param parts of a list, in the order they were written, whether or not it can be taken
     */
    record Echo(
            Optional<String> full,
            Optional<String> us,
            Optional<String> si,
            Optional<String> uncertainty,
            boolean plausible,
            Optional<String> problem,
            List<String> choices,
            List<Notation.Part> parts) {}

    /**
     * A change to a list that is being typed, made where it is drawn.
     *
     * @param thing the drawn thing it is done to
     * @param other what takes its place, stands beside it or is joined to it
     */
    record ListChange(
            @NotBlank(message = "is empty") String point,
            @NotBlank(message = "is empty") String component,
            @NotNull(message = "is missing")
                    @Size(max = Entry.LONGEST_LIST, message = "is longer than a reading can be")
                    String typed,
            @NotNull(message = "is missing") @Size(max = 60, message = "is no part") String thing,
            @NotNull(message = "is missing") Notation.Change change,
            @NotNull(message = "is missing") @Size(max = 200, message = "is longer than a part can be") String other) {}

    /** @param typed what stands on the line now; nothing is saved */
    record ChangedList(String typed) {}

    /**
     * A run of readings, spoken or typed.
     *
     * @param component the unit or part in hand
     * @param held symbols of units said before, by kind of instrument
     * @param instruments the one in use, by its kind
     */
    record SpokenRunAsked(
            @NotNull(message = "is missing") @Size(max = SpokenRun.LONGEST, message = "is longer than can be read over")
                    String text,
            Optional<@Size(max = 60, message = "is no unit or part") String> component,
            Optional<Map<String, List<String>>> held,
            Optional<Map<String, String>> instruments,
            @NotNull(message = "is missing") Grade grade) {
        private SpokenView.Said said() {
            return new SpokenView.Said(text, component.orElse(""), held.orElse(Map.of()), instruments.orElse(Map.of()));
        }
    }

    private final CaseFiles cases;
    private final ReadingIntake readings;

    WalkController(CaseFiles cases, ReadingIntake readings) {
        this.cases = cases;
        this.readings = readings;
    }

    @GetMapping("/installations/{id}/route")
    List<StationView.RouteStation> route(
            @PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        return StationView.route(cases.open(id, person), viewer.wording(UnitSystem.SI));
    }

    @GetMapping("/installations/{id}/stations/{station}")
    StationView station(
            @PathVariable String id,
            @PathVariable String station,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = readings.withLiveCurves(cases.open(id, person), person);
        return StationView.of(file, named(station), viewer.wording(file.rules().display()), person.inspects());
    }

    /**
     * A station's figure, laid out for the room there is.
     *
     * @param width in dots, 240 to 2000
     * @param height at most, in dots, 120 to 2000
     * @param typed what is being typed on the line {@code point} of {@code component}, drawn as if it were saved
     */
    @GetMapping("/installations/{id}/stations/{station}/drawings")
    List<FigureView> drawings(
            @PathVariable String id,
            @PathVariable String station,
            Viewer viewer,
            @RequestParam(defaultValue = "640") @Min(240) @Max(2000) int width,
            @RequestParam(defaultValue = "220") @Min(120) @Max(2000) int height,
            @RequestParam Optional<String> point,
            @RequestParam Optional<String> component,
            @RequestParam
                    Optional<@Size(max = Entry.LONGEST_LIST, message = "is longer than a reading can be") String> typed,
            @AuthenticationPrincipal Person person) {
        CaseFile kept = readings.withLiveCurves(cases.open(id, person), person);
        CaseFile file = point.isPresent() && component.isPresent() && typed.isPresent()
                ? readings.asIf(kept, new PointKey(point.get(), component.get()), typed.get(), person)
                : kept;
        return FigureView.of(file, named(station), viewer.wording(file.rules().display()), width, height);
    }

    /** Every reading of one line, oldest first. */
    @GetMapping("/installations/{id}/history")
    List<StationView.ReadingView> history(
            @PathVariable String id,
            @RequestParam String point,
            @RequestParam String component,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        CaseFile.Line line = ReadingIntake.line(file, new PointKey(point, component));
        return file.evidence().history(line.key()).stream()
                .map(reading ->
                        StationView.reading(reading, viewer.wording(file.rules().display())))
                .toList();
    }

    /** @param id of the reading that came last; empty where there is none */
    record LastReading(Optional<UUID> id) {}

    /** What came last, whoever read it: to be asked often. */
    @GetMapping("/installations/{id}/readings/last")
    LastReading last(@PathVariable String id, @AuthenticationPrincipal Person person) {
        List<Reading> all = cases.open(id, person).evidence().readings();
        return new LastReading(
                all.isEmpty()
                        ? Optional.empty()
                        : Optional.of(all.get(all.size() - 1).id()));
    }

    @PostMapping("/installations/{id}/readings")
    @ResponseStatus(HttpStatus.CREATED)
    SavedReading save(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody TypedReading typed,
            @AuthenticationPrincipal Person person) {
        Wording wording = viewer.wording(UnitSystem.SI);
        ReadingIntake.Taken outcome = readings.save(
                id,
                new ReadingIntake.Typed(
                        typed.id(),
                        new PointKey(typed.point(), typed.component()),
                        typed.typed(),
                        typed.instrument(),
                        typed.grade(),
                        typed.basedOn(),
                        typed.confirmed()),
                person,
                wording);
        return new SavedReading(
                StationView.line(outcome.line(), outcome.file(), wording, person.inspects()),
                outcome.others().stream()
                        .map(line -> StationView.line(line, outcome.file(), wording, person.inspects()))
                        .toList(),
                outcome.changed().stream()
                        .map(j -> JudgementView.of(j, outcome.file().evidence(), wording))
                        .toList(),
                StationView.next(outcome.file(), outcome.file().station(outcome.line()), wording),
                StationView.route(outcome.file(), wording));
    }

    /** How a text would be understood, in both unit systems. Nothing is kept. */
    @PostMapping("/installations/{id}/understand")
    @KeepsNothing
    Echo understand(
            @PathVariable String id,
            Viewer viewer,
            @Valid @RequestBody Question question,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        CaseFile.Line line = ReadingIntake.line(file, new PointKey(question.point(), question.component()));
        Optional<String> full =
                Entry.completed(line.point(), question.typed(), question.held().orElse(List.of()));
        Wording wording = viewer.wording(file.rules().display());
        Entry.Understood understood;
        try {
            understood = readings.understand(line.point(), full.orElse(question.typed()), question.instrument(), file);
        } catch (UnsuitableException e) {
            return new Echo(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    Optional.of(e.said().in(wording)),
                    e.choices(),
                    parts(line.point(), question.typed()));
        }
        return new Echo(
                full,
                understood.value().in(wording.with(UnitSystem.US)),
                understood.value().in(wording.with(UnitSystem.SI)),
                understood.value().uncertaintyIn(wording.units()),
                understood.plausible(),
                Optional.empty(),
                List.of(),
                parts(line.point(), question.typed()));
    }

    private static List<Notation.Part> parts(Point point, String typed) {
        return point.kind() == Point.Kind.LIST ? Notation.parts(typed) : List.of();
    }

    /** What a list is after a change made where it is drawn. Nothing is kept. */
    @PostMapping("/installations/{id}/lists")
    @KeepsNothing
    ChangedList change(
            @PathVariable String id, @Valid @RequestBody ListChange change, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Point point = ReadingIntake.line(file, new PointKey(change.point(), change.component()))
                .point();
        Notation notation =
                point.notation().orElseThrow(() -> new UnsuitableException("point", "This line is no list."));
        try {
            return new ChangedList(notation.changed(change.typed(), change.thing(), change.change(), change.other()));
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("thing", RefusedException.said(e));
        }
    }

    /** Where each reading of a spoken or typed run would go, and what would be judged of it. Nothing is kept. */
    @PostMapping("/installations/{id}/stations/{station}/hear")
    @KeepsNothing
    SpokenView hear(
            @PathVariable String id,
            @PathVariable String station,
            Viewer viewer,
            @Valid @RequestBody SpokenRunAsked asked,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return SpokenView.of(
                file,
                named(station),
                asked.said(),
                (before, reading, key, typed, instrument) -> tried(
                        before,
                        new ReadingIntake.Typed(
                                reading, key, typed, instrument, asked.grade(), Optional.empty(), false),
                        person),
                viewer.wording(file.rules().display()));
    }

    private CaseFile tried(CaseFile before, ReadingIntake.Typed typed, Person person) {
        try {
            return readings.tried(before, typed, person);
        } catch (UnsuitableException e) {
            throw new RefusedException(e.said());
        }
    }

    static Station named(String key) {
        return Arrays.stream(Station.values())
                .filter(station -> station.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such station on the walk."));
    }
}
