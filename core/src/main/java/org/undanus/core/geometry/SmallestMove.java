package org.undanus.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.undanus.core.installation.SitePlan;

/**
 * The smallest move of units that cures every distance at once, or the proof that the permitted area has no such place.
 *
 * <p>For one unit: the set of forbidden centres is the union of the Minkowski sums of every obstacle with the reflected
 * keep-out (de Berg and others, Computational Geometry, chapter on motion planning); the smallest move leads to the nearest
 * point of the permitted area outside it. That is exact for shifts, and for each quarter turn; hazards' round keep-outs are
 * replaced by polygons just outside them (0.13 % of the radius). Places without any room to spare are not found.
 *
 * <p>For several units: one after another, in every order of those that need it, the order with the least way in all.
 * That is a cure, not proven to be the smallest. No place is proven only for a unit that has none even when all other units
 * are taken away.
 *
 * <p>Obstacles farther than any move tried so far are left out, so that the work grows with what stands near.
 */
public final class SmallestMove {
    private static final double[] TRIES = {0.6, 1.8, 6, 25, 2 * SitePlan.FARTHEST};
    private static final int CIRCLE_SIDES = 64;
    private static final double DONE = 1e-9;
    private static final int MOST_ORDERED = 3;

    record Solid(Geometry geometry, double bottom, double top, boolean unit) {}

    /**
     * What a unit asks for.
     *
     * @param reach clear distance to anything solid
     * @param above clear height over it
     * @param neighbours clear distance to other units
     * @param hazards least distance by kind of feature
     */
    public record Asked(
            Footprint.Reach reach, double above, Footprint.Reach neighbours, Map<SitePlan.Kind, Double> hazards) {}

    /**
     * @param dx m, as {@code dy}
     * @param turn in degrees counter-clockwise, a multiple of 90
     */
    public record Move(String unit, double dx, double dy, double turn) {
        /** How far, m. */
        public double metres() {
            return Math.hypot(dx, dy);
        }
    }

    /** What became of the search. */
    public enum Answer {
        NOTHING_TO_CURE,
        CURED,
        /** It is proven that a unit has no place. */
        NO_PLACE,
        /** None was found by moving one unit after another, which proves nothing. */
        NOT_FOUND,
        /** Neither a permitted area nor a boundary is drawn. */
        NO_AREA
    }

    /** @param without the unit that has no place, where there is one */
    public record Result(Answer outcome, List<Move> moves, Optional<String> without) {
        /** How far, m. */
        public double metres() {
            return moves.stream().mapToDouble(Move::metres).sum();
        }
    }

    private final PlanGeometry plan;
    private final Map<String, Asked> asked;
    private final double[] turns;

    /**
     * @param asked by unit; units not named ask for nothing and stay where they are
     * @param mayTurn whether units may also be turned by quarter turns
     */
    public SmallestMove(PlanGeometry plan, Map<String, Asked> asked, boolean mayTurn) {
        this.plan = plan;
        this.asked = asked;
        this.turns = mayTurn ? new double[] {0, 90, 180, 270} : new double[] {0};
    }

    public Result find() {
        Optional<Geometry> area = plan.permitted();
        if (area.isEmpty()) {
            return new Result(Answer.NO_AREA, List.of(), Optional.empty());
        }
        Map<String, PlanGeometry.Placed> now = new LinkedHashMap<>();
        plan.units().forEach(u -> now.put(u.id(), u));
        List<String> ailing = now.keySet().stream()
                .filter(asked::containsKey)
                .filter(id -> !stands(now.get(id), now, area.get()))
                .toList();
        if (ailing.isEmpty()) {
            return new Result(Answer.NOTHING_TO_CURE, List.of(), Optional.empty());
        }
        Optional<List<Move>> best = Optional.empty();
        for (List<String> order : orders(ailing)) {
            Optional<List<Move>> moves = oneAfterAnother(order, now, area.get());
            if (moves.isPresent()
                    && best.map(b -> length(moves.get()) < length(b)).orElse(true)) {
                best = moves;
            }
        }
        if (best.isPresent()) {
            return new Result(Answer.CURED, best.get(), Optional.empty());
        }
        for (String id : ailing) {
            if (nearest(now.get(id), Map.of(), area.get()).isEmpty()) {
                return new Result(Answer.NO_PLACE, List.of(), Optional.of(id));
            }
        }
        return new Result(Answer.NOT_FOUND, List.of(), Optional.empty());
    }

