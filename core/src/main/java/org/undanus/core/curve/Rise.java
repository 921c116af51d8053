package org.undanus.core.curve;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.undanus.core.evidence.Outline;
import org.undanus.core.quantity.Uncertain;

/**
 * How the pressure rose in an evacuated system with its pump valved off. Four courses are fitted by least squares: flat, straight
 * (a leak), levelling off (moisture leaving oil and wall) and both, p = p₀ + a·t + m·(1 − e^(−t/τ)); the one with the least corrected
 * Akaike criterion is chosen (Hurvich and Tsai, Biometrika 76, 1989).
 *
 * <p>What the leak is known by is the profile of the whole model: every a with which some p₀, m and τ come as near to the
 * samples as chance allows. Water can add no more than the pressure at which it boils at the warmest wall; without that bound
 * no time is long enough to tell a leak from moisture that leaves ever more slowly.
 *
 * @param model chosen
 * @param first pressure at the beginning by the fit, Pa
 * @param last pressure at the end by the fit, Pa
 * @param leak a, Pa/s, by the model of both: the middle of its bounds
 * @param leastLeak its lower bound (about 95 %), Pa/s
 * @param mostLeak its upper bound, Pa/s
 * @param moisture m, how much the levelling part adds, Pa; 0 in courses without it
 * @param settling τ, s; 0 in courses without it
 * @param lasting s
 * @param noise standard deviation of a sample about the course, Pa
 * @param independent how many samples' worth of chance there is in it
 */
