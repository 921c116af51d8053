package org.undanus.core.evidence;

/** What a point is read of, and what a requirement is judged for. */
public enum Scope {
    SYSTEM,
    /** The system as a whole, where it takes the place of an older one. */
    REPLACEMENT,
    /** The system as a whole, where refrigerant runs in it. */
    REFRIGERANT_SYSTEM,
    /** A unit with a compressor. */
    OUTDOOR_UNIT,
    /** A unit with a compressor, from which tubes are laid to coils elsewhere. */
    SPLIT_OUTDOOR_UNIT,
    /** A unit that stands indoors, whatever it does there. */
    INDOOR_UNIT,
    /** A unit whose coil is joined to a compressor elsewhere, by tubes laid on site. */
    SPLIT_UNIT,
    /** A unit with the coil that cools or heats the room's air. */
    COIL_UNIT,
    /** A unit that moves the room's air. */
    AIR_UNIT,
    /** A unit that refrigerant runs through. */
    REFRIGERANT_UNIT,
    /** An indoor unit that hangs on a wall and draws and throws air there. */
    WALL_UNIT,
    /** Any unit that is judged here, indoor or outdoor. */
    UNIT,
    /** A unit with a power circuit of its own. */
    POWERED_UNIT,
    /** A unit that is named here and judged elsewhere. */
    UNJUDGED_UNIT,
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
        return this == SYSTEM || this == REPLACEMENT || this == REFRIGERANT_SYSTEM;
    }
}
