package org.undanus.core.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.undanus.core.curve.Rise.Model;

/**
 * Every course p₀ + a·t + m·(1 − e^(−t/τ)) through the samples of a rise, with a and m not below nought and m at most what water can
 * add. For a given τ the rest is linear, so that τ alone is searched (variable projection, Golub and Pereyra, SIAM Journal on
 * Numerical Analysis 10, 1973): first over a wide grid, then closely about the best.
 */
final class Courses {
    /** Square of the coverage factor k = 2. */
    static final double COVERAGE = 4;

    private static final int SETTLINGS = 48;
    /** Settling times tried, as shares of the time there is. */
    private static final double SHORTEST = 0.02;

    private static final double LONGEST = 100;
    private static final double APART = Math.pow(LONGEST / SHORTEST, 1 / (SETTLINGS - 1.0));
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final int NARROWED = 24;
    private static final int CLOSE = 32;
    private static final int HALVINGS = 20;

    /** One course, with what it leaves. */
    record Course(
            Model model,
            double first,
            double leak,
            double moisture,
            double settling,
            double[] residuals,
            double squares) {

        double at(double time) {
            return first + leak * time + (moisture == 0 ? 0 : moisture * settled(time, settling));
        }
    }

    private final double[] t;
    private final double[] p;
    private final double[] one;
    private final double mostMoisture;
    private final LinearFit line;
    private final List<Course> best = new ArrayList<>();
    private final Course nearest;

    Courses(double[] t, double[] p, double mostMoisture) {
        this.t = t;
        this.p = p;
        this.mostMoisture = mostMoisture;
        one = new double[t.length];
        Arrays.fill(one, 1);
        line = LinearFit.of(p, one, t);
        LinearFit flat = LinearFit.of(p, one);
        best.add(new Course(Model.FLAT, flat.coefficient(0), 0, 0, 0, flat.residuals(), flat.squares()));
        best.add(new Course(
                Model.STRAIGHT, line.coefficient(0), line.coefficient(1), 0, 0, line.residuals(), line.squares()));
        settling(settling -> levelling(settling).squares).map(this::levelling).ifPresent(best::add);
        settling(settling -> both(settling).squares).map(this::both).ifPresent(best::add);
        nearest = best.stream().reduce((a, b) -> b.squares < a.squares ? b : a).orElseThrow();
    }

    /** The best of each kind, the simplest first. */
    List<Course> best() {
        return best;
    }

    /** The one that leaves the fewest squares. */
    Course nearest() {
        return nearest;
    }

    static double settled(double time, double settling) {
        return -Math.expm1(-time / settling);
    }

    private double[] settled(double settling) {
        return Arrays.stream(t).map(time -> settled(time, settling)).toArray();
    }

    private boolean possible(double moisture) {
        return moisture > 0 && moisture <= mostMoisture;
    }

    private Course levelling(double settling) {
        LinearFit fit = LinearFit.of(p, one, settled(settling));
        double squares = possible(fit.coefficient(1)) ? fit.squares() : Double.POSITIVE_INFINITY;
        return new Course(
                Model.LEVELLING, fit.coefficient(0), 0, fit.coefficient(1), settling, fit.residuals(), squares);
    }

    private Course both(double settling) {
        LinearFit fit = LinearFit.of(p, one, t, settled(settling));
        boolean can = fit.coefficient(1) > 0 && possible(fit.coefficient(2));
        return new Course(
                Model.BOTH,
                fit.coefficient(0),
                fit.coefficient(1),
                fit.coefficient(2),
                settling,
                fit.residuals(),
                can ? fit.squares() : Double.POSITIVE_INFINITY);
    }

    private double[] settlings() {
        double[] all = new double[SETTLINGS];
        for (int i = 0; i < SETTLINGS; i++) {
            all[i] = t[t.length - 1] * SHORTEST * Math.pow(APART, i);
        }
        return all;
    }

