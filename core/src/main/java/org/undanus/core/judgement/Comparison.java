package org.undanus.core.judgement;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.special.Erf;
import org.undanus.core.evidence.Value;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.DecisionRule;
import org.undanus.core.rules.Deferral;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * A measured value held against every authority's limit. The limit of each side that leaves the least room binds unless its
 * authority defers to another that has spoken (rule book); two that say the same both bind. Guard bands and probability of conforming after JCGM 106.
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
     * @param binds whether it leaves the least room of its side
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
        DecisionRule rule = rules.decisionRule();
        List<Limit> standing = spoken.stream()
                .filter(limit -> rules.deferral(key, limit, spoken).isEmpty())
                .toList();
        List<Held> held = spoken.stream()
                .map(limit -> new Held(
                        limit,
                        rules.deferral(key, limit, spoken),
                        standing.contains(limit)
                                && standing.stream()
                                        .filter(other -> other.bound() == limit.bound())
                                        .allMatch(other -> room(limit, measured, rule) <= room(other, measured, rule))))
                .toList();
        return new Comparison(key.dimension(), measured, resolution, held, rule);
    }

    /** What is left inside a limit once both uncertainties have had their share: the least of a side binds. */
    private static double room(Limit limit, Uncertain measured, DecisionRule rule) {
        double value = limit.value().si();
        double margin = limit.bound() == Bound.AT_LEAST ? measured.value() - value : value - measured.value();
        return margin - guard(limit, measured, rule);
    }

    private static double guard(Limit limit, Uncertain measured, DecisionRule rule) {
        return rule == DecisionRule.PLAIN ? 0 : expanded(limit, measured);
    }

    /** U of the margin: of what is measured and of the limit, which do not depend on each other. */
    private static double expanded(Limit limit, Uncertain measured) {
        double together = Math.hypot(measured.standardUncertainty(), limit.standardUncertainty());
        return new Uncertain(0, together).expanded();
    }

    /** The binding limit with the least room. */
    public Held binding() {
        return limits.stream()
                .filter(Held::binds)
                .min(Comparator.comparingDouble(held -> room(held.limit, measured, rule)))
                .orElseThrow();
    }

    /** Room to the binding limit in SI; negative where the value is outside. */
    public double margin() {
        return binding().margin(measured.value());
    }

    /** Whether what is held against the limits is one reading as it was taken, with its uncertainty. */
    boolean isOf(Value value) {
        return value instanceof Value.Measured read && read.standardUncertainty() > 0 && holds(read);
    }

    /** Whether it is this reading, as read, that is compared. */
    boolean holds(Value.Measured read) {
        return read.quantity().dimension() == dimension && read.uncertain().equals(measured);
    }

    public Verdict verdict() {
        return limits.stream().filter(Held::binds).map(this::side).reduce(Verdict.MEETS, Verdict::or);
    }

    /** The margin's size; of temperatures a difference. */
    Quantity gap() {
        return difference(Math.abs(margin()));
    }

    /** A difference of what is compared, from SI. */
    public Quantity difference(double si) {
        return dimension == Dimension.TEMPERATURE ? TemperatureDifference.ofKelvin(si) : dimension.of(si);
    }

    /** Whether the binding limit is one that the value is not to be over. */
    boolean tooMuch() {
        return binding().limit.bound() == Bound.AT_MOST;
    }

    /** Whether the value is the limit itself, to what is printed of the room between them. */
    boolean exact() {
        return Math.abs(margin()) <= ROUNDING * Math.max(1e-6, Math.abs(measured.value()));
    }

    /** Both numbers: {@code 37 in found, 36 in required (Adopted code)}. */
    Text foundAndRequired() {
        Limit limit = binding().limit;
        return Text.of(
                tooMuch() ? "{found} found, {limit} allowed ({who})" : "{found} found, {limit} required ({who})",
                dimension.of(measured.value()),
                limit.value(),
                limit.authority().name());
    }

    /** The binding limit after what is to be done: {@code 25 A maximum}. */
    Text required() {
        return Text.of(
                tooMuch() ? "{limit} maximum" : "{limit} minimum",
                binding().limit.value());
    }

    /** How the value stands to the binding limit in a few words: {@code 1 in to spare on the code's 36 in}. */
    Text room() {
        Limit limit = binding().limit;
        String whose = limit.authority().kind().whose();
        return switch (verdict()) {
            case MEETS ->
                exact()
                        ? Text.of("exactly {whose} {limit}", whose, limit.value())
                        : Text.of("{gap} to spare on {whose} {limit}", gap(), whose, limit.value());
            case FAILS ->
                Text.of(
                        tooMuch() ? "{gap} over {whose} {limit}" : "{gap} short of {whose} {limit}",
                        gap(),
                        whose,
                        limit.value());
            default -> Text.of("at {whose} {limit}", whose, limit.value());
        };
    }

    /** The least room inside the binding limit with which a value meets it, SI. */
    double guard() {
        return guard(binding().limit, measured, rule);
    }

    /** The expanded uncertainty of the reading with which the margin found would settle the matter, SI; 0 where none would. */
    public double allowed() {
        double limits = new Uncertain(0, binding().limit.standardUncertainty()).expanded();
        return Math.sqrt(Math.max(0, margin() * margin() - limits * limits));
    }

    /** Expanded uncertainty of the margin to the binding limit, SI. */
    double expanded() {
        return expanded(binding().limit, measured);
    }

    private Verdict side(Held held) {
        double margin = held.margin(measured.value());
        double slack = ROUNDING * Math.max(1e-6, Math.abs(measured.value()));
        double guard = expanded(held.limit, measured);
        return switch (rule) {
            case PLAIN -> margin >= -slack ? Verdict.MEETS : Verdict.FAILS;
            case GUARDED ->
                margin >= guard - slack ? Verdict.MEETS : margin < -guard - slack ? Verdict.FAILS : Verdict.TOO_CLOSE;
            case GUARDED_ACCEPTANCE ->
                margin >= guard - slack ? Verdict.MEETS : margin < -slack ? Verdict.FAILS : Verdict.TOO_CLOSE;
        };
    }

    /**
     * Probability that the true value lies inside all binding limits, the error taken as normal. A floor and a ceiling are taken
     * for one band, each as wide as its own doubt.
     */
    public double probabilityOfConforming() {
        double probability = 1;
        for (Bound bound : Bound.values()) {
            probability -= limits.stream()
                    .filter(held -> held.binds && held.limit.bound() == bound)
                    .mapToDouble(this::probabilityOutside)
                    .max()
                    .orElse(0);
        }
        return Math.max(0, probability);
    }

    private double probabilityOutside(Held held) {
        double u = Math.hypot(measured.standardUncertainty(), held.limit.standardUncertainty());
        double margin = held.margin(measured.value());
        return u == 0 ? (margin >= 0 ? 0 : 1) : normal(-margin / u);
    }

    private static double normal(double z) {
        return Double.isInfinite(z) ? (z > 0 ? 1 : 0) : 0.5 * Erf.erfc(-z / Math.sqrt(2));
    }
}
