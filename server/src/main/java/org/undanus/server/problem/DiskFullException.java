package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** There is no room for what would be kept. */
public final class DiskFullException extends SaidException {
    private static final long serialVersionUID = 1L;

    public DiskFullException() {
        super(Text.of("The disk is full: nothing was saved, reading still works. Make room, then save again."));
    }
}
