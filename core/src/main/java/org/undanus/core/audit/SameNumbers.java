package org.undanus.core.audit;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Whether records of different jobs agree in more numbers than work at different places and in different weather brings about. */
abstract class SameNumbers implements JobCheck {
    /** Two that share fewer are not looked at further: of a whole archive most. */
    private static final int FEWEST = 2;

    private static final Pattern NUMBER = Pattern.compile("\\d+(?:[.,]\\d+)?");

    private final AboutCheck about;
    /** Read off an instrument and different with place and weather; what is set to a round number is not among them. */
    private static final Set<String> READ = Stream.of(
                    RecordLines.TEST_TEMPERATURE,
                    RecordLines.END_TEMPERATURE,
                    RecordLines.REACHED,
                    RecordLines.AFTER,
                    RecordLines.OUTDOOR_AIR,
                    RecordLines.SUCTION_PRESSURE,
                    RecordLines.SUCTION_TEMPERATURE,
                    RecordLines.LIQUID_PRESSURE,
                    RecordLines.LIQUID_TEMPERATURE,
                    RecordLines.RETURN_DRY,
                    RecordLines.RETURN_WET,
                    RecordLines.SUPPLY_DRY,
                    RecordLines.SUPPLY_WET,
                    RecordLines.AIRFLOW,
                    RecordLines.STATIC_SUPPLY,
                    RecordLines.STATIC_RETURN,
                    RecordLines.CONDENSATE,
                    RecordLines.VOLTAGE,
                    RecordLines.CURRENT,
                    RecordLines.POWER)
            .map(Point::id)
            .collect(Collectors.toUnmodifiableSet());

    SameNumbers(AboutCheck about) {
        this.about = about;
    }

    /** Whether a claim is of a line that differs from job to job. */
    static boolean read(Claim claim) {
        return READ.contains(claim.key().point());
    }

    /** Finds readings that stand alike on several jobs. */
    static SameNumbers ofReadings() {
        return new OfReadings();
    }

    /** Finds lengths of time that stand alike on several jobs. */
    static SameNumbers ofTimes() {
        return new OfTimes();
    }

    /** What is compared, each with the step that this crew writes it in. */
    abstract Map<PointKey, Coincidence.Written> numbers(CommissioningRecord record, Map<String, Double> steps);

    /** The steps that a crew writes lines in, by their point. */
    abstract Map<String, Double> steps(List<CommissioningRecord> crew);

    abstract String called();

    @Override
    public AboutCheck about() {
        return about;
    }

