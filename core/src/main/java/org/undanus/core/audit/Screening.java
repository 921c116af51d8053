package org.undanus.core.audit;

import java.util.List;

/**
 * Many checks at once: of those told doubtful at most a given share are so by chance alone (Benjamini and Hochberg, Journal of the
 * Royal Statistical Society B 57, 1995). On a sound record that is also the chance of any doubt at all.
 */
final class Screening {
    private Screening() {}

    /** @param rate of false alarms, 0 to 1 */
    static List<Found> screened(List<Found> all, double rate) {
        double[] chances = all.stream()
                .flatMap(found -> found.doubt().stream())
                .mapToDouble(Doubt::chance)
                .sorted()
                .toArray();
        double level = level(chances, rate);
        return all.stream()
                .map(found -> found.doubt()
                        .map(doubt ->
                                found.with(doubt.chance() <= level ? Found.Outcome.DOUBTFUL : Found.Outcome.CONSISTENT))
                        .orElse(found))
                .toList();
    }

    /** The highest chance that still counts as a doubt; below zero where none does. */
    static double level(double[] sorted, double rate) {
        for (int i = sorted.length; i > 0; i--) {
            if (sorted[i - 1] <= rate * i / sorted.length) {
                return sorted[i - 1];
            }
        }
        return -1;
    }
}
