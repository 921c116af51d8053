package org.undanus.core.audit;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How likely records agree in so many numbers by chance. Two readings from a bell curve of standard deviation σ, written in steps of
 * r, are the same number with a chance of r/(2·√π·σ); where a crew writes the same numbers more often than that, so often.
 */
final class Coincidence<K> {
    private static final int FEWEST = 5;

    /** A number with the step it is written in. */
    record Written(double value, double step) {}

    /** The numbers of one record, each line at its place; NaN where it has none. */
    record Row(double[] values, double[] steps) {
        private boolean same(Row other, int line) {
            return Math.abs(values[line] - other.values[line]) < Math.max(steps[line], other.steps[line]) / 2;
        }

        /** How many are the same; cheap, for there are as many pairs as there are records squared. */
        int same(Row other) {
            int same = 0;
            for (int line = 0; line < values.length; line++) {
                same += same(other, line) ? 1 : 0;
            }
            return same;
        }
    }

    private final Map<K, Integer> places = new LinkedHashMap<>();
    private final double[] spread;

    /** @param archive of which the spread is told */
    Coincidence(List<Map<K, Written>> archive) {
        archive.forEach(each -> each.keySet().forEach(key -> places.putIfAbsent(key, places.size())));
        int[] count = new int[places.size()];
        double[] sum = new double[places.size()];
        archive.forEach(each -> each.forEach((key, written) -> {
            count[places.get(key)]++;
            sum[places.get(key)] += written.value();
        }));
        double[] squares = new double[places.size()];
        archive.forEach(each -> each.forEach((key, written) -> {
            int place = places.get(key);
            squares[place] += Math.pow(written.value() - sum[place] / count[place], 2);
        }));
        spread = new double[places.size()];
        for (int place = 0; place < spread.length; place++) {
            spread[place] = count[place] < FEWEST ? Double.NaN : Math.sqrt(squares[place] / (count[place] - 1));
        }
    }

    /** @param numbers of lines that the archive has */
    Row row(Map<K, Written> numbers) {
        double[] values = new double[spread.length];
        double[] steps = new double[spread.length];
        Arrays.fill(values, Double.NaN);
        numbers.forEach((key, written) -> {
            values[places.get(key)] = written.value();
            steps[places.get(key)] = written.step();
        });
        return new Row(values, steps);
    }

    /** So many times chance is given where each of so many is held against the nearest of the others; a pair is met from both sides. */
    static double looks(int of) {
        return 2 * (of - 1.0);
    }

    /** What two records have in common, and the chance of at least so much; 1 where nothing can be compared. */
    record Match(int same, int compared, double chance) {}

    /** How often two of a crew's records have the same number on each line. */
    final class Habit {
        private final int[] same = new int[spread.length];
        private final int[] pairs = new int[spread.length];

        /** @param crew their records */
        Habit(List<Row> crew) {
            for (int line = 0; line < spread.length; line++) {
                for (int i = 0; i < crew.size(); i++) {
                    for (int j = 0; j < i; j++) {
                        count(crew.get(i), crew.get(j), line);
                    }
                }
            }
        }

        private void count(Row one, Row other, int line) {
            if (!Double.isNaN(one.values[line]) && !Double.isNaN(other.values[line])) {
                pairs[line]++;
                same[line] += one.same(other, line) ? 1 : 0;
            }
        }

        /** The two that are looked at left out. */
        private double share(Row one, Row other, int line) {
            int others = pairs[line] - 1;
            return others <= 0 ? 0 : (double) (same[line] - (one.same(other, line) ? 1 : 0)) / others;
        }
    }

    /** @param crew of those who wrote these two */
    Match match(Row one, Row other, Habit crew) {
        int same = 0;
        int compared = 0;
        double[] chances = new double[spread.length];
        for (int line = 0; line < spread.length; line++) {
            double step = Math.max(one.steps[line], other.steps[line]);
            double chance = step / (2 * Math.sqrt(Math.PI) * spread[line]);
            if (chance < 1 && !Double.isNaN(one.values[line]) && !Double.isNaN(other.values[line])) {
                chances[compared++] = Math.max(chance, crew.share(one, other, line));
                same += one.same(other, line) ? 1 : 0;
            }
        }
        return new Match(same, compared, same == 0 ? 1 : atLeast(same, Arrays.copyOf(chances, compared)));
    }

    /** Chance of at least so many successes of trials with different chances. */
    static double atLeast(int wanted, double... chances) {
        double[] exactly = new double[chances.length + 1];
        exactly[0] = 1;
        int tried = 0;
        for (double chance : chances) {
            tried++;
            for (int k = tried; k > 0; k--) {
                exactly[k] = exactly[k] * (1 - chance) + exactly[k - 1] * chance;
            }
            exactly[0] *= 1 - chance;
        }
        double sum = 0;
        for (int k = exactly.length - 1; k >= wanted; k--) {
            sum += exactly[k];
        }
        return Math.min(1, sum);
    }
}
