package org.undanus.core.evidence;

/** A point of one component of one system. */
public record PointKey(String point, String component) {
    /** The component name for points that belong to the system as a whole. */
    public static final String SYSTEM = "system";
}
