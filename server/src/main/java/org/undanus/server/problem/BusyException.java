package org.undanus.server.problem;

import java.time.Duration;
import org.undanus.core.words.Text;

/** Too much of one kind of work is asked for at once. Nothing was changed; it may be asked for again. */
public final class BusyException extends SaidException {
    private static final long serialVersionUID = 1L;

    private final Duration wait;

    /** @param wait after which asking again makes sense */
    public BusyException(Duration wait) {
        super(Text.counted(
                wait.toSeconds(),
                "Too many have asked for this at once. Nothing was changed; ask again in {seconds} second.",
                "Too many have asked for this at once. Nothing was changed; ask again in {seconds} seconds.",
                wait.toSeconds()));
        this.wait = wait;
    }

    public Duration retryAfter() {
        return wait;
    }
}
