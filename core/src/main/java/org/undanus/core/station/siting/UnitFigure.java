package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * A unit to scale, in metres: what was taped stands as a wall at that distance with a dimension line, what is asked for as a dashed
 * keep-out. An outdoor unit in plan and elevation, a wall unit as seen from the room.
 */
final class UnitFigure {
    /** Farther than this, m, a wall is drawn at the edge; the words still say where it is. */
    private static final double FARTHEST = 2.2;

    /** A side that nothing is known of gets this much room, m. */
    private static final double UNKNOWN = 0.25;

    private static final double BASE = 0.08;
    private static final double BETWEEN = 0.6;
    private static final double EDGE = 0.12;

    private final SitedUnit unit;
    private final List<Element> elements = new ArrayList<>();

    private UnitFigure(SitedUnit unit) {
        this.unit = unit;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return SitedUnit.all(facts, evidence, judgements).stream()
                .filter(unit -> facts.plan()
                        .flatMap(plan -> plan.wall(unit.component().id()))
                        .isEmpty())
                .map(unit -> new UnitFigure(unit).drawing())
                .toList();
    }

    /** What one view takes up, m from the lower left corner of the cabinet. */
    private record Extent(double left, double low, double right, double high) {}

    private Drawing drawing() {
        double width = unit.size().width().si();
        Extent extent;
        if (unit.component().outdoor()) {
            Extent plan = plan(0);
            double aside = plan.right() + BETWEEN + 0.3;
            Extent elevation = elevation(aside);
            extent = new Extent(
                    plan.left(),
                    Math.min(plan.low(), elevation.low()),
                    elevation.right(),
                    Math.max(plan.high(), elevation.high()));
        } else {
            extent = elevation(0);
        }
        double margin = Math.max(EDGE * (extent.right() - extent.left()), width / 4);
        Drawing.Builder drawing = Drawing.of(
                unit.component().title(),
                Frame.toScale(
                        extent.left() - margin,
                        extent.low() - margin / 3,
                        extent.right() + margin,
                        extent.high() + margin / 2));
        elements.forEach(drawing::add);
        if (!unit.sized()) {
            drawing.aside(
                    Text.of("cabinet at a usual size: no sheet says it"),
                    Place.of((extent.left() + extent.right()) / 2, extent.low() - margin / 4),
                    Side.CENTRE);
        }
        return drawing.spoken(spoken());
    }

    private Text spoken() {
        return Text.series(Stream.concat(unit.sides().stream(), unit.height().stream())
                .map(side -> Text.of(
                        "{side} {clear}, asked {asked}: {verdict}",
                        side.name(),
                        side.clear().map(l -> (Object) l).orElse("not read"),
                        side.asked().map(l -> (Object) l).orElse("nothing"),
                        side.verdict().title()))
                .toList());
    }

    private Extent plan(double aside) {
        return view(
                "Plan",
                aside,
                unit.size().depth().si(),
                unit.side("left"),
                unit.side("right"),
                unit.side("back"),
                unit.side("front"),
                false);
    }

    private Extent elevation(double aside) {
        boolean outdoor = unit.component().outdoor();
        return view(
                outdoor ? "Elevation" : "From the room",
                aside,
                unit.size().height().si(),
                outdoor ? Optional.empty() : unit.side("left"),
                outdoor ? Optional.empty() : unit.side("right"),
                unit.side("above"),
                outdoor ? Optional.empty() : unit.side("height"),
                true);
    }

    private Extent view(
            String title,
            double aside,
            double deep,
            Optional<SitedUnit.Side> left,
            Optional<SitedUnit.Side> right,
            Optional<SitedUnit.Side> top,
            Optional<SitedUnit.Side> bottom,
            boolean ground) {
        double width = unit.size().width().si();
        double floor = bottom.map(UnitFigure::away).orElse(ground ? BASE : 0.0);
        Extent extent = new Extent(
                aside - reach(left),
                -Math.max(floor, bottom.isPresent() ? reach(bottom) : 0),
                aside + width + reach(right),
                deep + reach(top));
        box(Role.ASKED, aside - asked(left), -asked(bottom), aside + width + asked(right), deep + asked(top));
        if (ground) {
            double overhang = width / 2;
            line(
                    Role.WALL,
                    Place.of(extent.left() - overhang / 2, -floor),
                    Place.of(extent.right() + overhang / 2, -floor));
            if (bottom.isEmpty()) {
                box(Role.WALL, aside, -floor, aside + width, 0);
            }
        }
        box(Role.BODY, aside, 0, aside + width, deep);
        Place middle = Place.of(aside + width / 2, deep / 2);
        if (!ground) {
            elements.add(new Element.Disc(Role.OUTLINE, middle, Math.min(width, deep) * 0.32, Optional.empty()));
        }
        left.ifPresent(s -> beside(s, middle, -1, 0, width, deep, true));
        right.ifPresent(s -> beside(s, middle, 1, 0, width, deep, true));
        top.ifPresent(s -> beside(s, middle, 0, 1, width, deep, true));
        bottom.ifPresent(s -> beside(s, middle, 0, -1, width, deep, !ground));
        elements.add(new Element.Words(
                Text.plain(title),
                Place.of(extent.left(), extent.high()),
                Place.of(0, 0),
                List.of(Side.ABOVE),
                Weight.QUIET,
                true,
                Optional.empty()));
        return extent;
    }

    private void beside(SitedUnit.Side side, Place middle, int dx, int dy, double width, double deep, boolean wall) {
        double away = away(side);
        Place from = middle.plus(dx * width / 2, dy * deep / 2);
        Place to = from.plus(dx * away, dy * away);
        Meaning meaning = side.meaning();
        if (side.clear().isEmpty()) {
            elements.add(new Element.Words(
                    Text.of("{side}?", side.name()),
                    to,
                    Place.of(0, 0),
                    List.of(dx < 0 ? Side.LEFT : dx > 0 ? Side.RIGHT : Side.CENTRE),
                    Weight.STRONG,
                    true,
                    Optional.of(meaning)));
            return;
        }
        if (wall) {
            double along = Math.max(0.35 * (dx == 0 ? width : deep), 0.15);
            line(Role.WALL, to.plus(dy * along, dx * along), to.plus(-dy * along, -dx * along));
        }
        elements.add(
                new Element.Dimension(from, to, Text.of("{clear}", side.clear().get()), Optional.of(meaning)));
    }

    private static double away(SitedUnit.Side side) {
        return Math.min(FARTHEST, side.clear().map(Length::si).orElse(UNKNOWN));
    }

    private static double asked(Optional<SitedUnit.Side> side) {
        return Math.min(
                FARTHEST, side.flatMap(SitedUnit.Side::asked).map(Length::si).orElse(0.0));
    }

    private static double reach(Optional<SitedUnit.Side> side) {
        return side.map(s -> Math.max(away(s), asked(side))).orElse(0.0);
    }

    private void box(Role role, double left, double low, double right, double high) {
        elements.add(new Element.Path(
                role,
                List.of(Place.of(left, low), Place.of(right, low), Place.of(right, high), Place.of(left, high)),
                true,
                Optional.empty()));
    }

    private void line(Role role, Place... points) {
        elements.add(new Element.Path(role, List.of(points), false, Optional.empty()));
    }
}
