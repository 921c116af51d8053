package org.undanus.core.station.access;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * The way to the equipment to one scale, from above and from the side: opening, passage with its floor, service space and
 * equipment; over each what is asked for, and the largest piece at the narrowest place. Then the space before live gear. What else
 * is judged of the way is said below.
 */
final class WayFigure {
    private static final double WALL = 0.12;
    private static final double GAP = 0.8;
    private static final double ROUND = 0.6;
    private static final double BELOW = 0.2;
    /** A side of which nothing is known, m. */
    private static final double UNKNOWN = 0.7;
    /** A cabinet of which no sheet tells the sizes, m. */
    private static final double CABINET = 0.6;
    /** A longer passage is drawn cut off, m. */
    private static final double LONGEST = 4;

    private static final double LONGEST_WHEN_NARROW = 1.4;

    /** A side of a space: what is judged of it, how long it is drawn, and how long it is asked to be. */
    private record Span(Optional<Judgement> judgement, double drawn, Optional<Double> asked) {
        boolean applies() {
            return judgement.isPresent();
        }

        double most() {
            return Math.max(drawn, asked.orElse(0.0));
        }
    }

    /** The largest thing that has to go through. */
    private record Piece(DataSheet.Size size, Optional<Judgement> goesThrough) {
        /** The shortest side, the middle one and the longest, m. */
        double[] sides() {
            double[] sides = {
                size.width().si(), size.depth().si(), size.height().si()
            };
            Arrays.sort(sides);
            return sides;
        }
    }

    /** What comes one after another along the way, from left to right. */
    private static final class Strip {
        private final List<Consumer<Drawing.Builder>> drawn = new ArrayList<>();
        private double x;

        void box(Role role, double left, double low, double right, double high) {
            drawn.add(drawing -> drawing.box(role, left, low, right, high));
        }

        /** A space and, dashed, what is asked for in its place. */
        void space(double length, Optional<Double> askedLength, Span across, double foot, boolean centred) {
            double left = x;
            across.asked.ifPresent(asked -> box(
                    Role.ASKED,
                    left,
                    centred ? -asked / 2 : foot,
                    left + askedLength.orElse(length),
                    centred ? asked / 2 : foot + asked));
            box(Role.OUTLINE, left, foot, left + length, foot + across.drawn);
            x += length;
        }

        void measure(Span span, Place from, Place to) {
            span.judgement.ifPresent(judgement -> drawn.add(drawing -> drawing.dimension(
                    from,
                    to,
                    Text.of(
                            "{found}",
                            found(judgement).map(length -> (Object) length).orElse("?")),
                    Meaning.of(judgement))));
        }

        void words(String title, double at, double high) {
            drawn.add(drawing -> drawing.words(Text.plain(title), Place.of(at, high), Weight.QUIET, Side.CENTRE));
        }

        /** The largest piece on its way. */
        void carried(Piece piece, double at, double foot, double high, double longest) {
            double length = Math.min(piece.sides()[2], longest);
            double left = at - length / 2;
            drawn.add(drawing ->
                    drawing.aside(Text.of("largest piece"), Place.of(at, foot + high / 2), Side.BELOW, Side.ABOVE));
            Optional<Meaning> meaning = piece.goesThrough.map(Meaning::of);
            drawn.add(drawing -> meaning.ifPresentOrElse(
                    of -> drawing.box(Role.BODY, of, left, foot, left + length, foot + high),
                    () -> drawing.box(Role.BODY, left, foot, left + length, foot + high)));
        }

        Drawing.Builder onto(String title, double low, double high) {
            Drawing.Builder drawing = Drawing.of(title, Frame.toScale(-ROUND, low, x + ROUND / 2, high));
            drawn.forEach(step -> step.accept(drawing));
            return drawing;
        }
    }

    private final Case facts;
    private final Evidence evidence;
    private final Judgements judgements;
    private final double longest;

