package org.undanus.core.station.evacuation;

import java.util.List;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of an evacuation. */
final class EvacuationPoints {
    private static final double DEEPEST = 0.1;
    private static final double AIR = 1.1e5;

    private EvacuationPoints() {}

    private static Point measured(
            String name, Dimension dimension, String title, String how, double least, double most) {
        return Point.quantity("evacuation." + name, Scope.LINE_SET, dimension, title, how, least, most)
                .dueAt(Stage.WITNESS);
    }

    private static Point vacuum(String name, String title, String how) {
        return measured(name, Dimension.ABSOLUTE_PRESSURE, title, how, DEEPEST, AIR)
                .with(InstrumentKind.VACUUM_GAUGE);
    }

    private static Point choice(String name, String title, String how, Option... options) {
        return Point.choice("evacuation." + name, Scope.LINE_SET, title, how, List.of(options))
                .dueAt(Stage.WITNESS);
    }

    private static Point seen(String name, String title, String how) {
        return Point.yesNo("evacuation." + name, Scope.LINE_SET, title, how).dueAt(Stage.WITNESS);
    }

    static final Option ELECTRONIC = Option.of("electronic", "electronic vacuum gauge");
    static final Option NEEDLE = Option.of("needle", "needle of a manifold");
    static final Point GAUGE = choice(
            "gauge",
            "Vacuum read on",
            "A manifold gauge cannot show dryness: one of its divisions is more than all the water there is.",
            ELECTRONIC,
            NEEDLE);
    static final Option FAR = Option.of("far-side", "far side from the pump");
    static final Option AT_PUMP = Option.of("pump", "at the pump");
    static final Option AT_MANIFOLD = Option.of("manifold", "on the manifold");
    static final Point GAUGE_AT = choice(
            "gauge-at",
            "Vacuum gauge stands",
            "Where on the system. At the pump it shows the pump's own vacuum.",
            FAR,
            AT_PUMP,
            AT_MANIFOLD);
    static final Point OIL = choice(
            "pump-oil",
            "Pump oil",
            "Changed today, or clear in the glass.",
            Option.of("fresh", "fresh"),
            Option.of("clear", "clear"),
            Option.of("cloudy", "cloudy"),
            Option.of("not-known", "not known"));
    static final Point CORES_OUT =
            seen("cores-out", "Valve cores out", "Taken out with a core tool, so that the ports stand open.");
    static final Point BORE = measured(
                    "hose-bore", Dimension.LENGTH, "Hose, bore", "Inside; the narrowest on the way.", 0.002, 0.03)
            .with(InstrumentKind.CALIPER)
            .asOptional();
    static final Point HOSE = measured(
                    "hose-length", Dimension.LENGTH, "Hose, length", "From the pump to the system.", 0.1, 5)
            .with(InstrumentKind.TAPE)
            .asOptional();
    static final Point PUMP = measured(
                    "pump-speed",
                    Dimension.VOLUME_FLOW,
                    "Pump, rated displacement",
                    "On the pump's nameplate.",
                    1e-4,
                    2e-2)
            .asOptional();
    static final Point PULLED = measured(
                    "pull-time",
                    Dimension.DURATION,
                    "Pump ran for",
                    "From pump on until it was valved off.",
                    30,
                    2 * 86_400)
            .with(InstrumentKind.CLOCK);
    static final Point REACHED = vacuum(
                    "reached", "Vacuum reached", "With the pump running, just before it was valved off.")
            .onlyWhere(GAUGE, ELECTRONIC);
    static final Point NEEDLE_SHOWS = measured(
                    "needle",
                    Dimension.GAUGE_PRESSURE,
                    "Needle shows",
                    "On the compound gauge, with the pump running, as it is marked: 29.5 inHg vac.",
                    -AIR,
                    0)
            .with(InstrumentKind.GAUGE)
            .onlyWhere(GAUGE, NEEDLE);
    static final Option AT_SYSTEM = Option.of("at-system", "valved off at the system");
    static final Option AT_THE_PUMP = Option.of("at-pump", "valved off at the pump, hose included");
    static final Option NOT_ISOLATED = Option.of("not-isolated", "not isolated");
    static final Point ISOLATED = choice(
            "isolated",
            "Pump valved off",
            "With the pump still connected the gauge shows the pump, not the system.",
            AT_SYSTEM,
            AT_THE_PUMP,
            NOT_ISOLATED);
    static final Point HOLD_TIME = measured(
                    "hold-time",
                    Dimension.DURATION,
                    "Isolated for",
                    "From valving off to the last reading.",
                    10,
                    2 * 86_400)
            .with(InstrumentKind.CLOCK);
    static final Point AFTER = vacuum("after", "Vacuum after isolation", "The last reading before it was opened.")
            .onlyWhere(GAUGE, ELECTRONIC);
    static final Point COLDEST = measured(
                    "coldest-wall",
                    Dimension.TEMPERATURE,
                    "Coldest wall of the system",
                    "Where the tube or cabinet is coldest, in the shade.",
                    233.15,
                    333.15)
            .with(InstrumentKind.THERMOMETER);
    static final Point LOG = Point.curve(
                    "evacuation.log",
                    Scope.LINE_SET,
                    Dimension.ABSOLUTE_PRESSURE,
                    "Vacuum logged",
                    "From a logger: the pull, the isolation, or both.",
                    DEEPEST,
                    AIR)
            .with(InstrumentKind.VACUUM_GAUGE)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point READINGS = Point.list(
                    "evacuation.readings",
                    Scope.LINE_SET,
                    "Vacuum by hand",
                    "Time and vacuum as they were written down after isolation.",
                    WrittenCurve.notation(Dimension.ABSOLUTE_PRESSURE))
            .with(InstrumentKind.VACUUM_GAUGE)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point MARKS = Point.list(
                    "evacuation.marks",
                    Scope.LINE_SET,
                    "Done meanwhile",
                    "When the pump ran, was valved off, nitrogen came in: counted from the curve's first sample.",
                    Marks.NOTATION)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point PULLS = Point.list(
                    "evacuation.pulls",
                    Scope.LINE_SET,
                    "Pulls broken with nitrogen",
                    "How deep each went, in order: 180 Pa, 150 Pa, 60 Pa.",
                    Pulls.NOTATION)
            .with(InstrumentKind.VACUUM_GAUGE)
            .dueAt(Stage.WITNESS)
            .asOptional();
    static final Point SHUT_UNTIL = seen(
                    "valves-shut-until",
                    "Valves opened only after the vacuum was accepted",
                    "The outdoor unit's valves stayed shut until then.")
            .withCaution("Refrigerant let into a system that leaks or is wet cannot be taken back out of it.");

    static List<Point> all() {
        return List.of(
                GAUGE,
                GAUGE_AT,
                OIL,
                CORES_OUT,
                BORE,
                HOSE,
                PUMP,
                PULLED,
                REACHED,
                NEEDLE_SHOWS,
                ISOLATED,
                HOLD_TIME,
                AFTER,
                COLDEST,
                LOG,
                MARKS,
                READINGS,
                PULLS,
                SHUT_UNTIL);
    }
}