    /** The settling time that leaves the fewest squares; empty where none can be. */
    private Optional<Double> settling(DoubleUnaryOperator squares) {
        double found = Double.NaN;
        double fewest = Double.POSITIVE_INFINITY;
        for (double settling : settlings()) {
            double left = squares.applyAsDouble(settling);
            if (left < fewest) {
                fewest = left;
                found = settling;
            }
        }
        if (Double.isNaN(found)) {
            return Optional.empty();
        }
        double closer = narrowed(squares, found / APART, found * APART);
        return Optional.of(squares.applyAsDouble(closer) < fewest ? closer : found);
    }

    /** By the golden section, over the logarithm. */
    private static double narrowed(DoubleUnaryOperator squares, double from, double to) {
        double low = Math.log(from);
        double high = Math.log(to);
        for (int i = 0; i < NARROWED; i++) {
            double a = high - GOLDEN * (high - low);
            double b = low + GOLDEN * (high - low);
            if (squares.applyAsDouble(Math.exp(a)) <= squares.applyAsDouble(Math.exp(b))) {
                high = b;
            } else {
                low = a;
            }
        }
        return Math.exp((low + high) / 2);
    }

    /**
     * The least and the greatest leak of a course that leaves no more squares than the nearest and so many; a leak adds, so
     * none is below nought.
     *
     * @param more squares allowed beyond those of the nearest
     * @return Pa/s
     */
    double[] leaks(double more) {
        double allowed = nearest.squares + more;
        double[] bounds = {Double.POSITIVE_INFINITY, 0};
        widen(bounds, line, allowed);
        for (double settling : settlings()) {
            widen(bounds, settling, allowed);
        }
        if (nearest.settling > 0) {
            double low = edge(nearest.settling, 1 / APART, allowed);
            double high = edge(nearest.settling, APART, allowed);
            for (int i = 0; i < CLOSE; i++) {
                widen(bounds, low * Math.pow(high / low, i / (CLOSE - 1.0)), allowed);
            }
        }
        return new double[] {Math.min(bounds[0], bounds[1]), bounds[1]};
    }

    /** How far the settling time can go that way before every course leaves too much; one step of the grid at most. */
    private double edge(double settling, double step, double allowed) {
        double within = 0;
        double beyond = 1;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (within + beyond) / 2;
            double tried = settling * Math.pow(step, middle);
            if (LinearFit.of(p, one, t, settled(tried)).squares() <= allowed) {
                within = middle;
            } else {
                beyond = middle;
            }
        }
        return settling * Math.pow(step, within);
    }

    private void widen(double[] bounds, double settling, double allowed) {
        double[] e = settled(settling);
        LinearFit full = LinearFit.of(p, one, t, e);
        double half = half(full, allowed);
        if (Double.isNaN(half)) {
            return;
        }
        double follows = full.spread(1, 2) / full.spread(1, 1);
        for (int side = -1; side <= 1; side += 2) {
            double moisture = full.coefficient(2) + side * half * follows;
            if (moisture >= 0 && moisture <= mostMoisture) {
                take(bounds, full.coefficient(1) + side * half);
            }
        }
        double[] dry = new double[p.length];
        for (int i = 0; i < p.length; i++) {
            dry[i] = p[i] - mostMoisture * e[i];
        }
        widen(bounds, LinearFit.of(dry, one, t), allowed);
    }

    /** How far the slope may be from its best and leave no more squares than allowed; not a number where even that leaves more. */
    private static double half(LinearFit fit, double allowed) {
        return Math.sqrt((allowed - fit.squares()) * fit.spread(1, 1));
    }

    private static void widen(double[] bounds, LinearFit fit, double allowed) {
        double half = half(fit, allowed);
        if (!Double.isNaN(half)) {
            take(bounds, fit.coefficient(1) - half);
            take(bounds, fit.coefficient(1) + half);
        }
    }

    private static void take(double[] bounds, double leak) {
        bounds[0] = Math.min(bounds[0], Math.max(0, leak));
        bounds[1] = Math.max(bounds[1], Math.max(0, leak));
    }
}
