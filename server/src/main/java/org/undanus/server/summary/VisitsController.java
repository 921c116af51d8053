package org.undanus.server.summary;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Scopes;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.HourPlan;
import org.undanus.core.visit.HourSettings;
import org.undanus.core.visit.LineTimes;
import org.undanus.core.visit.RevisitPlan;
import org.undanus.core.visit.WhatChanged;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.installation.Experience;
import org.undanus.server.installation.KeptReadings;
import org.undanus.server.problem.NotAllowedException;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.words.Viewer;
import org.undanus.view.CaseFile;

/** The visits of an installation: what each changed, and what the next has to look at. Over HTTP. */
@RestController
@RequestMapping("/api/installations/{id}")
class VisitsController {

    /**
     * A visit and what it changed against the one before.
     *
     * @param number from 1
     * @param sealedAs the number it was sealed under; empty while it goes on
     * @param counts how it stood at its end
     */
    record VisitReport(
            int number,
            String stage,
            LocalDate on,
            boolean unannounced,
            Optional<String> sealedAs,
            Map<Verdict, Integer> counts,
            List<Change> changes) {}

    /** @param before empty where there was none, as {@code now} where there is none any more */
    record Change(
            String station,
            String title,
            String subject,
            Optional<Verdict> before,
            Optional<Verdict> now,
            String said) {}

    /**
     * What a re-visit has to look at.
     *
     * @param time to read its lines; holds come on top
     */
    record PlanView(List<StopView> stops, List<ToolView> tools, List<String> holds, Optional<String> time, int lines) {}

    record StopView(String station, String title, List<PlannedLine> lines, List<String> open) {}

    record PlannedLine(String point, String component, String title) {}

    /**
     * @param needed how exactly it has to read; empty where any will do
     * @param enough whether one at hand does
     */
    record ToolView(String kind, Optional<String> needed, List<String> atHand, boolean enough) {}

    /**
     * A plan for little time.
     *
     * @param lines in walking order
     * @param confirm lines of the crew's record that are to be read again, by lot
     * @param minutes they take
     * @param resolved share of what is at stake that they resolve, 0 to 1
     * @param open judgements that stay open
     * @param unreached lines that would have been due
     * @param hopeless lines that are due and out of sight by now: only a photo or record from before cover shows them
     */
    record HourView(
            List<HourLine> lines,
            List<HourLine> confirm,
            long minutes,
            double resolved,
            List<StaysOpen> open,
            int unreached,
            List<String> hopeless) {}

    record HourLine(String station, String point, String component, String title, String stationTitle) {}

    record StaysOpen(String severity, long judgements) {}

    /** An accuracy is said to two digits. */
    private static final double DIGITS = 10;

    private final Clock clock;
    private final CaseFiles cases;
    private final KeptReadings keptReadings;
    private final Experience experience;

    VisitsController(Clock clock, CaseFiles cases, KeptReadings keptReadings, Experience experience) {
        this.clock = clock;
        this.experience = experience;
        this.cases = cases;
        this.keptReadings = keptReadings;
    }

    @GetMapping("/visits")
    List<VisitReport> visits(@PathVariable String id, Viewer viewer, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Wording wording = viewer.wording(file.rules().display());
        Map<UUID, Integer> readAt = keptReadings.visitNumbers(file.header());
        List<VisitReport> reports = new ArrayList<>();
        List<Judgement> before = List.of();
        int number = 0;
        for (CaseFile.Visit visit : file.header().visits()) {
            int last = number;
            Evidence readByThen = Evidence.of(file.evidence().readings().stream()
                    .filter(reading -> readAt.get(reading.id()) <= last)
                    .toList());
            List<Judgement> then = file.at(visit, readByThen).judgements().all();
            reports.add(report(number + 1, visit, number == 0 ? then : before, then, wording));
            before = then;
            number++;
        }
        return reports;
    }

    private static VisitReport report(
            int number, CaseFile.Visit visit, List<Judgement> before, List<Judgement> then, Wording wording) {
        Map<Verdict, Integer> counts = new EnumMap<>(Verdict.class);
        then.forEach(judgement -> counts.merge(judgement.verdict(), 1, Integer::sum));
        return new VisitReport(
                number,
                wording.say(visit.stage().title()),
                visit.on(),
                visit.unannounced(),
                visit.sealedAs(),
                counts,
                WhatChanged.between(before, then).stream()
                        .map(change -> change(change, wording))
                        .toList());
    }

