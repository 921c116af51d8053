package org.undanus.core.station.piping;

import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.LineContents;
import org.undanus.core.derived.LinePoints;
import org.undanus.core.derived.Tube;
import org.undanus.core.derived.TubeRun;
import org.undanus.core.derived.TubeRun.Corner;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Standing;
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
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.Volume;
import org.undanus.core.rules.RuleBook;

/** A line set unrolled as an elevation to scale: indoor unit on the left, every piece a thing that can be taken in hand. */
final class RunFigure {
    /** Signs are drawn at this share of the run's extent, m at least. */
    private static final double SIGN_SHARE = 1.0 / 28;

    private static final double LEAST_SIGN = 0.08;
    private static final double ROOM = 3;

    private final Examination x;
    private final Subject set;
    private final Judgements judgements;
    private final TubeRun run;
    private final double sign;
    private final PointKey line;

    private RunFigure(Examination x, Subject set, Judgements judgements, TubeRun run) {
        this.x = x;
        this.set = set;
        this.judgements = judgements;
        this.run = run;
        double extent =
                Math.max(run.span(), run.corners().get(run.corners().size() - 1).along());
        this.sign = Math.max(LEAST_SIGN, extent * SIGN_SHARE);
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
                .orElseGet(() -> open(set));
    }

    /** Before anything is said of it: where to begin. */
    private static Drawing open(Subject set) {
        PointKey line = new PointKey(LinePoints.RUN.id(), set.id());
        return Drawing.of(set.title(), Frame.toScale(0, 0, 6, 2))
                .box(Role.CABINET, 0.3, 1.1, 1.2, 1.5)
                .box(Role.CABINET, 4.8, 0.4, 5.6, 1.1)
                .line(Role.ASKED, Standing.of(line).ofDrawn("0"), Place.of(1.2, 1.2), Place.of(4.8, 0.7))
                .words(
                        Text.of("not read yet"),
                        Place.of(3, 1),
                        Weight.QUIET,
                        Standing.of(line).ofDrawn("0"),
                        Side.ABOVE)
                .spoken(Text.of("The run has not been read yet."));
    }

    private Drawing drawing() {
        List<Corner> corners = run.corners();
        double low = corners.stream().mapToDouble(Corner::height).min().orElse(0);
        double high = corners.stream().mapToDouble(Corner::height).max().orElse(0);
        Corner end = corners.get(corners.size() - 1);
        double room = ROOM * sign;
        Drawing.Builder drawing = Drawing.of(
                        set.title(), Frame.toScale(-4 * sign, low - room, end.along() + 5 * sign, high + room))
                .box(Role.CABINET, -3 * sign, -0.6 * sign, 0, 0.9 * sign)
                .box(Role.CABINET, end.along(), end.height() - sign, end.along() + 3 * sign, end.height() + 1.2 * sign);
        for (int i = 0; i < run.pieces().size(); i++) {
            piece(drawing, run.pieces().get(i), place(corners.get(i)), place(corners.get(i + 1)));
        }
        if (Math.abs(run.lift()) > sign) {
            double at = end.along() + 4 * sign;
            drawing.add(new Element.Dimension(
                    Place.of(at, 0),
                    Place.of(at, end.height()),
                    Text.of("{}", Length.ofMetres(Math.abs(run.lift()))),
                    Optional.of(standing(LineLengths.LIFT))));
        }
        captions(drawing);
        return drawing.spoken(Text.of(
                "{}. Length: {}; height: {}; low spots: {}; insulation: {}",
                run.summary(),
                standing(LineLengths.LENGTH).said(),
                standing(LineLengths.LIFT).said(),
                standing(OilReturn.LOW_SPOTS).said(),
                Standing.of(judgements, InsulationThickness.ABOUT, set.id()).said()));
    }

    private static Place place(Corner corner) {
        return Place.of(corner.along(), corner.height());
    }

