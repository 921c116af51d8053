package org.undanus.core.station.condensate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.TubeRun.Kind;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.derived.TubeRun.Way;
import org.undanus.core.evidence.InstrumentKind;
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
import org.undanus.core.quantity.AtLeast;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Every level piece of a drain falls enough, the whole has the height it needs, and nothing hangs through. */
final class DrainFall {
    private DrainFall() {}

    private static final LimitKey FALL_LIMIT =
            new LimitKey("condensate.fall", Dimension.RATIO, "Fall of the flattest piece");
    private static final LimitKey IN_ALL_LIMIT =
            new LimitKey("condensate.fall-in-all", Dimension.LENGTH, "Height from the unit to the drain's end");
    private static final String SOURCE =
            "Data sheet, drain; mechanical code, condensate drains; check the adopted edition";

    static final Requirement EACH = Requirement.of(
            About.of("condensate.fall", Station.CONDENSATE, Scope.DRAIN_RUN, "Fall of every piece", Severity.DAMAGE)
                    .sources(SOURCE)
                    .needs(DrainPoints.RUN)
                    .limits(FALL_LIMIT),
            DrainFall::each);

    static final Requirement IN_ALL = Requirement.of(
            About.of(
                            "condensate.fall-in-all",
                            Station.CONDENSATE,
                            Scope.DRAIN_RUN,
                            "Height for the fall of all",
                            Severity.DAMAGE)
                    .sources(SOURCE)
                    .needs(DrainPoints.RUN)
                    .limits(IN_ALL_LIMIT, FALL_LIMIT),
            DrainFall::inAll);

    static final Requirement SAGS = Requirement.of(
            About.of("condensate.sags", Station.CONDENSATE, Scope.DRAIN_RUN, "No sags", Severity.DAMAGE)
                    .sources(SOURCE)
                    .needs(DrainPoints.RUN),
            DrainFall::sags);

    private static TubeRun run(Examination x) {
        return x.listed(DrainPoints.RUN, TubeRun.class).orElseThrow();
    }

    /** What flows by itself: as far as a pump, if there is one. */
    private static List<Piece> byGravity(TubeRun run) {
        return run.pieces().stream()
                .takeWhile(piece -> piece.kind() != Kind.PUMP)
                .toList();
    }

    private static List<Piece> level(TubeRun run) {
        return byGravity(run).stream()
                .filter(piece -> piece.kind() == Kind.STRAIGHT && piece.way() == Way.LEVEL)
                .toList();
    }

    static List<Limit> asked(Examination x) {
        return x.at(x.indoor().orElseThrow()).limits(FALL_LIMIT, SheetLimit.atLeast(SheetValue.LEAST_DRAIN_FALL));
    }

    /** Of two heights and a length taken by tape. */
    private static Uncertain fall(Examination x, Piece piece) {
        double each = x.rules().accuracy(InstrumentKind.TAPE).standardUncertainty(piece.length(), 0);
        double slope = -piece.rise() / piece.length();
        return new Uncertain(slope, Math.sqrt(2) * each / piece.length());
    }

