package org.undanus.core.station.piping;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Oil comes back, rain drips off: traps where they are due, no low spot where they are not. */
final class OilReturn {
    private OilReturn() {}

    private static final LimitKey RISE_LIMIT =
            new LimitKey("piping.trap-spacing", Dimension.LENGTH, "Longest rise without a trap");
    private static final String SHEET = "Data sheet, lines";

    static final Requirement TRAPS = Requirement.of(
            About.of("piping.traps", Station.PIPING, Scope.LINE_SET, "Traps in rises", Severity.DAMAGE)
                    .sources(SHEET)
                    .needs(LinePoints.RUN)
                    .limits(RISE_LIMIT),
            OilReturn::traps);

    static final Requirement INVERTED_TRAP = Requirement.of(
            About.of(
                            "piping.inverted-trap",
                            Station.PIPING,
                            Scope.LINE_SET,
                            "Inverted trap at the outdoor unit",
                            Severity.DAMAGE)
                    .sources(SHEET)
                    .needs(LinePoints.RUN),
            OilReturn::inverted);

    static final Requirement LOW_SPOTS = Requirement.of(
            About.of("piping.low-spots", Station.PIPING, Scope.LINE_SET, "No low spots", Severity.DAMAGE)
                    .sources("ASHRAE Refrigeration, halocarbon systems, oil return")
                    .needs(LinePoints.RUN),
            OilReturn::lowSpots);

    static final Requirement DRIP_LOOP = Requirement.of(
            About.of("piping.drip-loop", Station.PIPING, Scope.LINE_SET, "Drip loop below the hole", Severity.DAMAGE)
                    .sources("Common practice where lines come down to a hole")
                    .needs(LinePoints.RUN),
            OilReturn::dripLoop);

    private static Judgement traps(Examination x) {
        TubeRun run = Run.of(x).tubes();
        List<Limit> limits = x.outdoor()
                .map(unit -> x.at(unit).limits(RISE_LIMIT, SheetLimit.atMost(SheetValue.TRAP_RISE)))
                .orElse(List.of());
        if (limits.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("The sheet asks for no traps in these lines."), "");
        }
        if (run.lift() <= 0) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("The outdoor unit does not lie higher: oil runs back by itself."),
                            "");
        }
        double due = limits.get(0).value().si();
        Optional<TubeRun.Rise> worst = run.rises().stream().max(Comparator.comparingDouble(TubeRun.Rise::height));
        double longest = worst.map(TubeRun.Rise::height).orElse(0.0);
        // a rise that needs no trap between needs none at its foot either
        Optional<TubeRun.Rise> footless = run.rises().stream()
                .filter(rise -> rise.height() > due && !rise.trapped())
                .findFirst();
        int more = (int) Math.max(0, Math.ceil(longest / due - 1e-9) - 1);
        Finding finding = x.finding()
                .step("Traps in the run", "", Text.of("{run}", run.count(TubeRun.Kind.TRAP)), "")
                .step("Longest rise without a trap", Run.metres(longest));
        Optional<Comparison> held = finding.hold(RISE_LIMIT, Run.taped(x, longest, 1), 0, limits);
        Text remedy = more == 0
                ? Text.of(
                        "Measure the rise of part {worst} again: at {longest} it is exactly what is allowed without a trap. One more trap in it settles it.",
                        worst.map(rise -> rise.part() + 1).orElse(1),
                        Run.metres(longest))
                : footless.isPresent()
                        ? Text.counted(
                                more,
                                "Put {more} trap into the rise of part {part}, and one at its foot: no more than {longest} apart.",
                                "Have {more} traps put into the rise of part {part}, and one at its foot: no more than {longest} apart.",
                                more,
                                worst.map(rise -> rise.part() + 1).orElse(1),
                                Run.metres(longest / (more + 1)))
                        : Text.counted(
                                more,
                                "Put {more} trap into the rise of part {part}: no more than {longest} apart.",
                                "Have {more} traps put into the rise of part {part}: no more than {longest} apart.",
                                more,
                                worst.map(rise -> rise.part() + 1).orElse(1),
                                Run.metres(longest / (more + 1)));
        return finding.conclude(held.orElseThrow().verdict(), finding.room(), remedy);
    }

    private static Judgement inverted(Examination x) {
        TubeRun run = Run.of(x).tubes();
        Optional<Length> from = x.outdoor()
                .flatMap(unit -> x.at(unit).sheet())
                .flatMap(sheet -> sheet.length(SheetValue.INVERTED_TRAP_LIFT));
        Uncertain lift = Run.of(x).lift();
        if (from.isEmpty() || lift.value() + lift.expanded() < from.get().si()) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            from.map(f -> Text.of(
                                            "The sheet asks for one from {least} of height on; here it is {lift}.",
                                            f,
                                            Run.metres(lift.value())))
                                    .orElse(Text.of("The sheet asks for none.")),
                            "");
        }
        boolean there = run.endsInInvertedTrap();
        return x.finding()
                .step("Height of the outdoor unit", Run.metres(lift.value()))
                .step("Inverted trap at its end", there ? "yes" : "no")
                .conclude(
                        there ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                there
                                        ? "It ends in an inverted trap."
                                        : "The suction line reaches the outdoor unit without an inverted trap."),
                        Text.of(
                                "Run the suction line over the top of the outdoor unit and down to its valve: the unit lies {lift} higher, and one is due from {from} on.",
                                Run.metres(lift.value()),
                                from.get()));
    }

    private static Judgement lowSpots(Examination x) {
        List<TubeRun.LowSpot> spots = Run.of(x).tubes().lowSpots();
        if (spots.isEmpty()) {
            return x.finding().conclude(Verdict.MEETS, Text.of("The run has no low spot."), "");
        }
        TubeRun.LowSpot deepest = spots.stream()
                .max(Comparator.comparingDouble(TubeRun.LowSpot::depth))
                .orElseThrow();
        Finding finding = x.finding();
        spots.forEach(
                spot -> finding.step(Text.of("Low spot at part {part}", spot.part() + 1), Run.metres(spot.depth())));
        return finding.conclude(
                Verdict.FAILS,
                Text.counted(
                        spots.size(),
                        "{spots} low spot, the deepest {depth} at part {part}: oil stands there.",
                        "{spots} low spots, the deepest {depth} at part {part}: oil stands there.",
                        spots.size(),
                        Run.metres(deepest.depth()),
                        deepest.part() + 1),
                Text.of(
                        "Raise part {part} by {depth}, or reroute it so that it never falls before it rises.",
                        deepest.part() + 1,
                        Run.metres(deepest.depth())));
    }

    private static Judgement dripLoop(Examination x) {
        TubeRun run = Run.of(x).tubes();
        if (!run.passesWall()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("The run does not say where it passes the wall."),
                            "Write wall at that place of the run.");
        }
        if (!run.comesDownToHole()) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("Outdoors the lines leave the hole downward or level: rain runs away from it."),
                            "");
        }
        boolean drips = run.dripsBeforeHole();
        return x.finding()
                .step("Drip loop between hole and rise", drips ? "yes" : "no")
                .conclude(
                        drips ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                drips
                                        ? "A drip loop lies below the hole."
                                        : "The lines come down straight to the hole: rain runs along them into the wall."),
                        "Run the lines below the hole before they rise, so that water drips off.");
    }
}
