package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;
import static org.undanus.core.station.electrical.CircuitPoints.PANEL_DISTANCE;
import static org.undanus.core.station.electrical.CircuitPoints.PANEL_VISIBLE;

import java.util.List;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** A means of disconnection is fitted, or the panel itself is in sight of the unit and near enough to serve. Source: NFPA 70, 440 part II; IEC 60364-5-53, isolation and switching. */
final class DisconnectPresent implements Requirement {
    static final About ABOUT = About.of(
                    "electrical.disconnect-present",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Disconnect fitted",
                    Severity.SAFETY)
            .sources("NFPA 70, article 440 part II", "IEC 60364-5-53")
            .needs(DISCONNECT_PRESENT)
            .limits(DisconnectInSight.LIMIT);
    private static final String REMEDY =
            "A licensed electrician installs a disconnect in sight of the unit. Where the panel itself is in sight, answer its lines: it may serve.";

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        boolean there = x.affirmed(DISCONNECT_PRESENT).orElseThrow();
        Finding finding = x.finding().step("Disconnect fitted", there ? "yes" : "no");
        if (there) {
            return finding.conclude(Verdict.MEETS, Text.of("A disconnect is fitted."), "");
        }
        return x.affirmed(PANEL_VISIBLE).orElse(false)
                ? panel(x, finding)
                : finding.conclude(
                        Verdict.FAILS, Text.of("Nobody serving the unit could cut it off and see it is off."), REMEDY);
    }

    /** The panel itself, with a device that can be locked open, serves where it is in sight. */
    private static Judgement panel(Examination x, Finding finding) {
        if (!x.has(PANEL_DISTANCE)) {
            return x.notShown(List.of(PANEL_DISTANCE));
        }
        Value.Measured distance = x.need(PANEL_DISTANCE);
        return finding.step("Panel visible from the unit", "yes")
                .compare(
                        DisconnectInSight.LIMIT,
                        distance.uncertain(),
                        distance.resolution(),
                        x.rules().limits(DisconnectInSight.LIMIT),
                        Text.of(REMEDY));
    }
}
