package org.undanus.core.station.condensate;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.RunDrawing;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.TubeRun.Kind;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.derived.TubeRun.Way;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** A drain unrolled as an elevation to scale, from the unit to its end. */
final class DrainFigure {
    private DrainFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.DRAIN_RUN).stream()
                .map(drain ->
                        of(Examination.of(facts, evidence, rules, DrainFall.EACH.about(), drain), drain, judgements))
                .toList();
    }

    private static Drawing of(Examination x, Subject drain, Judgements judgements) {
        PointKey line = new PointKey(DrainPoints.RUN.id(), drain.id());
        return x.listed(DrainPoints.RUN, TubeRun.class)
                .map(run -> drawing(x, drain, judgements, run, line))
                .orElseGet(() -> RunDrawing.open(drain.title(), line));
    }

    private static Drawing drawing(Examination x, Subject drain, Judgements judgements, TubeRun run, PointKey line) {
        Optional<Double> least =
                DrainFall.asked(x).stream().map(limit -> limit.value().si()).max(Double::compare);
        RunDrawing unrolled = new RunDrawing(run, line, piece -> meaning(judgements, drain, run, piece, least));
        Drawing.Builder drawing = unrolled.begun(Text.plain(drain.title()))
                .caption(Text.of(
                        run.lift() > 0 ? "{length} of drain, {lift} up." : "{length} of drain, {lift} down.",
                        Length.ofMetres(run.length()),
                        Length.ofMetres(Math.abs(run.lift()))));
        Flow.rate(x)
                .ifPresent(rate -> drawing.caption(Text.of(
                        rate.bound() ? "At most {rate} of water." : "{rate} of water in today's air.",
                        LiquidFlow.ofCubicMetresPerSecond(rate.rate()))));
        judgements
                .find(DrainFall.EACH.about(), drain.id())
                .filter(judgement -> judgement.verdict() == Verdict.FAILS)
                .flatMap(Judgement::remedy)
                .ifPresent(drawing::caption);
        return drawing.spoken(Text.of(
                "{summary}. Fall: {fall}; sags: {sags}; trap: {trap}",
                run.summary(),
                of(judgements, DrainFall.EACH, drain).said(),
                of(judgements, DrainFall.SAGS, drain).said(),
                of(judgements, Trap.PRESENT, drain).said()));
    }

    /** Each level piece by its own fall against the one asked for. */
    private static Meaning meaning(
            Judgements judgements, Subject drain, TubeRun run, Piece piece, Optional<Double> least) {
        return switch (piece.kind()) {
            case TRAP -> of(judgements, Trap.PRESENT, drain);
            case SAG -> of(judgements, DrainFall.SAGS, drain);
            case STRAIGHT -> {
                boolean low = run.lowSpots().stream().anyMatch(spot -> spot.part() == piece.part());
                boolean flat = piece.way() == Way.LEVEL
                        && least.filter(asked -> -piece.rise() < asked * piece.length() - 1e-9)
                                .isPresent();
                yield low
                        ? of(judgements, DrainFall.SAGS, drain)
                        : flat ? of(judgements, DrainFall.EACH, drain) : Meaning.of(Verdict.MEETS);
            }
            default ->
                piece.kind() == Kind.PUMP
                        ? of(judgements, Flow.PUMP, drain)
                        : Meaning.of(new PointKey(DrainPoints.RUN.id(), drain.id()));
        };
    }

    private static Meaning of(Judgements judgements, Requirement requirement, Subject drain) {
        return Meaning.of(judgements, requirement.about(), drain.id());
    }
}
