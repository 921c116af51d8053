package org.undanus.core.station.handover;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.words.Text;

/** What station 14 asks and judges. */
public final class Handover {
    private static final String PRACTICE = "The maker's instructions: papers and explanations for the owner";

    private Handover() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.HANDOVER,
                        HandoverPoints.all(),
                        List.of(
                                Observed.that(
                                        Station.HANDOVER,
                                        HandoverPoints.EXPLAINED,
                                        Severity.RECORD,
                                        PRACTICE,
                                        "The owner was shown how it is used.",
                                        "Nobody showed the owner how it is used.",
                                        "Show it to whoever lives or works there."),
                                Observed.that(
                                        Station.HANDOVER,
                                        HandoverPoints.MANUALS,
                                        Severity.RECORD,
                                        PRACTICE,
                                        "The manuals are there.",
                                        "Manuals are missing.",
                                        "Leave the manuals of every unit and control."),
                                warranty(),
                                told(HandoverPoints.FILTERS, "Filters told"),
                                told(HandoverPoints.DISCONNECT, "Disconnects told"),
                                told(HandoverPoints.SETTINGS, "Settings noted"),
                                new NextService(),
                                new EnergyCompared()))
                .with(StationPlan.Aid.SUMMARY)
                .after(Station.RUNNING, "An owner should not take over what has not been seen to run.");
    }

    private static Answered warranty() {
        return Answered.of(Station.HANDOVER, HandoverPoints.WARRANTY, Severity.RECORD, PRACTICE)
                .when(
                        HandoverPoints.REGISTERED,
                        Verdict.MEETS,
                        "It is registered, and the owner knows what voids it.",
                        "")
                .when(
                        HandoverPoints.NOT_REGISTERED,
                        Verdict.FAILS,
                        "The warranty is not registered.",
                        "Register it in the owner's name before the maker's time for it is over.")
                .when("not-known", Verdict.NOT_SHOWN, "Nobody knows whether it is registered.", "Ask the crew.");
    }

    /** What has to be written down for the owner. */
    private static Requirement told(Point point, String title) {
        return Requirement.of(
                About.of(point.id(), Station.HANDOVER, point.scope(), title, Severity.RECORD)
                        .sources(PRACTICE)
                        .needs(point),
                x -> x.finding()
                        .step(point.title(), x.written(point).orElseThrow())
                        .conclude(
                                Verdict.MEETS,
                                Text.of("{point}", x.written(point).orElseThrow()),
                                ""));
    }
}
