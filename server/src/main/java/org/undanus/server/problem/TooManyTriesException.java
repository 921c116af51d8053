package org.undanus.server.problem;

/** Too many wrong passwords; says how long to wait. */
public final class TooManyTriesException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long seconds;

    public TooManyTriesException(long seconds) {
        super("Too many wrong passwords. Wait " + seconds + " seconds, then try again.");
        this.seconds = seconds;
    }

    public long seconds() {
        return seconds;
    }
}
