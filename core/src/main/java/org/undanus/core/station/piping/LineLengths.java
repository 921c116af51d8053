package org.undanus.core.station.piping;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
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
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Lines are as long, and lead as far up or down, as the maker allows. */
final class LineLengths {
    private LineLengths() {}

    private static final LimitKey LENGTH_LIMIT =
            new LimitKey("piping.line-length", Dimension.LENGTH, "Length of the lines");
    private static final LimitKey EQUIVALENT_LIMIT =
            new LimitKey("piping.equivalent-length", Dimension.LENGTH, "Length with fittings as straight tube");
    private static final LimitKey TOTAL_LIMIT =
            new LimitKey("piping.total-length", Dimension.LENGTH, "Length of all lines together");
    private static final LimitKey LIFT_LIMIT =
            new LimitKey("piping.lift", Dimension.LENGTH, "Height between indoor and outdoor unit");

    /** Neither too long nor too short, coils and all. */
    static final Requirement LENGTH = Requirement.of(
            About.of("piping.length", Station.PIPING, Scope.LINE_SET, "Length of the lines", Severity.PERFORMANCE)
                    .sources("Data sheet, lines")
                    .needs(LinePoints.RUN)
                    .limits(LENGTH_LIMIT),
            LineLengths::length);

    static final Requirement EQUIVALENT = Requirement.of(
            About.of(
                            "piping.equivalent-length",
                            Station.PIPING,
                            Scope.LINE_SET,
                            "Length with fittings",
                            Severity.PERFORMANCE)
                    .sources("Data sheet, lines", Tube.FITTINGS_SOURCE)
                    .needs(LinePoints.RUN)
                    .limits(EQUIVALENT_LIMIT),
            LineLengths::equivalent);

    static final Requirement TOTAL = Requirement.of(
            About.of(
                            "piping.total-length",
                            Station.PIPING,
                            Scope.SPLIT_OUTDOOR_UNIT,
                            "Length of all lines together",
                            Severity.PERFORMANCE)
                    .sources("Data sheet, lines")
                    .limits(TOTAL_LIMIT),
            LineLengths::total);

    static final Requirement LIFT = Requirement.of(
            About.of("piping.lift", Station.PIPING, Scope.LINE_SET, "Height difference", Severity.DAMAGE)
                    .sources("Data sheet, lines")
                    .needs(LinePoints.RUN)
                    .limits(LIFT_LIMIT),
            LineLengths::lift);

    private static Judgement length(Examination x) {
        Run run = Run.of(x);
        List<Limit> limits = new ArrayList<>(x.rules().limits(LENGTH_LIMIT));
        limits.addAll(Run.byMaker(x, Bound.AT_LEAST, PlatePoints.MINIMUM_LINE_LENGTH));
        limits.addAll(Run.byMaker(x, Bound.AT_MOST, PlatePoints.MAXIMUM_LINE_LENGTH));
        if (limits.isEmpty()) {
            return x.noSheetTells("how long these lines may be", "Add the outdoor unit's data sheet.");
        }
        Finding finding = x.finding().step("Couplings and coiled length", "counted in", coiled(run.tubes()), "");
        return held(
                finding,
                LENGTH_LIMIT,
                run.measured(run.tubes().length()),
                limits,
                "Shorten the lines by {lacking}, or have the units set nearer.",
                "Lengthen the lines by {lacking}, as a loop laid flat if need be: too short is a fault too.");
    }

    private static Text coiled(TubeRun run) {
        double coil = run.pieces().stream()
                .filter(piece -> piece.kind() == TubeRun.Kind.COIL)
                .mapToDouble(piece -> piece.count() * piece.length())
                .sum();
        return Text.of("{run} couplings, {coil} coiled", run.count(TubeRun.Kind.COUPLING), Run.metres(coil));
    }