    private static double length(List<Move> moves) {
        return moves.stream().mapToDouble(Move::metres).sum();
    }

    private static List<List<String>> orders(List<String> ids) {
        if (ids.size() == 1 || ids.size() > MOST_ORDERED) {
            return List.of(ids);
        }
        List<List<String>> all = new ArrayList<>();
        for (String first : ids) {
            List<String> rest = new ArrayList<>(ids);
            rest.remove(first);
            for (List<String> tail : orders(rest)) {
                List<String> order = new ArrayList<>(List.of(first));
                order.addAll(tail);
                all.add(order);
            }
        }
        return all;
    }

    private Optional<List<Move>> oneAfterAnother(
            List<String> order, Map<String, PlanGeometry.Placed> start, Geometry area) {
        Map<String, PlanGeometry.Placed> now = new LinkedHashMap<>(start);
        List<Move> moves = new ArrayList<>();
        for (String id : order) {
            Optional<Move> move = nearest(now.get(id), now, area);
            if (move.isEmpty()) {
                return Optional.empty();
            }
            if (move.get().metres() > DONE || move.get().turn() != 0) {
                moves.add(move.get());
            }
            now.put(id, moved(now.get(id), move.get()));
        }
        return Optional.of(moves);
    }

    /** A unit after a move. */
    static PlanGeometry.Placed moved(PlanGeometry.Placed unit, Move move) {
        Footprint f = unit.footprint();
        return new PlanGeometry.Placed(
                unit.id(),
                f.movedTo(f.x() + move.dx(), f.y() + move.dy(), (f.facing() + move.turn()) % 360),
                unit.base(),
                unit.height());
    }

    private boolean stands(PlanGeometry.Placed unit, Map<String, PlanGeometry.Placed> others, Geometry area) {
        Footprint f = unit.footprint();
        Envelope near = new Envelope(new Coordinate(f.x(), f.y()));
        Point centre = Shapes.FACTORY.createPoint(new Coordinate(f.x(), f.y()));
        return area.covers(f.polygon())
                && forbidden(unit, others, area, near).stream()
                        .noneMatch(part ->
                                part.contains(centre) && part.getBoundary().distance(centre) > DONE);
    }

    /** The nearest place of one unit among the others, by the best of the turns allowed. */
    private Optional<Move> nearest(PlanGeometry.Placed unit, Map<String, PlanGeometry.Placed> others, Geometry area) {
        Optional<Move> best = Optional.empty();
        for (double turn : turns) {
            Optional<Move> move = shift(moved(unit, new Move(unit.id(), 0, 0, turn)), others, area, turn);
            if (move.isPresent()
                    && best.map(b -> move.get().metres() < b.metres() - DONE).orElse(true)) {
                best = move;
            }
        }
        return best;
    }

    private Optional<Move> shift(
            PlanGeometry.Placed unit, Map<String, PlanGeometry.Placed> others, Geometry area, double turn) {
        Coordinate from = new Coordinate(unit.footprint().x(), unit.footprint().y());
        for (double within : TRIES) {
            Envelope near = new Envelope(from);
            near.expandBy(within);
            Geometry around = OverlayNGRobust.overlay(area, Shapes.FACTORY.toGeometry(near), OverlayNG.INTERSECTION);
            Geometry taken = OverlayNGRobust.union(Shapes.FACTORY.buildGeometry(forbidden(unit, others, area, near)));
            Geometry free = OverlayNGRobust.overlay(around, taken, OverlayNG.DIFFERENCE);
            if (free.isEmpty()) {
                continue;
            }
            Coordinate to = new DistanceOp(free, Shapes.FACTORY.createPoint(from)).nearestPoints()[0];
            if (to.distance(from) <= within) {
                return Optional.of(new Move(unit.id(), to.x - from.x, to.y - from.y, turn));
            }
        }
        return Optional.empty();
    }

