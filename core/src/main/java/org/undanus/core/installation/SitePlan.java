package org.undanus.core.installation;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Grade;
import org.undanus.core.words.RefusedException;

/**
 * The drawing of a site: plan with heights, and a wall elevation for each indoor unit. All figures in metres, in the
 * drawing's own axes: x to the right of the sheet, y up it, heights over the drawing's datum.
 *
 * @param grade how the drawing is known: drawn from own measurements or taken from papers
 * @param accuracy half-width within which a drawn distance is right; empty for the usual tape
 */
public record SitePlan(
        List<Feature> features, List<PlacedUnit> units, List<WallView> walls, Grade grade, Optional<Double> accuracy) {

    /** A drawing that is larger than this is of something else. */
    public static final double FARTHEST = 500;

    private static final int MOST_VERTICES = 2000;

    /** What a feature of the plan is. */
    public enum Kind {
        WALL(true, "wall"),
        OBSTACLE(true, "obstacle"),
        NEIGHBOUR_UNIT(true, "neighbour unit"),
        GROUND(false, "ground"),
        AREA(false, "permitted area"),
        BOUNDARY(false, "boundary"),
        OPENING(false, "opening"),
        WINDOW(false, "window"),
        VENT(false, "vent"),
        GAS_METER(false, "gas meter"),
        ANTENNA(false, "antenna");

        private final boolean solid;
        private final String title;

        Kind(boolean solid, String title) {
            this.solid = solid;
            this.title = title;
        }

        /** Whether it stands on the site; edges and ground do not. */
        public boolean stands() {
            return this != GROUND && this != AREA && this != BOUNDARY;
        }

        /** Whether air and people cannot pass through it. */
        public boolean solid() {
            return solid;
        }

        public String title() {
            return title;
        }

        /** The name files use: {@code gas-meter}. */
        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    public record Vertex(double x, double y) {
        public Vertex {
            requireWithin(x, "A drawn point");
            requireWithin(y, "A drawn point");
        }
    }

    /**
     * @param outline the corners of a closed outline, or the points of a line, or one point
     * @param closed whether the outline is closed
     * @param bottom height of its lower edge; for ground 0
     * @param top height of its upper edge; for ground its level
     */
    public record Feature(
            String id, Kind kind, String title, List<Vertex> outline, boolean closed, double bottom, double top) {
        public Feature {
            Objects.requireNonNull(kind);
            requireId(id);
            outline = List.copyOf(outline);
            requireWithin(bottom, "The bottom of " + id);
            requireWithin(top, "The top of " + id);
            if (bottom > top) {
                throw new RefusedException("The bottom of {id} lies above its top.", id);
            }
            if (outline.isEmpty() || (closed && outline.size() < 3)) {
                throw new RefusedException("The outline of {id} has too few corners.", id);
            }
            boolean area = kind == Kind.AREA || kind == Kind.BOUNDARY || kind == Kind.GROUND;
            if (area && !closed) {
                throw new RefusedException("The outline of {id}, a {kind}, must be closed.", id, kind.title());
            }
        }
    }

    /**
     * An outdoor unit where it stands.
     *
     * @param x of the footprint's centre
     * @param facing direction its front faces, degrees counter-clockwise from the x axis
     * @param base height of its underside
     * @param size where no data sheet gives it
     */
    public record PlacedUnit(
            String component, double x, double y, double facing, double base, Optional<DataSheet.Size> size) {
        public PlacedUnit {
            requireId(component);
            requireWithin(x, "The place of " + component);
            requireWithin(y, "The place of " + component);
            requireWithin(base, "The base of " + component);
            if (!(facing >= 0 && facing < 360)) {
                throw new RefusedException(
                        "The facing of {component} is an angle from 0 to below 360 degrees.", component);
            }
        }
    }

    /** What stands or hangs on an indoor unit's wall. */
    public enum ItemKind {
        OBSTACLE("obstacle", "obstacle"),
        HEAT_SOURCE("heat-source", "heat source"),
        ELECTRONICS("electronics", "electronics"),
        CURTAIN("curtain", "curtain");

        private final String key;
        private final String title;

        ItemKind(String key, String title) {
            this.key = key;
            this.title = title;
        }

        public String title() {
            return title;
        }

        /** The name that files use; it never changes. */
        public String key() {
            return key;
        }
    }

    /** A rectangle on a wall; x from its left corner, y from the floor. */
    public record WallItem(ItemKind kind, String title, double x, double y, double width, double height) {
        public WallItem {
            Objects.requireNonNull(kind);
            requireSize(width, title + " (width)");
            requireSize(height, title + " (height)");
            requireWithin(x, title);
            requireWithin(y, title);
        }
    }

    /**
     * The wall an indoor unit hangs on, as seen from the room.
     *
     * @param left of the unit, from the wall's left corner
     * @param underside of the unit, over the floor
     * @param throwDistance free distance across the room before the unit
     * @param drainOutlet height of the unit's drain outlet
     * @param drainExit height at which the drain leaves the wall
     * @param drainRun length of the drain between the two
     */
    public record WallView(
            String component,
            double width,
            double ceiling,
            double left,
            double underside,
            Optional<Double> throwDistance,
            Optional<Double> drainOutlet,
            Optional<Double> drainExit,
            Optional<Double> drainRun,
            List<WallItem> items,
            Optional<DataSheet.Size> size) {
        public WallView {
            requireId(component);
            requireSize(width, "The wall of " + component + " (width)");
            requireSize(ceiling, "The ceiling of " + component + " (height)");
            requireWithin(left, "The place of " + component);
            requireWithin(underside, "The height of " + component);
            throwDistance.ifPresent(t -> requireSize(t, "The throw of " + component));
            drainRun.ifPresent(t -> requireSize(t, "The drain run of " + component));
            items = List.copyOf(items);
        }
    }

    public SitePlan {
        features = List.copyOf(features);
        units = List.copyOf(units);
        walls = List.copyOf(walls);
        Objects.requireNonNull(grade);
        accuracy.ifPresent(a -> requireSize(a, "The drawing's accuracy"));
        Set<String> ids = new HashSet<>();
        features.forEach(f -> requireNew(ids, f.id()));
        units.forEach(u -> requireNew(ids, u.component()));
        walls.forEach(w -> requireNew(ids, w.component()));
        if (features.stream().mapToInt(f -> f.outline().size()).sum() > MOST_VERTICES) {
            throw new RefusedException("A drawing holds {mostVertices} corners at most.", MOST_VERTICES);
        }
    }

    public Optional<PlacedUnit> unit(String component) {
        return units.stream().filter(u -> u.component().equals(component)).findFirst();
    }

    public Optional<WallView> wall(String component) {
        return walls.stream().filter(w -> w.component().equals(component)).findFirst();
    }

    private static void requireNew(Set<String> ids, String id) {
        if (!ids.add(id)) {
            throw new RefusedException("Two things in the drawing share the id {id}.", id);
        }
    }

    private static void requireId(String id) {
        if (id == null || !id.matches("[A-Za-z0-9][A-Za-z0-9-]{0,59}")) {
            throw new IllegalArgumentException("An id in the drawing is letters, digits and hyphens, 60 at most.");
        }
    }

    private static void requireWithin(double value, String what) {
        if (!(Math.abs(value) <= FARTHEST)) {
            throw new RefusedException(
                    "{what} lies outside the drawing: positions are local metres, {farthest} at most.", what, (int)
                            FARTHEST);
        }
    }

    private static void requireSize(double value, String what) {
        if (!(value > 0 && value <= FARTHEST)) {
            throw new RefusedException("{what} must be more than nothing.", what);
        }
    }
}
