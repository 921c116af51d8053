package org.undanus.core.derived;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Outline;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.FieldUnit;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/** A curve over time as a chart: its samples with every spike, what was done meanwhile, and levels it is held against. */
public final class CurvePlot {
    /** How its values go up the sheet. */
    public enum Scale {
        /** Each step the same. */
        LINEAR,
        /** Each step ten times as much. */
        LOGARITHMIC;

        private double back(double onScale) {
            return this == LOGARITHMIC ? Math.pow(10, onScale) : onScale;
        }

        private double of(double value) {
            return this == LOGARITHMIC ? Math.log10(Math.max(value, 1e-3)) : value;
        }
    }

    private static final int TICKS = 4;
    private static final int DRAWN = 120;
    private static final double MARGIN = 0.06;
    /** Where marks are named, over the chart. */
    private static final double OVER = 1.08;
    /** So many times the usual time between samples is a gap. */
    private static final double GAP = 8;
    /** How high a cursor's values stand. */
    private static final double CURSOR = 0.92;
    /** Where levels may be named. */
    private static final double[] BESIDE = {0.86, 0.62, 0.38, 0.14};
    /** Where levels that nobody here asks for are named. */
    private static final double NAMED = 0.84;
    /** About half the width and the height of words, as shares of the chart. */
    private static final double WORDS = 0.12;

    private final Scale scale;
    private final Dimension dimension;
    private final double from;
    private final double until;
    private final double low;
    private final double high;
    private final Drawing.Builder drawing;
    private final List<Place> drawn = new ArrayList<>();
    private final List<Level> levels = new ArrayList<>();

    /** @param up on the chart */
    private record Level(double up, Text words, Meaning meaning) {}

    /**
     * @param from the first moment on it, s
     * @param until the last one, s
     * @param least smallest value on it, SI
     * @param most largest value on it, SI
     */
    public CurvePlot(
            Text title, Scale scale, Dimension dimension, double from, double until, double least, double most) {
        this.scale = scale;
        this.dimension = dimension;
        this.from = from;
        this.until = Math.max(until, from + 1);
        double room = Math.max(
                scale.of(most) - scale.of(least), scale == Scale.LOGARITHMIC ? 0.3 : Math.abs(most) * 1e-3 + 1e-9);
        this.low = scale.of(least) - MARGIN * room;
        this.high = scale.of(least) + (1 + MARGIN) * room;
        this.drawing = Drawing.of(title, Frame.stretched(-0.16, -0.14, 1.04, 1.13));
        axes();
    }

    private double across(double seconds) {
        return Math.max(0, Math.min(1, (seconds - from) / (until - from)));
    }

    private double up(double value) {
        return Math.max(0, Math.min(1, (scale.of(value) - low) / (high - low)));
    }

    private Place place(double seconds, double value) {
        return Place.of(across(seconds), up(value));
    }

    private void axes() {
        drawing.line(Role.OUTLINE, Place.of(0, 0), Place.of(1, 0)).line(Role.OUTLINE, Place.of(0, 0), Place.of(0, 1));
        for (UnitSystem units : UnitSystem.values()) {
            FieldUnit unit = QuantityFormat.of(units).unit(dimension.of(scale.back(low)));
            drawing.only(units, axis -> ticks(unit.fromSi(scale.back(low)), unit.fromSi(scale.back(high)), unit)
                    .forEach(value -> {
                        double y = up(unit.toSi(value.doubleValue()));
                        axis.line(Role.GRID, Place.of(0, y), Place.of(1, y))
                                .words(
                                        Text.of("{value} {unit}", value.toPlainString(), unit.symbol()),
                                        Place.of(0, y),
                                        Weight.QUIET,
                                        Side.LEFT);
                    }));
        }
        double step = stepOfTime();
        for (double at = Math.ceil(from / step) * step; at <= until + 1e-9; at += step) {
            drawing.line(Role.OUTLINE, Place.of(across(at), 0), Place.of(across(at), -0.02))
                    .words(
                            Text.of("{at}", Duration.ofSeconds(at)),
                            Place.of(across(at), -0.02),
                            Weight.QUIET,
                            Side.BELOW);
        }
    }

