package org.undanus.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** A site's drawing with the sizes of its units: what stands how far from what. Linear in units times corners. */
public final class PlanGeometry {
    private static final double EDGE = 1e-9;
    private static final double OVERLAP = 1e-6;

    /** A distance with the two points it lies between, in plan. */
    public record Distance(double metres, double fromX, double fromY, double toX, double toY, String to) {}

    /**
     * A unit as it stands.
     *
     * @param base of it, m over the ground, as {@code height} is its own
     */
    public record Placed(String id, Footprint footprint, double base, double height) {
        /** m over the ground. */
        public double top() {
            return base + height;
        }

        boolean level(double bottom, double top) {
            return bottom < base + height - EDGE && top > base + EDGE;
        }
    }

    private record Shape(SitePlan.Feature feature, Geometry geometry) {}

    private final List<Shape> shapes;
    private final Map<String, Placed> units = new LinkedHashMap<>();

    /**
     * @param sizes cabinet size by component; a unit without one is left out
     * @throws IllegalArgumentException when an outline crosses itself
     */
    public PlanGeometry(SitePlan plan, Map<String, DataSheet.Size> sizes) {
        shapes = plan.features().stream().map(f -> new Shape(f, Shapes.of(f))).toList();
        for (Shape shape : shapes) {
            if (!shape.geometry.isSimple() || !shape.geometry.isValid()) {
                throw new RefusedException("The outline of {thing} crosses itself.", named(shape.feature));
            }
            if (shape.feature.closed() && shape.geometry.getArea() < OVERLAP) {
                throw new RefusedException("The outline of {thing} encloses nothing.", named(shape.feature));
            }
        }
        for (SitePlan.PlacedUnit unit : plan.units()) {
            Optional.ofNullable(sizes.get(unit.component()))
                    .or(unit::size)
                    .ifPresent(size -> units.put(
                            unit.component(),
                            new Placed(
                                    unit.component(),
                                    new Footprint(
                                            unit.x(),
                                            unit.y(),
                                            size.width().si(),
                                            size.depth().si(),
                                            unit.facing()),
                                    unit.base(),
                                    size.height().si())));
        }
    }

    private static String named(SitePlan.Feature feature) {
        return feature.title().isBlank() ? feature.id() : feature.title();
    }

    /** What stands on the site or bounds it, by what it is called; several called alike are one. */
    Map<String, Geometry> named() {
        Map<String, Geometry> named = new LinkedHashMap<>();
        shapes.stream()
                .filter(shape -> shape.feature.kind().stands())
                .forEach(shape -> named.merge(
                        shape.feature.title().isBlank() ? shape.feature.kind().title() : shape.feature.title(),
                        shape.geometry,
                        Geometry::union));
        return named;
    }

    public Optional<Placed> unit(String id) {
        return Optional.ofNullable(units.get(id));
    }

    public List<Placed> units() {
        return List.copyOf(units.values());
    }

    /** What of the drawing cannot be built: units standing in walls or in each other. One sentence each. */
    public List<Text> overlaps() {
        List<Text> found = new ArrayList<>();
        for (Placed unit : units.values()) {
            Polygon footprint = unit.footprint.polygon();
            solids(unit)
                    .filter(s -> s.geometry.intersection(footprint).getArea() > OVERLAP
                            || (s.geometry.getDimension() < 2
                                    && footprint.buffer(-OVERLAP).intersects(s.geometry)))
                    .forEach(s -> found.add(Text.of("{unit} overlaps {thing}.", unit.id, named(s.feature))));
            units.values().stream()
                    .filter(other -> other.id.compareTo(unit.id) > 0 && unit.level(other.base, other.top()))
                    .filter(other ->
                            other.footprint.polygon().intersection(footprint).getArea() > OVERLAP)
                    .forEach(other -> found.add(Text.of("{unit} overlaps {other}.", unit.id, other.id)));
        }
        return found;
    }

    private Stream<Shape> solids(Placed unit) {
        return shapes.stream()
                .filter(s -> s.feature.kind().solid())
                .filter(s -> unit.level(s.feature.bottom(), s.feature.top()));
    }

    /** The clear distance before a face to anything solid but other units; empty where nothing stands there. */
    public Optional<Distance> clear(String id, Face face) {
        Placed unit = units.get(id);
        if (face == Face.ABOVE) {
            return above(unit);
        }
        return solids(unit)
                .filter(s -> s.feature.kind() != SitePlan.Kind.NEIGHBOUR_UNIT)
                .flatMap(s -> before(unit.footprint, face, s.geometry, named(s.feature)).stream())
                .min(Comparator.comparingDouble(Distance::metres));
    }