    /** The parts of the set of centres this unit may not have, as far as they reach into an envelope. */
    private List<Geometry> forbidden(
            PlanGeometry.Placed unit, Map<String, PlanGeometry.Placed> others, Geometry area, Envelope near) {
        Asked wants = asked.getOrDefault(unit.id(), NOTHING);
        Footprint f = unit.footprint();
        Coordinate[] body = mirrored(f.corners(0, 0, 0, 0));
        List<Geometry> parts = new ArrayList<>();
        for (Solid solid : plan.solids()) {
            if (unit.level(solid.bottom(), solid.top())) {
                for (Coordinate[] part : f.withReach(solid.unit() ? wants.neighbours() : wants.reach())) {
                    add(parts, solid.geometry(), mirrored(part), near);
                }
            } else if (solid.bottom() >= unit.top() - DONE && solid.bottom() < unit.top() + wants.above() - DONE) {
                add(parts, solid.geometry(), body, near);
            }
        }
        for (PlanGeometry.Placed other : others.values()) {
            if (!other.id().equals(unit.id()) && unit.level(other.base(), other.top())) {
                for (Coordinate[] part : f.withReach(wants.neighbours())) {
                    add(parts, other.footprint().polygon(), mirrored(part), near);
                }
                Asked theirs = asked.getOrDefault(other.id(), NOTHING);
                for (Coordinate[] part : other.footprint().withReach(theirs.neighbours())) {
                    add(parts, other.footprint().placed(part), body, near);
                }
            }
        }
        wants.hazards().forEach((kind, distance) -> plan.geometries(kind)
                .forEach(hazard -> add(parts, hazard, rounded(body, distance), near)));
        add(parts, area.getBoundary(), body, near);
        return parts;
    }

    private static final Asked NOTHING = new Asked(Footprint.Reach.NONE, 0, Footprint.Reach.NONE, Map.of());

    private static void add(List<Geometry> parts, Geometry shape, Coordinate[] convex, Envelope near) {
        double reach = 0;
        for (Coordinate c : convex) {
            reach = Math.max(reach, Math.max(Math.abs(c.x), Math.abs(c.y)));
        }
        Envelope grown = new Envelope(shape.getEnvelopeInternal());
        grown.expandBy(reach);
        if (grown.intersects(near)) {
            for (Geometry part : Shapes.sum(shape, convex)) {
                if (part.getEnvelopeInternal().intersects(near)) {
                    parts.add(part);
                }
            }
        }
    }

    private static Coordinate[] mirrored(Coordinate[] corners) {
        Coordinate[] turned = new Coordinate[corners.length];
        for (int i = 0; i < corners.length; i++) {
            turned[i] = new Coordinate(-corners[i].x, -corners[i].y);
        }
        return turned;
    }

    /** The corners of a convex polygon grown by a distance, its round corners replaced by polygons outside them. */
    private static Coordinate[] rounded(Coordinate[] convex, double distance) {
        double outside = distance / Math.cos(Math.PI / CIRCLE_SIDES);
        Coordinate[] grown = new Coordinate[convex.length * CIRCLE_SIDES];
        for (int i = 0; i < convex.length; i++) {
            for (int k = 0; k < CIRCLE_SIDES; k++) {
                double angle = 2 * Math.PI * (k + 0.5) / CIRCLE_SIDES;
                grown[i * CIRCLE_SIDES + k] = new Coordinate(
                        convex[i].x + outside * Math.cos(angle), convex[i].y + outside * Math.sin(angle));
            }
        }
        Geometry hull = new ConvexHull(grown, Shapes.FACTORY).getConvexHull();
        Coordinate[] ring = hull.getCoordinates();
        return Arrays.copyOf(ring, ring.length - 1);
    }
}
