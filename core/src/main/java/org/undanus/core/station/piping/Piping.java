package org.undanus.core.station.piping;

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

/** What station 5 asks and judges. */
public final class Piping {
    private static final String PRACTICE = "Data sheet, installation; common practice";
    private static final String FLARES = "Data sheet, flare joints; common practice";
    private static final String BRAZING = "Data sheet, brazed joints; common practice";
    private static final String PRESSING = "The fitting's sheet";

    private Piping() {}

    private static Observed seen(
            Point point, Severity severity, String source, String good, String bad, String remedy) {
        return Observed.that(Station.PIPING, point, severity, source, good, bad, remedy);
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.PIPING,
                        Stream.concat(PipingPoints.all().stream(), JointPoints.all().stream())
                                .toList(),
                        Stream.of(lines(), insulation(), driers(), metering(), flares(), closed())
                                .flatMap(List::stream)
                                .toList())
                .drawnBy(RunFigure::draw, PortsFigure::draw)
                .after(Station.PAPERS, "Lines are held against the plates: what is open there cannot be judged here.");
    }

    private static List<Requirement> lines() {
        return List.of(
                LineSize.LIQUID,
                LineSize.SUCTION,
                LineLengths.LENGTH,
                LineLengths.EQUIVALENT,
                LineLengths.TOTAL,
                LineLengths.LIFT,
                OilReturn.TRAPS,
                OilReturn.INVERTED_TRAP,
                OilReturn.LOW_SPOTS,
                OilReturn.DRIP_LOOP,
                Bends.RADIUS,
                Bends.FLATTENING,
                WithinLimits.of(
                        Station.PIPING,
                        PipingPoints.SUPPORT_SPACING,
                        Severity.DAMAGE,
                        PRACTICE,
                        "Support the lines every {limit} maximum."),
                new InsulationThickness(),
                new Ports());
    }

    private static List<Requirement> insulation() {
        return List.of(
                seen(
                        PipingPoints.INSULATION_WHOLE,
                        Severity.DAMAGE,
                        PRACTICE,
                        "Both lines are insulated along all.",
                        "Insulation is missing, split or pressed flat: it sweats there.",
                        "Insulate each line by itself along all its length, seams glued."),
                seen(
                        PipingPoints.JOINTS_INSULATED,
                        Severity.DAMAGE,
                        PRACTICE,
                        "Joints and valves are insulated and sealed.",
                        "A joint or valve is bare: it sweats and drips.",
                        "Close and seal the insulation over every joint once it has passed its leak test."),
                seen(
                        PipingPoints.SUN_PROTECTED,
                        Severity.DAMAGE,
                        PRACTICE,
                        "The insulation is protected from sunlight.",
                        "Sunlight reaches the insulation: it crumbles within a few years.",
                        "Cover, paint or jacket it with what is made for it."),
                seen(
                        PipingPoints.GROMMETS,
                        Severity.DAMAGE,
                        PRACTICE,
                        "Grommets line every entry.",
                        "A tube rests on a metal edge: it wears through.",
                        "Put grommets in, and check the tube where it touched."),
                seen(
                        PipingPoints.SLEEVED,
                        Severity.DAMAGE,
                        PRACTICE,
                        "Sleeves keep the tubes off masonry and nails.",
                        "A tube touches mortar, strap or nail.",
                        "Sleeve it, and check the tube where it touched."));
    }

    private static List<Requirement> driers() {
        return List.of(
                Answered.of(Station.PIPING, PipingPoints.DRIER, Severity.DAMAGE, "Data sheet, lines; re-used lines")
                        .when("fitted", Verdict.MEETS, "One is fitted.", "")
                        .when("not-asked-for", Verdict.DOES_NOT_APPLY, "Nothing asks for one here.", "")
                        .when(
                                "missing",
                                Verdict.FAILS,
                                "One is asked for and none is fitted.",
                                "Install one of the liquid line's size near the indoor unit while the circuit is open."),
                Answered.of(
                                Station.PIPING,
                                PipingPoints.DRIER_DIRECTION,
                                Severity.PERFORMANCE,
                                "The filter drier's arrow")
                        .when("with", Verdict.MEETS, "Its arrow follows the liquid.", "")
                        .when("both-ways", Verdict.MEETS, "It is made for both ways.", "")
                        .when(
                                "against",
                                Verdict.FAILS,
                                "It stands against the flow.",
                                "Turn it round; on a heat pump fit one made for both ways."),
                seen(
                        PipingPoints.DRIER_PROTECTED,
                        Severity.DAMAGE,
                        PRACTICE,
                        "It is kept from rust.",
                        "Its steel shell is bare and will rust through.",
                        "Paint or wrap it."));
    }

    private static List<Requirement> metering() {
        return List.of(
                new MeteringPiece(),
                Answered.of(
                                Station.PIPING,
                                PipingPoints.METERING_DIRECTION,
                                Severity.PERFORMANCE,
                                "The valve's instructions")
                        .when("as-drawn", Verdict.MEETS, "It sits as the valve's drawing shows.", "")
                        .when(
                                "reversed",
                                Verdict.FAILS,
                                "It sits the wrong way round: it meters nothing.",
                                "Recover the charge, then turn it round."),
                Answered.of(
                                Station.PIPING,
                                PipingPoints.COMPOUND,
                                Severity.DAMAGE,
                                "The compound's and valve's instructions")
                        .when("none", Verdict.MEETS, "No compound was used.", "")
                        .when("rated-thread", Verdict.MEETS, "A rated compound, on the thread only.", "")
                        .when(
                                "rated-seat",
                                Verdict.FAILS,
                                "Compound on the seat washes into the circuit and blocks it.",
                                "Open the joint, clean it and close it with compound on the thread only.")
                        .when(
                                "not-rated",
                                Verdict.FAILS,
                                "The compound is not made for refrigerant: it dissolves.",
                                "Open the joint, clean it and close it with a rated compound or none."));
    }

    private static List<Requirement> flares() {
        return List.of(
                Joints.LISTED,
                seen(
                        JointPoints.SQUARE,
                        Severity.DAMAGE,
                        FLARES,
                        "Cut square.",
                        "Cut askew: the flare is uneven and leaks.",
                        "Cut it off with a tube cutter and make a new flare."),
                seen(
                        JointPoints.DEBURRED,
                        Severity.DAMAGE,
                        FLARES,
                        "Deburred with the end held down.",
                        "Not deburred, or chips fell in.",
                        "Cut it, deburr it with the end held down, and make a new flare."),
                seen(
                        JointPoints.FACE,
                        Severity.DAMAGE,
                        FLARES,
                        "The face is sound.",
                        "The face is cracked or scratched: it leaks.",
                        "Cut it off and make a new flare."),
                seen(
                        JointPoints.SECOND_SPANNER,
                        Severity.DAMAGE,
                        FLARES,
                        "Held with a second spanner.",
                        "Closed with one spanner: tube or valve may be twisted.",
                        "Check the tube and valve for a twist, and tighten with two wrenches."),
                Joints.HEIGHT,
                Joints.DIAMETER,
                Joints.TORQUE,
                Joints.ON_SEAT);
    }

    /** Brazed and pressed ones. */
    private static List<Requirement> closed() {
        return List.of(
                seen(
                        JointPoints.NITROGEN_FLOWING,
                        Severity.DAMAGE,
                        BRAZING,
                        "Nitrogen flowed while it was brazed.",
                        "Brazed without nitrogen: scale inside will block valves.",
                        "Cut out the joint, swab the line, and braze it again with nitrogen flowing."),
                seen(
                        JointPoints.VALVE_COOLED,
                        Severity.DAMAGE,
                        BRAZING,
                        "Valve bodies were kept cool.",
                        "Valves were heated: their seats may leak.",
                        "Prove the valve tight, or replace it."),
                Joints.PRESS_PRESSURE,
                seen(
                        JointPoints.PRESS_REFRIGERANT,
                        Severity.SAFETY,
                        PRESSING,
                        "The fitting is rated for this refrigerant.",
                        "The fitting is not rated for this refrigerant.",
                        "Nobody charges this circuit; have the fitting replaced by a rated one."),
                seen(
                        JointPoints.PRESS_GENERATION,
                        Severity.SAFETY,
                        PRESSING,
                        "Jaw and fitting belong together.",
                        "The jaw is of another generation than the fitting: it may not hold.",
                        "Cut out the joint and press it with the jaw its sheet lists."));
    }
}
