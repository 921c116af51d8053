package org.undanus.core.derived;

import java.util.List;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Mounting;
import org.undanus.core.quantity.Dimension;

/** What is read of units and asked at several stations. */
public final class UnitPoints {
    private UnitPoints() {}

    public static final Point SUPPORT = Point.choice(
            "siting.support", Scope.OUTDOOR_UNIT, "Stands on", "What carries the unit.", Mounting.options());
    /** A record's word for what came in beyond the factory charge. */
    public static final Point ADDED_CHARGE = Point.quantity(
                    "siting.added-charge",
                    Scope.OUTDOOR_UNIT,
                    Dimension.MASS,
                    "Refrigerant added",
                    "From the charging record; nothing added: 0.",
                    0,
                    60)
            .asOptional();

    public static final Point SOUND_AT_BOUNDARY = Point.quantity(
                    "siting.sound-at-boundary",
                    Scope.SYSTEM,
                    Dimension.SOUND_LEVEL,
                    "Sound measured at the boundary",
                    "At the loudest place, the system at full speed, background well below. Goes before the computed level.",
                    15,
                    110)
            .with(InstrumentKind.SOUND_METER)
            .asOptional();
    public static final Point SOUND_AT_WINDOW = Point.quantity(
                    "siting.sound-at-window",
                    Scope.SYSTEM,
                    Dimension.SOUND_LEVEL,
                    "Sound measured at the window",
                    "Before the neighbour's nearest window, the system at full speed. Goes before the computed level.",
                    15,
                    110)
            .with(InstrumentKind.SOUND_METER)
            .asOptional();
    public static final Point ROOM_AREA = Point.quantity(
            "siting.room-area",
            Scope.COIL_UNIT,
            Dimension.AREA,
            "Floor area of its room",
            "The room the unit serves, doors shut.",
            1,
            2000);
    public static final Option ON_FLOOR = Option.of("floor", "floor");
    public static final Option UNDER_WINDOW = Option.of("window", "window");
    public static final Point MOUNTING_PLACE = Point.choice(
            "siting.mounting-place",
            Scope.COIL_UNIT,
            "Unit location",
            "Where leaking refrigerant would come out.",
            List.of(ON_FLOOR, UNDER_WINDOW, Option.of("wall", "wall"), Option.of("ceiling", "ceiling")));

    public static final Point RUNNING_CURRENT = Point.quantity(
                    "electrical.running-current",
                    Scope.OUTDOOR_UNIT,
                    Dimension.CURRENT,
                    "Compressor current, running",
                    "Clamp one compressor conductor after steady running.",
                    0,
                    600)
            .with(InstrumentKind.CLAMP_METER)
            .withCaution("Live parts: only a qualified person opens the cover, with protective equipment.")
            .called("running current", "running amps", "compressor amps");
}
