package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How likely records agree in so many numbers by chance. Two readings from a bell curve of standard deviation σ, written in steps of
 * r, are the same number with a chance of r/(2·√π·σ).
 */
final class Coincidence<K> {
    private static final int FEWEST = 5;

    /** A number with the step it is written in. */
    record Written(double value, double step) {
        private boolean same(Written other) {
            return Math.abs(value - other.value) < Math.max(step, other.step) / 2;
        }
    }

    private final Map<K, Double> spread = new HashMap<>();

    /** @param all of which the spread is told */
    Coincidence(List<Map<K, Written>> all) {
        Map<K, List<Double>> values = new HashMap<>();
        all.forEach(each -> each.forEach((key, written) ->
                values.computeIfAbsent(key, any -> new ArrayList<>()).add(written.value())));
        values.forEach((key, of) -> {
            if (of.size() >= FEWEST) {
                spread.put(key, deviation(of));
            }
        });
    }

    private static double deviation(List<Double> of) {
        double mean = of.stream().mapToDouble(v -> v).average().orElseThrow();
        return Math.sqrt(of.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum() / (of.size() - 1));
    }

    /** So many times chance is given where each of so many is held against the nearest of the others; a pair is met from both sides. */
    static double looks(int of) {
        return 2 * (of - 1.0);
    }

    /** What two records have in common, and the chance of at least so much; 1 where nothing can be compared. */
    record Match(int same, int compared, double chance) {}

    Match match(Map<K, Written> one, Map<K, Written> other) {
        int same = 0;
        List<Double> chances = new ArrayList<>();
        for (Map.Entry<K, Written> each : one.entrySet()) {
            Written there = other.get(each.getKey());
            Double sigma = spread.get(each.getKey());
            if (there == null || sigma == null) {
                continue;
            }
            double step = Math.max(each.getValue().step(), there.step());
            double chance = step / (2 * Math.sqrt(Math.PI) * sigma);
            if (chance < 1) {
                chances.add(chance);
                same += each.getValue().same(there) ? 1 : 0;
            }
        }
        return new Match(same, chances.size(), same == 0 ? 1 : atLeast(same, chances));
    }

    /** Chance of at least so many successes of trials with different chances. */
    static double atLeast(int wanted, List<Double> chances) {
        double[] exactly = new double[chances.size() + 1];
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