    private WayFigure(Case facts, Evidence evidence, Judgements judgements, double longest) {
        this.facts = facts;
        this.evidence = evidence;
        this.judgements = judgements;
        this.longest = longest;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        WayFigure wide = new WayFigure(facts, evidence, judgements, LONGEST);
        WayFigure narrow = new WayFigure(facts, evidence, judgements, LONGEST_WHEN_NARROW);
        Text spoken = spoken(Stream.of(wide.across(), wide.upright(), wide.beforeGear())
                .flatMap(List::stream)
                .flatMap(span -> span.judgement.stream())
                .toList());
        List<Drawing> drawings = new ArrayList<>();
        if (wide.across().stream().anyMatch(Span::applies)) {
            drawings.add(wide.above().narrow(narrow.above().spoken(spoken)).spoken(spoken));
        }
        if (wide.upright().stream().anyMatch(Span::applies)) {
            drawings.add(wide.aside().narrow(narrow.aside().spoken(spoken)).spoken(spoken));
        }
        List<Component> gear = wide.gear();
        if (!gear.isEmpty()) {
            drawings.add(wide.gear(gear).spoken(spoken));
        }
        return drawings;
    }

    private List<Span> beforeGear() {
        return facts.components().stream()
                .flatMap(unit -> Stream.of(
                                AccessPoints.WORKING_DEPTH, AccessPoints.WORKING_WIDTH, AccessPoints.WORKING_HEIGHT)
                        .map(point -> of(point, unit.id())))
                .toList();
    }

    private List<Component> gear() {
        return facts.components().stream()
                .filter(unit -> of(AccessPoints.WORKING_DEPTH, unit.id()).applies())
                .toList();
    }

    private List<Span> across() {
        return spans(
                AccessPoints.OPENING_WIDTH,
                AccessPoints.PASSAGE_WIDTH,
                AccessPoints.FLOOR_WIDTH,
                AccessPoints.SERVICE_WIDTH);
    }

    private List<Span> upright() {
        return spans(AccessPoints.OPENING_HEIGHT, AccessPoints.PASSAGE_HEIGHT);
    }

    private List<Span> spans(Point... points) {
        return Stream.of(points).map(this::ofSystem).toList();
    }

    private Span ofSystem(Point point) {
        return of(point, PointKey.SYSTEM);
    }

    /** As long as found, else as asked for. */
    private Span of(Point point, String component) {
        Optional<Judgement> judgement = judgements.find(point, component).filter(WayFigure::applies);
        Optional<Double> asked =
                judgement.flatMap(WayFigure::asked).map(Quantity::si).filter(length -> length > 0);
        double drawn = judgement
                .flatMap(WayFigure::found)
                .map(Quantity::si)
                .filter(length -> length > 0)
                .or(() -> asked)
                .orElse(UNKNOWN);
        return new Span(judgement, drawn, asked);
    }

    private Optional<Piece> piece() {
        return facts.components().stream()
                .filter(unit -> unit.within(Scope.INDOOR_UNIT))
                .flatMap(unit -> evidence
                        .standing(new PointKey(PlatePoints.MODEL.id(), unit.id()), Value.Written.class)
                        .flatMap(model -> facts.sheets().of(model.text()))
                        .flatMap(DataSheet::size)
                        .map(size -> new Piece(
                                size,
                                judgements.find(LargestPiece.ABOUT, unit.id()).filter(WayFigure::applies)))
                        .stream())
                .max(Comparator.comparingDouble(piece -> piece.sides()[2]));
    }

    /** Whether the opening lies in a ceiling, so that its second side runs along the way. */
    private boolean hatch() {
        return evidence.standing(new PointKey(AccessPoints.PLACE.id(), PointKey.SYSTEM), Value.Chosen.class)
                .filter(place -> place.option().equals(AccessPoints.ATTIC))
                .isPresent();
    }

    private Drawing.Builder above() {
        Optional<Piece> piece = piece();
        double half = Math.max(
                        across().stream()
                                .filter(Span::applies)
                                .mapToDouble(Span::most)
                                .max()
                                .orElse(UNKNOWN),
                        piece.map(largest -> largest.size.width().si()).orElse(CABINET))
                / 2;
        Strip way = new Strip();
        double narrowest = openingFromAbove(way, half);
        Span opening = ofSystem(AccessPoints.OPENING_WIDTH);
        Span passage = ofSystem(AccessPoints.PASSAGE_WIDTH);
        if (passage.applies()) {
            double from = way.x;
            passageFromAbove(way, passage, half);
            narrowest = opening.applies() && opening.drawn <= passage.drawn ? narrowest : (from + way.x) / 2;
        }
        room(way, ofSystem(AccessPoints.SERVICE_DEPTH), ofSystem(AccessPoints.SERVICE_WIDTH), "Service space", half);
        double wide = piece.map(largest -> largest.size.width().si()).orElse(CABINET);
        double deep = piece.map(largest -> largest.size.depth().si()).orElse(CABINET);
        way.box(piece.isPresent() ? Role.CABINET : Role.GHOST, way.x, -wide / 2, way.x + deep, wide / 2);
        way.x += deep;
        if (opening.applies() || passage.applies()) {
            double at = narrowest;
            piece.ifPresent(largest ->
                    way.carried(largest, at, -largest.sides()[0] / 2, largest.sides()[0], LONGEST_WHEN_NARROW));
        }
        Drawing.Builder drawing = way.onto("From above", -half - ROUND, half + ROUND);
        if (passage.applies() && ofSystem(AccessPoints.PASSAGE_LENGTH).drawn > longest) {
            drawing.caption(Text.of("The passage is drawn shortened."));
        }
        besides().forEach(judgement -> drawing.caption(said(judgement)));
        return drawing;
    }