    @Override
    public List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        Map<String, Double> steps = steps(records);
        Coincidence<PointKey> coincidence = new Coincidence<>(
                archive.stream().map(record -> numbers(record, steps)).toList());
        List<Coincidence.Row> rows = records.stream()
                .map(record -> coincidence.row(numbers(record, steps)))
                .toList();
        Coincidence<PointKey>.Habit habit = coincidence.new Habit(rows);
        List<JobFound> found = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            int nearest = -1;
            int most = FEWEST;
            Coincidence.Match match = new Coincidence.Match(0, 0, 1);
            for (int j = 0; j < rows.size(); j++) {
                int same = j == i ? 0 : rows.get(i).same(rows.get(j));
                if (same >= most) {
                    Coincidence.Match each = coincidence.match(rows.get(i), rows.get(j), habit);
                    if (nearest < 0 || each.chance() < match.chance()) {
                        match = each;
                        nearest = j;
                    }
                    // one that agrees in fewer by two is not the nearest
                    most = Math.max(most, same - 1);
                }
            }
            if (nearest >= 0 && match.compared() > 0) {
                Doubt doubt = new Doubt(Math.min(1, match.chance() * Coincidence.looks(records.size())));
                found.add(found(records.get(i), records.get(nearest), steps, match, doubt));
            }
        }
        return found;
    }

    private JobFound found(
            CommissioningRecord record,
            CommissioningRecord other,
            Map<String, Double> steps,
            Coincidence.Match match,
            Doubt doubt) {
        Text because = Text.of(
                "{same} of {compared} {called} are the same as on {reference}.",
                match.same(),
                match.compared(),
                called(),
                other.reference());
        Map<PointKey, Coincidence.Written> own = numbers(record, steps);
        Map<PointKey, Coincidence.Written> there = numbers(other, steps);
        List<PointKey> same = own.keySet().stream()
                .filter(key -> there.containsKey(key)
                        && Math.abs(there.get(key).value() - own.get(key).value())
                                < own.get(key).step() / 2)
                .toList();
        return JobFound.copied(Found.weighed(about, record.id(), doubt, because, same), record, other);
    }

    private static final class OfReadings extends SameNumbers {
        OfReadings() {
            super(AboutCheck.of(
                            "jobs.same-readings",
                            "Same readings on several jobs",
                            "The readings of each record against those of every other record of the crew")
                    .shows("That one record may have been written from another", "Which of them was read")
                    .innocently(
                            "Two like machines side by side, read in the same hour",
                            "A form that was filled in once and corrected incompletely",
                            "Coarse digits, which agree by chance more often")
                    .asks("Were both jobs read, and when?")
                    .sources("Chance of equal numbers, step/(2·√π·σ), σ over all records; sum over all ways"));
        }

        @Override
        String called() {
            return "readings";
        }

        /** In units of the last digit, what all of a crew write on a line. */
        @Override
        Map<String, Double> steps(List<CommissioningRecord> crew) {
            Map<String, List<Double>> written = new HashMap<>();
            crew.stream()
                    .flatMap(record -> record.claims().stream())
                    .filter(SameNumbers::read)
                    .forEach(claim -> inLastDigits(claim).ifPresent(number -> written.computeIfAbsent(
                                    claim.key().point(), any -> new ArrayList<>())
                            .add(number)));
            Map<String, Double> steps = new HashMap<>();
            written.forEach((point, numbers) -> steps.put(point, Rounding.ofNumbers(numbers)));
            return steps;
        }

        private static Optional<Double> inLastDigits(Claim claim) {
            Matcher number = NUMBER.matcher(claim.typed());
            return number.find()
                    ? Optional.of(Double.valueOf(number.group().replaceAll("[.,]", "")))
                    : Optional.empty();
        }

        @Override
        Map<PointKey, Coincidence.Written> numbers(CommissioningRecord record, Map<String, Double> steps) {
            Map<PointKey, Coincidence.Written> numbers = new HashMap<>();
            for (Claim claim : record.claims()) {
                if (read(claim)) {
                    claim.measured()
                            .filter(m -> m.resolution() > 0)
                            .ifPresent(m -> numbers.put(
                                    claim.key(),
                                    new Coincidence.Written(
                                            m.quantity().si(),
                                            m.resolution()
                                                    * steps.getOrDefault(
                                                            claim.key().point(), 1.0))));
                }
            }
            return numbers;
        }
    }

    private static final class OfTimes extends SameNumbers {
        private static final List<Point> STEPS = List.of(
                RecordLines.TEST_BEGUN,
                RecordLines.TEST_ENDED,
                RecordLines.PUMP_ON,
                RecordLines.VACUUM_ENDED,
                RecordLines.OPENED,
                RecordLines.STARTED);
        private static final String ALL = "times";

        OfTimes() {
            super(AboutCheck.of(
                            "jobs.same-times",
                            "Same times on several jobs",
                            "How long each step took against the other records of the crew")
                    .shows("That times may not have been read off a clock", "What was done in that time")
                    .innocently(
                            "Steps that a timer ends",
                            "Times that were rounded to the quarter hour",
                            "A written procedure with fixed lengths")
                    .asks("How were the times of these steps noted?")
                    .sources("Chance of equal lengths of time, step/(2·√π·σ), σ over all records"));
        }

        @Override
        String called() {
            return "lengths of time";
        }

        /** As they round the time of day; a length of time is the difference of two. */
        @Override
        Map<String, Double> steps(List<CommissioningRecord> crew) {
            List<Double> lengths = crew.stream()
                    .flatMap(record -> lengths(record).values().stream())
                    .toList();
            return Map.of(ALL, Rounding.ofTimes(lengths));
        }

        @Override
        Map<PointKey, Coincidence.Written> numbers(CommissioningRecord record, Map<String, Double> steps) {
            Map<PointKey, Coincidence.Written> numbers = new HashMap<>();
            lengths(record)
                    .forEach((key, seconds) -> numbers.put(key, new Coincidence.Written(seconds, steps.get(ALL))));
            return numbers;
        }

        /** How long after the step before each came, s. */
        private static Map<PointKey, Double> lengths(CommissioningRecord record) {
            Map<PointKey, Double> lengths = new HashMap<>();
            Map<String, LocalDateTime> last = new HashMap<>();
            for (Point step : STEPS) {
                for (Claim claim : record.claims()) {
                    if (claim.key().point().equals(step.id()) && claim.at().isPresent()) {
                        String line = claim.key().component();
                        LocalDateTime at = claim.at().get();
                        Optional.ofNullable(last.put(line, at))
                                .ifPresent(before ->
                                        lengths.put(claim.key(), (double) ChronoUnit.SECONDS.between(before, at)));
                    }
                }
            }
            return lengths;
        }
    }
}
