package org.undanus.core.curve;

import java.util.Optional;
import org.undanus.core.evidence.Outline;

/**
 * How a pressure under a running pump falls just now: ln p over time, a straight line through the last third of the pull. Held
 * against what pump and hose can do at that pressure it tells how much longer a level takes.
 *
 * @param rate at which it falls, 1/s; negative where it rises
 * @param spread standard uncertainty of the rate, 1/s
 * @param last pressure at the end by that line, Pa
 */
public record Falling(double rate, double spread, double last) {
    private static final int FEWEST = 6;
    private static final double PART = 1.0 / 3;
    private static final double COVERAGE = 2;

    /**
     * How much longer something takes.
     *
     * @param least s
     * @param most s; infinite where it may never come
     */
    public record Span(double least, double most) {}

    /**
     * @param pull absolute pressure with the pump on, Pa
     * @param step of the display, Pa
     * @return empty of too few samples
     */
    public static Optional<Falling> of(Outline pull, double step) {
        int first = (int) Math.floor(pull.size() * (1 - PART));
        int n = pull.size() - first;
        if (n < FEWEST || !(pull.mean(pull.size() - 1) > 0)) {
            return Optional.empty();
        }
        double[] one = new double[n];
        double[] t = new double[n];
        double[] log = new double[n];
        double[] shown = new double[n];
        for (int i = 0; i < n; i++) {
            one[i] = 1;
            t[i] = pull.seconds(first + i) - pull.seconds(pull.size() - 1);
            shown[i] = Math.max(pull.mean(first + i), step);
            log[i] = Math.log(shown[i]);
        }
        LinearFit line = LinearFit.of(log, one, t);
        double last = Math.exp(line.coefficient(0));
        double floor = step * step / (12 * last * last);
        double variance = Math.max(line.squares() / (n - 2), floor) * n / Independent.of(line.residuals(), shown);
        return Optional.of(new Falling(-line.coefficient(1), Math.sqrt(variance * line.spread(1, 1)), last));
    }

    /**
     * How much longer it takes to a level, were it to go on as it goes beside what pump and hose can do (about 95 %).
     *
     * @param level Pa
     */
    public Span until(double level, PullDown able) {
        if (level >= last) {
            return new Span(0, 0);
        }
        double best = able.time(last, level) * able.speedAt(last) * (1 - able.ultimate() / last) / able.volume();
        double slowest = rate - COVERAGE * spread;
        double fastest = rate + COVERAGE * spread;
        return new Span(
                fastest > 0 ? best / fastest : Double.POSITIVE_INFINITY,
                slowest > 0 ? best / slowest : Double.POSITIVE_INFINITY);
    }
}
