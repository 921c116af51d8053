package org.undanus.server.problem;

/** The person may see this but not do that. */
public final class NotAllowedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotAllowedException(String sentence) {
        super(sentence);
    }
}
