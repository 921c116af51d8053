package org.undanus.core.numeric;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Where a rising function crosses zero. About eight calls of the function where it is smooth. */
public final class Root {
    private static final int MOST_CALLS = 200;
    private static final int ORDER = 5;
    private static final double RELATIVE = 1e-14;
    private static final double FLAT = 1e-15;

    private Root() {}

    /**
     * @param rising a function that rises from low to high, and may step
     * @param accuracy of the place, absolute
     * @return the place of the crossing; the nearer end where there is none between
     */
    public static double of(DoubleUnaryOperator rising, double low, double high, double accuracy) {
        if (rising.applyAsDouble(low) >= 0) {
            return low;
        }
        if (rising.applyAsDouble(high) <= 0) {
            return high;
        }
        return new BracketingNthOrderBrentSolver(RELATIVE, accuracy, FLAT, ORDER)
                .solve(MOST_CALLS, rising::applyAsDouble, low, high);
    }
}
