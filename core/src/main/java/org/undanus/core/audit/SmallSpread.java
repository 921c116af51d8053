package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Value;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Whether a line that follows the weather varies by less, from job to job, than its own digits make it. */
final class SmallSpread implements JobCheck {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "jobs.small-spread",
                    "Spread from job to job",
                    "How much a line varies over the crew's records against what rounding alone does")
            .shows(
                    "That the line may be the value that was aimed at, not the one that was read",
                    "Whether it was reached")
            .innocently(
                    "Every machine was trimmed to the same value",
                    "Like machines in like weather, read coarsely",
                    "An instrument that stays on one value")
            .asks("How was this line read on each of these jobs?")
            .sources("χ² of the variance, rounding taken as step/√12 (JCGM 100, 4.3.7)");
    private static final int FEWEST = 5;
    private static final List<Point> LINES = List.of(
            RecordLines.SUCTION_PRESSURE,
            RecordLines.SUCTION_TEMPERATURE,
            RecordLines.LIQUID_PRESSURE,
            RecordLines.LIQUID_TEMPERATURE,
            RecordLines.SUPERHEAT,
            RecordLines.SUBCOOLING,
            RecordLines.SPLIT,
            RecordLines.OUTDOOR_AIR,
            RecordLines.RETURN_DRY,
            RecordLines.SUPPLY_DRY,
            RecordLines.REACHED,
            RecordLines.AFTER);

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        Map<String, List<Value.Measured>> lines = new HashMap<>();
        for (CommissioningRecord record : records) {
            for (Claim claim : record.claims()) {
                claim.measured()
                        .ifPresent(value -> lines.computeIfAbsent(claim.key().point(), any -> new ArrayList<>())
                                .add(value));
            }
        }
        return LINES.stream()
                .filter(point -> lines.getOrDefault(point.id(), List.of()).size() >= FEWEST)
                .map(point -> found(point, lines.get(point.id())))
                .toList();
    }

    private static JobFound found(Point point, List<Value.Measured> values) {
        double step =
                values.stream().mapToDouble(Value.Measured::resolution).max().orElseThrow();
        double mean =
                values.stream().mapToDouble(v -> v.quantity().si()).average().orElseThrow();
        double squares = values.stream()
                .mapToDouble(v -> Math.pow(v.quantity().si() - mean, 2))
                .sum();
        double chance = step > 0
                ? new ChiSquaredDistribution(values.size() - 1.0).cumulativeProbability(squares / (step * step / 12))
                : 1;
        return new JobFound(
                Found.weighed(
                        ABOUT,
                        PointKey.SYSTEM,
                        new Doubt(Math.min(1, Math.max(0, chance))),
                        Text.of(
                                "{point}: on {values} jobs about {dimension}, with hardly more spread than its last digit.",
                                point.title(),
                                values.size(),
                                values.get(0).quantity().dimension().of(mean)),
                        List.of(new PointKey(point.id(), PointKey.SYSTEM))),
                Optional.empty(),
                Optional.empty());
    }
}