public record Rise(
        Model model,
        double first,
        double last,
        double leak,
        double leastLeak,
        double mostLeak,
        double moisture,
        double settling,
        double lasting,
        double noise,
        double independent) {

    /** The courses there are. */
    public enum Model {
        FLAT(2),
        STRAIGHT(3),
        LEVELLING(4),
        BOTH(5);

        /** Numbers fitted, the scatter among them. */
        private final int numbers;

        Model(int numbers) {
            this.numbers = numbers;
        }

        /** Whether part of it levels off. */
        public boolean levels() {
            return this == LEVELLING || this == BOTH;
        }

        /** Whether part of it climbs on. */
        public boolean climbs() {
            return this == STRAIGHT || this == BOTH;
        }
    }

    /** The fewest samples that are read. */
    public static final int FEWEST = 6;

    /** Two courses this near by the criterion are told apart by nothing (Burnham and Anderson, 2002). */
    private static final double AS_GOOD = 2;

    private static final int EXTENDED = 80;
    private static final double LONGER = 1.25;
    private static final int MOST_LONGER = 24;
    private static final Cache<Asked, Rise> READ =
            Caffeine.newBuilder().maximumSize(2000).build();

    private record Asked(Outline curve, double step, double mostMoisture) {}

    /**
     * @param curve absolute pressure, Pa
     * @param step of the display, Pa
     * @param mostMoisture what water can add at most, Pa: its saturation pressure at the warmest wall
     * @throws IllegalArgumentException of fewer samples than can be read
     */
    public static Rise of(Outline curve, double step, double mostMoisture) {
        if (curve.size() < FEWEST) {
            throw new IllegalArgumentException("A rise is read from " + FEWEST + " samples at least");
        }
        return READ.get(new Asked(curve, step, mostMoisture), asked -> read(asked));
    }

    private static Rise read(Asked asked) {
        double[] t = new double[asked.curve.size()];
        double[] p = new double[t.length];
        for (int i = 0; i < t.length; i++) {
            t[i] = asked.curve.seconds(i) - asked.curve.seconds(0);
            p[i] = asked.curve.mean(i);
        }
        Courses courses = new Courses(t, p, asked.mostMoisture);
        double independent = Independent.of(courses.nearest().residuals(), p);
        double floor = asked.step * asked.step / 12;
        double variance = Math.max(variance(courses.nearest().residuals()), floor);
        Courses.Course chosen = courses.best().get(0);
        for (Courses.Course course : courses.best()) {
            double gain = criterion(chosen, independent, floor) - criterion(course, independent, floor);
            boolean simpler = course.model().numbers <= chosen.model().numbers;
            chosen = gain > (simpler ? 0 : AS_GOOD) ? course : chosen;
        }
        double[] leak = courses.leaks(Courses.COVERAGE * variance * t.length / independent);
        double end = t[t.length - 1];
        return new Rise(
                chosen.model(),
                chosen.first(),
                chosen.at(end),
                (leak[0] + leak[1]) / 2,
                leak[0],
                leak[1],
                chosen.moisture(),
                chosen.settling(),
                end,
                Math.sqrt(variance),
                independent);
    }

    /** Gauges scatter more the higher they read: the half of the samples that scatters more counts. */
    private static double variance(double[] residuals) {
        int half = residuals.length / 2;
        double early = 0;
        double late = 0;
        for (int i = 0; i < half; i++) {
            early += residuals[i] * residuals[i];
            late += residuals[residuals.length - 1 - i] * residuals[residuals.length - 1 - i];
        }
        double fitted = (double) residuals.length / Math.max(1, residuals.length - 4);
        return Math.max(early, late) / half * fitted;
    }

    private static double criterion(Courses.Course course, double independent, double floor) {
        int k = course.model().numbers;
        double mean = Math.max(course.squares() / course.residuals().length, Math.max(floor, Double.MIN_NORMAL));
        if (independent <= k + 1) {
            return k <= Model.STRAIGHT.numbers ? independent * Math.log(mean) + 2 * k : Double.POSITIVE_INFINITY;
        }
        return independent * Math.log(mean) + 2 * k + 2.0 * k * (k + 1) / (independent - k - 1);
    }

    /** Where the pressure would come to rest without a leak, Pa; of a course that does not level off where it began. */
    public double plateau() {
        return first + moisture;
    }

    /**
     * Where the pressure would come to rest without a leak, Pa, with its uncertainty: of the fit, and of a gauge that shows all of it too high or low.
     *
     * @param gain share by which it may, as a standard uncertainty
     */
    public Uncertain plateau(double gain) {
        double[][] rested = slopes(1, i -> lasting);
        int settled = model.climbs() ? 2 : 1;
        for (int i = 1; i < rested.length; i++) {
            rested[i][0] = model.levels() && i == settled ? 1 : 0;
        }
        return new Uncertain(plateau(), Math.hypot(spread(fit(), rested), gain * plateau()));
    }

    /** What it may leak at the least and at the most, Pa/s. */
    public record Leaks(double least, double most) {}

    /**
     * The least and the most that it may leak: the bounds of the fit, widened by a gauge that shows every change too large or
     * small. The two do not know of each other.
     *
     * @param gain share by which it may, as a standard uncertainty
     */
    public Leaks leaks(double gain) {
        double byGain = new Uncertain(0, gain * leak).expanded();
        double half = Math.hypot((mostLeak - leastLeak) / 2, byGain);
        return new Leaks(Math.max(0, leak - half), leak + half);
    }

    /** The pressure at a time by the course chosen, Pa. */
    public double at(double seconds) {
        return course().at(seconds);
    }

    /**
     * Standard uncertainty of the course at a time, Pa by s: of its numbers together, by the covariance of the fit (the course
     * taken as straight in its numbers, JCGM 102, 6).
     */
    public DoubleUnaryOperator spread() {
        LinearFit fit = fit();
        return seconds -> spread(fit, slopes(1, i -> seconds));
    }

    private LinearFit fit() {
        return LinearFit.of(new double[EXTENDED], slopes(EXTENDED, i -> lasting * i / (EXTENDED - 1)));
    }

    private double spread(LinearFit fit, double[][] here) {
        double sum = 0;
        for (int i = 0; i < here.length; i++) {
            for (int j = 0; j < here.length; j++) {
                sum += here[i][0] * here[j][0] * fit.spread(i, j);
            }
        }
        return noise * Math.sqrt(Math.max(0, sum) * EXTENDED / independent);
    }

    /** By how much the course moves with each of its numbers, at some times. */
    private double[][] slopes(int times, IntToDoubleFunction at) {
        List<DoubleUnaryOperator> each = new ArrayList<>();
        each.add(t -> 1);
        if (model.climbs()) {
            each.add(t -> t / lasting);
        }
        if (model.levels()) {
            each.add(t -> Courses.settled(t, settling));
            each.add(t -> t / settling * Math.exp(-t / settling));
        }
        return each.stream()
                .map(slope -> IntStream.range(0, times)
                        .mapToDouble(i -> slope.applyAsDouble(at.applyAsDouble(i)))
                        .toArray())
                .toArray(double[][]::new);
    }

    private Courses.Course course() {
        double settled = moisture == 0 ? 0 : Courses.settled(lasting, settling);
        double climbing = model.climbs() ? (last - first - moisture * settled) / lasting : 0;
        return new Courses.Course(model, first, climbing, moisture, settling, new double[0], 0);
    }

    /**
     * How long it would have to be isolated in all to know the leak so well, were it to go on as it did; empty where much
     * longer would not do.
     *
     * @param wide greatest width of the bounds, Pa/s
     * @return s
     */
    public OptionalDouble needed(double wide, double mostMoisture) {
        double[] t = new double[EXTENDED];
        double[] p = new double[EXTENDED];
        Courses.Course on = course();
        double whole = lasting;
        for (int i = 0; i < MOST_LONGER; i++, whole *= LONGER) {
            for (int j = 0; j < EXTENDED; j++) {
                t[j] = whole * j / (EXTENDED - 1);
                p[j] = on.at(t[j]);
            }
            double allowed = Courses.COVERAGE * noise * noise * EXTENDED / (independent * whole / lasting);
            double[] told = new Courses(t, p, mostMoisture).leaks(allowed);
            if (told[1] - told[0] <= wide) {
                return OptionalDouble.of(whole);
            }
        }
        return OptionalDouble.empty();
    }
}