    private void piece(Drawing.Builder drawing, Piece piece, Place from, Place to) {
        Standing own = standing(piece).on(line).ofDrawn(Integer.toString(piece.part()));
        switch (piece.kind()) {
            case STRAIGHT -> {
                drawing.line(Role.RUN, own, from, to);
                Place middle = Place.of((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
                Text length = Text.of("{}", Length.ofMetres(piece.count() * piece.length()));
                if (piece.way() == TubeRun.Way.LEVEL) {
                    drawing.aside(length, middle, own, Side.ABOVE, Side.BELOW);
                } else {
                    drawing.aside(length, middle, own, Side.RIGHT, Side.LEFT);
                }
            }
            case COIL ->
                drawing.disc(Role.RUN, own, from.plus(0, sign), sign)
                        .aside(
                                Text.of("coil {}", Length.ofMetres(piece.length())),
                                from.plus(0, 2 * sign),
                                own,
                                Side.ABOVE,
                                Side.RIGHT);
            case ELBOW, LONG_ELBOW, HALF_ELBOW -> drawing.disc(Role.BODY, own, from, sign * 0.35);
            case TRAP, DRIP_LOOP ->
                drawing.line(
                                Role.RUN,
                                own,
                                from,
                                from.plus(0, -sign),
                                from.plus(sign * 0.8, -sign),
                                from.plus(sign * 0.8, 0))
                        .aside(
                                Text.of(piece.kind() == TubeRun.Kind.TRAP ? "trap" : "drip loop"),
                                from.plus(sign * 0.4, -sign),
                                own,
                                Side.BELOW);
            case INVERTED_TRAP ->
                drawing.line(
                                Role.RUN,
                                own,
                                from,
                                from.plus(0, sign),
                                from.plus(sign * 0.8, sign),
                                from.plus(sign * 0.8, 0))
                        .aside(Text.of("inverted trap"), from.plus(sign * 0.4, sign), own, Side.ABOVE);
            case COUPLING ->
                drawing.box(
                        Role.BODY,
                        own,
                        from.x() - sign * 0.3,
                        from.y() - sign * 0.3,
                        from.x() + sign * 0.3,
                        from.y() + sign * 0.3);
            case DRIER ->
                drawing.box(
                                Role.BODY,
                                own,
                                from.x() - sign * 0.8,
                                from.y() - sign * 0.4,
                                from.x() + sign * 0.8,
                                from.y() + sign * 0.4)
                        .aside(Text.of("drier"), from.plus(0, sign * 0.4), own, Side.ABOVE);
            case WALL ->
                drawing.box(
                                Role.WALL,
                                own,
                                from.x() - sign * 0.2,
                                from.y() - 2 * sign,
                                from.x() + sign * 0.2,
                                from.y() + 2 * sign)
                        .aside(Text.of("wall"), from.plus(0, 2 * sign), own, Side.ABOVE);
            case SAG ->
                drawing.line(Role.RUN, own, from, from.plus(sign, -sign), from.plus(2 * sign, 0))
                        .aside(
                                Text.of("sag {}", Length.ofMetres(piece.length())),
                                from.plus(sign, -sign),
                                own,
                                Side.BELOW);
        }
    }

    /** What is asked of a piece of its kind. */
    private Standing standing(Piece piece) {
        return switch (piece.kind()) {
            case TRAP -> standing(OilReturn.TRAPS);
            case INVERTED_TRAP -> standing(OilReturn.INVERTED_TRAP);
            case DRIP_LOOP, WALL -> standing(OilReturn.DRIP_LOOP);
            case SAG -> standing(OilReturn.LOW_SPOTS);
            default -> lowSpot(piece) ? standing(OilReturn.LOW_SPOTS) : standing(LineLengths.LENGTH);
        };
    }

    private boolean lowSpot(Piece piece) {
        return piece.kind() == TubeRun.Kind.STRAIGHT
                && run.lowSpots().stream().anyMatch(spot -> spot.part() == piece.part());
    }

    private Standing standing(Requirement requirement) {
        return Standing.of(judgements, requirement.about(), set.id());
    }

    private void captions(Drawing.Builder drawing) {
        Run read = new Run(x, run);
        Optional<Tube> liquid = read.liquid();
        Optional<Tube> suction = read.suction();
        drawing.caption(suction.map(tube -> Text.of(
                        "{} of lines, {} with fittings.",
                        Length.ofMetres(run.length()),
                        Length.ofMetres(run.equivalent(tube))))
                .orElse(Text.of("{} of lines.", Length.ofMetres(run.length()))));
        if (liquid.isPresent() && suction.isPresent()) {
            drawing.caption(Text.of(
                    "{} inside both tubes.",
                    Volume.ofCubicMetres(LineContents.volume(run.length(), liquid.get(), suction.get()))));
        }
        added().ifPresent(mass -> drawing.caption(Text.of(
                mass >= 0 ? "{} of charge to add for this length." : "{} of charge too much for this length.",
                Mass.ofKilograms(Math.abs(mass)))));
        judged(InsulationThickness.ABOUT)
                .filter(judgement -> judgement.verdict() == Verdict.FAILS)
                .ifPresent(judgement -> drawing.caption(judgement.because()));
    }

    private Optional<Double> added() {
        return x.outdoor().flatMap(unit -> {
            Examination at = x.at(unit);
            Optional<Double> each = at.number(PlatePoints.EXTRA_CHARGE);
            return at.number(PlatePoints.PRECHARGED_LENGTH)
                    .flatMap(from -> each.map(k -> LineContents.addedCharge(run.length(), from, k)));
        });
    }

    private Optional<Judgement> judged(About requirement) {
        return judgements.find(requirement, set.id());
    }
}
