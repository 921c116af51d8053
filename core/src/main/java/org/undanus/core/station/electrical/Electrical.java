package org.undanus.core.station.electrical;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Answered;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Dimension;

/** What station 7 asks and judges. */
public final class Electrical {
    private Electrical() {}

    private static final String CODE = "NFPA 70 and IEC 60364 families; check the adopted edition";
    private static final String MAKER = "Data sheet, electrical connection";

    private static Observed seen(
            Point point, Severity severity, String source, String good, String bad, String remedy) {
        return Observed.that(Station.ELECTRICAL, point, severity, source, good, bad, remedy);
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.ELECTRICAL,
                        Stream.concat(CircuitPoints.all().stream(), WiringPoints.all().stream())
                                .toList(),
                        Stream.of(circuit(), panel(), wiring(), running())
                                .flatMap(List::stream)
                                .toList())
                .drawnBy(CircuitFigure::draw, TerminalFigure::draw)
                .sizes(CircuitCurrents.DEVICE_SIZES, Dimension.CURRENT)
                .tables(InstalledConductor.tables())
                .after(
                        Station.PAPERS,
                        "A circuit is held against the plates: what is open there cannot be judged here.");
    }

    private static List<Requirement> circuit() {
        return List.of(
                new OvercurrentDevice(),
                new ConductorAmpacity(),
                new DisconnectPresent(),
                new DisconnectRating(),
                new DisconnectInSight(),
                new DisconnectReach(),
                new FaultDisconnection(),
                new ResidualCurrentDevice(),
                SupplyVoltage.STANDING,
                SupplyVoltage.RUNNING,
                new RunningCurrent());
    }

    private static List<Requirement> panel() {
        return List.of(
                Panel.LOAD,
                Panel.WAYS,
                seen(
                        WiringPoints.DEDICATED,
                        Severity.SAFETY,
                        CODE,
                        "The circuit serves this machine alone.",
                        "Something else hangs on this circuit.",
                        "A licensed electrician gives the machine a circuit of its own."),
                Answered.of(Station.ELECTRICAL, WiringPoints.SURGE, Severity.DAMAGE, MAKER)
                        .when("fitted", Verdict.MEETS, "It is fitted.", "")
                        .when("not-specified", Verdict.DOES_NOT_APPLY, "Nobody asks for it here.", "")
                        .when(
                                "missing",
                                Verdict.FAILS,
                                "It is specified and not there.",
                                "A licensed electrician installs a listed device at the panel or disconnect."));
    }

    private static List<Requirement> wiring() {
        return List.of(
                new VoltageDrop(),
                new EarthingConductor(),
                new ConduitFill(),
                Answered.of(Station.ELECTRICAL, WiringPoints.CONDUCTOR_CLASS, Severity.DAMAGE, MAKER)
                        .when("as-asked", Verdict.MEETS, "They are as the sheet asks.", "")
                        .when("silent", Verdict.DOES_NOT_APPLY, "The sheet does not say.", "")
                        .when(
                                "otherwise",
                                Verdict.FAILS,
                                "The terminals are made for another kind of conductor: they work loose.",
                                "A licensed electrician ends them as the sheet asks."),
                seen(
                        WiringPoints.STRAIN_RELIEF,
                        Severity.SAFETY,
                        CODE,
                        "Strain relief holds cord and cable.",
                        "A pull on the cable reaches the terminals.",
                        "A licensed electrician installs a listed clamp or fitting at every entry."),
                seen(
                        WiringPoints.SEPARATED,
                        Severity.SAFETY,
                        CODE,
                        "Control and power are apart.",
                        "Control and power lie together.",
                        "A licensed electrician runs the control cable by itself, or insulated for the higher voltage."),
                Panel.CONTROL,
                seen(
                        WiringPoints.STAGE_WIRES,
                        Severity.PERFORMANCE,
                        MAKER,
                        "Every stage has its wire.",
                        "A stage has no wire: it will never run.",
                        "A licensed electrician connects it at both ends by the wiring diagram."),
                Interconnection.NUMBERS,
                Interconnection.EARTH,
                SupplyQuality.FUSE,
                seen(
                        WiringPoints.PULL_OUT_WAY,
                        Severity.SAFETY,
                        "The disconnect's label",
                        "The pull-out goes in the right way.",
                        "The pull-out sits the wrong way round: what reads OFF may be on.",
                        "Treat it as live; a qualified person puts it right."),
                seen(
                        WiringPoints.WEATHERPROOF,
                        Severity.SAFETY,
                        CODE,
                        "It keeps the rain out.",
                        "Rain gets into it.",
                        "A licensed electrician replaces it with one rated for outdoors, entries from below or the side."),
                SupplyQuality.OVERLOAD_RULE);
    }

    private static List<Requirement> running() {
        return List.of(SupplyQuality.IMBALANCE, SupplyQuality.STAGE);
    }
}
