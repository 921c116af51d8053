package org.undanus.core.geometry;

import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;
import org.undanus.core.installation.Face;

/**
 * A cabinet seen from above. Left and right are as seen by someone facing its front.
 *
 * @param x of its centre
 * @param facing direction of its front, degrees counter-clockwise from the x axis
 */
public record Footprint(double x, double y, double width, double depth, double facing) {

    /** A point in plan. */
    public record Corner(double x, double y) {}

    /** Least clear distance on each side in plan. */
    public record Reach(double front, double back, double left, double right) {
        public static final Reach NONE = new Reach(0, 0, 0, 0);

        double on(Face face) {
            return switch (face) {
                case FRONT -> front;
                case BACK -> back;
                case LEFT -> left;
                case RIGHT -> right;
                default -> throw new IllegalArgumentException(face + " is not a side in plan");
            };
        }
    }

    public Footprint {
        if (!(width > 0 && depth > 0)) {
            throw new IllegalArgumentException("A cabinet's width and depth must be more than nothing.");
        }
    }

    public Footprint movedTo(double newX, double newY, double newFacing) {
        return new Footprint(newX, newY, width, depth, newFacing);
    }

    /** The outward direction of a face. */
    Coordinate normal(Face face) {
        double turn =
                switch (face) {
                    case FRONT -> 0;
                    case LEFT -> -90;
                    case BACK -> 180;
                    case RIGHT -> 90;
                    default -> throw new IllegalArgumentException(face + " is not a side in plan");
                };
        // quarter turns are kept exact, so that a cabinet along the axes stays so
        double degrees = ((facing + turn) % 360 + 360) % 360;
        if (degrees % 90 == 0) {
            int quarter = (int) (degrees / 90);
            int[] cosines = {1, 0, -1, 0};
            int[] sines = {0, 1, 0, -1};
            return new Coordinate(cosines[quarter], sines[quarter]);
        }
        double radians = Math.toRadians(degrees);
        return new Coordinate(Math.cos(radians), Math.sin(radians));
    }

    double half(Face face) {
        return (face == Face.FRONT || face == Face.BACK ? depth : width) / 2;
    }

    /** Corners relative to the centre of the cabinet grown on each side. */
    Coordinate[] corners(double front, double back, double left, double right) {
        Coordinate f = normal(Face.FRONT);
        Coordinate l = normal(Face.LEFT);
        double ahead = depth / 2 + front;
        double behind = -depth / 2 - back;
        double toLeft = width / 2 + left;
        double toRight = -width / 2 - right;
        return new Coordinate[] {
            at(f, ahead, l, toLeft), at(f, behind, l, toLeft), at(f, behind, l, toRight), at(f, ahead, l, toRight)
        };
    }

    private static Coordinate at(Coordinate f, double ahead, Coordinate l, double left) {
        return new Coordinate(f.x * ahead + l.x * left, f.y * ahead + l.y * left);
    }

    /** The convex parts, relative to the centre, of the cabinet with the clear space before each face. */
    Coordinate[][] withReach(Reach reach) {
        return new Coordinate[][] {
            corners(reach.front, reach.back, 0, 0), corners(0, 0, reach.left, reach.right),
        };
    }

    Polygon placed(Coordinate[] relative) {
        Coordinate[] moved = new Coordinate[relative.length];
        for (int i = 0; i < relative.length; i++) {
            moved[i] = new Coordinate(relative[i].x + x, relative[i].y + y);
        }
        return Shapes.polygon(moved);
    }

    /** Its four corners; the first and the last bound the front. */
    public List<Corner> outline() {
        return Arrays.stream(corners(0, 0, 0, 0))
                .map(c -> new Corner(c.x + x, c.y + y))
                .toList();
    }

    Polygon polygon() {
        return placed(corners(0, 0, 0, 0));
    }

    /** What lies straight before a face up to a distance. */
    Polygon prism(Face face, double far) {
        Coordinate[] grown =
                switch (face) {
                    case FRONT -> corners(far, -depth, 0, 0);
                    case BACK -> corners(-depth, far, 0, 0);
                    case LEFT -> corners(0, 0, far, -width);
                    case RIGHT -> corners(0, 0, -width, far);
                    default -> throw new IllegalArgumentException(face + " is not a side in plan");
                };
        return placed(grown);
    }
}
