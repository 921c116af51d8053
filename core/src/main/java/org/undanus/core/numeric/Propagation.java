package org.undanus.core.numeric;

import java.util.function.ToDoubleFunction;
import org.undanus.core.quantity.Uncertain;

/**
 * Carries uncertainty through a function by central differences of the function itself (JCGM 100, 5.1). Correlation
 * between inputs is ignored. Calls the function 2n + 1 times for n inputs.
 */
public final class Propagation {
    private Propagation() {}

    /**
     * The function's value at the inputs with its standard uncertainty. Where it has none a step away from an input (an air state
     * past saturation, a pressure past a table's end), the step on the other side tells.
     *
     * @throws IllegalArgumentException where it has no value at the inputs themselves, or on neither side of one
     */
    public static Uncertain through(ToDoubleFunction<double[]> function, Uncertain... inputs) {
        double[] at = new double[inputs.length];
        for (int i = 0; i < inputs.length; i++) {
            at[i] = inputs[i].value();
        }
        double middle = function.applyAsDouble(at.clone());
        double variance = 0;
        for (int i = 0; i < inputs.length; i++) {
            double u = inputs[i].standardUncertainty();
            if (u > 0) {
                double half = half(middle, shifted(function, at, i, u), shifted(function, at, i, -u));
                variance += half * half;
            }
        }
        return new Uncertain(middle, Math.sqrt(variance));
    }

    /** Half the difference; where the function has no value on one side (a length that may be nought), all of the other. */
    private static double half(double middle, double above, double below) {
        if (Double.isFinite(above) && Double.isFinite(below)) {
            return (above - below) / 2;
        }
        return (Double.isFinite(above) ? above : below) - middle;
    }

    private static double shifted(ToDoubleFunction<double[]> function, double[] at, int index, double by) {
        double[] moved = at.clone();
        moved[index] += by;
        try {
            return function.applyAsDouble(moved);
        } catch (IllegalArgumentException outsideWhatThereCanBe) {
            return Double.NaN;
        }
    }
}
