package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** Starting makes no sense here; the message says why in one line, for the person at the terminal. */
public final class StartRefusedException extends SaidException {
    private static final long serialVersionUID = 1L;

    public StartRefusedException(String sentence) {
        this(Text.plain(sentence));
    }

    public StartRefusedException(Text sentence) {
        super(sentence);
    }
}
