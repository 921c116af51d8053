package org.undanus.server.journal;

import java.io.UncheckedIOException;
import java.util.OptionalLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** Has the journal's end signed without anybody's work failing for it. */
@Component
public class HeadSigner {
    private static final Logger LOG = LoggerFactory.getLogger(HeadSigner.class);

    private final SignedHeads heads;

    HeadSigner(SignedHeads heads) {
        this.heads = heads;
    }

    /**
     * Signs, or says in the log why it could not.
     *
     * @return the sequence that the signed end has; empty where it could not be signed
     */
    public OptionalLong sign(String occasion) {
        try {
            return OptionalLong.of(heads.sign(occasion));
        } catch (UncheckedIOException | DataAccessException e) {
            LOG.warn("The journal's end could not be signed ({}): {}", occasion, e.getMessage());
            return OptionalLong.empty();
        }
    }
}
