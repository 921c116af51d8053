package org.undanus.core.audit;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** To what somebody rounds what they write, told from what they wrote: the coarsest step that nearly all of it are multiples of. */
final class Rounding {
    private static final double NEARLY_ALL = 0.9;
    private static final double CLOSE = 1e-6;
    private static final int FEWEST = 5;
    /** Three different times of a day on the hour, of who writes minutes, come about once in two hundred thousand. */
    private static final int FEWEST_CLOCKS = 3;

    private static final double MINUTE = 60;
    /** What clocks and time spans are rounded to, s, from coarse to fine. */
    private static final double[] TIMES = {60 * MINUTE, 30 * MINUTE, 15 * MINUTE, 10 * MINUTE, 5 * MINUTE, MINUTE};
    /** What numbers are rounded to, in units of their last digit. */
    private static final double[] DIGITS = {10, 5, 2, 1};

    private Rounding() {}

    /** Of lengths of time, s; a minute where there are too few to tell. */
    static double ofTimes(Collection<Double> seconds) {
        return coarsest(seconds, TIMES).orElse(MINUTE);
    }

    /** Of different times of day of one record, s; a minute where there are too few to tell. */
    static double ofClocks(Collection<Double> secondsOfDay) {
        return secondsOfDay.size() < FEWEST_CLOCKS
                ? MINUTE
                : step(secondsOfDay, TIMES).orElse(MINUTE);
    }

    /** Of one length of time by itself, s: who writes a ten or a five may have rounded to it. */
    static double ofTime(double seconds) {
        return DoubleStream.of(TIMES)
                .filter(step -> step <= 10 * MINUTE && multiple(seconds, step))
                .findFirst()
                .orElse(MINUTE);
    }

    /** Of numbers of one line, in units of their last digit; 1 where there are too few to tell. */
    static double ofNumbers(List<Double> inLastDigits) {
        return coarsest(inLastDigits, DIGITS).orElse(1.0);
    }

    private static Optional<Double> coarsest(Collection<Double> values, double[] steps) {
        return values.size() < FEWEST ? Optional.empty() : step(values, steps);
    }

    private static Optional<Double> step(Collection<Double> values, double[] steps) {
        return DoubleStream.of(steps)
                .filter(step ->
                        values.stream().filter(value -> multiple(value, step)).count() >= NEARLY_ALL * values.size())
                .boxed()
                .findFirst();
    }

    private static boolean multiple(double value, double step) {
        return Math.abs(value / step - Math.rint(value / step)) < CLOSE;
    }
}