    /** @return where along the way it lies */
    private double openingFromAbove(Strip way, double half) {
        Span width = ofSystem(AccessPoints.OPENING_WIDTH);
        Span length = ofSystem(AccessPoints.OPENING_HEIGHT);
        if (!width.applies()) {
            return way.x;
        }
        double deep = hatch() ? length.drawn : WALL;
        if (hatch()) {
            way.space(deep, length.asked, width, -width.drawn / 2, true);
            way.measure(length, Place.of(0, -half - BELOW), Place.of(deep, -half - BELOW));
        } else {
            way.box(Role.WALL, 0, width.drawn / 2, deep, half + BELOW);
            way.box(Role.WALL, 0, -half - BELOW, deep, -width.drawn / 2);
            way.x += deep;
        }
        way.measure(width, Place.of(-BELOW, -width.drawn / 2), Place.of(-BELOW, width.drawn / 2));
        way.words("Opening", deep / 2, half + ROUND - BELOW);
        return deep / 2;
    }

    private void passageFromAbove(Strip way, Span width, double half) {
        Span length = ofSystem(AccessPoints.PASSAGE_LENGTH);
        Span floor = ofSystem(AccessPoints.FLOOR_WIDTH);
        double from = way.x;
        double drawn = Math.min(length.drawn, longest);
        if (floor.applies()) {
            way.box(Role.PERMITTED, from, -floor.drawn / 2, from + drawn, floor.drawn / 2);
        }
        way.space(drawn, Optional.empty(), width, -width.drawn / 2, true);
        double first = from + drawn * 0.2;
        double second = from + drawn * 0.8;
        way.measure(width, Place.of(first, -width.drawn / 2), Place.of(first, width.drawn / 2));
        way.measure(floor, Place.of(second, -floor.drawn / 2), Place.of(second, floor.drawn / 2));
        way.measure(length, Place.of(from, -half - BELOW), Place.of(way.x, -half - BELOW));
        way.words(floor.applies() ? "Passage and its floor" : "Passage", from + drawn / 2, half + ROUND - BELOW);
    }

    private static void room(Strip way, Span depth, Span width, String title, double half) {
        if (!depth.applies() && !width.applies()) {
            return;
        }
        double from = way.x;
        way.space(depth.drawn, depth.asked, width, -width.drawn / 2, true);
        double middle = (from + way.x) / 2;
        way.measure(width, Place.of(middle, -width.drawn / 2), Place.of(middle, width.drawn / 2));
        way.measure(depth, Place.of(from, -half - BELOW), Place.of(way.x, -half - BELOW));
        way.words(title, middle, half + ROUND - BELOW);
    }

