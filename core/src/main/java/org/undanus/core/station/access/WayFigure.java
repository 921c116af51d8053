package org.undanus.core.station.access;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Standing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Text;
import org.undanus.core.rules.RuleBook;

/**
 * The way to the equipment: opening, passage, the space before the service side and before live gear, each as a rectangle at its own
 * scale over the one that is asked for. What else is judged of the way is said below.
 */
final class WayFigure {
    /** Widths of a space, in longer sides of its rectangle: its dimensions stand beside it. */
    private static final double ACROSS = 1.9;

    private static final double UP = 1.85;
    private static final double FOOT = 0.25;
    /** A side that nothing is known of. */
    private static final double UNKNOWN = 0.7;

    private static final double LEAST = 0.05;
    private static final int BESIDE = 5;
    private static final int BESIDE_WHEN_NARROW = 2;

    /** What is judged of one space: its two sides, and the rest. */
    private record Space(String title, String unit, List<Judgement> sides, List<Judgement> rest) {
        boolean asked() {
            return !sides.isEmpty();
        }
    }

    private final Judgements judgements;

    private WayFigure(Judgements judgements) {
        this.judgements = judgements;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        List<Space> spaces = new WayFigure(judgements).spaces(facts);
        if (spaces.stream().noneMatch(Space::asked)) {
            return List.of();
        }
        return List.of(drawing(spaces, BESIDE)
                .narrow(drawing(spaces, BESIDE_WHEN_NARROW).spoken(spoken(spaces)))
                .spoken(spoken(spaces)));
    }

    private List<Space> spaces(Case facts) {
        Stream<Judgement> pieces =
                facts.components().stream().flatMap(unit -> judgements.find(LargestPiece.ABOUT, unit.id()).stream());
        List<Space> spaces = new ArrayList<>(List.of(
                new Space(
                        "Opening",
                        "",
                        of(PointKey.SYSTEM, AccessPoints.OPENING_WIDTH, AccessPoints.OPENING_HEIGHT),
                        Stream.concat(
                                        pieces.filter(WayFigure::applies),
                                        of(PointKey.SYSTEM, AccessPoints.LADDER_SAFE, AccessPoints.SWITCH).stream())
                                .toList()),
                new Space(
                        "Passage",
                        "",
                        of(PointKey.SYSTEM, AccessPoints.PASSAGE_WIDTH, AccessPoints.PASSAGE_HEIGHT),
                        of(PointKey.SYSTEM, AccessPoints.PASSAGE_LENGTH, AccessPoints.FLOOR_WIDTH)),
                new Space(
                        "Service space",
                        "",
                        of(PointKey.SYSTEM, AccessPoints.SERVICE_WIDTH, AccessPoints.SERVICE_DEPTH),
                        of(PointKey.SYSTEM, AccessPoints.LIGHT, AccessPoints.SOCKET))));
        facts.components()
                .forEach(unit -> spaces.add(new Space(
                        "Live gear",
                        unit.title(),
                        of(unit.id(), AccessPoints.WORKING_WIDTH, AccessPoints.WORKING_DEPTH),
                        of(unit.id(), AccessPoints.WORKING_HEIGHT))));
        return spaces;
    }

    private List<Judgement> of(String component, Point... points) {
        return Stream.of(points)
                .flatMap(point -> judgements.find(point, component).stream())
                .filter(WayFigure::applies)
                .toList();
    }

    private static boolean applies(Judgement judgement) {
        return judgement.verdict() != Verdict.DOES_NOT_APPLY;
    }

    private static Drawing.Builder drawing(List<Space> all, int beside) {
        List<Space> spaces = all.stream().filter(Space::asked).toList();
        int columns = Math.min(beside, spaces.size());
        int rows = (spaces.size() + columns - 1) / columns;
        Drawing.Builder drawing = Drawing.of("Way in", Frame.toScale(0, 0, columns * ACROSS, rows * UP));
        for (int i = 0; i < spaces.size(); i++) {
            double middle = (i % columns + 0.5) * ACROSS;
            draw(drawing, spaces.get(i), Place.of(middle, (rows - 1 - i / columns) * UP + FOOT));
        }
        all.stream().flatMap(space -> space.rest().stream()).forEach(j -> drawing.caption(said(j)));
        return drawing;
    }

    /** @param foot the middle of its lower edge */
    private static void draw(Drawing.Builder drawing, Space space, Place foot) {
        Judgement across = space.sides().get(0);
        Judgement up = space.sides().get(space.sides().size() - 1);
        double largest = Stream.of(across, up)
                .flatMap(j -> Stream.of(found(j), asked(j)))
                .flatMap(Optional::stream)
                .mapToDouble(Quantity::si)
                .max()
                .orElse(1);
        double wide = drawn(found(across), asked(across), largest);
        double high = drawn(found(up), asked(up), largest);
        box(
                drawing,
                Role.ASKED,
                foot,
                drawn(asked(across), found(across), largest),
                drawn(asked(up), found(up), largest));
        box(drawing, Role.OUTLINE, foot, wide, high);
        drawing.dimension(foot.plus(-wide / 2, 0), foot.plus(wide / 2, 0), side(across), Standing.of(across))
                .dimension(foot.plus(wide / 2, 0), foot.plus(wide / 2, high), side(up), Standing.of(up))
                .words(Text.of(space.title()), foot.plus(0, UP - FOOT - 0.1), Weight.PLAIN, Side.CENTRE)
                .words(Text.of(space.unit()), foot.plus(0, UP - FOOT - 0.33), Weight.QUIET, Side.CENTRE);
    }

    private static Text side(Judgement judgement) {
        return Text.of("{}", found(judgement).map(q -> (Object) q).orElse("?"));
    }

    /** A side to scale; where only the other of found and asked is known, as long as that. */
    private static double drawn(Optional<Quantity> length, Optional<Quantity> instead, double largest) {
        return length.or(() -> instead)
                .map(q -> Math.max(q.si() / largest, LEAST))
                .orElse(UNKNOWN);
    }

    private static void box(Drawing.Builder drawing, Role role, Place foot, double wide, double high) {
        drawing.box(role, foot.x() - wide / 2, foot.y(), foot.x() + wide / 2, foot.y() + high);
    }

    private static Optional<Quantity> found(Judgement judgement) {
        return judgement.comparison().map(c -> c.dimension().of(c.measured().value()));
    }

    private static Optional<Quantity> asked(Judgement judgement) {
        return judgement.comparison().map(c -> c.binding().limit().value());
    }

    private static Text said(Judgement judgement) {
        String title = judgement.subject().isEmpty()
                ? judgement.about().title()
                : judgement.about().title() + ", " + judgement.subject();
        return judgement
                .comparison()
                .map(c -> Text.of(
                        "{}: {}, {} {}: {}",
                        title,
                        found(judgement).orElseThrow(),
                        c.binding().limit().bound().words(),
                        asked(judgement).orElseThrow(),
                        judgement.verdict().title()))
                .orElseGet(() -> Text.of("{}: {}", title, judgement.verdict().title()));
    }

    private static Text spoken(List<Space> spaces) {
        List<Text> said = spaces.stream()
                .flatMap(space -> space.sides().stream())
                .map(WayFigure::said)
                .toList();
        return new Text(String.join("; ", Collections.nCopies(said.size(), "{}")), List.copyOf(said));
    }
}
