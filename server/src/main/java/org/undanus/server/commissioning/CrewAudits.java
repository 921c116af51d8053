package org.undanus.server.commissioning;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Wording;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.work.Underway;
import org.undanus.view.CaseFile;

/** Audits all records there are, in the background: each by itself, then those of a crew beside each other. */
@Service
class CrewAudits {
    private static final Logger LOG = LoggerFactory.getLogger(CrewAudits.class);

    private final CommissioningRecords records;
    private final CaseFiles cases;
    private final Underway<CrewAudit> known = new Underway<>("This audit is no longer known. Begin it again.");
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> new Thread(work, "record-audit"));

    CrewAudits(CommissioningRecords records, CaseFiles cases) {
        this.records = records;
        this.cases = cases;
    }

    /** Begins; one that this person has running ends. */
    CrewAudit.CrewAuditView begin(String person, Wording wording) {
        CrewAudit audit = new CrewAudit(UUID.randomUUID().toString(), person, wording);
        known.begin(audit);
        worker.execute(() -> run(audit));
        return audit.view();
    }

    private void run(CrewAudit audit) {
        try {
            Map<String, List<RecordRow>> rows = records.all();
            audit.begins(rows.values().stream().mapToInt(List::size).sum());
            Map<String, Map<String, ByBook>> crews = new TreeMap<>();
            Set<String> drawn = cases.drawn();
            for (Map.Entry<String, List<RecordRow>> each : rows.entrySet()) {
                if (!audit.running()) {
                    return;
                }
                // one at a time: in a large register those with a record lie far apart
                for (CaseFile file : cases.openMany(List.of(each.getKey()), Optional.empty(), drawn)) {
                    for (RecordRow row : each.getValue()) {
                        CommissioningRecords.Audited audited = records.audited(row, file);
                        audit.take(audited);
                        crews.computeIfAbsent(audited.record().crew(), any -> new TreeMap<>())
                                .computeIfAbsent(file.rules().id(), any -> new ByBook())
                                .take(audited.record(), file.rules());
                    }
                }
            }
            List<CommissioningRecord> archive = crews.values().stream()
                    .flatMap(books -> books.values().stream())
                    .flatMap(book -> book.records.stream())
                    .toList();
            crews.forEach((crew, books) -> audit.take(
                    crew,
                    books.values().stream()
                            .flatMap(book -> JobsAuditor.audit(book.records, archive, book.newest).stream())
                            .toList()));
            audit.end(Underway.State.DONE, null);
        } catch (RuntimeException e) {
            LOG.warn("An audit of records ended early", e);
            audit.end(Underway.State.FAILED, "The audit ended early; the server's log says why.");
        }
    }

    /** The records of a crew at installations that one book judges, which audits them too, in the newest version met. */
    private static final class ByBook {
        private final List<CommissioningRecord> records = new ArrayList<>();
        private RuleBook newest;

        void take(CommissioningRecord record, RuleBook book) {
            records.add(record);
            newest = newest == null || book.version() > newest.version() ? book : newest;
        }
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    CrewAudit of(String id, String person) {
        return known.of(id, person);
    }

    @PreDestroy
    void stop() {
        known.stop();
        worker.shutdown();
    }
}
