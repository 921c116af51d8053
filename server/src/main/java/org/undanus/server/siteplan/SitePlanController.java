package org.undanus.server.siteplan;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Frame;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.station.siting.Retaping;
import org.undanus.core.station.siting.SiteFigure;
import org.undanus.core.station.siting.SitedUnit;
import org.undanus.core.station.siting.WallFigure;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.report.FigurePrint;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;
import org.undanus.view.FigureView;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Site drawings over HTTP. */
@RestController
@RequestMapping("/api")
class SitePlanController {
    private static final TypeReference<Map<String, Object>> JSON_OBJECT = new TypeReference<>() {};

    /**
     * @param version 0 where nothing is drawn yet
     * @param plan GeoJSON in local metres; empty where nothing is drawn yet
     * @param units the sizes of what is sited
     */
    record DrawingView(int version, Optional<Map<String, Object>> plan, List<SitedUnitView> units) {}

    /**
     * @param figure empty where the wall asked for has not been drawn
     * @param overlaps what cannot be built as drawn, a sentence each
     * @param cure empty where a wall is looked at
     * @param judgements those of the station that rest on where things stand
     */
    /** So many of what stands near are named. */
    private static final int NEAREST = 5;

    /** @param distance in the reader's units */
    record NearView(String name, String distance) {}

    /** @param near how far the chosen unit stands from what is named, the nearest first */
    record TrialView(
            Optional<FigureView> figure,
            List<NearView> near,
            List<String> overlaps,
            Optional<CureView> cure,
            List<SitedUnitView> units,
            List<VerdictView> judgements) {}

    /**
     * Sizes in metres.
     *
     * @param cabinet its width and depth in words
     */
    record SitedUnitView(
            String component,
            String title,
            boolean outdoor,
            double width,
            double depth,
            double height,
            String cabinet) {}

    /** What became of the search for the smallest move, in words, and where each unit would stand. */
    record CureView(String sentence, List<MoveView> moves) {}

    record MoveView(String component, double x, double y, double facing) {}

    /**
     * @param before what it is as kept, where that is otherwise
     * @param drawn what the drawing says, where a tape reading goes before it
     */
    record VerdictView(
            String key,
            String title,
            String subject,
            Verdict verdict,
            String because,
            Optional<Verdict> before,
            Optional<String> drawn) {}

    /** A length as typed, understood. */
    record LengthView(double metres, String text) {}

    private static final int PRINTED_WIDTH = 900;
    private static final int PRINTED_HEIGHT = 700;

    private final Clock clock;
    private final CaseFiles cases;
    private final SitePlans plans;
    private final JsonMapper json;

    SitePlanController(Clock clock, CaseFiles cases, SitePlans plans, JsonMapper json) {
        this.clock = clock;
        this.cases = cases;
        this.plans = plans;
        this.json = json;
    }

    @GetMapping("/installations/{id}/site-plan")
    DrawingView drawing(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        return view(cases.open(id, person), viewer);
    }

    private DrawingView view(CaseFile file, Viewer viewer) {
        int version =
                plans.of(file.header().id()).map(SitePlans.Drawing::version).orElse(0);
        return new DrawingView(
                version,
                file.facts().plan().map(plan -> json.readValue(plans.geoJson().write(plan), JSON_OBJECT)),
                sited(file, viewer.wording(file.rules().display())));
    }

    private static List<SitedUnitView> sited(CaseFile file, Wording wording) {
        return SitedUnit.all(file.facts(), file.evidence(), file.judgements()).stream()
                .map(unit -> new SitedUnitView(
                        unit.component().id(),
                        unit.component().title(),
                        unit.component().outdoor(),
                        unit.size().width().si(),
                        unit.size().depth().si(),
                        unit.size().height().si(),
                        Text.of(
                                        "{width} × {depth}",
                                        unit.size().width(),
                                        unit.size().depth())
                                .in(wording)))
                .toList();
    }

    /**
     * How the site would be judged as drawn; what is moved would be taped again. Nothing is kept.
     *
     * @param width of the figure, dots, 240 to 2000
     * @param height of the figure at most, dots, 120 to 2000
     * @param wall the unit whose wall is shown instead of the plan
     * @param chosen the unit whose kept distances are shown too
     * @param mayTurn whether units may be turned by quarter turns to cure what is short
     * @param whole whether all of the site is shown instead of what stands there
     * @param view what of the site is shown: left, lower, right and upper edge in metres
     */
    @PostMapping("/installations/{id}/site-plan/trial")
    @KeepsNothing
    TrialView trial(
            @PathVariable String id,
            Viewer viewer,
            @RequestParam(defaultValue = "640") @Min(240) @Max(2000) int width,
            @RequestParam(defaultValue = "400") @Min(120) @Max(2000) int height,
            @RequestParam Optional<String> wall,
            @RequestParam(defaultValue = "") String chosen,
            @RequestParam(defaultValue = "false") boolean mayTurn,
            @RequestParam(defaultValue = "false") boolean whole,
            @RequestParam Optional<List<Double>> view,
            @RequestBody Map<String, Object> drawn,
            @AuthenticationPrincipal Person person) {
        CaseFile now = cases.open(id, person);
        SitePlan plan = read(drawn);
        SitePlans.requireSound(plan);
        CaseFile then = now.with(
                now.facts().with(plan),
                now.facts()
                        .plan()
                        .map(kept -> Retaping.awaited(now.evidence(), kept, plan))
                        .orElse(now.evidence()));
        Wording wording = viewer.wording(now.rules().display());
        Optional<Frame> frame = view.map(SitePlanController::frame);
        Optional<SiteFigure> site = wall.isPresent() ? Optional.empty() : site(then, mayTurn);
        Optional<Drawing> figure = wall.map(unit -> hung(then, unit))
                .orElseGet(() -> site.map(s ->
                        s.drawing("Site", frame.or(() -> Optional.of(s.whole()).filter(all -> whole)), chosen)));
        return new TrialView(
                figure.map(f -> FigureView.of(f, wording, width, height)),
                site.map(s -> s.near().getOrDefault(chosen, List.of())).orElse(List.of()).stream()
                        .limit(NEAREST)
                        .map(near -> new NearView(
                                near.name().in(wording), near.distance().in(wording)))
                        .toList(),
                site
                        .map(SiteFigure::overlaps)
                        .orElseGet(() -> SiteFigure.overlaps(then.facts(), then.evidence(), plan))
                        .stream()
                        .map(sentence -> sentence.in(wording))
                        .toList(),
                site.map(s -> cure(s.cure(), wording)),
                sited(then, wording),
                then.judgements().of(Station.SITING).stream()
                        .map(after -> verdict(after, now, wording))
                        .toList());
    }

