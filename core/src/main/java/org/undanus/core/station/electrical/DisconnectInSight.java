package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_DISTANCE;
import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;
import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_VISIBLE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The disconnect is in sight of the unit: visible, and near enough. Source: NFPA 70, article 100 "in sight" and 440 part II. */
final class DisconnectInSight implements Requirement {
    static final LimitKey LIMIT =
            new LimitKey("electrical.disconnect-distance", Dimension.LENGTH, "Distance to the disconnect");
    static final About ABOUT = About.of(
                    "electrical.disconnect-in-sight",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Disconnect in sight",
                    Severity.SAFETY)
            .sources("NFPA 70, article 100 and article 440 part II")
            .needs(DISCONNECT_PRESENT)
            .limits(LIMIT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> none = NoDisconnect.judgement(x);
        if (none.isPresent()) {
            return none.get();
        }
        String remedy = "A licensed electrician moves it into sight of the unit.";
        Optional<Boolean> visible = x.affirmed(DISCONNECT_VISIBLE);
        if (visible.isPresent() && !visible.get()) {
            return x.finding()
                    .step("Visible from the unit", "no")
                    .conclude(Verdict.FAILS, Text.of("It cannot be seen from where the unit is served."), remedy);
        }
        List<Point> missing = x.missing(DISCONNECT_VISIBLE, DISCONNECT_DISTANCE);
        if (!missing.isEmpty()) {
            return x.notShown(missing);
        }
        Value.Measured distance = x.need(DISCONNECT_DISTANCE);
        return x.finding()
                .step("Visible from the unit", "yes")
                .compare(
                        LIMIT,
                        distance.uncertain(),
                        distance.resolution(),
                        x.rules().limits(LIMIT),
                        Text.of(remedy));
    }
}
