package org.undanus.server.account;

import io.github.bucket4j.Bucket;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.server.journal.Journal;

/**
 * Notes in the journal who was not let in. A flood of tries must not fill it: beyond a bound they are counted only, and the count
 * stands with the next that is noted.
 */
@Component
class Refusals {
    private static final Logger LOG = LoggerFactory.getLogger(Refusals.class);
    private static final int AT_ONCE = 60;
    private static final int AN_HOUR = 300;
    /** What is typed as a name is sometimes a password: only names that there are are written down. */
    private static final String NOBODY = "nobody";

    private final Journal journal;
    private final AccountMapper mapper;
    private final TransactionTemplate transactions;
    private final AtomicLong uncounted = new AtomicLong();
    private final Bucket bound = Bucket.builder()
            .addLimit(limit -> limit.capacity(AT_ONCE).refillGreedy(AN_HOUR, Duration.ofHours(1)))
            .build();

    Refusals(Journal journal, AccountMapper mapper, TransactionTemplate transactions) {
        this.journal = journal;
        this.mapper = mapper;
        this.transactions = transactions;
    }

    /**
     * @param what for example {@code session.refused}
     * @param name as it was typed
     * @param from the address it came from
     */
    void note(String what, String name, String from) {
        if (!bound.tryConsume(1)) {
            uncounted.incrementAndGet();
            return;
        }
        AccountMapper.AccountRow row = mapper.find(SignInThrottle.account(name));
        String subject = row == null ? NOBODY : row.name();
        long before = uncounted.getAndSet(0);
        try {
            transactions.executeWithoutResult(status -> journal.write(
                    subject,
                    what,
                    subject,
                    before == 0 ? Map.of("from", from) : Map.of("from", from, "notWrittenBefore", before)));
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("{} of {} is not in the journal: {}", what, subject, e.getMessage());
        }
    }
}
