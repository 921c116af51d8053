package org.undanus.core.judgement;

import java.util.Collection;
import java.util.List;
import org.undanus.core.rules.InspectionScope;

/** What a visit looks at: the whole, or what one of its scopes names. */
public final class Scopes {
    private Scopes() {}

    /** Whether a judgement is within one of these; within none, where there are none, is everything. */
    public static boolean within(Judgement judgement, Collection<InspectionScope> scopes) {
        return scopes.isEmpty() || scopes.stream().anyMatch(scope -> within(judgement, scope));
    }

    private static boolean within(Judgement judgement, InspectionScope scope) {
        About about = judgement.about();
        return scope.severities().contains(about.severity().key())
                || scope.stations().contains(about.station().key())
                || scope.requirements().contains(about.id())
                || scope.open() && judgement.verdict().open();
    }

    /** What is looked at, and whatever is known to fail all the same: that is told in every scope. */
    public static List<Judgement> told(List<Judgement> judgements, Collection<InspectionScope> scopes) {
        return judgements.stream()
                .filter(judgement -> within(judgement, scopes)
                        || judgement.verdict() == Verdict.FAILS
                        || judgement.verdict() == Verdict.REFER)
                .toList();
    }
}
