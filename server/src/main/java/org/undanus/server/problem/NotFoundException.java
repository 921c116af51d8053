package org.undanus.server.problem;

/** There is no such thing, or it is none of this person's business; nobody can tell the two apart. */
public final class NotFoundException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFoundException(String sentence) {
        super(sentence);
    }
}
