package org.undanus.core.station.fuel;

import java.util.List;
import java.util.stream.Stream;
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
                new BurnerInput(),
                GasPipe.INLET_PRESSURE,
                GasPipe.MANIFOLD_PRESSURE,
                GasPipe.TEMPERATURE_RISE,
                new CombustionAir());
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
                                "Have every joint tested under working pressure by soap or detector."),
                GasPipe.ORDER,
                GasPipe.SUPPORTS,
                WithinLimits.of(
                        Station.FUEL,
                        FuelPoints.SHUT_OFF,
                        Severity.SAFETY,
                        CODE,
                        "Have a shut-off fitted within reach of the appliance"));
    }

    private static List<Requirement> vent() {
        return List.of(
                Vent.KIND,
                WithinLimits.of(
                        Station.FUEL,
                        VentPoints.SLOPE,
                        Severity.SAFETY,
                        CODE,
                        "Have it hung so that it rises all along"),
                WithinLimits.of(Station.FUEL, VentPoints.SUPPORT, Severity.SAFETY, CODE, "Have supports set between"),
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
                                "What stays is alone on a vent too large for it: it spills and corrodes.",
                                "What stays is not fired before its vent is sized anew or lined.")
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
                        "Shut off; a licensed person looks for a blocked vent or a room that draws harder"),
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
                                "Have a neutraliser of its size fitted where it can be refilled."));
    }
}
