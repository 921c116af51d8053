package org.undanus.core.station.piping;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.RunDrawing;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.TubeRun.Corner;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Volume;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** A line set unrolled as an elevation to scale: indoor unit on the left, every piece a thing that can be taken in hand. */
final class RunFigure {
    private final Examination x;
    private final Subject set;
    private final Judgements judgements;
    private final TubeRun run;
    private final PointKey line;

    private RunFigure(Examination x, Subject set, Judgements judgements, TubeRun run) {
        this.x = x;
        this.set = set;
        this.judgements = judgements;
        this.run = run;
        this.line = new PointKey(LinePoints.RUN.id(), set.id());
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.LINE_SET).stream()
                .map(set -> of(facts, evidence, rules, judgements, set))
                .toList();
    }

    private static Drawing of(Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Subject set) {
        Examination x = Examination.of(facts, evidence, rules, LineLengths.LENGTH.about(), set);
        return x.listed(LinePoints.RUN, TubeRun.class)
                .map(run -> new RunFigure(x, set, judgements, run).drawing())
                .orElseGet(() -> RunDrawing.open(set.title(), new PointKey(LinePoints.RUN.id(), set.id())));
    }

    private Drawing drawing() {
        RunDrawing unrolled = new RunDrawing(run, line, this::meaning);
        double sign = unrolled.sign();
        Corner end = unrolled.end();
        Drawing.Builder drawing = unrolled.begun(Text.plain(set.title()))
                .box(Role.CABINET, end.along(), end.height() - sign, end.along() + 3 * sign, end.height() + 1.2 * sign);
        if (Math.abs(run.lift()) > sign) {
            double at = end.along() + 4 * sign;
            drawing.add(new Element.Dimension(
                    Place.of(at, 0),
                    Place.of(at, end.height()),
                    Text.of("{lift}", Length.ofMetres(Math.abs(run.lift()))),
                    Optional.of(meaning(LineLengths.LIFT))));
        }
        captions(drawing);
        return drawing.spoken(Text.of(
                "{summary}. Length: {length}; height: {height}; low spots: {spots}; insulation: {insulation}",
                run.summary(),
                meaning(LineLengths.LENGTH).said(),
                meaning(LineLengths.LIFT).said(),
                meaning(OilReturn.LOW_SPOTS).said(),
                Meaning.of(judgements, InsulationThickness.ABOUT, set.id()).said()));
    }

    /** What is asked of a piece of its kind. */
    private Meaning meaning(Piece piece) {
        return switch (piece.kind()) {
            case TRAP -> meaning(OilReturn.TRAPS);
            case INVERTED_TRAP -> meaning(OilReturn.INVERTED_TRAP);
            case DRIP_LOOP, WALL -> meaning(OilReturn.DRIP_LOOP);
            case SAG -> meaning(OilReturn.LOW_SPOTS);
            default -> lowSpot(piece) ? meaning(OilReturn.LOW_SPOTS) : meaning(LineLengths.LENGTH);
        };
    }

    private boolean lowSpot(Piece piece) {
        return piece.kind() == TubeRun.Kind.STRAIGHT
                && run.lowSpots().stream().anyMatch(spot -> spot.part() == piece.part());
    }

    private Meaning meaning(Requirement requirement) {
        return Meaning.of(judgements, requirement.about(), set.id());
    }

    private void captions(Drawing.Builder drawing) {
        Run read = new Run(x, run);
        Optional<Tube> liquid = read.liquid();
        Optional<Tube> suction = read.suction();
        drawing.caption(suction.map(tube -> Text.of(
                        "{length} of lines, {equivalent} with fittings.",
                        Length.ofMetres(run.length()),
                        Length.ofMetres(run.equivalent(tube))))
                .orElse(Text.of("{length} of lines.", Length.ofMetres(run.length()))));
        if (liquid.isPresent() && suction.isPresent()) {
            drawing.caption(Text.of(
                    "{length} inside both tubes.",
                    Volume.ofCubicMetres(LineContents.volume(run.length(), liquid.get(), suction.get()))));
        }
        added().ifPresent(mass -> drawing.caption(charge(mass)));
        judged(InsulationThickness.ABOUT)
                .filter(judgement -> judgement.verdict() == Verdict.FAILS)
                .ifPresent(judgement -> drawing.caption(judgement.because()));
    }

    /** What is to be added for the length, kg; less than nothing where the factory charge is too much for it. */
    private static Text charge(double added) {
        if (added == 0) {
            return Text.of("The factory charge is for this length too.");
        }
        return Text.of(
                added > 0 ? "{added} of charge to add for this length." : "{added} of charge too much for this length.",
                Mass.ofKilograms(Math.abs(added)));
    }

    private Optional<Double> added() {
        return x.outdoor().flatMap(unit -> {
            Examination at = x.at(unit);
            Optional<Double> each = at.number(PlatePoints.EXTRA_CHARGE);
            return at.number(PlatePoints.PRECHARGED_LENGTH)
                    .flatMap(from -> each.map(k -> LineContents.addedCharge(
                            run.length(),
                            from,
                            k,
                            at.number(PlatePoints.REDUCED_CHARGE).orElse(0.0))));
        });
    }

    private Optional<Judgement> judged(About requirement) {
        return judgements.find(requirement, set.id());
    }
}
