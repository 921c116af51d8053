package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;

import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Text;

/** A means of disconnection is fitted. Source: NFPA 70, 440 part II; IEC 60364-5-53, isolation and switching. */
final class DisconnectPresent implements Requirement {
    private static final About ABOUT = About.of(
                    "electrical.disconnect-present",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Disconnect fitted",
                    Severity.SAFETY)
            .sources("NFPA 70, article 440 part II", "IEC 60364-5-53")
            .needs(DISCONNECT_PRESENT);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean there = x.affirmed(DISCONNECT_PRESENT).orElseThrow();
        return x.finding()
                .step("Disconnect fitted", there ? "yes" : "no")
                .conclude(
                        there ? Verdict.MEETS : Verdict.FAILS,
                        Text.of(
                                there
                                        ? "A disconnect is fitted."
                                        : "Nobody serving the unit could cut it off and see it is off."),
                        "Have a disconnect fitted in sight of the unit by a licensed person.");
    }
}