    private Drawing.Builder aside() {
        Span opening = ofSystem(AccessPoints.OPENING_HEIGHT);
        Span passage = ofSystem(AccessPoints.PASSAGE_HEIGHT);
        Optional<Piece> piece = piece();
        double tall = piece.map(largest -> largest.size.height().si()).orElse(CABINET);
        double highest = Math.max(
                tall,
                upright().stream()
                        .filter(Span::applies)
                        .mapToDouble(Span::most)
                        .max()
                        .orElse(tall));
        Strip way = new Strip();
        double narrowest = 0;
        if (opening.applies() && !hatch()) {
            way.box(Role.WALL, 0, opening.drawn, WALL, highest + BELOW);
            way.x += WALL;
            way.measure(opening, Place.of(-BELOW, 0), Place.of(-BELOW, opening.drawn));
            way.words("Opening", WALL / 2, highest + ROUND - BELOW);
        }
        if (passage.applies()) {
            double from = way.x;
            double drawn = Math.min(ofSystem(AccessPoints.PASSAGE_LENGTH).drawn, longest);
            way.space(drawn, Optional.empty(), passage, 0, false);
            way.measure(passage, Place.of(from + drawn * 0.2, 0), Place.of(from + drawn * 0.2, passage.drawn));
            way.words("Passage", from + drawn / 2, highest + ROUND - BELOW);
            narrowest = from + drawn / 2;
        }
        double at = narrowest;
        if (opening.applies() || passage.applies()) {
            piece.ifPresent(largest -> way.carried(largest, at, 0, largest.sides()[1], LONGEST_WHEN_NARROW));
            way.x += GAP;
            way.box(piece.isPresent() ? Role.CABINET : Role.GHOST, way.x, 0, way.x + CABINET, tall);
            way.words("Equipment", way.x + CABINET / 2, highest + ROUND - BELOW);
            way.x += CABINET;
        }
        way.box(Role.WALL, -ROUND / 2, -WALL / 2, way.x, 0);
        return way.onto("From the side", -BELOW, highest + ROUND);
    }

    /** Before each, the space from above and, beside it, from the side. */
    private Drawing.Builder gear(List<Component> units) {
        double half = UNKNOWN / 2;
        double highest = UNKNOWN;
        for (Component unit : units) {
            half = Math.max(half, of(AccessPoints.WORKING_WIDTH, unit.id()).most() / 2);
            highest =
                    Math.max(highest, of(AccessPoints.WORKING_HEIGHT, unit.id()).most());
        }
        Strip way = new Strip();
        double top = Math.max(half, highest - half);
        for (Component unit : units) {
            Span depth = of(AccessPoints.WORKING_DEPTH, unit.id());
            Span height = of(AccessPoints.WORKING_HEIGHT, unit.id());
            double from = way.x;
            room(way, depth, of(AccessPoints.WORKING_WIDTH, unit.id()), unit.title(), top);
            way.box(Role.WALL, way.x, -CABINET / 2, way.x + WALL, CABINET / 2);
            way.x += WALL + GAP / 2;
            double left = way.x;
            way.space(depth.drawn, Optional.empty(), height, -half, false);
            double middle = (left + way.x) / 2;
            way.measure(height, Place.of(middle, -half), Place.of(middle, height.drawn - half));
            way.box(Role.WALL, way.x, height.drawn / 3 - half, way.x + WALL, height.drawn * 2 / 3 - half);
            way.box(Role.WALL, left - BELOW, -half - WALL / 2, way.x + WALL, -half);
            way.x += WALL + GAP;
        }
        return way.onto("Electrical working space", -half - ROUND, top + ROUND);
    }

    /** What is judged of the way and has no length of its own in the drawing. */
    private List<Judgement> besides() {
        return Stream.concat(
                        facts.components().stream()
                                .flatMap(unit -> judgements.find(LargestPiece.ABOUT, unit.id()).stream()),
                        Stream.of(
                                        AccessPoints.LADDER_SAFE,
                                        AccessPoints.LIGHT,
                                        AccessPoints.SWITCH,
                                        AccessPoints.SOCKET)
                                .flatMap(point -> judgements.find(point, PointKey.SYSTEM).stream()))
                .filter(WayFigure::applies)
                .toList();
    }

    private static boolean applies(Judgement judgement) {
        return judgement.verdict() != Verdict.DOES_NOT_APPLY;
    }

    private static Optional<Quantity> found(Judgement judgement) {
        return judgement.comparison().map(c -> c.dimension().of(c.measured().value()));
    }

    private static Optional<Quantity> asked(Judgement judgement) {
        return judgement.comparison().map(c -> c.binding().limit().value());
    }

    private static Text said(Judgement judgement) {
        Text title = judgement.called();
        return judgement
                .comparison()
                .map(c -> Text.of(
                        "{title}: {found}, {bound} {asked}: {verdict}",
                        title,
                        found(judgement).orElseThrow(),
                        c.binding().limit().bound().words(),
                        asked(judgement).orElseThrow(),
                        judgement.verdict().title()))
                .orElseGet(() ->
                        Text.of("{title}: {verdict}", title, judgement.verdict().title()));
    }

    private static Text spoken(List<Judgement> judgements) {
        List<Text> said = judgements.stream().map(WayFigure::said).toList();
        return Text.series(said);
    }
}
