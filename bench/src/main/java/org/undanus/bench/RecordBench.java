package org.undanus.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.undanus.core.audit.Auditor;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.RuleBookReader;
import org.undanus.core.rules.ShippedRuleBooks;
import org.undanus.core.simulated.RecordProof;
import org.undanus.core.simulated.RecordedJob;
import org.undanus.core.station.Walk;

/**
 * What the audit of records finds by simulation, as a table, and how long ten thousand records take. Arguments: crews of twenty for
 * the table, records to time.
 */
public final class RecordBench {
    private static final int CREWS = 3;
    private static final double NANO = 1e-9;

    private static final long SEED = 2026;
    private static final String FIRST = "- Honest records with";
    private static final String AFTER = "What it says nothing of:";

    private RecordBench() {}

    /** Arguments: crews of twenty simulated, records timed, and where the page of what is found is written. */
    public static void main(String[] arguments) throws IOException {
        RuleBook rules = RuleBookReader.read(ShippedRuleBooks.demo().get(0), Walk.vocabulary());
        String table = table(RecordProof.of(SEED, Integer.parseInt(arguments[0]), rules));
        System.out.println(table);
        if (arguments.length > 2) {
            Path page = Path.of(arguments[2]);
            String text = Files.readString(page);
            // the table stands between what is said before and after it
            int from = text.indexOf(FIRST);
            int until = text.indexOf(AFTER);
            Files.writeString(page, text.substring(0, from) + table + "\n" + text.substring(until));
        }
        time(Integer.parseInt(arguments[1]), rules);
    }

    private static String table(RecordProof proof) {
        StringBuilder page = new StringBuilder(String.format(
                Locale.ROOT,
                FIRST + " any doubt: %d of %d (%.1f %%).%n"
                        + "- Honest crews of twenty with any doubt among their records: %d of %d (%.1f %%).%n%n"
                        + "| doctored or mistaken | check | found | mistake named |%n|---|---|---|---|%n",
                proof.doubted(),
                proof.honest(),
                100.0 * proof.doubted() / proof.honest(),
                proof.crewsDoubted(),
                proof.crews(),
                100.0 * proof.crewsDoubted() / proof.crews()));
        proof.found()
                .forEach((way, tally) -> page.append(String.format(
                        "| %s | %s | %d of %d | %s |%n",
                        way.title(),
                        way.check(),
                        tally.found(),
                        tally.tried(),
                        way.mistake() ? tally.named() + " of " + tally.found() : "")));
        return page.toString();
    }

    private static void time(int records, RuleBook rules) {
        Random random = new Random(1);
        List<RecordedJob> jobs = new ArrayList<>();
        for (int i = 0; i < records; i++) {
            jobs.add(new RecordedJob(
                    random,
                    rules,
                    "J-" + i,
                    "Building " + i,
                    "Crew " + i % CREWS,
                    "Fitter " + i % CREWS + "-" + i % 40,
                    LocalDateTime.of(2026, 1, 1, 7, 30).plusDays(i / 40),
                    "R32",
                    Length.ofMetres(640),
                    RecordedJob.Writer.TENTHS));
        }
        long begun = System.nanoTime();
        List<CommissioningRecord> all = new ArrayList<>();
        for (RecordedJob job : jobs) {
            CommissioningRecord record = job.record();
            Auditor.audit(job.facts(), record, job.own(), rules);
            all.add(record);
        }
        long alone = System.nanoTime();
        for (int crew = 0; crew < CREWS; crew++) {
            String name = "Crew " + crew;
            JobsAuditor.audit(
                    all.stream().filter(record -> record.crew().equals(name)).toList(), all, rules);
        }
        System.out.printf(
                "%n%d records, read and audited: %.1f s; beside each other, crew by crew: %.1f s.%n",
                records, (alone - begun) * NANO, (System.nanoTime() - alone) * NANO);
    }
}
