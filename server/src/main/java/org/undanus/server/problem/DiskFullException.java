package org.undanus.server.problem;

/** There is no room for what would be kept. */
public final class DiskFullException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public DiskFullException() {
        super("The disk is full: nothing was saved, reading still works. Make room, then save again.");
    }
}
