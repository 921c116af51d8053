package org.undanus.core.station.electrical;

import java.util.List;
import org.undanus.core.derived.notation.TerminalMap;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.ReplacementPoints;
import org.undanus.core.quantity.Dimension;

/** What is read of panel and wiring besides the circuit itself. */
final class WiringPoints {
    private WiringPoints() {}

    private static final String LIVE =
            "Live parts: only a qualified person opens the cover, with protective equipment. Read through a closed front where you can.";

    private static Point panel(String name, String title, String how) {
        return Point.quantity("electrical." + name, Scope.SYSTEM, Dimension.CURRENT, title, how, 0, 4000);
    }

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("electrical." + name, Scope.POWERED_UNIT, dimension, title, how, least, most);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("electrical." + name, Scope.POWERED_UNIT, title, how);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("electrical." + name, Scope.POWERED_UNIT, title, how, List.of(options));
    }

    static final Point SERVICE = panel(
                    "service-rating", "Service, rating", "The main device's number; the panel stays closed.")
            .called("service", "main breaker");
    static final Point LISTED_LOAD = panel(
                    "listed-load",
                    "Load of the building, by its list",
                    "Demand from the load calculation, without this machine.")
            .asOptional();
    static final Point PEAK_LOAD = panel(
                    "peak-load",
                    "Load of the building, measured peak",
                    "Highest demand of the past year, from the meter; without this machine.")
            .asOptional();
    static final Point FREE_WAYS = Point.quantity(
                    "electrical.free-ways",
                    Scope.SYSTEM,
                    Dimension.COUNT,
                    "Panel, ways free for this machine",
                    "Places for devices that were free before it was connected, or were left by the old one.",
                    0,
                    80)
            .withCaution(LIVE)
            .onlyWhere(ReplacementPoints.KEPT_BREAKER, "no");
    static final Point CONTROL_NEEDED = Point.quantity(
                    "electrical.control-needed",
                    Scope.SYSTEM,
                    Dimension.COUNT,
                    "Control conductors needed",
                    "From the wiring diagram: one for each stage, common and supply. Left open, the sheet's number is taken.",
                    1,
                    24)
            .asOptional();
    static final Point CONTROL_THERE = Point.quantity(
            "electrical.control-there",
            Scope.SYSTEM,
            Dimension.COUNT,
            "Control conductors there",
            "Sound conductors of the cable between control and machine.",
            0,
            24);
    static final Point STAGE_WIRES = Point.yesNo(
            "electrical.stage-wires",
            Scope.SYSTEM,
            "Every stage's wire connected at both ends",
            "Control, indoor and outdoor unit, by the diagram.");
    static final Point SEPARATED = Point.yesNo(
                    "electrical.separated",
                    Scope.SYSTEM,
                    "Control and power cable apart",
                    "Not in one conduit, nor in one box without a barrier, unless both are insulated for the higher voltage.")
            .dueAt(Stage.BEFORE_COVER);
    static final Point SURGE = Point.choice(
            "electrical.surge",
            Scope.SYSTEM,
            "Surge protection",
            "A listed device at the panel or disconnect.",
            List.of(
                    Option.of("fitted", "fitted"),
                    Option.of("not-specified", "not specified"),
                    Option.of("missing", "specified, missing")));
    static final Point DEDICATED =
            seen("dedicated", "Circuit serves this machine alone", "Nothing else is fed by its device.");
    static final Point RUN_LENGTH = measured(
                    "run-length",
                    Dimension.LENGTH,
                    "Conductors, length one way",
                    "From the device to the unit, along the way they take.",
                    0.5,
                    300)
            .with(InstrumentKind.TAPE)
            .called("run length", "wire length");
    static final Point METHOD = choice(
                    "method",
                    "How the conductors are installed",
                    "By the table's letters. Left open, method C is taken.",
                    Option.of("A1", "A1 in a conduit in an insulated wall"),
                    Option.of("B1", "B1 in a conduit on a wall"),
                    Option.of("C", "C clipped on a wall"),
                    Option.of("E", "E in free air"))
            .asOptional();
    static final Point EARTH_SIZE = measured(
            "earth-size",
            Dimension.CONDUCTOR_AREA,
            "Earthing conductor, size",
            "Printed on it. Of the same metal as the conductors.",
            0.2e-6,
            400e-6);
    static final Point CONDUIT_INSIDE = measured(
                    "conduit-inside",
                    Dimension.LENGTH,
                    "Conduit, inner diameter",
                    "Only where conductors lie in a conduit.",
                    0.008,
                    0.2)
            .with(InstrumentKind.CALIPER)
            .asOptional();
    static final Point CONDUIT_WIRES = measured(
                    "conduit-wires",
                    Dimension.COUNT,
                    "Conduit, conductors in it",
                    "All of them, earth and neutral too.",
                    1,
                    60)
            .asOptional();
    static final Point CONDUIT_WIRE = measured(
                    "conduit-wire",
                    Dimension.LENGTH,
                    "Conduit, diameter of one conductor",
                    "Over its insulation; of several sizes the largest.",
                    0.001,
                    0.06)
            .with(InstrumentKind.CALIPER)
            .asOptional();
    static final Point CONDUCTOR_CLASS = choice(
            "conductor-class",
            "Conductors stranded or solid as asked",
            "What the maker's terminals are made for.",
            Option.of("as-asked", "as the sheet asks"),
            Option.of("silent", "the sheet does not say"),
            Option.of("otherwise", "otherwise"));
    static final Point STRAIN_RELIEF = seen(
            "strain-relief",
            "Cord and cable held by strain relief",
            "A pull on the cable does not reach the terminals.");
    static final Point DISCONNECT_KIND = choice(
                    "disconnect-kind",
                    "Disconnect, kind",
                    "As its label says.",
                    Option.of("switch", "switch"),
                    Option.of("fused-switch", "fused switch"),
                    Option.of("pull-out", "pull-out"),
                    Option.of("fused-pull-out", "fused pull-out"))
            .onlyWhere(CircuitPoints.DISCONNECT_PRESENT, "yes");
    static final Point FUSE_RATING = measured(
                    "fuse-rating",
                    Dimension.CURRENT,
                    "Disconnect, fuse rating",
                    "Printed on the fuse; read from its label with the cover closed.",
                    1,
                    1000)
            .onlyWhere(DISCONNECT_KIND, "fused-switch", "fused-pull-out");
    static final Point PULL_OUT_WAY = seen(
                    "pull-out-way",
                    "Pull-out goes in the right way",
                    "Its ON side is marked; stored upside down it is OFF.")
            .onlyWhere(DISCONNECT_KIND, "pull-out", "fused-pull-out");
    static final Point WEATHERPROOF = seen(
                    "weatherproof", "Disconnect weatherproof where it stands", "Its cover and entries keep rain out.")
            .onlyWhere(CircuitPoints.DISCONNECT_PRESENT, "yes");

    private static Point between(String name, String title) {
        return measured("voltage-" + name, Dimension.VOLTAGE, title, "Three-phase only, running.", 80, 800)
                .with(InstrumentKind.VOLTMETER)
                .withCaution(LIVE)
                .onlyWhere(PlatePoints.PHASES, "3");
    }

    static final Point VOLTAGE_12 = between("12", "Voltage between lines 1 and 2");
    static final Point VOLTAGE_23 = between("23", "Voltage between lines 2 and 3");
    static final Point VOLTAGE_31 = between("31", "Voltage between lines 3 and 1");
    static final Option SINGLE_STAGE = Option.of("single", "single");
    static final Option LOW_STAGE = Option.of("low", "low");
    static final Point STAGE_CALLED = Point.choice(
            "electrical.stage-called",
            Scope.OUTDOOR_UNIT,
            "Stage called for when the current was read",
            "Of a machine with one stage: single.",
            List.of(SINGLE_STAGE, LOW_STAGE, Option.of("high", "high")));
    static final Point TERMINALS = Point.list(
            "electrical.terminals",
            Scope.SPLIT_UNIT,
            "Interconnection, terminal by terminal",
            "Mark at the outdoor unit, dash, mark at this unit: 1-1, 2-2, 3-3, E-E. With several groups their letter first:"
                    + " A1-1. Go by numbers, never by colours.",
            TerminalMap.NOTATION);

    /** In the order they are read. */
    static List<Point> all() {
        return List.of(
                SERVICE,
                LISTED_LOAD,
                PEAK_LOAD,
                FREE_WAYS,
                CONTROL_NEEDED,
                CONTROL_THERE,
                STAGE_WIRES,
                SEPARATED,
                SURGE,
                DEDICATED,
                RUN_LENGTH,
                METHOD,
                EARTH_SIZE,
                CONDUIT_INSIDE,
                CONDUIT_WIRES,
                CONDUIT_WIRE,
                CONDUCTOR_CLASS,
                STRAIN_RELIEF,
                DISCONNECT_KIND,
                FUSE_RATING,
                PULL_OUT_WAY,
                WEATHERPROOF,
                VOLTAGE_12,
                VOLTAGE_23,
                VOLTAGE_31,
                STAGE_CALLED,
                TERMINALS);
    }
}
