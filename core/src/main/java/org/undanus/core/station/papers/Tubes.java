package org.undanus.core.station.papers;

import java.util.Comparator;
import java.util.List;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;

/**
 * The standard tubes of a rule book. A tube goes by an inch name or a millimetre one (7/8 in, 22 mm): both are the standard
 * tube nearest to them.
 */
record Tubes(List<Length> sizes) {
    static final String SIZES = "papers.tube-sizes";

    /**
     * @param tube the nearest standard tube
     * @param others whether what was read may as well be another one
     */
    record Match(Length tube, boolean others) {}

    static Tubes of(RuleBook rules) {
        return new Tubes(rules.sizes(SIZES).stream().map(Length.class::cast).toList());
    }

    /** @throws IllegalStateException where the book names no tubes */
    Match nearest(Value.Measured read) {
        double si = read.quantity().si();
        double doubt = Math.max(read.resolution() / 2, read.uncertain().expanded());
        List<Length> byDistance = sizes.stream()
                .sorted(Comparator.comparingDouble(tube -> Math.abs(tube.si() - si)))
                .toList();
        if (byDistance.isEmpty()) {
            throw new IllegalStateException("The rule book names no standard tubes");
        }
        boolean others = byDistance.size() > 1 && Math.abs(byDistance.get(1).si() - si) < doubt;
        return new Match(byDistance.get(0), others);
    }
}
