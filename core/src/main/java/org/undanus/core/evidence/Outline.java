package org.undanus.core.evidence;

import java.time.Instant;
import java.util.Arrays;

/**
 * A curve in few points. Each stands for the same number of samples in a row, the last perhaps for fewer: their mean time and
 * value, their least and their most, so that no spike is lost. Short curves are in it sample by sample.
 */
public final class Outline {
    /** Points; made of one curve in a single pass, they are between half as many and as many. */
    public static final int MOST = 512;

    private final Instant origin;
    private final double[] seconds;
    private final double[] mean;
    private final double[] least;
    private final double[] most;
    private final int hash;

    private Outline(Instant origin, double[] seconds, double[] mean, double[] least, double[] most) {
        this.origin = origin;
        this.seconds = seconds;
        this.mean = mean;
        this.least = least;
        this.most = most;
        this.hash = 31 * Arrays.hashCode(seconds) + Arrays.hashCode(mean);
    }

    /**
     * One of few samples.
     *
     * @param origin from which times are counted
     * @param seconds rising
     */
    public static Outline of(Instant origin, double[] seconds, double[] values) {
        for (int i = 1; i < seconds.length; i++) {
            if (!(seconds[i] > seconds[i - 1])) {
                throw new IllegalArgumentException("Time goes back in a curve");
            }
        }
        return new Outline(origin, seconds.clone(), values.clone(), values.clone(), values.clone());
    }

    /** How many points it has. */
    public int size() {
        return seconds.length;
    }

    /** From which its times are counted. */
    public Instant origin() {
        return origin;
    }

    /** Of a point, s from the origin. */
    public double seconds(int point) {
        return seconds[point];
    }

    /** SI. */
    public double mean(int point) {
        return mean[point];
    }

    /** SI. */
    public double least(int point) {
        return least[point];
    }

    /** SI. */
    public double most(int point) {
        return most[point];
    }

    /** Time from its first to its last point, s; 0 where there is none. */
    public double lasting() {
        return seconds.length == 0 ? 0 : seconds[seconds.length - 1] - seconds[0];
    }

    /** The points between two times, both included. */
    public Outline between(double from, double to) {
        int first = 0;
        while (first < seconds.length && seconds[first] < from) {
            first++;
        }
        int end = first;
        while (end < seconds.length && seconds[end] <= to) {
            end++;
        }
        return new Outline(
                origin,
                Arrays.copyOfRange(seconds, first, end),
                Arrays.copyOfRange(mean, first, end),
                Arrays.copyOfRange(least, first, end),
                Arrays.copyOfRange(most, first, end));
    }

    /** The value, in SI, at a time in s, on the line between the points about it; before the first and after the last as there. */
    public double at(double time) {
        int found = Arrays.binarySearch(seconds, time);
        if (found >= 0) {
            return mean[found];
        }
        int after = -found - 1;
        if (after == 0) {
            return mean[0];
        }
        if (after == seconds.length) {
            return mean[after - 1];
        }
        double share = (time - seconds[after - 1]) / (seconds[after] - seconds[after - 1]);
        return mean[after - 1] + share * (mean[after] - mean[after - 1]);
    }

    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof Outline outline
                        && hash == outline.hash
                        && origin.equals(outline.origin)
                        && Arrays.equals(seconds, outline.seconds)
                        && Arrays.equals(mean, outline.mean)
                        && Arrays.equals(least, outline.least)
                        && Arrays.equals(most, outline.most);
    }

    @Override
    public int hashCode() {
        return hash;
    }

    /** Makes one of a curve of any length, in one pass and constant memory: where it is full, neighbours become one. */
    public static final class Builder implements Traces.Samples {
        private final Instant origin;
        private final double[] seconds = new double[MOST];
        private final double[] mean = new double[MOST];
        private final double[] least = new double[MOST];
        private final double[] most = new double[MOST];
        private int size;
        private long each = 1;
        private long held;
        private double heldSeconds;
        private double heldValues;
        private double heldLeast;
        private double heldMost;

        /** @param origin from which times are counted */
        public Builder(Instant origin) {
            this.origin = origin;
        }

        @Override
        public void sample(Instant at, double si) {
            if (size == MOST) {
                halve();
            }
            heldLeast = held == 0 ? si : Math.min(heldLeast, si);
            heldMost = held == 0 ? si : Math.max(heldMost, si);
            heldSeconds += (at.toEpochMilli() - origin.toEpochMilli()) / 1000.0;
            heldValues += si;
            held++;
            if (held == each) {
                close();
            }
        }

        private void close() {
            seconds[size] = heldSeconds / held;
            mean[size] = heldValues / held;
            least[size] = heldLeast;
            most[size] = heldMost;
            size++;
            held = 0;
            heldSeconds = 0;
            heldValues = 0;
        }

        private void halve() {
            for (int i = 0; i < MOST / 2; i++) {
                seconds[i] = (seconds[2 * i] + seconds[2 * i + 1]) / 2;
                mean[i] = (mean[2 * i] + mean[2 * i + 1]) / 2;
                least[i] = Math.min(least[2 * i], least[2 * i + 1]);
                most[i] = Math.max(most[2 * i], most[2 * i + 1]);
            }
            size = MOST / 2;
            each *= 2;
        }

        /** What has come so far. */
        public Outline outline() {
            if (held > 0) {
                if (size == MOST) {
                    halve();
                }
                close();
            }
            return new Outline(
                    origin,
                    Arrays.copyOf(seconds, size),
                    Arrays.copyOf(mean, size),
                    Arrays.copyOf(least, size),
                    Arrays.copyOf(most, size));
        }
    }
}
