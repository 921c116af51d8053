package org.undanus.server.siting;

import java.time.Instant;
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
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.siting.Retaping;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.MayAlsoAnswer;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.siteplan.SitePlans;
import org.undanus.server.space.KeepsNothing;
import org.undanus.server.walk.PlanView;
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
     */
    record DrawingView(int version, Optional<Map<String, Object>> plan, Optional<PlanView> view) {}

    /** @param judgements those of the station that rest on where things stand */
    record TrialView(PlanView view, List<VerdictView> judgements) {}

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

    private final CaseFiles cases;
    private final SitePlans plans;
    private final JsonMapper json;

    SitePlanController(CaseFiles cases, SitePlans plans, JsonMapper json) {
        this.cases = cases;
        this.plans = plans;
        this.json = json;
    }

    @GetMapping("/installations/{id}/site-plan")
    DrawingView drawing(
            @PathVariable String id, @RequestParam Optional<UnitSystem> units, @AuthenticationPrincipal Person person) {
        return view(cases.open(id, person), units);
    }

    private DrawingView view(CaseFile file, Optional<UnitSystem> units) {
        int version =
                plans.of(file.header().id()).map(SitePlans.Drawing::version).orElse(0);
        return new DrawingView(
                version,
                file.facts().plan().map(plan -> json.readValue(plans.geoJson().write(plan), JSON_OBJECT)),
                PlanView.of(file, units.orElse(file.rules().display())));
    }

    /** How the site would be judged as drawn; what is moved would be taped again. Nothing is kept. */
    @PostMapping("/installations/{id}/site-plan/trial")
    @KeepsNothing
    TrialView trial(
            @PathVariable String id,
            @RequestParam Optional<UnitSystem> units,
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
        UnitSystem system = units.orElse(now.rules().display());
        return new TrialView(
                PlanView.of(then, system).orElseThrow(),
                then.judgements().of(Station.SITING).stream()
                        .map(after -> verdict(after, now, system))
                        .toList());
    }

    private static VerdictView verdict(Judgement after, CaseFile now, UnitSystem system) {
        return new VerdictView(
                after.key(),
                after.about().title(),
                after.subject(),
                after.verdict(),
                after.because().in(system),
                now.judgements()
                        .find(after.about().id(), after.component())
                        .map(Judgement::verdict)
                        .filter(before -> before != after.verdict()),
                Retaping.besideTheTape(after).map(words -> words.in(system)));
    }

    /** Keeps a drawing, if nobody else has drawn meanwhile and it can be built. */
    @PutMapping("/installations/{id}/site-plan")
    @Transactional
    DrawingView keep(
            @PathVariable String id,
            @RequestParam int basedOn,
            @RequestParam Optional<UnitSystem> units,
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
            throw new UnsuitableException("plan", "This installation has no unit " + unknown.get(0) + ".");
        }
        SitePlans.requireSound(plan);
        CaseFile then = file.with(file.facts().with(plan));
        PlanView.of(then, UnitSystem.SI)
                .map(PlanView::overlaps)
                .filter(overlaps -> !overlaps.isEmpty())
                .ifPresent(overlaps -> {
                    throw new UnsuitableException("plan", String.join(" ", overlaps) + " Nothing was saved.");
                });
        plans.keep(id, plan, basedOn, person.name(), Instant.now());
        return view(cases.open(id, person), units);
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
    ResponseEntity<String> svg(
            @PathVariable String id, @RequestParam Optional<UnitSystem> units, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        drawn(file);
        return file(
                file,
                "svg",
                "image/svg+xml",
                PlanDrawing.svg(
                        PlanView.of(file, units.orElse(file.rules().display())).orElseThrow(), true));
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
    LengthView length(@RequestParam String typed, @RequestParam Optional<UnitSystem> units) {
        try {
            Quantity length = FieldNotation.parse(typed, Dimension.LENGTH).value();
            return new LengthView(
                    length.si(), QuantityFormat.of(units.orElse(UnitSystem.SI)).format(length));
        } catch (FieldNotationException e) {
            throw new UnsuitableException("typed", e.getMessage());
        }
    }
}
