package org.undanus.core.judgement;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;

/** What the plan of a visit that has little time goes by, as long as nothing better is known. */
public final class HourSettings {
    private HourSettings() {}

    private static final Map<Severity, Setting> WEIGHTS = new EnumMap<>(Severity.class);

    static {
        for (Severity severity : Severity.values()) {
            WEIGHTS.put(
                    severity,
                    Setting.useful(
                            "handover.stake-" + severity.title(),
                            Dimension.COUNT,
                            "What a failure of this kind weighs when a visit is planned: " + severity.title()));
        }
    }

    /** Share of what is judged that fails, as long as the archive does not tell. */
    public static final Setting FAILING = Setting.useful(
            "handover.share-failing", Dimension.RATIO, "Share of judgements that fail, before the archive tells");
    /** Of how many judgements that share is worth. */
    public static final Setting FAILING_OF = Setting.useful(
            "handover.share-failing-of", Dimension.COUNT, "Of how many judgements the share that fails is worth");
    /** Share of recorded lines that is read again. */
    public static final Setting CONFIRMED = Setting.useful(
            "handover.share-confirmed", Dimension.RATIO, "Share of recorded lines that an inspector reads again");

    public static List<Setting> all() {
        return Stream.concat(WEIGHTS.values().stream(), Stream.of(FAILING, FAILING_OF, CONFIRMED))
                .toList();
    }

    /** What a failure weighs; nothing where the book is silent, and an older one is. */
    static double weight(Severity severity, RuleBook rules) {
        Setting weight = WEIGHTS.get(severity);
        return rules.decides(weight) ? rules.number(weight) : 0;
    }

    /** Whether the book says enough for a plan. */
    public static boolean decided(RuleBook rules) {
        return rules.decides(RevisitPlan.PER_LINE) && all().stream().allMatch(rules::decides);
    }
}
