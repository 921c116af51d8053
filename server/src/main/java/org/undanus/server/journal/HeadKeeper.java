package org.undanus.server.journal;

import java.io.UncheckedIOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Has the journal's end signed without anybody's work failing for it. */
@Component
public class HeadKeeper {
    private static final Logger LOG = LoggerFactory.getLogger(HeadKeeper.class);

    private final SignedHeads heads;

    HeadKeeper(SignedHeads heads) {
        this.heads = heads;
    }

    /** Signs, or says in the log why it could not. */
    public void sign(String occasion) {
        try {
            heads.sign(occasion);
        } catch (UncheckedIOException | DataAccessException e) {
            LOG.warn("The journal's end could not be signed ({}): {}", occasion, e.getMessage());
        }
    }
}
