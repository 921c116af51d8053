package org.undanus.server.commissioning;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.undanus.core.audit.CommissioningRecord;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.rules.RuleBook;
import org.undanus.server.commissioning.RecordMapper.RecordRow;
import org.undanus.server.installation.CaseFile;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.problem.NotFoundException;

/** Audits all records there are, in the background: each by itself, then those of a crew beside each other. */
@Service
class CrewAudits {
    private static final Logger LOG = LoggerFactory.getLogger(CrewAudits.class);
    private static final int REMEMBERED = 50;
    private static final Duration REMEMBERED_FOR = Duration.ofHours(1);
    /** So many installations are read at once. */
    private static final int AT_ONCE = 200;

    private final CommissioningRecords records;
    private final CaseFiles cases;
    private final Cache<String, CrewAudit> known = Caffeine.newBuilder()
            .maximumSize(REMEMBERED)
            .expireAfterWrite(REMEMBERED_FOR)
            .build();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> new Thread(work, "record-audit"));

    CrewAudits(CommissioningRecords records, CaseFiles cases) {
        this.records = records;
        this.cases = cases;
    }

    /** Begins; one that this person has running ends. */
    CrewAudit.CrewAuditView begin(String person, UnitSystem units) {
        known.asMap().values().stream()
                .filter(audit -> audit.isOf(person))
                .forEach(audit -> audit.end(CrewAudit.AuditState.CANCELLED, null));
        String id = UUID.randomUUID().toString();
        CrewAudit audit = new CrewAudit(id, person, units);
        known.put(id, audit);
        worker.execute(() -> run(audit));
        return audit.view();
    }

    private void run(CrewAudit audit) {
        try {
            Map<String, List<RecordRow>> rows = records.all();
            audit.begins(rows.values().stream().mapToInt(List::size).sum());
            Map<String, List<CommissioningRecord>> crews = new TreeMap<>();
            Optional<RuleBook> rules = Optional.empty();
            List<String> ids = rows.keySet().stream().sorted().toList();
            for (int from = 0; from < ids.size() && audit.wanted(); from += AT_ONCE) {
                List<String> some = ids.subList(from, Math.min(ids.size(), from + AT_ONCE));
                for (CaseFile file : cases.some(some, Optional.empty(), cases.drawn())) {
                    rules = Optional.of(file.rules());
                    for (RecordRow row : rows.get(file.header().id())) {
                        CommissioningRecords.Audited audited = records.audited(row, file);
                        audit.take(audited);
                        crews.computeIfAbsent(audited.record().crew(), any -> new ArrayList<>())
                                .add(audited.record());
                    }
                }
            }
            if (audit.wanted() && rules.isPresent()) {
                RuleBook by = rules.get();
                List<CommissioningRecord> archive =
                        crews.values().stream().flatMap(List::stream).toList();
                crews.forEach((crew, own) -> audit.take(crew, JobsAuditor.audit(own, archive, by)));
            }
            audit.end(CrewAudit.AuditState.DONE, null);
        } catch (RuntimeException e) {
            LOG.warn("An audit of records ended early", e);
            audit.end(CrewAudit.AuditState.FAILED, "The audit ended early; the server's log says why.");
        }
    }

    /** @throws NotFoundException where this person began none such, or long ago */
    CrewAudit of(String id, String person) {
        CrewAudit audit = known.getIfPresent(id);
        if (audit == null || !audit.isOf(person)) {
            throw new NotFoundException("This audit is no longer known. Begin it again.");
        }
        return audit;
    }

    @PreDestroy
    void stop() {
        known.asMap().values().forEach(audit -> audit.end(CrewAudit.AuditState.CANCELLED, null));
        worker.shutdown();
    }
}