    /** The clear distance before a face to another unit. */
    public Optional<Distance> neighbour(String id, Face face) {
        Placed unit = units.get(id);
        Stream<Distance> own = units.values().stream()
                .filter(other -> !other.id.equals(id) && unit.level(other.base, other.top()))
                .flatMap(other -> before(unit.footprint, face, other.footprint.polygon(), other.id).stream());
        Stream<Distance> foreign = solids(unit)
                .filter(s -> s.feature.kind() == SitePlan.Kind.NEIGHBOUR_UNIT)
                .flatMap(s -> before(unit.footprint, face, s.geometry, named(s.feature)).stream());
        return Stream.concat(own, foreign).min(Comparator.comparingDouble(Distance::metres));
    }

    private Optional<Distance> above(Placed unit) {
        Polygon footprint = unit.footprint.polygon();
        return shapes.stream()
                .filter(s -> s.feature.kind().solid() && s.feature.bottom() >= unit.top() - EDGE)
                .filter(s -> s.geometry.intersection(footprint).getArea() > OVERLAP
                        || (s.geometry.getDimension() < 2 && s.geometry.intersects(footprint)))
                .map(s -> new Distance(
                        s.feature.bottom() - unit.top(),
                        unit.footprint.x(),
                        unit.footprint.y(),
                        unit.footprint.x(),
                        unit.footprint.y(),
                        named(s.feature)))
                .min(Comparator.comparingDouble(Distance::metres));
    }

    /** The nearest point of a shape inside the strip before a face; it lies on a corner of what the strip cuts out. */
    private static Optional<Distance> before(Footprint footprint, Face face, Geometry shape, String title) {
        Coordinate out = footprint.normal(face);
        // a hair narrower than the face: what only stands flush with its edge is beside it, not before it
        Footprint narrow = new Footprint(
                footprint.x(),
                footprint.y(),
                footprint.width() - 2 * OVERLAP,
                footprint.depth() - 2 * OVERLAP,
                footprint.facing());
        Geometry cut = shape.intersection(narrow.prism(face, 2 * SitePlan.FARTHEST));
        Coordinate nearest = null;
        double least = Double.POSITIVE_INFINITY;
        for (Coordinate c : cut.getCoordinates()) {
            double away = (c.x - footprint.x()) * out.x + (c.y - footprint.y()) * out.y - footprint.half(face);
            if (away < least) {
                least = away;
                nearest = c;
            }
        }
        if (nearest == null) {
            return Optional.empty();
        }
        double metres = Math.max(0, least);
        return Optional.of(new Distance(
                metres, nearest.x - out.x * metres, nearest.y - out.y * metres, nearest.x, nearest.y, title));
    }

    /** The shortest way in plan from the cabinet to the nearest feature of a kind; empty where none is drawn. */
    public Optional<Distance> nearest(String id, SitePlan.Kind kind) {
        Polygon footprint = units.get(id).footprint.polygon();
        return shapes.stream()
                .filter(s -> s.feature.kind() == kind)
                .map(s -> {
                    // to a boundary it is the line that counts, also from inside
                    Geometry to = kind == SitePlan.Kind.BOUNDARY ? s.geometry.getBoundary() : s.geometry;
                    Coordinate[] ends = new DistanceOp(footprint, to).nearestPoints();
                    return new Distance(
                            ends[0].distance(ends[1]), ends[0].x, ends[0].y, ends[1].x, ends[1].y, named(s.feature));
                })
                .min(Comparator.comparingDouble(Distance::metres));
    }

    /** The highest ground under the cabinet; the datum where none is drawn. */
    public double ground(String id) {
        Polygon footprint = units.get(id).footprint.polygon();
        return shapes.stream()
                .filter(s -> s.feature.kind() == SitePlan.Kind.GROUND && s.geometry.intersects(footprint))
                .mapToDouble(s -> s.feature.top())
                .max()
                .orElse(0);
    }

    /** Solid features with their heights, for the solver. */
    List<SmallestMove.Solid> solids() {
        return shapes.stream()
                .filter(s -> s.feature.kind().solid())
                .map(s -> new SmallestMove.Solid(
                        s.geometry,
                        s.feature.bottom(),
                        s.feature.top(),
                        s.feature.kind() == SitePlan.Kind.NEIGHBOUR_UNIT))
                .toList();
    }

    List<Geometry> geometries(SitePlan.Kind kind) {
        return shapes.stream()
                .filter(s -> s.feature.kind() == kind)
                .map(s -> kind == SitePlan.Kind.BOUNDARY ? s.geometry.getBoundary() : s.geometry)
                .toList();
    }

    /** Where units may stand: the permitted area, else all inside the boundary; empty where neither is drawn. */
    Optional<Geometry> permitted() {
        return Stream.of(SitePlan.Kind.AREA, SitePlan.Kind.BOUNDARY)
                .map(kind -> shapes.stream()
                        .filter(s -> s.feature.kind() == kind)
                        .map(Shape::geometry)
                        .reduce(Geometry::union))
                .flatMap(Optional::stream)
                .findFirst();
    }
}
