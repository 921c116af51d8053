package org.undanus.core.judgement;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.special.Erf;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.DecisionRule;
import org.undanus.core.rules.Deferral;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;

/**
 * A measured value held against every authority's limit. The strictest limit of each side binds unless its authority
 * defers to another that has spoken (rule book). Guard bands and probability of conforming after JCGM 106.
 *
 * @param measured in the SI unit of the dimension
 * @param resolution step of the measured value's last digit, SI
 */
public record Comparison(
        Dimension dimension, Uncertain measured, double resolution, List<Held> limits, DecisionRule rule) {

    private static final double ROUNDING = 1e-9;

    /**
     * A limit as it stands here.
     *
     * @param deferral why it gives way, when it does
     * @param binds whether it is the strictest of its side
     */
    public record Held(Limit limit, Optional<Deferral> deferral, boolean binds) {
        /** Room inside the limit, negative outside, SI. */
        double margin(double value) {
            double limitValue = limit.value().si();
            return limit.bound() == Bound.AT_LEAST ? value - limitValue : limitValue - value;
        }
    }

    public Comparison {
        limits = List.copyOf(limits);
    }

    /**
     * @param spoken all limits that apply; at least one
     * @throws IllegalArgumentException when nobody has set a limit
     */
    public static Comparison of(
            LimitKey key, Uncertain measured, double resolution, List<Limit> spoken, RuleBook rules) {
        if (spoken.isEmpty()) {
            throw new IllegalArgumentException("Nothing to compare with: " + key.id());
        }
        List<Limit> standing = spoken.stream()
                .filter(limit -> rules.deferral(key, limit, spoken).isEmpty())
                .toList();
        Optional<Limit> floor = standing.stream()
                .filter(l -> l.bound() == Bound.AT_LEAST)
                .max(Comparator.comparingDouble(l -> l.value().si()));
        Optional<Limit> ceiling = standing.stream()
                .filter(l -> l.bound() == Bound.AT_MOST)
                .min(Comparator.comparingDouble(l -> l.value().si()));
        List<Held> held = spoken.stream()
                .map(limit -> new Held(
                        limit,
                        rules.deferral(key, limit, spoken),
                        Stream.of(floor, ceiling)
                                .flatMap(Optional::stream)
                                .anyMatch(strictest -> standing.contains(limit) && asStrict(limit, strictest))))
                .toList();
        return new Comparison(key.dimension(), measured, resolution, held, rules.decisionRule());
    }

    /** Two authorities that say the same both bind. */
    private static boolean asStrict(Limit limit, Limit strictest) {
        return limit.bound() == strictest.bound()
                && limit.value().si() == strictest.value().si();
    }

    /** The binding limit with the least room. */
    public Held binding() {
        return limits.stream()
                .filter(Held::binds)
                .min(Comparator.comparingDouble(held -> held.margin(measured.value())))
                .orElseThrow();
    }

    /** Room to the binding limit in SI; negative where the value is outside. */
    public double margin() {
        return binding().margin(measured.value());
    }

    /** Whether what is held against the limits is one reading as it was taken, with its uncertainty. */
    boolean isOf(Value value) {
        return value instanceof Value.Measured read
                && read.standardUncertainty() > 0
                && read.quantity().dimension() == dimension
                && read.uncertain().equals(measured);
    }

    public Verdict verdict() {
        return limits.stream()
                .filter(Held::binds)
                .map(held -> side(held.margin(measured.value())))
                .reduce(Verdict.MEETS, Verdict::or);
    }

    /** The least room inside a limit with which a value meets it, SI. */
    double guard() {
        return rule == DecisionRule.PLAIN ? 0 : measured.expanded();
    }

    private Verdict side(double margin) {
        double slack = ROUNDING * Math.max(1e-6, Math.abs(measured.value()));
        double guard = measured.expanded();
        return switch (rule) {
            case PLAIN -> margin >= -slack ? Verdict.MEETS : Verdict.FAILS;
            case GUARDED ->
                margin >= guard - slack ? Verdict.MEETS : margin < -guard - slack ? Verdict.FAILS : Verdict.TOO_CLOSE;
            case GUARDED_ACCEPTANCE ->
                margin >= guard - slack ? Verdict.MEETS : margin < -slack ? Verdict.FAILS : Verdict.TOO_CLOSE;
        };
    }

    /** Probability that the true value lies inside all binding limits, the error taken as normal. */
    public double probabilityOfConforming() {
        double u = measured.standardUncertainty();
        if (u == 0) {
            return limits.stream().filter(Held::binds).allMatch(h -> h.margin(measured.value()) >= 0) ? 1 : 0;
        }
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        for (Held held : limits) {
            if (held.binds && held.limit.bound() == Bound.AT_LEAST) {
                low = held.limit.value().si();
            } else if (held.binds) {
                high = held.limit.value().si();
            }
        }
        return Math.max(0, normal((high - measured.value()) / u) - normal((low - measured.value()) / u));
    }

    private static double normal(double z) {
        return Double.isInfinite(z) ? (z > 0 ? 1 : 0) : 0.5 * Erf.erfc(-z / Math.sqrt(2));
    }
}
