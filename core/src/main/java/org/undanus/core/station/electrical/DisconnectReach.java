package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_HEIGHT;
import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;

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
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The disconnect's handle is within reach. Source: NFPA 70, 404.8. */
final class DisconnectReach implements Requirement {
    private static final LimitKey LIMIT =
            new LimitKey("electrical.disconnect-height", Dimension.LENGTH, "Height of the handle");
    static final About ABOUT = About.of(
                    "electrical.disconnect-reach",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Disconnect within reach",
                    Severity.SAFETY)
            .sources("NFPA 70, 404.8")
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
        if (!x.has(DISCONNECT_HEIGHT)) {
            return x.notShown(List.of(DISCONNECT_HEIGHT));
        }
        Value.Measured height = x.need(DISCONNECT_HEIGHT);
        return x.finding()
                .compare(
                        LIMIT,
                        height.uncertain(),
                        height.resolution(),
                        x.rules().limits(LIMIT),
                        Text.of("A licensed electrician moves it to where a hand reaches it from the standing place."));
    }
}
