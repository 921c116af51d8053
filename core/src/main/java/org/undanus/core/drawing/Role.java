package org.undanus.core.drawing;

/** What a line or area is, whichever pen draws it. */
public enum Role {
    /** The edge of a thing, nothing within. */
    OUTLINE,
    /** A thing that stands before what is behind it. */
    BODY,
    /** Something built: masonry, ground. */
    WALL,
    /** A line in passing: a grid. */
    GRID,
    /** A measured curve or scale. */
    CURVE,
    /** What is allowed or expected. */
    PERMITTED,
    /** What is asked for, dashed. */
    ASKED,
    /** A conductor, tube or drain on its way. */
    RUN,
    /** A point or stroke that a reading put there. */
    READ,
    /** A cabinet where it stands; words keep off it. */
    CABINET,
    /** The side of a cabinet that blows. */
    FRONT,
    /** Where one stands: no line about it. */
    GROUND,
    /** The edge of a plot. */
    BOUNDARY,
    /** What equipment keeps away from: an opening, a vent. */
    HAZARD,
    /** Where a thing could be instead. */
    GHOST
}
