package org.undanus.core.audit;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.undanus.core.judgement.AuditSettings;
import org.undanus.core.rules.RuleBook;

/**
 * Many checks at once: of those told doubtful at most a given share are so by chance alone (Benjamini and Hochberg, Journal of the
 * Royal Statistical Society B 57, 1995). On a sound record that is also the chance of any doubt at all.
 */
final class Screening {
    private Screening() {}

    /**
     * All of them as they stand among each other; nothing is doubted where the rule book leaves the rate open.
     *
     * @param found what each found
     * @param judged the same, with how it stands
     */
    static <T> List<T> screened(
            List<T> all, RuleBook rules, Function<T, Found> found, BiFunction<T, Found.Consistency, T> judged) {
        if (!rules.decides(AuditSettings.FALSE_ALARMS)) {
            return all;
        }
        double[] chances = all.stream()
                .flatMap(each -> found.apply(each).doubt().stream())
                .mapToDouble(Doubt::chance)
                .sorted()
                .toArray();
        double level = level(chances, rules.number(AuditSettings.FALSE_ALARMS));
        return all.stream()
                .map(each -> found.apply(each)
                        .doubt()
                        .map(doubt -> judged.apply(
                                each,
                                doubt.chance() <= level ? Found.Consistency.DOUBTFUL : Found.Consistency.CONSISTENT))
                        .orElse(each))
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
