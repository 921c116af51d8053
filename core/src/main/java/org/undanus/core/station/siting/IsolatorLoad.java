package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.ISOLATOR_COUNT;
import static org.undanus.core.station.siting.SitingPoints.ISOLATOR_LEAST_LOAD;
import static org.undanus.core.station.siting.SitingPoints.ISOLATOR_MOST_LOAD;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** Each isolator is loaded inside its rated range, the mass taken as evenly shared. Source: papers of the isolator. */
final class IsolatorLoad implements Requirement {
    private static final LimitKey LIMIT = new LimitKey("siting.isolator-load", Dimension.MASS, "Load on one isolator");
    private static final About ABOUT = About.of(
                    "siting.isolator-load",
                    Station.SITING,
                    Scope.OUTDOOR_UNIT,
                    "Isolators loaded inside their range",
                    Severity.PERFORMANCE)
            .sources("Papers of the isolator; data sheet, mass")
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.read(ISOLATOR_COUNT)) {
            return none(x);
        }
        List<Point> missing = x.missing(ISOLATOR_LEAST_LOAD, ISOLATOR_MOST_LOAD);
        Optional<Quantity> mass = x.sheet().flatMap(s -> s.value(SheetValue.MASS));
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        if (mass.isEmpty()) {
            return SupportLoad.noMass(x);
        }
        double count = x.number(ISOLATOR_COUNT).orElseThrow();
        return WithinLimits.judge(
                x.finding()
                        .step(
                                "Load on each",
                                "mass / isolators",
                                Text.of("{mass} / {count}", mass.get(), (int) count),
                                ""),
                LIMIT,
                Uncertain.exact(mass.get().si() / count),
                0,
                List.of(limit(x, Bound.AT_LEAST, ISOLATOR_LEAST_LOAD), limit(x, Bound.AT_MOST, ISOLATOR_MOST_LOAD)),
                "Fit isolators of another range, or another number of them; each bears");
    }

    private static Limit limit(Examination x, Bound bound, Point point) {
        return new Limit(x.rules().maker(), bound, x.need(point).quantity(), "Papers of the isolator");
    }

    static Judgement none(Examination x) {
        return x.finding().conclude(Verdict.DOES_NOT_APPLY, Text.of("No isolators have been counted under it."), "");
    }
}
