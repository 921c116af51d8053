package org.undanus.server.journal;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes what is kept into the journal, once, where an earlier version journalled a part of it only. A new folder's stock is
 * empty.
 */
@Service
public class JournalBackfill {
    static final String TAKEN = "journal.stock-taken";

    private final JournalMapper mapper;
    private final Journal journal;
    private final JournalCheck check;
    private final List<JournalledKind> kept;

    JournalBackfill(JournalMapper mapper, Journal journal, JournalCheck check, List<JournalledKind> kept) {
        this.mapper = mapper;
        this.journal = journal;
        this.check = check;
        this.kept = kept;
    }

    @Transactional
    public void ensure(String by) {
        if (mapper.stockTaken()) {
            return;
        }
        journal.write(by, TAKEN, "journal", Map.of("before", check.run().sentence()));
        kept.forEach(kind -> kind.rows()
                .each((subject, content) -> journal.write(by, kind.kind() + ".taken-over", subject, content)));
        mapper.takeStock();
    }
}
