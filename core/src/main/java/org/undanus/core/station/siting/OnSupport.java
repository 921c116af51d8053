package org.undanus.core.station.siting;

import java.util.List;
import java.util.Set;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Mounting;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** A requirement asked only of units that stand on certain supports. */
final class OnSupport implements Requirement {
    private final Set<Mounting> supports;
    private final Requirement inner;
    private final About about;

    OnSupport(Requirement inner, Mounting... supports) {
        this.inner = inner;
        this.supports = Set.of(supports);
        this.about = inner.about().needs(UnitPoints.SUPPORT);
    }

    @Override
    public About about() {
        return about;
    }

    @Override
    public Judgement judge(Examination x) {
        Mounting support = x.chosen(UnitPoints.SUPPORT).map(Mounting::of).orElseThrow();
        if (!supports.contains(support)) {
            return x.finding()
                    .step(UnitPoints.SUPPORT.title(), support.title())
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("It stands on a {support}.", support.title()), "");
        }
        List<Point> missing = x.missing(inner.about().needs().toArray(Point[]::new));
        return missing.isEmpty() ? inner.judge(x) : x.notShown(missing);
    }
}
