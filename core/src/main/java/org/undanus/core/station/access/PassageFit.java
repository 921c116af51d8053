package org.undanus.core.station.access;

import org.undanus.core.numeric.Root;

/**
 * Whether a box goes through a rectangular opening, moved straight through along one of its axes. Its cross-section, p by q
 * with p the longer, goes through an opening a by b, a the longer, if it does so straight (p at most a, q at most b) or turned
 * in the plane of the opening: p over a, q at most b and b at least (2pqa + (p² − q²)√(p² + q² − a²)) / (p² + q²)
 * (J. Wetzel, Rectangles in rectangles, Mathematics Magazine 73, 2000). Tilting a box out of that axis is left out: a piece
 * that goes through only so is not counted as going through.
 */
public final class PassageFit {
    private static final double ACCURACY = 1e-7;

    private PassageFit() {}

    /**
     * By how much both sides of the best cross-section could still grow, m; negative where the box does not go through.
     *
     * @param piece the three sizes of the box, m
     * @param width of the opening, m
     * @param height of the opening, m
     */
    public static double spare(double[] piece, double width, double height) {
        double best = Double.NEGATIVE_INFINITY;
        for (int along = 0; along < piece.length; along++) {
            double p = piece[(along + 1) % piece.length];
            double q = piece[(along + 2) % piece.length];
            best = Math.max(
                    best, spare(Math.max(p, q), Math.min(p, q), Math.max(width, height), Math.min(width, height)));
        }
        return best;
    }

    private static double spare(double p, double q, double a, double b) {
        return Root.of(t -> goesThrough(p + t, q + t, a, b) ? -1 : 1, -q, a + b, ACCURACY);
    }

    private static boolean goesThrough(double p, double q, double a, double b) {
        if (q > b) {
            return false;
        }
        if (p <= a) {
            return true;
        }
        double squares = p * p + q * q;
        return b >= (2 * p * q * a + (p * p - q * q) * Math.sqrt(squares - a * a)) / squares;
    }
}
