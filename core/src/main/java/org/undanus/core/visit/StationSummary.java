package org.undanus.core.visit;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;

/** How a station, or a whole case, stands. */
public record StationSummary(Map<Verdict, Long> counts, Verdict worst) {

    public static StationSummary of(Collection<Judgement> judgements) {
        Map<Verdict, Long> counts = new EnumMap<>(Verdict.class);
        for (Judgement judgement : judgements) {
            counts.merge(judgement.verdict(), 1L, Long::sum);
        }
        Verdict worst = counts.keySet().stream().reduce(Verdict.DOES_NOT_APPLY, Verdict::or);
        return new StationSummary(counts, worst);
    }

    public long count(Verdict verdict) {
        return counts.getOrDefault(verdict, 0L);
    }
}
