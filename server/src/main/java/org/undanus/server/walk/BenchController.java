package org.undanus.server.walk;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.Charts;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.station.Walk;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.reading.ReadingIntake;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.FigureView;

/** Curves looked at closely, over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}/stations/{station}/curves")
class BenchController {

    /** Something that has a curve. */
    record CurveView(String component, String title) {}

    /**
     * @param sentence what it comes to
     * @param from of what is shown, s from the curve's first sample
     * @param until of what is shown, s
     * @param lasting all of the curve, s
     * @param options in which ways it can be looked at
     */
    record ChartView(
            FigureView figure,
            String sentence,
            double from,
            double until,
            double lasting,
            Set<Charts.Option> options) {}

    private final CaseFiles cases;
    private final ReadingIntake readings;

    BenchController(CaseFiles cases, ReadingIntake readings) {
        this.cases = cases;
        this.readings = readings;
    }

    private CaseFile file(String id, Person person) {
        return readings.withLiveCurves(cases.open(id, person), person);
    }

    private static Charts charts(String station) {
        Station named = WalkController.named(station);
        return Walk.plan(named)
                .flatMap(StationPlan::charts)
                .orElseThrow(() -> new NotFoundException("No curve is looked at closely at this station."));
    }

    private static Optional<Charts.Chart> chart(CaseFile file, String station, Subject subject, Charts.Look look) {
        return charts(station).chart(file.facts(), file.evidence(), file.rules(), file.judgements(), subject, look);
    }

    private static Subject subject(CaseFile file, String component) {
        return file.facts().subjects().stream()
                .filter(each -> each.id().equals(component))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("This installation has no such unit or part."));
    }

    /** What has a curve at a station. */
    @GetMapping
    List<CurveView> curves(
            @PathVariable String id, @PathVariable String station, @AuthenticationPrincipal Person person) {
        CaseFile file = file(id, person);
        charts(station);
        return file.facts().subjects().stream()
                .filter(each -> chart(file, station, each, Charts.Look.WHOLE).isPresent())
                .map(each -> new CurveView(each.id(), each.title()))
                .toList();
    }

    /**
     * One curve, laid out for the room there is.
     *
     * @param from s from its first sample
     * @param until s; left out, its end
     * @param options in which of its ways it is looked at
     * @param beside whose curve is drawn beside it
     * @param cursor a moment whose values are told, as a share of what is shown
     */
    @GetMapping("/{component}")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    ChartView curve(
            @PathVariable String id,
            @PathVariable String station,
            @PathVariable String component,
            @RequestParam(defaultValue = "0") double from,
            @RequestParam Optional<Double> until,
            @RequestParam(defaultValue = "") Set<Charts.Option> options,
            @RequestParam Optional<String> beside,
            @RequestParam Optional<Double> cursor,
            @RequestParam(defaultValue = "900") @Min(240) @Max(2000) int width,
            @RequestParam(defaultValue = "480") @Min(120) @Max(2000) int height,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = file(id, person);
        Charts.Look look = look(
                from,
                until.orElse(Double.POSITIVE_INFINITY),
                options,
                beside.map(other -> subject(file, other)),
                cursor);
        Charts.Chart chart = chart(file, station, subject(file, component), look)
                .orElseThrow(() -> new NotFoundException("There is no curve of it yet."));
        Wording wording = viewer.wording(file.rules().display());
        return new ChartView(
                FigureView.of(chart.drawing(), wording, width, height),
                chart.sentence().in(wording),
                look.begin(chart.lasting()),
                look.end(chart.lasting()),
                chart.lasting(),
                chart.options());
    }

    private static Charts.Look look(
            double from, double until, Set<Charts.Option> options, Optional<Subject> beside, Optional<Double> cursor) {
        try {
            return new Charts.Look(
                    from,
                    until,
                    options,
                    beside,
                    cursor.filter(Double::isFinite).map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("from", RefusedException.said(e));
        }
    }
}
