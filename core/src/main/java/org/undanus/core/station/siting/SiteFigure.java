package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.geometry.Footprint;
import org.undanus.core.geometry.MoveInWords;
import org.undanus.core.geometry.PlanGeometry;
import org.undanus.core.geometry.SmallestMove;
import org.undanus.core.geometry.WallGeometry;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * A site's plan in metres: what stands there, units with their fronts, the distance before each face, and as a ghost the smallest
 * move that cures every distance.
 *
 * @param overlaps what cannot be built as drawn, a sentence each
 * @param near by unit, what stands near it by name
 */
public record SiteFigure(
        Case facts,
        SitePlan plan,
        List<Placed> units,
        List<Measured> distances,
        List<Text> overlaps,
        Cure cure,
        Map<String, List<MoveInWords.Near>> near) {

    /** Room about what stands on a site, m. */
    private static final double MARGIN = 0.4;

    /** What is farther than this from a unit, m, does not widen the view. */
    private static final double NEAR = 5;

    /** The sheet where nothing is drawn yet, m. */
    private static final Frame EMPTY = Frame.toScale(0, 0, 8, 5);

    /** A unit's outline in the plan. */
    public record Placed(String component, Footprint footprint, Verdict verdict) {}

    private record Measured(String component, boolean face, PlanGeometry.Distance distance, Meaning meaning) {
        Place from() {
            return Place.of(distance.fromX(), distance.fromY());
        }

        Place to() {
            return Place.of(distance.toX(), distance.toY());
        }

        boolean kept() {
            return meaning.verdict().equals(Optional.of(Verdict.MEETS));
        }
    }

    /**
     * What became of the search for the smallest move.
     *
     * @param moves where the units would stand
     */
    public record Cure(SmallestMove.Result result, Text said, List<Moved> moves) {
        boolean needed() {
            return result.outcome() != SmallestMove.Answer.NOTHING_TO_CURE;
        }
    }

    /** @param to where it would stand */
    public record Moved(String component, Footprint from, Footprint to, Text said) {
        /** How far its centre goes. */
        Length length() {
            return Length.ofMetres(Math.hypot(to.x() - from.x(), to.y() - from.y()));
        }
    }

    /** The site with the smallest move, and with that by turning units too where it is a better one. */
    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        Optional<SiteFigure> shifted = of(facts, evidence, rules, judgements, false);
        Optional<SiteFigure> turned = shifted.filter(site -> site.cure.needed())
                .flatMap(site -> of(facts, evidence, rules, judgements, true).filter(t -> t.betterThan(site)));
        return Stream.concat(
                        shifted.map(site -> site.drawing("Site")).stream(),
                        turned.map(site -> site.drawing("Site, units turned")).stream())
                .toList();
    }

    private boolean betterThan(SiteFigure other) {
        return cure.result.outcome() == SmallestMove.Answer.CURED
                && (other.cure.result.outcome() != SmallestMove.Answer.CURED
                        || cure.result.metres() < other.cure.result.metres());
    }

    /**
     * Empty where no site is drawn.
     *
     * @param mayTurn whether units may be turned by quarter turns to cure it
     */
    public static Optional<SiteFigure> of(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, boolean mayTurn) {
        return facts.plan().map(plan -> {
            Map<String, DataSheet.Size> sizes = Drawn.sizes(facts, evidence);
            PlanGeometry geometry = new PlanGeometry(plan, sizes);
            List<Measured> distances = geometry.units().stream()
                    .flatMap(unit -> measured(unit, geometry, judgements))
                    .toList();
            return new SiteFigure(
                    facts,
                    plan,
                    geometry.units().stream()
                            .map(unit -> new Placed(unit.id(), unit.footprint(), worst(distances, unit.id())))
                            .toList(),
                    distances,
                    overlaps(plan, geometry, sizes),
                    cure(facts, geometry, SmallestCure.find(facts, evidence, rules, geometry, mayTurn)),
                    geometry.units().stream()
                            .collect(Collectors.toMap(
                                    PlanGeometry.Placed::id,
                                    unit -> MoveInWords.near(geometry, facts::title, unit.id()))));
        });
    }

    /** What cannot be built as drawn, a sentence each; the quick part of what a figure knows. */
    public static List<Text> overlaps(Case facts, Evidence evidence, SitePlan plan) {
        Map<String, DataSheet.Size> sizes = Drawn.sizes(facts, evidence);
        return overlaps(plan, new PlanGeometry(plan, sizes), sizes);
    }

    private static List<Text> overlaps(SitePlan plan, PlanGeometry geometry, Map<String, DataSheet.Size> sizes) {
        List<Text> found = new ArrayList<>(geometry.overlaps());
        for (SitePlan.WallView wall : plan.walls()) {
            Optional.ofNullable(sizes.get(wall.component()))
                    .or(wall::size)
                    .flatMap(size -> new WallGeometry(wall, size).overlap())
                    .ifPresent(found::add);
        }
        return List.copyOf(found);
    }

    private static Stream<Measured> measured(PlanGeometry.Placed unit, PlanGeometry geometry, Judgements judgements) {
        Stream<Measured> faces = Face.IN_PLAN.stream().flatMap(face -> geometry.clear(unit.id(), face).stream()
                .map(d -> measured(unit, true, OutdoorClearance.of(face).about(), d, judgements)));
        Stream<Measured> hazards = Siting.HAZARDS.stream()
                .flatMap(hazard -> geometry.nearest(unit.id(), hazard.kind()).stream()
                        .map(d -> measured(unit, false, hazard.about(), d, judgements)));
        return Stream.concat(faces, hazards);
    }

    private static Measured measured(
            PlanGeometry.Placed unit,
            boolean face,
            About requirement,
            PlanGeometry.Distance distance,
            Judgements judgements) {
        return new Measured(unit.id(), face, distance, Meaning.of(judgements, requirement, unit.id()));
    }

    private static Verdict worst(List<Measured> distances, String unit) {
        return distances.stream()
                .filter(d -> d.component().equals(unit))
                .flatMap(d -> d.meaning().verdict().stream())
                .filter(Verdict::open)
                .reduce(Verdict.MEETS, Verdict::or);
    }

    private static Cure cure(Case facts, PlanGeometry geometry, SmallestMove.Result result) {
        List<Moved> moves = result.moves().stream()
                .map(move -> moved(facts, geometry, move))
                .toList();
        Text said =
                switch (result.outcome()) {
                    case NOTHING_TO_CURE -> Text.of("As drawn, every distance is kept.");
                    case CURED ->
                        Text.of(
                                moves.size() == 1
                                        ? "Smallest cure: {moves}."
                                        : "A cure, not proven the smallest: {moves}.",
                                Text.series(moves.stream()
                                        .map(m -> Text.of("{unit} {move}", facts.title(m.component()), m.said()))
                                        .toList()));
                    case NO_PLACE ->
                        Text.of(
                                "No place in the permitted area cures {facts}.",
                                facts.title(result.without().orElse("")));
                    case NOT_FOUND ->
                        Text.of("No cure was found by moving one unit after another; that proves nothing.");
                    case NO_AREA -> Text.of("Draw a boundary or a permitted area to have the smallest move computed.");
                };
        return new Cure(result, said, moves);
    }

    private static Moved moved(Case facts, PlanGeometry geometry, SmallestMove.Move move) {
        Footprint from = geometry.unit(move.unit()).orElseThrow().footprint();
        Footprint to = from.movedTo(from.x() + move.dx(), from.y() + move.dy(), (from.facing() + move.turn()) % 360);
        return new Moved(move.unit(), from, to, MoveInWords.of(geometry, facts::title, move));
    }

    /** @param title which of several drawings it is */
    public Drawing drawing(String title) {
        return drawing(title, Optional.empty(), "");
    }

    /**
     * @param view what of the site fills the sheet; empty for what stands there
     * @param chosen the unit whose kept distances are shown too, which cross the whole site
     */
    public Drawing drawing(String title, Optional<Frame> view, String chosen) {
        Frame whole = whole();
        Frame shown = view.orElseGet(() -> ofInterest(whole));
        Drawing.Builder drawing = view.isPresent()
                ? Drawing.of(title, shown)
                : Drawing.of(title, whole).interest(shown);
        plan.features().stream().filter(f -> !f.kind().solid()).forEach(f -> feature(drawing, f));
        plan.features().stream().filter(f -> f.kind().solid()).forEach(f -> feature(drawing, f));
        units.forEach(unit -> cabinet(drawing, Role.CABINET, unit.footprint(), Optional.of(meaning(unit))));
        cure.moves.forEach(move -> cabinet(drawing, Role.GHOST, move.to(), Optional.empty()));
        cure.moves.forEach(move -> drawing.line(
                        Role.GHOST,
                        Place.of(move.from().x(), move.from().y()),
                        Place.of(move.to().x(), move.from().y()),
                        Place.of(move.to().x(), move.to().y()))
                .add(about(Text.of("{length}", move.length()), move.to(), Weight.STRONG, Optional.empty())));
        distances.stream()
                .filter(d -> d.face() || !d.kept() || d.component().equals(chosen))
                .forEach(d -> drawing.dimension(
                        d.from(),
                        d.to(),
                        Text.of("{metres}", Length.ofMetres(d.distance().metres())),
                        d.meaning()));
        units.forEach(unit -> drawing.add(about(
                Text.plain(facts.title(unit.component())),
                unit.footprint(),
                Weight.PLAIN,
                Optional.of(meaning(unit)))));
        plan.features().stream()
                .filter(f -> f.kind() != SitePlan.Kind.GROUND && !f.title().isBlank())
                .forEach(f -> title(drawing, f, shown));
        overlaps.forEach(sentence -> drawing.caption(sentence));
        drawing.caption(cure.said);
        return drawing.spoken(cure.said);
    }

    private Meaning meaning(Placed unit) {
        return Meaning.of(unit.verdict()).ofDrawn(unit.component());
    }

    private static void feature(Drawing.Builder drawing, SitePlan.Feature feature) {
        Role role =
                switch (feature.kind()) {
                    case AREA -> Role.PERMITTED;
                    case BOUNDARY -> Role.BOUNDARY;
                    case GROUND -> Role.GROUND;
                    case WALL, OBSTACLE, NEIGHBOUR_UNIT -> Role.WALL;
                    case OPENING, WINDOW, VENT, GAS_METER, ANTENNA -> Role.HAZARD;
                };
        List<Place> points =
                feature.outline().stream().map(v -> Place.of(v.x(), v.y())).toList();
        Optional<Meaning> meaning = Optional.of(Meaning.ofThing(feature.id()));
        drawing.add(
                points.size() == 1
                        ? new Element.Dot(role, points.get(0), meaning)
                        : new Element.Path(role, points, feature.closed(), meaning));
    }

    /** Areas have their name within what is seen of them, lines beside them; an edge has one where all of it is seen. */
    private static void title(Drawing.Builder drawing, SitePlan.Feature feature, Frame shown) {
        Box all = Box.of(feature.outline().stream().map(v -> Place.of(v.x(), v.y())));
        Box box = all.within(shown);
        if (feature.kind() == SitePlan.Kind.BOUNDARY && !box.equals(all)) {
            return;
        }
        boolean within = feature.closed() && feature.kind() != SitePlan.Kind.BOUNDARY;
        drawing.add(new Element.Words(
                Text.plain(feature.title()),
                box.middle(),
                within ? Place.of(0, 0) : box.half(),
                within ? List.of(Side.CENTRE) : List.of(Side.BELOW, Side.ABOVE, Side.RIGHT, Side.LEFT),
                Weight.QUIET,
                false,
                Optional.of(Meaning.ofThing(feature.id()))));
    }

    private static Element about(Text text, Footprint unit, Weight weight, Optional<Meaning> meaning) {
        Box box = Box.of(corners(unit).stream());
        return new Element.Words(
                text,
                box.middle(),
                box.half(),
                List.of(Side.BELOW, Side.ABOVE, Side.RIGHT, Side.LEFT),
                weight,
                true,
                meaning);
    }

    private static void cabinet(Drawing.Builder drawing, Role role, Footprint unit, Optional<Meaning> meaning) {
        List<Place> corners = corners(unit);
        drawing.add(new Element.Path(role, corners, true, meaning));
        drawing.add(new Element.Path(
                role == Role.GHOST ? Role.GHOST : Role.FRONT, List.of(corners.get(0), corners.get(3)), false, meaning));
    }

    /** The first and the last corner bound the front. */
    private static List<Place> corners(Footprint unit) {
        return unit.outline().stream().map(c -> Place.of(c.x(), c.y())).toList();
    }

    private record Box(double left, double low, double right, double high) {
        static Box of(Stream<Place> places) {
            List<Place> all = places.toList();
            return new Box(
                    xs(all).min().orElseThrow(),
                    ys(all).min().orElseThrow(),
                    xs(all).max().orElseThrow(),
                    ys(all).max().orElseThrow());
        }

        private static DoubleStream xs(List<Place> places) {
            return places.stream().mapToDouble(Place::x);
        }

        private static DoubleStream ys(List<Place> places) {
            return places.stream().mapToDouble(Place::y);
        }

        /** What of it a frame shows. */
        Box within(Frame frame) {
            return new Box(
                    Math.max(left, frame.left()),
                    Math.max(low, frame.low()),
                    Math.min(right, frame.right()),
                    Math.min(high, frame.high()));
        }

        Place middle() {
            return Place.of((left + right) / 2, (low + high) / 2);
        }

        Place half() {
            return Place.of((right - left) / 2, (high - low) / 2);
        }

        Frame framed() {
            return Frame.toScale(left - MARGIN, low - MARGIN, right + MARGIN, high + MARGIN);
        }
    }

    /** All that is drawn. */
    public Frame whole() {
        return framed(Stream.concat(
                        plan.features().stream()
                                .flatMap(f -> f.outline().stream().map(v -> Place.of(v.x(), v.y()))),
                        cabinets()))
                .orElse(EMPTY);
    }

    /** Units with what they are near to; where there are none, all but the edges of the plot. */
    private Frame ofInterest(Frame whole) {
        Stream<Place> near = Stream.concat(
                cabinets(),
                distances.stream()
                        .filter(d -> d.face() || !d.kept())
                        .filter(d -> d.distance().metres() < NEAR)
                        .flatMap(d -> Stream.of(d.from(), d.to())));
        return framed(near)
                .or(() -> framed(
                        plan.features().stream().filter(f -> f.kind().stands()).flatMap(f -> f.outline().stream()
                                .map(v -> Place.of(v.x(), v.y())))))
                .orElse(whole);
    }

    private Stream<Place> cabinets() {
        return Stream.concat(
                        units.stream().map(Placed::footprint),
                        cure.moves.stream().map(Moved::to))
                .flatMap(unit -> corners(unit).stream());
    }

    private static Optional<Frame> framed(Stream<Place> places) {
        List<Place> all = places.toList();
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(Box.of(all.stream()).framed());
    }
}