    private static Judgement equivalent(Examination x) {
        Run run = Run.of(x);
        Optional<Tube> tube = run.suction();
        if (tube.isEmpty()) {
            return x.notShown(List.of(LinePoints.SUCTION));
        }
        List<Limit> limits = ofOutdoor(x, EQUIVALENT_LIMIT, SheetLimit.atMost(SheetValue.MAXIMUM_EQUIVALENT_LENGTH));
        double fittings = run.tubes().equivalent(tube.get()) - run.tubes().length();
        Finding finding = x.finding()
                .step(
                        "Length",
                        run.measured(run.tubes().length()).value() == 0
                                ? Run.metres(0)
                                : Run.metres(run.tubes().length()))
                .step(
                        "Fittings as straight tube",
                        Text.of("{tube} tube", tube.get().name()),
                        Run.metres(fittings),
                        Tube.FITTINGS_SOURCE);
        return held(
                finding,
                EQUIVALENT_LIMIT,
                run.measured(run.tubes().equivalent(tube.get())),
                limits,
                "Shorten the lines by {lacking}, or take bends of long radius for elbows.",
                "Lengthen the lines by {lacking}.");
    }

    /** Only where several indoor units hang on one outdoor unit. */
    private static Judgement total(Examination x) {
        Component outdoor = x.unit();
        List<Subject> sets = x.facts().subjects(Scope.LINE_SET).stream()
                .filter(set -> set.joins().contains(outdoor.id()))
                .toList();
        if (sets.size() < 2) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("One line set leads to this unit; its own length is judged."),
                            "");
        }
        double length = 0;
        int measured = 0;
        List<String> open = new ArrayList<>();
        for (Subject set : sets) {
            Optional<Run> run = Run.find(x.at(set));
            if (run.isEmpty()) {
                open.add(set.title());
            } else {
                length += run.get().tubes().length();
                measured += run.get().tubes().measured();
            }
        }
        List<Limit> limits = x.limits(TOTAL_LIMIT, SheetLimit.atMost(SheetValue.MAXIMUM_TOTAL_LENGTH));
        if (!open.isEmpty()) {
            return x.at(sets.get(0))
                    .notShown(
                            List.of(LinePoints.RUN),
                            limits.isEmpty()
                                    ? Text.of("Not read: {open}.", Text.list(open))
                                    : Text.of(
                                            "What is read comes to {length}; {limits} is left for {open}.",
                                            Run.metres(length),
                                            Run.metres(Math.max(
                                                    0, limits.get(0).value().si() - length)),
                                            Text.list(open)));
        }
        return held(
                x.finding(),
                TOTAL_LIMIT,
                Run.taped(x, length, measured),
                limits,
                "Shorten the lines by {lacking} in all.",
                "Lengthen the lines by {lacking} in all.");
    }

    private static Judgement lift(Examination x) {
        Run run = Run.of(x);
        boolean below = run.tubes().lift() < 0;
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIFT_LIMIT));
        List<Limit> lower =
                below ? ofOutdoor(x, LIFT_LIMIT, SheetLimit.atMost(SheetValue.MAXIMUM_LIFT_BELOW)) : List.of();
        limits.addAll(lower.isEmpty() ? Run.byMaker(x, Bound.AT_MOST, PlatePoints.MAXIMUM_LIFT) : lower);
        if (limits.isEmpty()) {
            return x.noSheetTells("how high the lines may lead", "Add the outdoor unit's data sheet.");
        }
        Uncertain lift = run.lift();
        Finding finding = x.finding()
                .step("Outdoor unit", "heights of the run, added with their signs", Run.metres(lift.value()), "")
                .step(
                        "Which lies higher",
                        below ? "the indoor unit" : lift.value() == 0 ? "neither" : "the outdoor unit");
        return held(
                finding,
                LIFT_LIMIT,
                new Uncertain(Math.abs(lift.value()), lift.standardUncertainty()),
                limits,
                below
                        ? "Set the outdoor unit {lacking} higher, or the indoor one lower."
                        : "Set the outdoor unit {lacking} lower, or the indoor one higher.",
                "Set the units {lacking} farther apart in height.");
    }

    private static List<Limit> ofOutdoor(Examination x, LimitKey key, SheetLimit given) {
        return x.outdoor()
                .map(unit -> x.at(unit).limits(key, given))
                .orElseGet(() -> new ArrayList<>(x.rules().limits(key)));
    }

    private static Judgement held(
            Finding finding, LimitKey key, Uncertain value, List<Limit> limits, String tooMuch, String tooLittle) {
        Optional<Comparison> held = finding.hold(key, value, 0, limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        boolean most = held.get().binding().limit().bound() == Bound.AT_MOST;
        return finding.conclude(
                held.get().verdict(), finding.room(), Text.of(most ? tooMuch : tooLittle, finding.lacking()));
    }
}
