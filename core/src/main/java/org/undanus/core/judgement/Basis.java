package org.undanus.core.judgement;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.undanus.core.evidence.PointKey;

/** Account of what of the evidence a judgement rests on: as long as none of it changes the judgement does not either. */
final class Basis {
    private final Set<PointKey> looked = new LinkedHashSet<>();
    private final Set<PointKey> beside = new HashSet<>();
    private boolean everything;

    /** A point whose reading the judgement names as its evidence, read or not. */
    void look(PointKey point) {
        looked.add(point);
    }

    /** A point it depends on without naming it: what an instrument is held against. */
    void dependOn(PointKey point) {
        beside.add(point);
    }

    /** It went through all readings. */
    void dependOnEverything() {
        everything = true;
    }

    void add(Basis other) {
        beside.addAll(other.looked);
        beside.addAll(other.beside);
        everything |= other.everything;
    }

    /** The points looked at, in that order. */
    List<PointKey> looked() {
        return List.copyOf(looked);
    }

    boolean everything() {
        return everything;
    }

    /** All that it depends on, named or not. */
    Set<PointKey> points() {
        Set<PointKey> all = new HashSet<>(looked);
        all.addAll(beside);
        return all;
    }

    boolean touchedBy(Set<PointKey> changed) {
        return !changed.isEmpty()
                && (everything || changed.stream().anyMatch(point -> looked.contains(point) || beside.contains(point)));
    }
}
