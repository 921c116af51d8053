package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** The person may see this but not do that. */
public final class NotAllowedException extends SaidException {
    private static final long serialVersionUID = 1L;

    public NotAllowedException(String sentence) {
        this(Text.plain(sentence));
    }

    public NotAllowedException(Text sentence) {
        super(sentence);
    }
}
