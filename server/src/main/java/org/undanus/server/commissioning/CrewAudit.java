package org.undanus.server.commissioning;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.Found;
import org.undanus.core.audit.JobFound;
import org.undanus.core.words.Wording;
import org.undanus.server.work.Underway;
import org.undanus.view.FoundView;

/** All records being audited, crew by crew: how far it is, and what has come of it so far. What is named is bounded. */
final class CrewAudit extends Underway.Work {
    private static final int MOST_NAMED = 100;

    /** @param doubtful how many doubts by this check */
    record Kind(String check, String title, int doubtful) {}

    /** @param month as {@code 2026-09} */
    record Month(String month, int records, int doubtful) {}

    /** A record with doubts, or what was held against another. */
    record DoubtedRecord(String id, String reference, String title, String day, String signedBy, List<String> doubts) {}

    /** What the records of a crew show beside each other. */
    record AmongJobs(FoundView found, Optional<String> record, Optional<String> reference, Optional<String> other) {}

    /**
     * @param checks how many were made that could tell
     * @param doubted how many records have a doubt
     */
    record CrewDoubts(
            String crew,
            int records,
            int checks,
            int doubtful,
            int doubted,
            List<Kind> kinds,
            List<Month> months,
            List<DoubtedRecord> named,
            List<AmongJobs> among) {}

    record CrewAuditView(
            String id, Underway.State state, int done, int total, List<CrewDoubts> crews, Optional<String> problem) {}

    private static final class Tally {
        private int records;
        private int checks;
        private int doubtful;
        private int doubted;
        private final Map<String, int[]> kinds = new TreeMap<>();
        private final Map<String, String> titles = new TreeMap<>();
        private final Map<String, int[]> months = new TreeMap<>();
        private final List<DoubtedRecord> named = new ArrayList<>();
        private List<AmongJobs> among = List.of();
    }

    private final Wording wording;
    private final Map<String, Tally> crews = new TreeMap<>();
    private int done;
    private int total;

    CrewAudit(String id, String person, Wording wording) {
        super(id, person);
        this.wording = wording;
    }

    synchronized void begins(int records) {
        total = records;
    }

    synchronized void take(CommissioningRecords.Audited audited) {
        done++;
        CommissioningRecord record = audited.record();
        Tally tally = crews.computeIfAbsent(record.crew(), any -> new Tally());
        tally.records++;
        List<Found> told = audited.found().stream()
                .filter(found -> found.doubt().isPresent())
                .toList();
        List<Found> doubts = told.stream().filter(Found::doubtful).toList();
        tally.checks += told.size();
        tally.doubtful += doubts.size();
        int[] month = tally.months.computeIfAbsent(YearMonth.from(record.on()).toString(), any -> new int[2]);
        month[0]++;
        month[1] += doubts.isEmpty() ? 0 : 1;
        doubts.forEach(found -> count(tally, found));
        if (!doubts.isEmpty()) {
            tally.doubted++;
            if (tally.named.size() < MOST_NAMED) {
                tally.named.add(new DoubtedRecord(
                        record.id(),
                        record.reference(),
                        audited.file().header().title(),
                        record.on().toString(),
                        record.signedBy(),
                        doubts.stream()
                                .map(found -> wording.say(found.about().title()))
                                .distinct()
                                .toList()));
            }
        }
    }

    private void count(Tally tally, Found found) {
        tally.kinds.computeIfAbsent(found.about().id(), any -> new int[1])[0]++;
        tally.titles.put(found.about().id(), wording.say(found.about().title()));
    }

    synchronized void take(String crew, List<JobFound> found) {
        Tally tally = crews.computeIfAbsent(crew, any -> new Tally());
        tally.checks += found.size();
        List<JobFound> doubts =
                found.stream().filter(each -> each.found().doubtful()).toList();
        tally.doubtful += doubts.size();
        doubts.forEach(each -> count(tally, each.found()));
        tally.among = doubts.stream()
                .limit(MOST_NAMED)
                .map(each -> new AmongJobs(
                        FoundView.of(each.found(), "", wording),
                        each.record().map(CommissioningRecord::id),
                        each.record().map(CommissioningRecord::reference),
                        each.other().map(CommissioningRecord::reference)))
                .toList();
    }

    synchronized CrewAuditView view() {
        return new CrewAuditView(
                id(),
                state(),
                done,
                total,
                crews.entrySet().stream()
                        .map(each -> doubts(each.getKey(), each.getValue()))
                        .toList(),
                problem());
    }

    private static CrewDoubts doubts(String crew, Tally tally) {
        return new CrewDoubts(
                crew,
                tally.records,
                tally.checks,
                tally.doubtful,
                tally.doubted,
                tally.kinds.entrySet().stream()
                        .map(each -> new Kind(each.getKey(), tally.titles.get(each.getKey()), each.getValue()[0]))
                        .toList(),
                tally.months.entrySet().stream()
                        .map(each -> new Month(each.getKey(), each.getValue()[0], each.getValue()[1]))
                        .toList(),
                List.copyOf(tally.named),
                tally.among);
    }
}
