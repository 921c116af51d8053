package org.undanus.core.quantity;

import java.util.function.ToDoubleFunction;

/**
 * Carries uncertainty through a function by central differences of the function itself (JCGM 100, 5.1). Correlation
 * between inputs is ignored. Calls the function 2n + 1 times for n inputs.
 */
public final class Propagation {
    private Propagation() {}

    /** The function's value at the inputs with its standard uncertainty. */
    public static Uncertain through(ToDoubleFunction<double[]> function, Uncertain... inputs) {
        double[] at = new double[inputs.length];
        for (int i = 0; i < inputs.length; i++) {
            at[i] = inputs[i].value();
        }
        double variance = 0;
        for (int i = 0; i < inputs.length; i++) {
            double u = inputs[i].standardUncertainty();
            if (u > 0) {
                double half = (shifted(function, at, i, u) - shifted(function, at, i, -u)) / 2;
                variance += half * half;
            }
        }
        return new Uncertain(function.applyAsDouble(at.clone()), Math.sqrt(variance));
    }

    private static double shifted(ToDoubleFunction<double[]> function, double[] at, int index, double by) {
        double[] moved = at.clone();
        moved[index] += by;
        return function.applyAsDouble(moved);
    }
}