    /** Round numbers of a unit: powers of ten where a logarithmic scale has two of them, else even steps. */
    private List<BigDecimal> ticks(double from, double to, FieldUnit unit) {
        List<BigDecimal> ticks = new ArrayList<>();
        if (scale == Scale.LOGARITHMIC) {
            int first = (int) Math.ceil(Math.log10(from));
            int last = (int) Math.floor(Math.log10(to));
            // of many powers only some, so that their names have room
            int by = Math.max(1, (int) Math.ceil((last - first + 1) / (double) TICKS));
            for (int power = first; power <= last; power += by) {
                ticks.add(BigDecimal.ONE.scaleByPowerOfTen(power));
            }
        }
        if (ticks.size() < 2) {
            ticks.clear();
            BigDecimal step = stepOf(to - from);
            BigDecimal first = BigDecimal.valueOf(Math.ceil(from / step.doubleValue()));
            for (BigDecimal at = first.multiply(step); at.doubleValue() <= to; at = at.add(step)) {
                ticks.add(at.stripTrailingZeros());
            }
        }
        return ticks;
    }

    /** 1, 2 or 5 times a power of ten, of which at most {@link #TICKS} fit. */
    private static BigDecimal stepOf(double room) {
        BigDecimal ten = BigDecimal.ONE.scaleByPowerOfTen((int) Math.floor(Math.log10(room / TICKS)));
        for (int times : new int[] {1, 2, 5}) {
            BigDecimal step = ten.multiply(BigDecimal.valueOf(times));
            if (room / step.doubleValue() <= TICKS) {
                return step;
            }
        }
        return ten.scaleByPowerOfTen(1);
    }

    /** Steps of which three to seven fit, s. */
    private double stepOfTime() {
        double[] steps = {10, 30, 60, 120, 300, 600, 1200, 1800, 3600, 7200, 4 * 3600, 12 * 3600, 86_400};
        for (double step : steps) {
            if ((until - from) / step <= 6) {
                return step;
            }
        }
        return (until - from) / TICKS;
    }

    /** The samples as they were shown, from the least to the most where several are one point. */
    public CurvePlot curve(Outline samples, double origin) {
        double usual = usual(samples);
        List<Place> path = new ArrayList<>();
        double before = Double.NaN;
        for (int i = 0; i < samples.size(); i++) {
            double at = samples.seconds(i) - origin;
            if (!holds(at)) {
                continue;
            }
            if (at - before > GAP * usual) {
                stroke(path);
                gap(before, at);
                path = new ArrayList<>();
            }
            before = at;
            path.add(place(at, samples.least(i)));
            if (samples.least(i) != samples.most(i)) {
                path.add(place(at, samples.most(i)));
            }
        }
        stroke(path);
        return this;
    }

    /** The median of the times between samples, s. */
    private static double usual(Outline samples) {
        double[] steps = IntStream.range(1, samples.size())
                .mapToDouble(i -> samples.seconds(i) - samples.seconds(i - 1))
                .sorted()
                .toArray();
        return steps.length == 0 ? Double.POSITIVE_INFINITY : steps[steps.length / 2];
    }

    private void stroke(List<Place> path) {
        if (path.size() > 1) {
            drawing.line(Role.CURVE, path);
        }
        drawn.addAll(path);
    }

    private void gap(double begins, double ends) {
        drawing.aside(Text.of("gap"), Place.of(across((begins + ends) / 2), CURSOR), Side.CENTRE);
    }

    /** A computed course that is known by its times and values. */
    public CurvePlot course(double[] seconds, double[] values, Text words) {
        List<Place> path = new ArrayList<>();
        for (int i = 0; i < seconds.length; i++) {
            // below the chart it would run along its foot
            if (holds(seconds[i]) && scale.of(values[i]) >= low) {
                path.add(place(seconds[i], values[i]));
            }
        }
        if (path.size() > 1) {
            drawing.line(Role.GHOST, path).aside(words, path.get(path.size() / 2), Side.RIGHT, Side.LEFT);
        }
        return this;
    }

    /** A computed course between two times, dashed. */
    public CurvePlot course(double begins, double ends, DoubleUnaryOperator value) {
        double first = Math.max(begins, from);
        double last = Math.min(ends, until);
        if (!(last > first)) {
            return this;
        }
        List<Place> path = new ArrayList<>();
        for (int i = 0; i <= DRAWN; i++) {
            double at = first + (last - first) * i / DRAWN;
            path.add(place(at, value.applyAsDouble(at)));
        }
        drawing.line(Role.GHOST, path);
        return this;
    }