    private static Judgement each(Examination x) {
        Optional<Piece> flattest =
                level(run(x)).stream().min(Comparator.comparingDouble(piece -> -piece.rise() / piece.length()));
        Optional<Piece> climbing = byGravity(run(x)).stream()
                .filter(piece -> piece.way() == Way.UP && piece.lift() > 0)
                .findFirst();
        if (climbing.isPresent()) {
            Piece up = climbing.get();
            return x.finding()
                    .step(Text.of("Part {part} goes up", (up.part() + 1)), Length.ofMetres(up.lift()))
                    .conclude(
                            Verdict.FAILS,
                            Text.of(
                                    "Part {part} goes up {lift}: water does not climb by itself.",
                                    up.part() + 1,
                                    Length.ofMetres(up.lift())),
                            Text.of(
                                    "Reroute part {part} so that it slopes down, or install a pump before it.",
                                    up.part() + 1));
        }
        if (flattest.isEmpty()) {
            return x.finding()
                    .conclude(Verdict.MEETS, Text.of("Nothing of it lies level: it falls straight down."), "");
        }
        Piece piece = flattest.get();
        List<Limit> limits = asked(x);
        Finding finding = x.finding()
                .step(
                        "Flattest piece",
                        "",
                        Text.of("part {part}, {length}", piece.part() + 1, Length.ofMetres(piece.length())),
                        "")
                .step("It falls", Length.ofMetres(-piece.rise()));
        Optional<Comparison> held = finding.hold(FALL_LIMIT, fall(x, piece), 0, limits);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        double least = held.get().binding().limit().value().si();
        double lack = least * piece.length() + piece.rise();
        boolean canBeShorter = piece.rise() < 0 && least > 0;
        Text lower = Text.of(
                "Lower the far end of part {part} by {lack}",
                piece.part() + 1,
                new AtLeast(Length.ofMetres(Math.max(0, lack))));
        return finding.conclude(
                held.get().verdict(),
                held.get().verdict() == Verdict.FAILS
                        ? Text.of("Part {part}: {room}", piece.part() + 1, finding.room())
                        : finding.room(),
                lack <= 0
                        ? Text.of("Measure part {part} with a finer level.", piece.part() + 1)
                        : canBeShorter
                                ? Text.of(
                                        "{lower}, or shorten it to {rise}.",
                                        lower,
                                        Length.ofMetres(-piece.rise() / least))
                                : Text.of("{lower}.", lower));
    }

    private static Judgement inAll(Examination x) {
        TubeRun run = run(x);
        List<Piece> level = level(run);
        if (run.count(Kind.PUMP) > 0) {
            return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("A pump lifts the water."), "");
        }
        Optional<Limit> least = asked(x).stream()
                .filter(limit -> limit.bound() == Bound.AT_LEAST)
                .max(Comparator.comparingDouble(limit -> limit.value().si()));
        if (least.isEmpty()) {
            return x.finding().nobodyLimits();
        }
        double length = level.stream()
                .mapToDouble(piece -> piece.count() * piece.length())
                .sum();
        double needed = length * least.get().value().si();
        List<Limit> limits = new ArrayList<>(x.rules().limits(IN_ALL_LIMIT));
        limits.add(new Limit(
                least.get().authority(),
                Bound.AT_LEAST,
                Length.ofMetres(needed),
                least.get().source()));
        Finding finding = x.finding()
                .step("Level pieces together", Length.ofMetres(length))
                .step(
                        Text.of("Fall needed"),
                        Text.of("length × fall"),
                        Length.ofMetres(needed),
                        least.get().source());
        double u = x.rules().accuracy(InstrumentKind.TAPE).standardUncertainty(Math.abs(run.lift()), 0)
                * Math.sqrt(Math.max(1, run.measured()));
        Comparison held = finding.hold(IN_ALL_LIMIT, new Uncertain(-run.lift(), u), 0, limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of("Raise the unit, or let the drain out {lacking} lower; or install a pump.", finding.lacking()));
    }

    private static Judgement sags(Examination x) {
        TubeRun run = run(x);
        TubeRun flowing = new TubeRun(byGravity(run), run.start());
        List<TubeRun.LowSpot> spots = flowing.lowSpots();
        if (spots.isEmpty()) {
            return x.finding().conclude(Verdict.MEETS, Text.of("No sags."), "");
        }
        TubeRun.LowSpot deepest = spots.stream()
                .max(Comparator.comparingDouble(TubeRun.LowSpot::depth))
                .orElseThrow();
        return x.finding()
                .step("Deepest", Length.ofMetres(deepest.depth()))
                .conclude(
                        Verdict.FAILS,
                        Text.of(
                                "It hangs through {depth} at part {part}: a trap where none belongs.",
                                Length.ofMetres(deepest.depth()),
                                deepest.part() + 1),
                        Text.of(
                                "Raise part {part} by {depth} and support it so.",
                                deepest.part() + 1,
                                Length.ofMetres(deepest.depth())));
    }
}
