package org.undanus.core.rules;

import java.util.Set;

/**
 * A part of the work that a visit may be confined to. What it names is within it: whatever is at stake so much, is judged at one of the
 * stations, or is one of the requirements.
 *
 * @param id stable name
 * @param severities keys of what is at stake
 * @param stations keys
 * @param requirements ids
 * @param open whether everything is within it that is not settled or not shown, or fails
 */
public record InspectionScope(
        String id, String title, Set<String> severities, Set<String> stations, Set<String> requirements, boolean open) {
    public InspectionScope {
        severities = Set.copyOf(severities);
        stations = Set.copyOf(stations);
        requirements = Set.copyOf(requirements);
    }
}
