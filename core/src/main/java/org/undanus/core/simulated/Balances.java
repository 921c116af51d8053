package org.undanus.core.simulated;

import java.util.function.UnaryOperator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/** Several balances that must all come to nought, solved by Newton's method with short steps and slopes taken by differences. */
final class Balances {
    private static final double STEP = 1e-4;
    private static final double FARTHEST = 3;
    private static final int ROUNDS = 200;
    private static final double CLOSE = 1e-7;

    private Balances() {}

    /**
     * Where all are nought.
     *
     * @param off as many balances as unknowns
     * @param start a first guess of the unknowns
     * @param kept what brings unknowns back into what there can be, after each step
     * @throws IllegalArgumentException where they do not come to nought together
     */
    static double[] solve(UnaryOperator<double[]> off, double[] start, UnaryOperator<double[]> kept) {
        double[] x = start.clone();
        for (int round = 0; round < ROUNDS; round++) {
            double[] here = off.apply(x);
            if (greatest(here) < CLOSE) {
                return x;
            }
            double[][] slopes = new double[x.length][x.length];
            for (int i = 0; i < x.length; i++) {
                double[] moved = x.clone();
                moved[i] += STEP;
                double[] there = off.apply(moved);
                for (int j = 0; j < x.length; j++) {
                    slopes[j][i] = (there[j] - here[j]) / STEP;
                }
            }
            double[] by = new LUDecomposition(new Array2DRowRealMatrix(slopes, false))
                    .getSolver()
                    .solve(new ArrayRealVector(here))
                    .toArray();
            double part = Math.min(1, FARTHEST / Math.max(greatest(by), 1e-12));
            for (int i = 0; i < x.length; i++) {
                x[i] -= part * by[i];
            }
            x = kept.apply(x);
        }
        throw new IllegalArgumentException("It cannot run like this");
    }

    private static double greatest(double[] values) {
        double most = 0;
        for (double each : values) {
            most = Math.max(most, Math.abs(each));
        }
        return most;
    }
}
