package org.undanus.core.station.condensate;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 6 asks and judges. */
public final class Condensate {
    private static final String CODE = "Mechanical code, condensate disposal; check the adopted edition";
    private static final String OUTDOOR = "Data sheet, outdoor drain; common practice";

    private Condensate() {}

    private static Observed seen(Point point, Severity severity, String good, String bad, String remedy) {
        return Observed.that(Station.CONDENSATE, point, severity, CODE, good, bad, remedy);
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.CONDENSATE,
                        DrainPoints.all(),
                        Stream.of(drain(), flow(), protection(), outdoor())
                                .flatMap(List::stream)
                                .toList())
                .drawnBy(DrainFigure::draw, TrapFigure::draw)
                .after(
                        Station.MOUNTING,
                        "The drain falls from cabinet and hole: where those are set anew it is read again.");
    }

    private static List<Requirement> drain() {
        return List.of(
                DrainFall.EACH,
                DrainFall.IN_ALL,
                DrainFall.SAGS,
                new DrainSize(),
                Trap.PRESENT,
                Trap.DROP,
                Trap.SEAL,
                seen(
                        DrainPoints.VENTED,
                        Severity.DAMAGE,
                        "A vent stands after the trap.",
                        "No vent after the trap: the drain may run empty by suction of its own.",
                        "Install an open vent after the trap, higher than the pan."),
                seen(
                        DrainPoints.CLEANOUT,
                        Severity.DAMAGE,
                        "It can be cleaned.",
                        "Nothing opens it for cleaning.",
                        "Install a cleanout or union at the trap."),
                Answered.of(Station.CONDENSATE, DrainPoints.UNUSED_PORT, Severity.DAMAGE, "Data sheet, drain ports")
                        .when("plugged", Verdict.MEETS, "The unused port is plugged.", "")
                        .when("none", Verdict.DOES_NOT_APPLY, "There is no unused port.", "")
                        .when(
                                "open",
                                Verdict.FAILS,
                                "The unused port is open: water and air take that way.",
                                "Plug it with the plug from the unit's bag."),
                seen(
                        DrainPoints.PAN,
                        Severity.DAMAGE,
                        "The pan is clean and falls to its outlet.",
                        "Water or slime stands in the pan.",
                        "Clean it, and set the unit so that the pan slopes to its outlet."));
    }

    private static List<Requirement> flow() {
        return List.of(
                Flow.POUR,
                Flow.PUMP,
                seen(
                        DrainPoints.PUMP_CUT_OUT,
                        Severity.DAMAGE,
                        "The pump's cut-out stops the machine.",
                        "The pump's cut-out is not wired: a dead pump floods the room.",
                        "A licensed person wires its safety contact into the control circuit."),
                seen(
                        DrainPoints.PUMP_TESTED,
                        Severity.DAMAGE,
                        "Poured into, it ran, emptied and stopped.",
                        "Poured into, it did not run, empty and stop.",
                        "Check float, hose and power, then pour again."),
                seen(
                        DrainPoints.WATER_LOOP,
                        Severity.RECORD,
                        "Water stands in the loop: it has run.",
                        "The loop is dry: nothing shows that it ever ran.",
                        "Pour until water stands in the loop, and look again at the follow-up."));
    }

    private static List<Requirement> protection() {
        return List.of(
                Protection.SECOND,
                Protection.SWITCH,
                Protection.INSULATION,
                Answered.of(Station.CONDENSATE, DrainPoints.ENDS, Severity.SAFETY, CODE)
                        .when("gully", Verdict.MEETS, "It ends over a drain with an air gap.", "")
                        .when("outdoors", Verdict.MEETS, "It ends outdoors, off every path.", "")
                        .when(
                                "path",
                                Verdict.FAILS,
                                "It wets a path: slippery, and ice in winter.",
                                "Lead it to a drain, or to ground where nobody walks.")
                        .when(
                                "wall-or-roof",
                                Verdict.FAILS,
                                "It wets a wall or roof.",
                                "Lead it to a drain or to ground.")
                        .when(
                                "soil-pipe",
                                Verdict.FAILS,
                                "Sewer gas comes back through the drain.",
                                "End it over a trapped drain with an air gap."),
                WithinLimits.of(
                        Station.CONDENSATE,
                        DrainPoints.END_DISTANCE,
                        Severity.DAMAGE,
                        CODE,
                        "Extend it to end farther from the wall"),
                Answered.of(Station.CONDENSATE, DrainPoints.FREEZING, Severity.DAMAGE, CODE)
                        .when("no-water", Verdict.DOES_NOT_APPLY, "It gives no water in frost.", "")
                        .when("protected", Verdict.MEETS, "It is protected from frost.", "")
                        .when(
                                "unprotected",
                                Verdict.FAILS,
                                "It may freeze shut and flood the pan.",
                                "Insulate and heat it, or reroute it within the heated space."));
    }

    private static List<Requirement> outdoor() {
        return List.of(
                Observed.that(
                        Station.CONDENSATE,
                        DrainPoints.BASE_HOLES,
                        Severity.DAMAGE,
                        OUTDOOR,
                        "The holes in its base are open.",
                        "Holes in its base are closed: meltwater freezes in it and bends the fan.",
                        "Clear every hole, and raise the unit off what closes it."),
                Answered.of(Station.CONDENSATE, DrainPoints.MELTWATER, Severity.SAFETY, OUTDOOR)
                        .when("drained", Verdict.MEETS, "Meltwater seeps away or is drained.", "")
                        .when(
                                "path",
                                Verdict.FAILS,
                                "Meltwater runs onto a path and freezes there.",
                                "Catch it and lead it to a drain; warn people until then.")
                        .when(
                                "stays",
                                Verdict.FAILS,
                                "Meltwater stays and grows to ice below the unit.",
                                "Make the ground below it drain, or raise the unit."),
                Protection.ELBOW);
    }
}
