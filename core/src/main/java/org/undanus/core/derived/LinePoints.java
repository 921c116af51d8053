package org.undanus.core.derived;

import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.quantity.Dimension;

/** What is read of refrigerant lines and asked at several stations. */
public final class LinePoints {
    private LinePoints() {}

    public static final Point RUN = Point.list(
                    "piping.run",
                    Scope.LINE_SET,
                    "Run of the lines, from the indoor unit",
                    "Part by part to the outdoor unit: lengths with their direction, elbows, traps, wall, couplings, coil."
                            + " Say insulation and place where they change: insulated 13 mm, bare, attic, outdoors, in sun.",
                    TubeRun.LINES)
            .with(InstrumentKind.TAPE)
            .dueAt(Stage.BEFORE_COVER);
    public static final Point LIQUID = Point.quantity(
                    "piping.liquid-line",
                    Scope.LINE_SET,
                    Dimension.LENGTH,
                    "Liquid line as fitted, outer diameter",
                    "Printed on the tube, or with a caliper on bare tube.",
                    0.004,
                    0.04)
            .with(InstrumentKind.CALIPER)
            .called("liquid line", "small tube");
    public static final Point SUCTION = Point.quantity(
                    "piping.suction-line",
                    Scope.LINE_SET,
                    Dimension.LENGTH,
                    "Suction line as fitted, outer diameter",
                    "Printed on the tube, or with a caliper on bare tube.",
                    0.006,
                    0.08)
            .with(InstrumentKind.CALIPER)
            .called("suction line", "gas line", "large tube");
    /** Read where the bundle goes through the wall. */
    public static final Point INSULATION = Point.quantity(
                    "mounting.line-insulation",
                    Scope.SPLIT_UNIT,
                    Dimension.LENGTH,
                    "Line insulation, thickness",
                    "Of each tube, one side, not pressed.",
                    0.002,
                    0.06)
            .with(InstrumentKind.CALIPER)
            .asOptional();
}
