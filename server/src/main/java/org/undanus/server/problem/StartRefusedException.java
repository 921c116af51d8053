package org.undanus.server.problem;

/** Starting makes no sense here; the message says why in one line, for the person at the terminal. */
public final class StartRefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public StartRefusedException(String sentence) {
        super(sentence);
    }
}
