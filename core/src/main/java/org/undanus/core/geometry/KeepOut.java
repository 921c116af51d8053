package org.undanus.core.geometry;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.SitePlan.Feature;
import org.undanus.core.installation.SitePlan.Kind;

/** A drawn point and the things that it has to keep off: where it would have to go, at least. */
public final class KeepOut {
    /** So fine that a circle of a metre is off by less than a tenth of a millimetre. */
    private static final int QUADRANT_SEGMENTS = 64;

    /** A place of the plan, m. */
    public record Spot(double x, double y) {}

    private KeepOut() {}

    /** The middle of a drawn thing. */
    public static Spot middle(Feature feature) {
        Point middle = Shapes.of(feature).getCentroid();
        return new Spot(middle.getX(), middle.getY());
    }

    /** How far a spot lies from a drawn thing, m. */
    public static double distance(Spot from, Feature feature) {
        return point(from).distance(Shapes.of(feature));
    }

    /**
     * The nearest spot that keeps off everything; empty where this one does already.
     *
     * @param distances to keep from each kind of thing, m
     */
    public static Optional<Spot> cure(SitePlan plan, Spot from, Map<Kind, Double> distances) {
        List<Geometry> forbidden = plan.features().stream()
                .filter(feature -> distances.getOrDefault(feature.kind(), 0.0) > 0)
                .map(feature -> Shapes.of(feature).buffer(distances.get(feature.kind()), QUADRANT_SEGMENTS))
                .toList();
        Geometry union = Shapes.FACTORY.buildGeometry(forbidden).union();
        if (union.isEmpty() || !union.contains(point(from))) {
            return Optional.empty();
        }
        Coordinate nearest = DistanceOp.nearestPoints(union.getBoundary(), point(from))[0];
        return Optional.of(new Spot(nearest.x, nearest.y));
    }

    private static Point point(Spot spot) {
        return Shapes.FACTORY.createPoint(new Coordinate(spot.x, spot.y));
    }
}
