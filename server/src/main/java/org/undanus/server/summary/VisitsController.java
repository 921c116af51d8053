package org.undanus.server.summary;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
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
import org.undanus.core.judgement.RevisitPlan;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WhatChanged;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.Walk;
import org.undanus.server.account.Person;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;

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

    /** An accuracy is said to two digits. */
    private static final double DIGITS = 10;

    private final Clock clock;
    private final CaseFiles cases;

    VisitsController(Clock clock, CaseFiles cases) {
        this.clock = clock;
        this.cases = cases;
    }

    @GetMapping("/visits")
    List<VisitReport> visits(
            @PathVariable String id, @RequestParam Optional<UnitSystem> units, @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        UnitSystem shown = units.orElse(file.rules().display());
        Map<UUID, Integer> readAt = cases.visitNumbers(file.header());
        List<VisitReport> reports = new ArrayList<>();
        List<Judgement> before = List.of();
        int number = 0;
        for (CaseFile.Visit visit : file.header().visits()) {
            int last = number;
            Evidence readByThen = Evidence.of(file.evidence().readings().stream()
                    .filter(reading -> readAt.get(reading.id()) <= last)
                    .toList());
            List<Judgement> then = file.at(visit, readByThen).judgements().all();
            reports.add(report(number + 1, visit, number == 0 ? then : before, then, shown));
            before = then;
            number++;
        }
        return reports;
    }

    private static VisitReport report(
            int number, CaseFile.Visit visit, List<Judgement> before, List<Judgement> then, UnitSystem units) {
        Map<Verdict, Integer> counts = new EnumMap<>(Verdict.class);
        then.forEach(judgement -> counts.merge(judgement.verdict(), 1, Integer::sum));
        return new VisitReport(
                number,
                visit.stage().title(),
                visit.on(),
                visit.unannounced(),
                visit.sealedAs(),
                counts,
                WhatChanged.between(before, then).stream()
                        .map(change -> change(change, units))
                        .toList());
    }

    private static Change change(WhatChanged change, UnitSystem units) {
        Judgement shown = change.either();
        return new Change(
                shown.about().station().title(),
                shown.about().title(),
                shown.subject(),
                change.before().map(Judgement::verdict),
                change.now().map(Judgement::verdict),
                shown.finding().in(units));
    }

    /** @param on the day of the re-visit; today where it is left out */
    @GetMapping("/revisit")
    PlanView revisit(
            @PathVariable String id,
            @RequestParam Optional<LocalDate> on,
            @RequestParam Optional<UnitSystem> units,
            @AuthenticationPrincipal Person person) {
        CaseFile file = cases.open(id, person);
        QuantityFormat format = QuantityFormat.of(units.orElse(file.rules().display()));
        RevisitPlan plan = RevisitPlan.of(
                file.facts(),
                file.evidence(),
                file.rules(),
                file.judgements().all(),
                Walk::point,
                on.orElseGet(() -> LocalDate.now(clock)));
        return new PlanView(
                plan.stops().stream().map(stop -> stop(stop, file)).toList(),
                plan.tools().stream()
                        .map(tool -> new ToolView(
                                tool.kind().title(),
                                tool.needed().map(needed -> format.format(needed, needed.si() / DIGITS)),
                                person.inspects()
                                        ? tool.atHand().stream()
                                                .map(Instrument::title)
                                                .toList()
                                        : List.of(),
                                tool.enough()))
                        .toList(),
                plan.holds().stream().map(key -> titled(key, file)).toList(),
                plan.time().map(format::format),
                plan.stops().stream().mapToInt(stop -> stop.lines().size()).sum());
    }

    private static StopView stop(RevisitPlan.Stop stop, CaseFile file) {
        return new StopView(
                stop.station().key(),
                stop.station().title(),
                stop.lines().stream()
                        .map(key -> new PlannedLine(key.point(), key.component(), titled(key, file)))
                        .toList(),
                stop.open().stream()
                        .map(judgement -> judgement.about().title()
                                + (judgement.subject().isEmpty() ? "" : ", " + judgement.subject()))
                        .toList());
    }

    private static String titled(PointKey key, CaseFile file) {
        return file.line(key)
                .map(line -> line.point().title()
                        + (line.subject().title().isEmpty()
                                ? ""
                                : ", " + line.subject().title()))
                .orElse(key.point());
    }
}
