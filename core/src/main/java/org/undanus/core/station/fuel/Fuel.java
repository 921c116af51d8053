package org.undanus.core.station.fuel;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 8 asks and judges; of a system that burns nothing it asks nothing. */
public final class Fuel {
    private static final String CODE = "Fuel gas code; check the adopted edition";

    private static final String SHUT_OFF =
            "Shut it off. A licensed technician replaces the switch and finds why; never bridge it.";

    private Fuel() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.FUEL,
                        Stream.concat(FuelPoints.all().stream(), VentPoints.all().stream())
                                .toList(),
                        Stream.of(fire(), pipe(), vent()).flatMap(List::stream).toList())
                .drawnBy(TrainFigure::draw, VentFigure::draw, VentPlanFigure::draw)
                .after(Station.ELECTRICAL, "A burner is fired on a circuit that has not been looked at in full.");
    }

    private static List<Requirement> fire() {
        return List.of(
                Monoxide.LEAVE,
                Monoxide.ROOM,
                Monoxide.FLUE,
                new SuitedFuel(),
                new BurnerInput(),
                GasPipe.INLET_PRESSURE,
                GasPipe.MANIFOLD_PRESSURE,
                GasPipe.TEMPERATURE_RISE,
                new StackTemperature(),
                limitSwitch(),
                rolloutSwitch(),
                new CombustionAir());
    }

    private static Requirement limitSwitch() {
        return safetySwitch(
                        FuelPoints.LIMIT_SWITCH,
                        "Appliance standards, limit controls; manual",
                        "The burner goes on when it overheats.",
                        "Nothing stops the burner when it overheats.")
                .when("shuts-off", Verdict.MEETS, "It shuts the burner off.", "")
                .when(
                        "not-tested",
                        Verdict.NOT_SHOWN,
                        "Nobody has seen it shut the burner off.",
                        "Test the high limit switch while it fires, as the manual says.");
    }

    private static Requirement rolloutSwitch() {
        return safetySwitch(
                        FuelPoints.ROLLOUT_SWITCH,
                        "Appliance standards, rollout; manual",
                        "Flames that roll out would not stop the burner.",
                        "Nothing stops flames that roll out.")
                .when("opens", Verdict.MEETS, "It is in place and opens the circuit.", "")
                .when("not-fitted", Verdict.DOES_NOT_APPLY, "It is not made with one.", "")
                .when(
                        "not-tested",
                        Verdict.NOT_SHOWN,
                        "Nobody has seen it open the circuit.",
                        "Check the rollout switch with the power off, as the manual says.");
    }

    private static Answered safetySwitch(Point point, String source, String failing, String missing) {
        return Answered.of(Station.FUEL, point, Severity.SAFETY, source)
                .when("does-not", Verdict.FAILS, failing, SHUT_OFF)
                .when("bypassed", Verdict.FAILS, missing, SHUT_OFF);
    }

    private static List<Requirement> pipe() {
        return List.of(
                Answered.of(Station.FUEL, FuelPoints.LEAK_TEST, Severity.SAFETY, CODE)
                        .when("no-leak", Verdict.MEETS, "No leak was found at any joint.", "")
                        .when(
                                "leak-found",
                                Verdict.FAILS,
                                "Gas leaks.",
                                "Shut off, ventilate, no flame or switch; a licensed fitter mends it and tests again.")
                        .when(
                                "not-done",
                                Verdict.NOT_SHOWN,
                                "Nobody has tested the pipe.",
                                "Leak-test every joint under working pressure with soap or a detector."),
                GasPipe.ORDER,
                new GasPipeSize(),
                GasPipe.SUPPORTS,
                WithinLimits.of(
                        Station.FUEL,
                        FuelPoints.SHUT_OFF,
                        Severity.SAFETY,
                        CODE,
                        "Install a gas shut-off within {limit} of the appliance."));
    }

    private static List<Requirement> vent() {
        return List.of(
                Vent.KIND,
                WithinLimits.of(
                        Station.FUEL, VentPoints.SLOPE, Severity.SAFETY, CODE, "Rehang it so that it rises all along"),
                WithinLimits.of(
                        Station.FUEL,
                        VentPoints.SUPPORT,
                        Severity.SAFETY,
                        CODE,
                        "Support the vent every {limit} maximum."),
                Vent.FROM_WHAT_BURNS,
                Vent.FROM_OPENINGS,
                Vent.OVER_GRADE,
                Vent.OVER_WALK,
                Vent.OVER_INLET,
                Vent.FROM_METER,
                Answered.of(Station.FUEL, VentPoints.COMMON, Severity.SAFETY, CODE)
                        .when("never-shared", Verdict.DOES_NOT_APPLY, "Nothing else was on this vent.", "")
                        .when("resized", Verdict.MEETS, "It fits what stays on it.", "")
                        .when(
                                "left-as-was",
                                Verdict.FAILS,
                                "What stays is orphaned on an oversized common vent: it spills and corrodes.",
                                "Do not operate what stays until its vent is resized or lined.")
                        .when(
                                "nobody-knows",
                                Verdict.REFER,
                                "Nobody knows what else was on this vent.",
                                "A licensed person traces it and sizes it for what stays."),
                WithinLimits.of(
                        Station.FUEL,
                        VentPoints.DRAFT,
                        Severity.SAFETY,
                        CODE,
                        "Shut off. A licensed technician looks for a blocked vent or a depressurised room; draft"),
                Answered.of(Station.FUEL, VentPoints.SPILLAGE, Severity.SAFETY, CODE + ", test of draft hoods")
                        .when("none", Verdict.MEETS, "The draft hood draws after five minutes.", "")
                        .when(
                                "spills",
                                Verdict.FAILS,
                                "Flue gas spills into the room.",
                                "Shut it off, ventilate. A licensed person finds why: a blocked vent, fans that draw the room down, too little air.")
                        .when(
                                "not-done",
                                Verdict.NOT_SHOWN,
                                "Nobody has tested the draft hood for spillage.",
                                "Test for spillage in the worst case, after five minutes of firing."),
                Answered.of(
                                Station.FUEL,
                                VentPoints.NEUTRALISER,
                                Severity.DAMAGE,
                                "Data sheet, condensate; plumbing code")
                        .when("fitted", Verdict.MEETS, "A neutraliser is fitted.", "")
                        .when("not-needed", Verdict.DOES_NOT_APPLY, "Its water meets plastic only.", "")
                        .when(
                                "missing",
                                Verdict.FAILS,
                                "Acid water eats metal drains and concrete.",
                                "Install a condensate neutraliser of its size where it can be refilled."));
    }
}
