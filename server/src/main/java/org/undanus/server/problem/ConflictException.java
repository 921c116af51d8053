package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** Someone else changed it meanwhile. Both versions are offered. */
public final class ConflictException extends SaidException {
    private static final long serialVersionUID = 1L;

    private final transient Object yours;
    private final transient Object theirs;

    public ConflictException(String sentence, Object yours, Object theirs) {
        this(Text.plain(sentence), yours, theirs);
    }

    public ConflictException(Text sentence, Object yours, Object theirs) {
        super(sentence);
        this.yours = yours;
        this.theirs = theirs;
    }

    public Object yours() {
        return yours;
    }

    public Object theirs() {
        return theirs;
    }
}
