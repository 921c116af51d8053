package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** Too many wrong passwords; says how long to wait. */
public final class TooManyTriesException extends SaidException {
    private static final long serialVersionUID = 1L;

    private final long seconds;

    public TooManyTriesException(long seconds) {
        super(Text.counted(
                seconds,
                "Too many wrong passwords. Wait {seconds} second, then try again.",
                "Too many wrong passwords. Wait {seconds} seconds, then try again.",
                seconds));
        this.seconds = seconds;
    }

    public long seconds() {
        return seconds;
    }
}
