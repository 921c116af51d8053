package org.undanus.core.station.electrical;

import static org.undanus.core.derived.UnitPoints.RUNNING_CURRENT;
import static org.undanus.core.installation.PlatePoints.COMPRESSOR_CURRENT;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** After steady running the compressor draws no more than its plate current. Source: nameplate. */
final class RunningCurrent implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.running-current", Dimension.CURRENT, "Compressor current, running");
    static final About ABOUT = About.of(
                    "electrical.running-current",
                    Station.ELECTRICAL,
                    Scope.OUTDOOR_UNIT,
                    "Running current against plate",
                    Severity.DAMAGE)
            .sources("Nameplate, rated-load current")
            .needs(RUNNING_CURRENT, COMPRESSOR_CURRENT)
            .limits(LIMIT)
            .settings(SteadyRunning.DURATION)
            .cautions(RUNNING_CURRENT.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet = SteadyRunning.notYet(x);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(LIMIT));
        limits.add(new Limit(
                x.rules().maker(),
                Bound.AT_MOST,
                x.need(COMPRESSOR_CURRENT).quantity(),
                "Nameplate, rated-load current"));
        Value.Measured current = x.need(RUNNING_CURRENT);
        return x.finding()
                .compare(
                        LIMIT,
                        current.uncertain(),
                        current.resolution(),
                        limits,
                        Text.of(
                                "Check voltage first, then condenser airflow and charge. Stop it if the current keeps rising."));
    }
}
