package org.undanus.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.undanus.core.installation.Face;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/**
 * A move as one fitter would tell another: how far away from what stands near or toward it, else toward which of the unit's own
 * sides.
 */
public final class MoveInWords {
    private static final double HALF_MILLIMETRE = 0.0005;
    /** What is farther off than this is nothing one would measure from, m. */
    private static final double NEAR = 8;

    /** Something named, and the direction from it to the unit. */
    private record Mark(Text name, double distance, double x, double y) {
        double along(Coordinate way) {
            return x * way.x + y * way.y;
        }

        /** Whether a way leads away from it or toward it and nowhere else: what is said must cure as the move does. */
        boolean tells(Coordinate way) {
            return Math.abs(x * way.y - y * way.x) < HALF_MILLIMETRE;
        }
    }

    /** How far a unit stands from something named. */
    public record Near(Text name, Length distance) {}

    private MoveInWords() {}

    /**
     * What stands near a unit by name, the nearest first.
     *
     * @param titles what units are called, by their ids
     */
    public static List<Near> near(PlanGeometry plan, UnaryOperator<String> titles, String unit) {
        return plan
                .unit(unit)
                .map(standing -> marks(plan, titles, unit, standing.footprint()))
                .orElse(List.of())
                .stream()
                .sorted(Comparator.comparing(Mark::distance))
                .map(mark -> new Near(mark.name, Length.ofMetres(mark.distance)))
                .toList();
    }

    /** @param titles what units are called, by their ids */
    public static Text of(PlanGeometry plan, UnaryOperator<String> titles, SmallestMove.Move move) {
        Footprint unit = plan.unit(move.unit()).orElseThrow().footprint();
        List<Mark> marks = marks(plan, titles, move.unit(), unit);
        List<Text> parts = new ArrayList<>();
        Coordinate way = new Coordinate(move.dx(), move.dy());
        if (length(way) >= HALF_MILLIMETRE) {
            parts.addAll(shift(marks, unit, way));
        }
        if (move.turn() != 0) {
            parts.add(Text.of("turned {turn}° counter-clockwise", Math.round(move.turn())));
        }
        return Text.all(parts);
    }

    /** Along one thing's direction if any lies so; else split along the unit's own sides, each told by a thing where one can. */
    private static List<Text> shift(List<Mark> marks, Footprint unit, Coordinate way) {
        Optional<Text> whole = byMark(marks, way);
        if (whole.isPresent()) {
            return List.of(whole.get());
        }
        List<Text> parts = new ArrayList<>();
        for (Face face : List.of(Face.FRONT, Face.LEFT)) {
            Coordinate side = unit.normal(face);
            double far = way.x * side.x + way.y * side.y;
            if (Math.abs(far) >= HALF_MILLIMETRE) {
                Coordinate part = new Coordinate(far * side.x, far * side.y);
                parts.add(byMark(marks, part).orElseGet(() -> bySide(face, far)));
            }
        }
        return parts;
    }

    private static Optional<Text> byMark(List<Mark> marks, Coordinate way) {
        return marks.stream()
                .filter(mark -> mark.tells(way))
                .min(Comparator.comparing((Mark mark) -> mark.along(way) < 0).thenComparing(Mark::distance))
                .map(mark -> Text.of(
                        mark.along(way) > 0 ? "{along} away from {thing}" : "{along} toward {thing}",
                        Length.ofMetres(Math.abs(mark.along(way))),
                        mark.name));
    }

    private static Text bySide(Face face, double far) {
        Face to = far > 0 ? face : face == Face.FRONT ? Face.BACK : Face.RIGHT;
        return Text.of("{far} toward its {to} side", Length.ofMetres(Math.abs(far)), to.key());
    }

    private static List<Mark> marks(PlanGeometry plan, UnaryOperator<String> titles, String id, Footprint unit) {
        List<Mark> marks = new ArrayList<>();
        Geometry body = unit.polygon();
        plan.named()
                .forEach((name, geometry) -> mark(named(name), geometry, body).ifPresent(marks::add));
        plan.units().stream().filter(other -> !other.id().equals(id)).forEach(other -> mark(
                        named(titles.apply(other.id())), other.footprint().polygon(), body)
                .ifPresent(marks::add));
        return marks;
    }

    private static Optional<Mark> mark(Text name, Geometry thing, Geometry body) {
        Coordinate[] nearest = DistanceOp.nearestPoints(thing, body);
        double distance = nearest[0].distance(nearest[1]);
        return distance < HALF_MILLIMETRE || distance > NEAR
                ? Optional.empty()
                : Optional.of(new Mark(
                        name,
                        distance,
                        (nearest[1].x - nearest[0].x) / distance,
                        (nearest[1].y - nearest[0].y) / distance));
    }

    private static Text named(String title) {
        return Text.of("the {thing}", Text.lowered(title));
    }

    private static double length(Coordinate way) {
        return Math.hypot(way.x, way.y);
    }
}
