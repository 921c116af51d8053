package org.undanus.core.station.evacuation;

import static org.undanus.core.station.evacuation.EvacuationPoints.CORES_OUT;
import static org.undanus.core.station.evacuation.EvacuationPoints.GAUGE_AT;
import static org.undanus.core.station.evacuation.EvacuationPoints.OIL;
import static org.undanus.core.station.evacuation.EvacuationPoints.SHUT_UNTIL;

import java.util.List;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.Marking;
import org.undanus.core.plan.StationPlan;

/** What station 11 asks and judges. */
public final class Evacuation {
    private static final String PRACTICE = "Common practice of evacuation";

    private Evacuation() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.EVACUATION,
                        EvacuationPoints.all(),
                        List.of(
                                Acceptance.DEEP_ENOUGH,
                                Acceptance.STOOD,
                                Dryness.CURVE,
                                Dryness.FROST,
                                Dryness.SPEED,
                                place(),
                                oil(),
                                Observed.that(
                                        Station.EVACUATION,
                                        CORES_OUT,
                                        Severity.RECORD,
                                        PRACTICE,
                                        "The ports stood open.",
                                        "The pump drew through the valve cores: it takes many times as long.",
                                        "Next time take the cores out with a core tool; judge this one by what the gauge showed."),
                                Observed.that(
                                        Station.EVACUATION,
                                        SHUT_UNTIL,
                                        Severity.DAMAGE,
                                        PRACTICE,
                                        "The valves stayed shut until the vacuum was accepted.",
                                        "Refrigerant was let in before the vacuum was accepted.",
                                        "Recover the charge, evacuate and isolate again, and only then open the valves.")))
                .holding(Acceptance.ISOLATION, Dryness.PULLING)
                .marked(new Marking(
                        EvacuationPoints.MARKS,
                        List.of(EvacuationPoints.LOG),
                        List.of(Act.PUMP_ON, Act.ISOLATED, Act.NITROGEN_IN, Act.VALVE_OPENED, Act.STOPPED)))
                .charted(VacuumFigure::chart)
                .drawnBy(VacuumFigure::draw)
                .after(
                        Station.TIGHTNESS,
                        "A vacuum draws in air and water through a leak that the pressure test would have shown.");
    }

    private static Answered place() {
        return Answered.of(Station.EVACUATION, GAUGE_AT, Severity.DAMAGE, PRACTICE)
                .when(EvacuationPoints.FAR, Verdict.MEETS, "It was read at the far side from the pump.", "")
                .when(
                        EvacuationPoints.AT_PUMP,
                        Verdict.NOT_SHOWN,
                        "The gauge sits at the pump: it shows the pump's vacuum, not the system's.",
                        "Read it at the far side from the pump.")
                .when(
                        EvacuationPoints.AT_MANIFOLD,
                        Verdict.NOT_SHOWN,
                        "On the manifold it shows the hoses, which leak and give off gas.",
                        "Read it at the far side from the pump.");
    }

    private static Answered oil() {
        return Answered.of(Station.EVACUATION, OIL, Severity.RECORD, PRACTICE)
                .when("fresh", Verdict.MEETS, "The pump's oil is fresh.", "")
                .when("clear", Verdict.MEETS, "The pump's oil is clear.", "")
                .when(
                        "cloudy",
                        Verdict.FAILS,
                        "Cloudy oil holds water: the pump reaches no deep vacuum.",
                        "Change the pump's oil, and run the pump alone against the gauge first.")
                .when("not-known", Verdict.NOT_SHOWN, "Nobody knows how old the oil is.", "Look into the glass.");
    }
}
