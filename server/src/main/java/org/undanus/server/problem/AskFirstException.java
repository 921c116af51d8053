package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** Possible but unlikely: the person is asked once and may say yes. */
public final class AskFirstException extends SaidException {
    private static final long serialVersionUID = 1L;

    public AskFirstException(String sentence) {
        this(Text.plain(sentence));
    }

    public AskFirstException(Text sentence) {
        super(sentence);
    }
}
