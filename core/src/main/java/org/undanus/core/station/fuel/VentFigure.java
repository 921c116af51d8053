package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.VentPoints.ENDS;
import static org.undanus.core.station.fuel.VentPoints.GRADE;
import static org.undanus.core.station.fuel.VentPoints.OPENING;
import static org.undanus.core.station.fuel.VentPoints.OPENING_LIES;

import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Where a vent ends, seen from outside to scale: opening, grade, and how far the end has to keep off both. */
final class VentFigure {
    private static final double WINDOW_WIDE = 1;
    private static final double WINDOW_HIGH = 1.2;
    private static final double USUAL = 0.6;

    private VentFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.VENT).stream()
                .map(vent -> Examination.of(facts, evidence, rules, Vent.FROM_OPENINGS.about(), vent))
                .filter(x -> x.chosen(ENDS)
                        .filter(end -> !end.equals(VentPoints.ROOF))
                        .isPresent())
                .map(x -> drawing(x, x.subject(), judgements))
                .toList();
    }

    /** The end of the vent at the height read over grade, and the opening where it lies to it, m. */
    private record Opening(Place end, Place corner, double left, double low) {
        static Opening of(Option lies, double away, double grade) {
            Place end = Place.of(0, grade);
            Place corner =
                    switch (lies.id()) {
                        case "below" -> end.plus(0, away);
                        case "above" -> end.plus(0, -away);
                        default -> end.plus(-away, 0);
                    };
            double left = corner.x() - (lies.equals(VentPoints.BESIDE) ? WINDOW_WIDE : WINDOW_WIDE / 2);
            double low =
                    switch (lies.id()) {
                        case "below" -> corner.y();
                        case "above" -> corner.y() - WINDOW_HIGH;
                        default -> corner.y() - WINDOW_HIGH / 2;
                    };
            return new Opening(end, corner, left, low);
        }

        double right() {
            return left + WINDOW_WIDE;
        }

        double top() {
            return low + WINDOW_HIGH;
        }

        double middle() {
            return low + WINDOW_HIGH / 2;
        }
    }

    private static Drawing drawing(Examination x, Subject vent, Judgements judgements) {
        double away = x.number(OPENING).orElse(USUAL);
        double grade = x.number(GRADE).orElse(USUAL);
        Option lies = x.chosen(OPENING_LIES).orElse(VentPoints.BESIDE);
        Meaning openings =
                Meaning.of(judgements, Vent.FROM_OPENINGS.about(), vent.id()).on(key(OPENING, vent));
        Meaning overGrade =
                Meaning.of(judgements, Vent.OVER_GRADE.about(), vent.id()).on(key(GRADE, vent));
        Opening opening = Opening.of(lies, away, grade);
        Place end = opening.end();
        Optional<Double> asked = asked(judgements, Vent.FROM_OPENINGS, vent);
        double reach = Math.max(0.4, asked.orElse(0.3));
        Drawing.Builder drawing = Drawing.of(
                        Text.of(
                                "Vent's end, {indoor}",
                                x.indoor().map(unit -> unit.title()).orElse(vent.title())),
                        Frame.toScale(
                                Math.min(opening.left(), -reach) - 0.3,
                                Math.min(0, opening.low()) - 0.3,
                                Math.max(opening.right(), reach) + 0.6,
                                Math.max(opening.top(), grade + reach) + 0.3))
                .line(
                        Role.WALL,
                        Place.of(Math.min(opening.left(), -reach) - 0.3, 0),
                        Place.of(Math.max(opening.right(), reach) + 0.6, 0));
        asked.ifPresent(radius -> drawing.disc(Role.ASKED, end, radius));
        drawing.box(Role.HAZARD, opening.left(), opening.low(), opening.right(), opening.top())
                .words(
                        Text.of("opening"),
                        Place.of(opening.left() + WINDOW_WIDE / 2, opening.middle()),
                        Weight.QUIET,
                        Side.CENTRE)
                .disc(Role.BODY, openings, end, 0.08);
        if (x.has(OPENING) && away > 0) {
            drawing.add(new Element.Dimension(
                    end, opening.corner(), Text.of("{away}", Length.ofMetres(away)), Optional.of(openings)));
        }
        if (x.has(GRADE) && grade > 0) {
            drawing.add(new Element.Dimension(
                    Place.of(0.3, 0),
                    Place.of(0.3, grade),
                    Text.of("{grade}", Length.ofMetres(grade)),
                    Optional.of(overGrade)));
        }
        asked.ifPresent(radius ->
                drawing.caption(Text.of("Openings keep out of the dashed circle: {radius}.", Length.ofMetres(radius))));
        judgements
                .find(Vent.FROM_OPENINGS.about(), vent.id())
                .flatMap(Judgement::remedy)
                .ifPresent(drawing::caption);
        return drawing.spoken(
                Text.of("Clear of openings: {openings}; over grade: {overGrade}", openings.said(), overGrade.said()));
    }

    private static Optional<Double> asked(Judgements judgements, Requirement requirement, Subject vent) {
        return judgements
                .find(requirement.about(), vent.id())
                .flatMap(Judgement::comparison)
                .map(comparison -> comparison.binding().limit().value().si())
                .filter(radius -> radius > 0);
    }

    private static PointKey key(Point point, Subject vent) {
        return new PointKey(point.id(), vent.id());
    }
}
