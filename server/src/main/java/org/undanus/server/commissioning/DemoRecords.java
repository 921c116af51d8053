package org.undanus.server.commissioning;

import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Reading;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.simulated.Doctoring;
import org.undanus.core.simulated.RecordedJob;
import org.undanus.core.words.UnitSystem;
import org.undanus.server.account.DemoAccounts;
import org.undanus.server.installation.CaseFiles;
import org.undanus.view.CaseFile;

/**
 * Records of the demo's crews, each with its habits: one is careful, one rushes its holds, one writes the same readings on several
 * jobs.
 */
@Component
@ConditionalOnProperty("undanus.demo")
public class DemoRecords {
    private static final long SEED = 2027;
    private static final String REFRIGERANT = "R454B";

    /** @param from another job that this one is written from */
    private record Job(String reference, String person, int day, List<Doctoring> ways, Optional<String> from) {}

    private static final List<Job> JOBS = List.of(
            new Job("LH-03", "Fitter, Nettlebank", 6, List.of(), Optional.empty()),
            new Job("LH-10", "Fitter, Nettlebank", 18, List.of(), Optional.empty()),
            new Job("LH-05", "Fitter, Dunmarrow", 9, List.of(Doctoring.FLAT_HOLD), Optional.empty()),
            new Job("LH-09", "Fitter, Dunmarrow", 15, List.of(Doctoring.OVERLAP), Optional.empty()),
            new Job("LH-02", "Fitter, Threeways", 3, List.of(), Optional.empty()),
            new Job("LH-06", "Fitter, Threeways", 12, List.of(Doctoring.COPIED), Optional.of("LH-02")));

    private final CommissioningRecords records;
    private final CaseFiles cases;

    DemoRecords(CommissioningRecords records, CaseFiles cases) {
        this.records = records;
        this.cases = cases;
    }

    /** Brings them in. */
    public void bring() {
        Map<String, String> ids = new LinkedHashMap<>();
        cases.named(DemoAccounts.INSPECTOR).forEach(named -> ids.put(named.reference(), named.id()));
        Random random = new Random(SEED);
        Map<String, RecordedJob> jobs = new LinkedHashMap<>();
        for (Job each : JOBS) {
            CaseFile file = cases.open(ids.get(each.reference()), DemoAccounts.INSPECTOR);
            RecordedJob job = new RecordedJob(
                    random,
                    file.rules(),
                    each.reference(),
                    file.header().building(),
                    file.header().crew(),
                    each.person(),
                    LocalDateTime.of(2026, 7, each.day(), 7, 30),
                    REFRIGERANT,
                    Length.ofMetres(640),
                    RecordedJob.Writer.TENTHS);
            each.ways().forEach(way -> way.apply(job, each.from().map(jobs::get).orElse(job), random));
            jobs.put(each.reference(), job);
            records.bring(file.header().id(), reference -> sheet(job.record(), file), DemoAccounts.INSPECTOR);
        }
    }

    /** Where the inspector read the line, the record agrees: it is other things that the crews differ in. */
    private static RecordSheet sheet(CommissioningRecord record, CaseFile file) {
        Evidence own = CommissioningRecords.own(file);
        QuantityFormat format = QuantityFormat.of(UnitSystem.US);
        CommissioningRecord.DayWeather weather = record.weather().orElseThrow();
        return new RecordSheet(
                record.reference(),
                record.signedBy(),
                record.on().toString(),
                Optional.of(format.format(weather.coldest())),
                Optional.of(format.format(weather.warmest())),
                record.claims().stream()
                        .filter(claim -> !claim.key().point().equals("plate.charge"))
                        .filter(claim -> own.latest(claim.key()).isEmpty()
                                || claim.key().point().startsWith("plate.")
                                || claim.key().point().startsWith("operation."))
                        .map(claim -> new RecordSheet.Row(
                                1,
                                claim.key().point(),
                                claim.key().component(),
                                own.latest(claim.key()).map(Reading::typed).orElse(claim.typed()),
                                claim.at().map(Object::toString),
                                Optional.empty()))
                        .toList());
    }
}
