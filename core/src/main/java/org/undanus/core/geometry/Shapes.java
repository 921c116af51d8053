package org.undanus.core.geometry;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.undanus.core.installation.SitePlan;

/** Makes shapes and sums of shapes. */
final class Shapes {
    private static final double SAME_AREA = 1e-12;

    static final GeometryFactory FACTORY = new GeometryFactory();

    private Shapes() {}

    static Geometry of(SitePlan.Feature feature) {
        List<Coordinate> corners = new ArrayList<>(feature.outline().stream()
                .map(v -> new Coordinate(v.x(), v.y()))
                .toList());
        if (corners.size() == 1) {
            return FACTORY.createPoint(corners.get(0));
        }
        if (feature.closed()) {
            corners.add(corners.get(0).copy());
            return FACTORY.createPolygon(corners.toArray(Coordinate[]::new));
        }
        return FACTORY.createLineString(corners.toArray(Coordinate[]::new));
    }

    static Polygon polygon(Coordinate... corners) {
        Coordinate[] ring = new Coordinate[corners.length + 1];
        System.arraycopy(corners, 0, ring, 0, corners.length);
        ring[corners.length] = corners[0].copy();
        return FACTORY.createPolygon(ring);
    }

    /**
     * The parts whose union is the Minkowski sum of a shape and a convex polygon that holds the origin: the shape itself and,
     * for each of its edges, the hull of the polygon set down at both ends. (A point of the sum is p + k; the way from p to
     * p + k either stays in the shape or crosses its outline, from where the rest of k leads on.) Of a convex shape the sum is
     * one hull.
     */
    static List<Geometry> sum(Geometry shape, Coordinate[] convex) {
        if (isConvex(shape)) {
            return List.of(hull(convex, shape.getCoordinates()));
        }
        List<Geometry> parts = new ArrayList<>();
        if (shape.getDimension() == 2) {
            parts.add(shape);
        }
        for (int g = 0; g < shape.getNumGeometries(); g++) {
            Coordinate[] outline = shape.getGeometryN(g).getCoordinates();
            if (outline.length == 1) {
                parts.add(hull(convex, outline[0]));
            }
            for (int i = 1; i < outline.length; i++) {
                parts.add(hull(convex, outline[i - 1], outline[i]));
            }
        }
        return parts;
    }

    private static boolean isConvex(Geometry shape) {
        return shape.getDimension() == 2
                && shape.getNumGeometries() == 1
                && shape.convexHull().getArea() - shape.getArea() < SAME_AREA;
    }

    /** The hull of a convex polygon set down at each of some points. */
    private static Geometry hull(Coordinate[] convex, Coordinate... at) {
        Coordinate[] all = new Coordinate[at.length * convex.length];
        for (int i = 0; i < at.length; i++) {
            for (int k = 0; k < convex.length; k++) {
                all[i * convex.length + k] = new Coordinate(at[i].x + convex[k].x, at[i].y + convex[k].y);
            }
        }
        return new ConvexHull(all, FACTORY).getConvexHull();
    }
}