    private static Optional<SiteFigure> site(CaseFile file, boolean mayTurn) {
        return SiteFigure.of(file.facts(), file.evidence(), file.rules(), file.judgements(), mayTurn);
    }

    private static Optional<Drawing> hung(CaseFile file, String component) {
        return SitedUnit.all(file.facts(), file.evidence(), file.judgements()).stream()
                .filter(unit -> unit.component().id().equals(component))
                .findFirst()
                .flatMap(unit -> WallFigure.of(file.facts(), unit));
    }

    private static CureView cure(SiteFigure.Cure cure, Wording wording) {
        return new CureView(
                cure.said().in(wording),
                cure.moves().stream()
                        .map(move -> new MoveView(
                                move.component(),
                                move.to().x(),
                                move.to().y(),
                                move.to().facing()))
                        .toList());
    }

    private static Frame frame(List<Double> edges) {
        try {
            return Frame.toScale(edges.get(0), edges.get(1), edges.get(2), edges.get(3));
        } catch (IndexOutOfBoundsException | IllegalArgumentException e) {
            throw new UnsuitableException("view", "A view has a left, a lower, a right and an upper edge, in metres.");
        }
    }

    private static VerdictView verdict(Judgement after, CaseFile now, Wording wording) {
        return new VerdictView(
                after.key(),
                wording.say(after.about().title()),
                after.subject(),
                after.verdict(),
                after.because().in(wording),
                now.judgements()
                        .find(after.about(), after.component())
                        .map(Judgement::verdict)
                        .filter(before -> before != after.verdict()),
                Retaping.besideTheTape(after).map(words -> words.in(wording)));
    }

    /** Keeps a drawing, if nobody else has drawn meanwhile and it can be built. */
    @PutMapping("/installations/{id}/site-plan")
    @Transactional
    DrawingView keep(
            @PathVariable String id,
            @RequestParam int basedOn,
            Viewer viewer,
            @RequestBody Map<String, Object> drawn,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.openForWriting(id, person);
        if (!person.inspects()) {
            throw new NotAllowedException("Sites are drawn by the inspection office.");
        }
        SitePlan plan = read(drawn);
        List<String> unknown = plan.units().stream()
                .map(SitePlan.PlacedUnit::component)
                .filter(unit -> file.facts().component(unit).isEmpty())
                .toList();
        if (!unknown.isEmpty()) {
            throw new UnsuitableException("plan", Text.of("This installation has no unit {unknown}.", unknown.get(0)));
        }
        SitePlans.requireSound(plan);
        CaseFile then = file.with(file.facts().with(plan));
        List<Text> overlaps = SiteFigure.overlaps(then.facts(), then.evidence(), plan);
        if (!overlaps.isEmpty()) {
            throw new UnsuitableException("plan", Text.sentences(overlaps).then(Text.of("Nothing was saved.")));
        }
        plans.keep(id, plan, basedOn, person.name(), clock.instant());
        return view(cases.open(id, person), viewer);
    }

    private SitePlan read(Map<String, Object> drawn) {
        return plans.geoJson().read(json.writeValueAsString(drawn));
    }

    @GetMapping(path = "/installations/{id}/site-plan.geojson", produces = "application/geo+json")
    ResponseEntity<String> geoJson(@PathVariable String id, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        return file(file, "geojson", "application/geo+json", plans.geoJson().write(drawn(file)));
    }

    @GetMapping(path = "/installations/{id}/site-plan.svg", produces = "image/svg+xml")
    ResponseEntity<String> svg(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        drawn(file);
        Drawing drawing = site(file, false).orElseThrow().drawing("Site");
        return file(
                file,
                "svg",
                "image/svg+xml",
                FigurePrint.svg(
                        FigureView.of(drawing, viewer.wording(file.rules().display()), PRINTED_WIDTH, PRINTED_HEIGHT)));
    }

    private static SitePlan drawn(CaseFile file) {
        return file.facts().plan().orElseThrow(() -> new NotFoundException("This site has not been drawn."));
    }

    private static ResponseEntity<String> file(CaseFile file, String ending, String type, String content) {
        String name = file.header().reference().replaceAll("[^A-Za-z0-9-]", "-") + "-site." + ending;
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type + ";charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(content);
    }

    /** A length in any notation of the field, for drawing by typed dimensions. */
    @GetMapping("/length")
    @MayAlsoAnswer(HttpStatus.UNPROCESSABLE_CONTENT)
    LengthView length(@RequestParam String typed, Viewer viewer) {
        try {
            Quantity length = FieldNotation.parse(typed, Dimension.LENGTH).value();
            return new LengthView(length.si(), length.in(viewer.wording(UnitSystem.SI)));
        } catch (FieldNotationException e) {
            throw new UnsuitableException("typed", RefusedException.said(e));
        }
    }
}
