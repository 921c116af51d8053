package org.undanus.core.visit;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.undanus.core.judgement.Severity;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;

/** What the plan of a visit that has little time goes by, as long as nothing better is known. */
public final class HourSettings {
    private static final Map<Severity, Setting> WEIGHTS = Severity.each(severity -> Setting.useful(
            "handover.stake-" + severity.key(),
            Dimension.COUNT,
            "What a failure of this kind weighs when a visit is planned: " + severity.title()));

    /** Share of what is judged that fails, as long as the archive does not tell. */
    public static final Setting FAILING = Setting.useful(
            "handover.share-failing", Dimension.RATIO, "Share of judgements that fail, before the archive tells");
    /** Of how many judgements that share is worth. */
    public static final Setting FAILING_OF = Setting.useful(
            "handover.share-failing-of", Dimension.COUNT, "Of how many judgements the share that fails is worth");
    /** Share of recorded lines that is read again. */
    public static final Setting CONFIRMED = Setting.useful(
            "handover.share-confirmed", Dimension.RATIO, "Share of recorded lines that an inspector reads again");

    /** Of how many readings the time for a line is worth. */
    public static final Setting TIME_OF = Setting.useful(
            "handover.time-per-line-of", Dimension.COUNT, "Of how many readings the time to read a line is worth");

    /** Sooner after another a line was one of several typed at once. */
    static final Setting SOONEST = Setting.useful(
            "handover.time-per-line-soonest",
            Dimension.DURATION,
            "Sooner after the one before it a reading tells nothing of the time it took");

    /** Later the person had been doing something else. */
    static final Setting LATEST = Setting.useful(
            "handover.time-per-line-latest",
            Dimension.DURATION,
            "Later after the one before it a reading tells nothing of the time it took");

    private HourSettings() {}

    public static List<Setting> all() {
        return Stream.concat(
                        WEIGHTS.values().stream(), Stream.of(FAILING, FAILING_OF, CONFIRMED, TIME_OF, SOONEST, LATEST))
                .toList();
    }

    /** What a failure weighs. */
    static double weight(Severity severity, RuleBook rules) {
        return rules.number(WEIGHTS.get(severity));
    }

    /** Whether the book says enough for a plan; one from before plans does not. */
    public static boolean decided(RuleBook rules) {
        return rules.decides(RevisitPlan.PER_LINE) && all().stream().allMatch(rules::decides);
    }

    /**
     * How likely something is to fail: the book's share, as so many judgements worth, with those that were seen.
     *
     * @param failing of those decided
     */
    public static double share(RuleBook rules, double failing, double decided) {
        double of = rules.number(FAILING_OF);
        return (of * rules.number(FAILING) + failing) / (of + decided);
    }

    /**
     * How long a line takes, s: the book's time, as so many readings worth, with those that tell.
     *
     * @param after how long after the one before it each reading came, s
     */
    static double seconds(RuleBook rules, List<Double> after) {
        double soonest = rules.number(SOONEST);
        double latest = rules.number(LATEST);
        double[] tell = after.stream()
                .mapToDouble(Double::doubleValue)
                .filter(seconds -> seconds >= soonest && seconds <= latest)
                .toArray();
        double of = rules.number(TIME_OF);
        return (of * rules.number(RevisitPlan.PER_LINE) + Arrays.stream(tell).sum()) / (of + tell.length);
    }
}