    private static Change change(WhatChanged change, Wording wording) {
        Judgement shown = change.either();
        return new Change(
                wording.say(shown.about().station().title()),
                wording.say(shown.about().title()),
                wording.say(shown.subject()),
                change.before().map(Judgement::verdict),
                change.now().map(Judgement::verdict),
                shown.finding().in(wording));
    }

    /** @param on the day of the re-visit; today where it is left out */
    @GetMapping("/revisit")
    PlanView revisit(
            @PathVariable String id,
            @RequestParam Optional<LocalDate> on,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        Wording wording = viewer.wording(file.rules().display());
        QuantityFormat format = QuantityFormat.of(wording.units());
        RevisitPlan plan = RevisitPlan.of(
                file.facts(),
                file.evidence(),
                file.rules(),
                file.judgements().all(),
                Walk::point,
                on.orElseGet(() -> LocalDate.now(clock)));
        return new PlanView(
                plan.stops().stream().map(stop -> stop(stop, file, wording)).toList(),
                plan.tools().stream()
                        .map(tool -> new ToolView(
                                wording.say(tool.kind().title()),
                                tool.needed().map(needed -> format.format(needed, needed.si() / DIGITS)),
                                person.inspects()
                                        ? tool.atHand().stream()
                                                .map(Instrument::title)
                                                .toList()
                                        : List.of(),
                                tool.enough()))
                        .toList(),
                plan.holds().stream().map(key -> titled(key, file, wording)).toList(),
                plan.time().map(format::format),
                plan.stops().stream().mapToInt(stop -> stop.lines().size()).sum());
    }

    /**
     * What to read in the time there is.
     *
     * @param minutes there are
     */
    @GetMapping("/hour")
    HourView hour(
            @PathVariable String id,
            @RequestParam @Min(0) @Max(100_000) int minutes,
            Viewer viewer,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        if (!person.inspects()) {
            throw new NotAllowedException("The inspection office plans its visits.");
        }
        if (!HourSettings.decided(file.rules())) {
            throw new UnsuitableException(
                    "ruleBook",
                    "This version of the rule book does not say what a plan goes by. Move the installation to a newer one.");
        }
        Wording wording = viewer.wording(file.rules().display());
        LineTimes times = experience.times();
        Map<PointKey, CaseFile.Line> lines = new LinkedHashMap<>();
        file.lines().stream().filter(file::due).forEach(line -> lines.putIfAbsent(line.key(), line));
        HourPlan plan = HourPlan.of(
                file.judgements().all().stream()
                        .filter(judgement -> Scopes.within(judgement, file.scopes()))
                        .toList(),
                lines.values().stream()
                        .map(line -> new HourPlan.Line(
                                line.key(), times.seconds(line.point().id(), file.rules()), file.hopeless(line)))
                        .toList(),
                file.evidence(),
                file.rules(),
                experience.failing(file.rules()),
                Duration.ofMinutes(minutes),
                file.header().visitId());
        return new HourView(
                plan.lines().stream()
                        .map(key -> planned(lines.get(key), file, wording))
                        .toList(),
                plan.confirm().stream()
                        .map(key -> planned(lines.get(key), file, wording))
                        .toList(),
                Math.round(plan.time().toSeconds() / 60.0),
                plan.stake() == 0 ? 1 : plan.resolved() / plan.stake(),
                plan.open().entrySet().stream()
                        .map(each -> new StaysOpen(wording.say(each.getKey().title()), each.getValue()))
                        .toList(),
                plan.unreached(),
                plan.hopeless().stream().map(key -> titled(key, file, wording)).toList());
    }

    private static HourLine planned(CaseFile.Line line, CaseFile file, Wording wording) {
        Station station = file.station(line);
        return new HourLine(
                station.key(),
                line.key().point(),
                line.key().component(),
                line.called().in(wording),
                wording.say(station.title()));
    }

    private static StopView stop(RevisitPlan.Stop stop, CaseFile file, Wording wording) {
        return new StopView(
                stop.station().key(),
                wording.say(stop.station().title()),
                stop.lines().stream()
                        .map(key -> new PlannedLine(key.point(), key.component(), titled(key, file, wording)))
                        .toList(),
                stop.open().stream()
                        .map(judgement -> judgement.called().in(wording))
                        .toList());
    }

    private static String titled(PointKey key, CaseFile file, Wording wording) {
        return file.line(key).map(line -> line.called().in(wording)).orElse(key.point());
    }
}
