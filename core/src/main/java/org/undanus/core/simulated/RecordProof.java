package org.undanus.core.simulated;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.undanus.core.audit.Auditor;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.JobFound;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;

/**
 * How often the audit doubts honest records, and how often it finds doctored ones, by simulation.
 *
 * @param honest how many honest records were audited
 * @param doubted of how many of them something was doubted, by the checks of one record
 * @param crews how many crews of twenty honest records
 * @param crewsDoubted of how many of them something was doubted, by the checks among their records
 * @param found by way of doctoring
 */
public record RecordProof(int honest, int doubted, int crews, int crewsDoubted, Map<Doctoring, Tally> found) {

    /**
     * @param found by the check that claims to
     * @param named whose honest mistake was named
     */
    public record Tally(int tried, int found, int named) {}

    private static final int CREW = 20;
    private static final Length HEIGHT = Length.ofMetres(640);

    /** A crew's jobs in some weeks. */
    private static List<RecordedJob> crew(RandomGenerator random, RuleBook rules, int number) {
        List<RecordedJob> jobs = new ArrayList<>();
        for (int i = 0; i < CREW; i++) {
            jobs.add(new RecordedJob(
                    random,
                    rules,
                    "J-" + number + "-" + i,
                    "Building " + i,
                    "Crew " + number,
                    "Fitter " + number,
                    LocalDateTime.of(2026, 6, 1, 7, 30).plusDays(2L * i),
                    random.nextBoolean() ? "R410A" : "R32",
                    HEIGHT,
                    RecordedJob.Writer.values()[number % RecordedJob.Writer.values().length]));
        }
        return jobs;
    }

    private static boolean doubted(RecordedJob job, RuleBook rules) {
        return Auditor.audit(job.facts(), job.record(), job.own(), rules).stream()
                .anyMatch(Found::doubtful);
    }

    /**
     * Simulates.
     *
     * @param crews of twenty records each, honest; and as many of each way of doctoring, one record in twenty
     */
    public static RecordProof of(long seed, int crews, RuleBook rules) {
        Random random = new Random(seed);
        int honest = 0;
        int doubted = 0;
        int crewsDoubted = 0;
        Map<Doctoring, Tally> found = new EnumMap<>(Doctoring.class);
        for (int number = 0; number < crews; number++) {
            List<RecordedJob> jobs = crew(random, rules, number);
            honest += jobs.size();
            doubted += (int) jobs.stream().filter(job -> doubted(job, rules)).count();
            crewsDoubted += audited(jobs, rules).anyMatch(each -> each.found().doubtful()) ? 1 : 0;
            for (Doctoring way : Doctoring.values()) {
                List<RecordedJob> some = crew(random, rules, number);
                // who copies, copies from an earlier job
                RecordedJob job = some.get(CREW / 2 + random.nextInt(CREW / 2));
                way.apply(job, some.get(random.nextInt(CREW / 2)), random);
                found.merge(
                        way,
                        way.amongJobs() ? amongJobs(way, job, some, rules) : alone(way, job, rules),
                        (one, other) -> new Tally(
                                one.tried() + other.tried(), one.found() + other.found(), one.named() + other.named()));
            }
        }
        return new RecordProof(honest, doubted, crews, crewsDoubted, found);
    }

    private static Stream<JobFound> audited(List<RecordedJob> jobs, RuleBook rules) {
        List<CommissioningRecord> records =
                jobs.stream().map(RecordedJob::record).toList();
        return JobsAuditor.audit(records, records, rules).stream();
    }

    private static Tally alone(Doctoring way, RecordedJob job, RuleBook rules) {
        List<Found> by = Auditor.audit(job.facts(), job.record(), job.own(), rules).stream()
                .filter(each -> each.about().id().equals(way.check()) && each.doubtful())
                .toList();
        boolean named = by.stream().anyMatch(each -> each.mistake().isPresent());
        return new Tally(1, by.isEmpty() ? 0 : 1, named ? 1 : 0);
    }

    private static Tally amongJobs(Doctoring way, RecordedJob job, List<RecordedJob> jobs, RuleBook rules) {
        String id = job.record().id();
        boolean found = audited(jobs, rules)
                .anyMatch(each -> each.found().doubtful()
                        && each.found().about().id().equals(way.check())
                        && each.record()
                                .filter(record -> record.id().equals(id))
                                .isPresent());
        return new Tally(1, found ? 1 : 0, 0);
    }
}
