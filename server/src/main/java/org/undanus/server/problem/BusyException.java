package org.undanus.server.problem;

import java.time.Duration;

/** Too much of one kind of work is asked for at once. Nothing was changed; it may be asked for again. */
public final class BusyException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final Duration wait;

    /** @param wait after which asking again makes sense */
    public BusyException(Duration wait) {
        super("Too many have asked for this at once. Nothing was changed; ask again in " + wait.toSeconds()
                + " seconds.");
        this.wait = wait;
    }

    public Duration retryAfter() {
        return wait;
    }
}
