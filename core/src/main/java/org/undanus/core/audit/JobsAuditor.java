package org.undanus.core.audit;

import java.util.List;
import org.undanus.core.rules.RuleBook;

/** Holds the records of one crew against each other. */
public final class JobsAuditor {
    private static final List<JobCheck> CHECKS = List.of(
            SameNumbers.ofReadings(),
            SameNumbers.ofTimes(),
            new CopiedCourse(),
            new TwoPlaces(),
            new SmallSpread(),
            new LastDigits());

    private JobsAuditor() {}

    /** What it checks. */
    public static List<AboutCheck> abouts() {
        return CHECKS.stream().map(JobCheck::about).toList();
    }

    /** Of two records that may be one written from the other, the earlier is not the copy. */
    private static JobFound asSource(JobFound found) {
        boolean earlier = found.copy()
                && found.found().doubtful()
                && found.record()
                        .flatMap(record ->
                                found.other().filter(other -> other.on().isAfter(record.on())))
                        .isPresent();
        return earlier ? found.with(Found.Consistency.SOURCE) : found;
    }

    /**
     * Every check of the crew's records; doubtful are those that stay so among all of them together.
     *
     * @param records of one crew
     * @param archive of all crews, these among them
     * @param rules where they leave the rate of false alarms open, nothing is doubted
     */
    public static List<JobFound> audit(
            List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules) {
        List<JobFound> all = CHECKS.stream()
                .flatMap(check -> check.check(records, archive, rules).stream())
                .toList();
        return Screening.screened(all, rules, JobFound::found, JobFound::with).stream()
                .map(JobsAuditor::asSource)
                .toList();
    }
}
