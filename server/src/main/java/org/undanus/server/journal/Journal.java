package org.undanus.server.journal;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.undanus.server.store.Digest;
import tools.jackson.databind.json.JsonMapper;

/** Writes down every change in the transaction that makes it. */
@Service
public class Journal {
    private final JournalMapper mapper;
    private final JsonMapper json;

    Journal(JournalMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
    }

    /**
     * @param action what was done, for example {@code reading.added}
     * @param subject the id of what it was done to
     * @param content what it now says; written as JSON
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(Instant at, String byWhom, String action, String subject, Object content) {
        // the database keeps milliseconds and would round what is finer, away from what was hashed
        Instant kept = at.truncatedTo(ChronoUnit.MILLIS);
        JournalMapper.Head head = mapper.lockHead();
        long sequence = head.sequence() + 1;
        String text = json.writeValueAsString(content);
        String hash = hash(head.hash(), sequence, kept, byWhom, action, subject, text);
        mapper.insert(new JournalMapper.Entry(sequence, kept, byWhom, action, subject, text, hash));
        mapper.moveHead(new JournalMapper.Head(sequence, hash));
    }

    static String hash(
            String before, long sequence, Instant at, String byWhom, String action, String subject, String content) {
        String line = String.join(
                "\n",
                before,
                Long.toString(sequence),
                Long.toString(at.toEpochMilli()),
                byWhom,
                action,
                subject,
                content);
        return Digest.sha256(line);
    }
}
