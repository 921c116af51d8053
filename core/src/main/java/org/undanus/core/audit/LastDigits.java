package org.undanus.core.audit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Whether last digits come up about equally often, as those of readings do that vary by many steps. */
final class LastDigits implements JobCheck {
    private static final AboutCheck ABOUT = AboutCheck.of(
                    "jobs.last-digits",
                    "Last digits",
                    "How often each last digit comes up on a line, over all records of the crew")
            .shows("That numbers on this line may have been chosen and not read", "Which of them")
            .innocently(
                    "Reading to the nearest even number, half or five",
                    "A display that shows even steps only",
                    "A value that hardly changes from job to job")
            .asks("From which instrument, and to which step, is this line read?")
            .sources("χ² of ten equal classes, each expected five times at least (Cochran, Biometrics 10, 1954)");
    private static final int LEAST_EXPECTED = 5;
    private static final int TEN = 10;
    private static final Pattern NUMBER = Pattern.compile("\\d+(?:[.,]\\d+)?");
    /** A line varies by so many steps before its last digit says nothing of its size. */
    private static final double VARIES = 10;

    /** The numbers of one line. */
    private static final class Tally {
        private final int[] digits = new int[TEN];
        private int count;
        private double least = Double.POSITIVE_INFINITY;
        private double most = Double.NEGATIVE_INFINITY;
        private double coarsest;

        private void add(int digit, double value, double step) {
            digits[digit]++;
            count++;
            least = Math.min(least, value);
            most = Math.max(most, value);
            coarsest = Math.max(coarsest, step);
        }

        /** Only 0 and 5: read to the nearest five. */
        private boolean fives() {
            return digits[0] + digits[5] == count && digits[0] < count;
        }

        private boolean tells() {
            return most - least > VARIES * coarsest
                    && digits[0] < count
                    && count >= (fives() ? 2 : TEN) * LEAST_EXPECTED;
        }

        private double chance() {
            int classes = fives() ? 2 : TEN;
            double expected = (double) count / classes;
            double sum = 0;
            for (int digit = 0; digit < TEN; digit += fives() ? 5 : 1) {
                sum += (digits[digit] - expected) * (digits[digit] - expected) / expected;
            }
            return 1 - new ChiSquaredDistribution(classes - 1.0).cumulativeProbability(sum);
        }

        private int commonest() {
            int best = 0;
            for (int digit = 1; digit < TEN; digit++) {
                best = digits[digit] > digits[best] ? digit : best;
            }
            return best;
        }
    }

    @Override
    public AboutCheck about() {
        return ABOUT;
    }

    @Override
    public List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        Map<String, Tally> lines = new HashMap<>();
        for (CommissioningRecord record : records) {
            for (Claim claim : record.claims()) {
                Matcher number = NUMBER.matcher(claim.typed());
                if (SameNumbers.read(claim) && claim.measured().isPresent() && number.find()) {
                    String written = number.group();
                    lines.computeIfAbsent(claim.key().point(), any -> new Tally())
                            .add(
                                    written.charAt(written.length() - 1) - '0',
                                    claim.measured().get().quantity().si(),
                                    claim.measured().get().resolution());
                }
            }
        }
        return lines.entrySet().stream()
                .filter(line -> line.getValue().tells())
                .map(line -> found(line.getKey(), line.getValue()))
                .toList();
    }

    private static JobFound found(String point, Tally tally) {
        String title = RecordLines.point(point).map(p -> p.title()).orElse(point);
        return new JobFound(
                Found.weighed(
                        ABOUT,
                        PointKey.SYSTEM,
                        new Doubt(Math.max(0, tally.chance())),
                        Text.of(
                                "{line}: of {count} numbers {often} end in {digit}; about {expected} would.",
                                title,
                                tally.count,
                                tally.digits[tally.commonest()],
                                tally.commonest(),
                                tally.count / (tally.fives() ? 2 : TEN)),
                        List.of(new PointKey(point, PointKey.SYSTEM))),
                Optional.empty(),
                Optional.empty());
    }
}
