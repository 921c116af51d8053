package org.undanus.server.problem;

/** Possible but unlikely: the person is asked once and may say yes. */
public final class AskFirstException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public AskFirstException(String sentence) {
        super(sentence);
    }
}