    /** Between which a course may lie, as a shaded band between two times. */
    public CurvePlot band(double begins, double ends, DoubleUnaryOperator low, DoubleUnaryOperator high) {
        double first = Math.max(begins, from);
        double last = Math.min(ends, until);
        if (!(last > first)) {
            return this;
        }
        Place[] about = new Place[2 * (DRAWN + 1)];
        for (int i = 0; i <= DRAWN; i++) {
            double at = first + (last - first) * i / DRAWN;
            about[i] = place(at, low.applyAsDouble(at));
            about[about.length - 1 - i] = place(at, high.applyAsDouble(at));
        }
        drawing.area(Role.PERMITTED, about);
        return this;
    }

    /** A level across the whole chart that nobody here asks for, named at its end. */
    public CurvePlot otherLevel(double value, Text words) {
        if (scale.of(value) >= low && scale.of(value) <= high) {
            drawing.line(Role.GRID, Place.of(0, up(value)), Place.of(1, up(value)))
                    .aside(words, Place.of(NAMED, up(value)), Side.ABOVE, Side.BELOW);
        }
        return this;
    }

    /** A level across the whole chart. */
    public CurvePlot level(double value, Text words, Meaning meaning) {
        levels.add(new Level(up(value), words, meaning));
        return this;
    }

    /** Where along a height words are farthest from the curve. */
    private double clear(double height) {
        return DoubleStream.of(BESIDE)
                .boxed()
                .max(Comparator.comparingDouble(at -> drawn.stream()
                        .filter(place -> Math.abs(place.x() - at) < WORDS)
                        .mapToDouble(place -> Math.abs(place.y() - height))
                        .min()
                        .orElse(1)))
                .orElseThrow();
    }

    /** Something that was done at a time. */
    CurvePlot mark(double seconds, Text words) {
        if (!holds(seconds)) {
            return this;
        }
        drawing.line(Role.READ, Place.of(across(seconds), 0), Place.of(across(seconds), OVER))
                .aside(words, Place.of(across(seconds), OVER), Side.RIGHT, Side.LEFT, Side.BELOW);
        return this;
    }

    /** All that was done meanwhile. */
    public CurvePlot marks(Marks done) {
        done.marks()
                .forEach(
                        each -> mark(each.seconds(), Text.of("{act}", each.act().title())));
        return this;
    }

    private boolean holds(double seconds) {
        return seconds >= from && seconds <= until;
    }

    /** Another curve beside it, thin. */
    public CurvePlot beside(Outline samples, Text title) {
        List<Place> path = new ArrayList<>();
        for (int i = 0; i < samples.size(); i++) {
            double at = samples.seconds(i) - samples.seconds(0);
            if (holds(at)) {
                path.add(place(at, samples.mean(i)));
            }
        }
        if (path.size() > 1) {
            drawing.line(Role.GRID, path).aside(title, path.get(path.size() - 1), Side.LEFT, Side.ABOVE, Side.BELOW);
        }
        return this;
    }

    /** A moment whose values are told. */
    public CurvePlot cursor(double seconds, Text words) {
        drawing.line(Role.READ, Place.of(across(seconds), 0), Place.of(across(seconds), 1))
                .words(
                        words,
                        Place.of(across(seconds), CURSOR),
                        Weight.STRONG,
                        across(seconds) < 0.5 ? Side.RIGHT : Side.LEFT);
        return this;
    }

    /** A sentence under it. */
    public CurvePlot caption(Text sentence) {
        drawing.caption(sentence);
        return this;
    }

    /** Each named on the side where no other level is near. */
    private void drawLevels() {
        for (Level level : levels) {
            boolean crowded = levels.stream().anyMatch(other -> other.up > level.up && other.up - level.up < WORDS);
            drawing.line(Role.ASKED, level.meaning, Place.of(0, level.up), Place.of(1, level.up))
                    .words(
                            level.words,
                            Place.of(clear(level.up + (crowded ? -WORDS : WORDS)), level.up),
                            Weight.PLAIN,
                            level.meaning,
                            crowded ? Side.BELOW : Side.ABOVE);
        }
    }

    /** The chart, told in a sentence for whoever does not see it. */
    public Drawing spoken(Text sentence) {
        drawLevels();
        return drawing.spoken(sentence);
    }
}
