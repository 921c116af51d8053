package org.undanus.core.evidence;

/** What a point is read of, and what a requirement is judged for. */
public enum Scope {
    SYSTEM,
    /** The system as a whole, where it takes the place of an older one. */
    REPLACEMENT,
    OUTDOOR_UNIT,
    INDOOR_UNIT,
    /** An indoor unit that hangs on a wall and draws and throws air there. */
    WALL_UNIT,
    /** Any unit, indoor or outdoor. */
    UNIT,
    /** A unit with a power circuit of its own. */
    POWERED_UNIT,
    /** A unit that burns fuel. */
    FUEL_UNIT,
    /** The tubes between an outdoor and an indoor unit. */
    LINE_SET,
    /** One joint of a line set. */
    JOINT,
    DRAIN_RUN,
    /** A power circuit from its overcurrent protective device to a unit. */
    CIRCUIT,
    DUCT_SYSTEM,
    /** What takes combustion products outdoors. */
    VENT,
    /** Rooms that one control serves. */
    ZONE;

    /** Whether it speaks of the system as a whole. */
    public boolean ofSystem() {
        return this == SYSTEM || this == REPLACEMENT;
    }
}
