package org.undanus.core.words;

/** Which units a reader wants to see. What was typed is kept as typed whatever this says. */
public enum UnitSystem {
    US,
    SI
}
