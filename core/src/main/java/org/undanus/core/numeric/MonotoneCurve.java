package org.undanus.core.numeric;

import java.util.Arrays;

/**
 * A smooth curve through known points that never overshoots between them: piecewise cubic with the slopes of Fritsch and Carlson
 * (SIAM Journal on Numerical Analysis 17, 1980).
 */
public final class MonotoneCurve {
    private final double[] x;
    private final double[] y;
    private final double[] slope;

    /**
     * @param x rising
     * @param y rising or falling throughout; of two values the line between them is taken
     * @throws IllegalArgumentException when x does not rise or y turns
     */
    public MonotoneCurve(double[] x, double[] y) {
        if (x.length != y.length || x.length < 2) {
            throw new IllegalArgumentException("A curve needs two points at least");
        }
        this.x = x.clone();
        this.y = y.clone();
        double direction = Math.signum(y[y.length - 1] - y[0]);
        for (int i = 1; i < x.length; i++) {
            if (!(x[i] > x[i - 1])) {
                throw new IllegalArgumentException("Two points stand at the same place, or out of order");
            }
            if ((y[i] - y[i - 1]) * direction < 0) {
                throw new IllegalArgumentException("The curve turns back between its points");
            }
        }
        this.slope = slopes(this.x, this.y);
    }

    private static double[] slopes(double[] x, double[] y) {
        int n = x.length;
        double[] secant = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            secant[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
        }
        double[] slope = new double[n];
        slope[0] = secant[0];
        slope[n - 1] = secant[n - 2];
        for (int i = 1; i < n - 1; i++) {
            slope[i] = secant[i - 1] * secant[i] <= 0 ? 0 : (secant[i - 1] + secant[i]) / 2;
        }
        for (int i = 0; i < n - 1; i++) {
            if (secant[i] == 0) {
                slope[i] = 0;
                slope[i + 1] = 0;
                continue;
            }
            double a = slope[i] / secant[i];
            double b = slope[i + 1] / secant[i];
            double size = Math.hypot(a, b);
            if (size > 3) {
                slope[i] = 3 * a / size * secant[i];
                slope[i + 1] = 3 * b / size * secant[i];
            }
        }
        return slope;
    }

    /** Whether a place lies between the first and the last point. */
    public boolean covers(double at) {
        return at >= x[0] && at <= x[x.length - 1];
    }

    /** The curve's value; beyond its ends the value at the end. */
    public double at(double place) {
        double p = Math.max(x[0], Math.min(x[x.length - 1], place));
        int found = Arrays.binarySearch(x, p);
        int i = Math.min(found >= 0 ? found : -found - 2, x.length - 2);
        double h = x[i + 1] - x[i];
        double t = (p - x[i]) / h;
        double t2 = t * t;
        double t3 = t2 * t;
        return (2 * t3 - 3 * t2 + 1) * y[i]
                + (t3 - 2 * t2 + t) * h * slope[i]
                + (-2 * t3 + 3 * t2) * y[i + 1]
                + (t3 - t2) * h * slope[i + 1];
    }
}
