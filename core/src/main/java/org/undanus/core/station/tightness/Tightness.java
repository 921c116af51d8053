package org.undanus.core.station.tightness;

import static org.undanus.core.station.tightness.TightnessPoints.CORES;
import static org.undanus.core.station.tightness.TightnessPoints.DISTANCE;
import static org.undanus.core.station.tightness.TightnessPoints.GAS;
import static org.undanus.core.station.tightness.TightnessPoints.JOINT;
import static org.undanus.core.station.tightness.TightnessPoints.REGULATOR;
import static org.undanus.core.station.tightness.TightnessPoints.SEARCH;
import static org.undanus.core.station.tightness.TightnessPoints.SPEED;
import static org.undanus.core.station.tightness.TightnessPoints.VALVES_SHUT;

import java.util.List;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.Marking;
import org.undanus.core.plan.StationPlan;

/** What station 10 asks and judges. */
public final class Tightness {
    private static final String CODE = "ISO 5149-2 and EN 378-2, tightness test; check the adopted edition";
    private static final String DETECTORS = "SAE J1628, use of leak detectors";

    private Tightness() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.TIGHTNESS,
                        TightnessPoints.all(),
                        List.of(
                                gas(),
                                Observed.that(
                                        Station.TIGHTNESS,
                                        REGULATOR,
                                        Severity.SAFETY,
                                        CODE,
                                        "It was filled through a regulator.",
                                        "It was filled without a regulator: nothing kept the cylinder's pressure out.",
                                        "Let it off. Fill it through a regulator only, and ask what was over-stressed."),
                                Observed.that(
                                        Station.TIGHTNESS,
                                        VALVES_SHUT,
                                        Severity.DAMAGE,
                                        CODE,
                                        "The outdoor unit's valves were shut.",
                                        "The outdoor unit was open: nitrogen is in its charge, or its charge in the lines.",
                                        "Recover the charge, weigh it in again after evacuation, and test the lines alone."),
                                TestPressure.NEVER_OVER,
                                TestPressure.IN_STAGES,
                                TestPressure.STRENGTH_TEST,
                                TestPressure.HIGH_ENOUGH,
                                new HoldTest(),
                                new SmallestLeak(),
                                search(),
                                WithinLimits.of(
                                        Station.TIGHTNESS,
                                        SPEED,
                                        Severity.DAMAGE,
                                        DETECTORS,
                                        "Search again, twice, with a slower tip; speed"),
                                WithinLimits.of(
                                        Station.TIGHTNESS,
                                        DISTANCE,
                                        Severity.DAMAGE,
                                        DETECTORS,
                                        "Search again, twice, with the tip nearer; distance"),
                                cores(),
                                joint()))
                .holding(HoldTest.HELD)
                .marked(new Marking(
                        TightnessPoints.MARKS,
                        List.of(TightnessPoints.PRESSURE_LOG, TightnessPoints.TEMPERATURE_LOG),
                        List.of(Act.NITROGEN_IN, Act.SOAPED, Act.VALVE_OPENED, Act.STOPPED)))
                .charted(HoldFigure::chart)
                .drawnBy(HoldFigure::draw)
                .after(Station.PIPING, "A joint that is covered, or a run that is changed later, was not in the test.");
    }

    private static Answered gas() {
        return Answered.of(Station.TIGHTNESS, GAS, Severity.SAFETY, CODE)
                .when(TightnessPoints.NITROGEN, Verdict.MEETS, "It was tested with dry nitrogen.", "")
                .when(TightnessPoints.TRACER, Verdict.MEETS, "It was tested with nitrogen and a tracer.", "")
                .when(
                        TightnessPoints.AIR,
                        Verdict.FAILS,
                        "Compressed air brings water and oil mist, and may burn with oil under pressure.",
                        "Let it off, evacuate it deeply, and test it with dry nitrogen.")
                .when(
                        TightnessPoints.OXYGEN,
                        Verdict.FAILS,
                        "Oxygen and oil explode.",
                        "Stop. Keep everybody away, release the pressure from a distance, and call a licensed technician.")
                .when(
                        TightnessPoints.REFRIGERANT,
                        Verdict.FAILS,
                        "Refrigerant must not be let go to find leaks.",
                        "Recover it, then test with dry nitrogen.");
    }

    private static Answered search() {
        return Answered.of(Station.TIGHTNESS, SEARCH, Severity.DAMAGE, CODE)
                .when(TightnessPoints.SOAP, Verdict.MEETS, "Every joint was looked at with soap solution.", "")
                .when(
                        TightnessPoints.DETECTOR,
                        Verdict.NOT_SHOWN,
                        "A refrigerant detector finds no nitrogen.",
                        "Search every joint with soap solution, or add a tracer gas and use its detector.")
                .when(TightnessPoints.TRACED, Verdict.MEETS, "Every joint was searched for the tracer.", "")
                .when(
                        TightnessPoints.NONE,
                        Verdict.NOT_SHOWN,
                        "No joint was searched.",
                        "Search every joint with soap solution while it is under pressure.");
    }

    private static Answered cores() {
        return Answered.of(Station.TIGHTNESS, CORES, Severity.DAMAGE, CODE)
                .when("tight", Verdict.MEETS, "Ports and cores are tight.", "")
                .when(
                        "leak-found",
                        Verdict.FAILS,
                        "A port or core leaks.",
                        "Replace the core with the pressure off, then search it again.")
                .when(
                        "not-searched",
                        Verdict.NOT_SHOWN,
                        "Ports and cores were not searched.",
                        "Search them with their caps off, then cap them.");
    }

    private static Answered joint() {
        return Answered.of(Station.TIGHTNESS, JOINT, Severity.DAMAGE, CODE)
                .when(TightnessPoints.DRY, Verdict.MEETS, "Nothing showed at this joint.", "")
                .when(
                        TightnessPoints.BUBBLES,
                        Verdict.FAILS,
                        "This joint leaks.",
                        "Let the pressure off, have it made anew, and test again.")
                .when(
                        TightnessPoints.NOT_SEARCHED,
                        Verdict.NOT_SHOWN,
                        "This joint was not searched.",
                        "Search it twice while it is under pressure.");
    }
}
