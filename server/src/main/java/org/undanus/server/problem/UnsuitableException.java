package org.undanus.server.problem;

/** A field holds something that cannot be taken. */
public final class UnsuitableException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String field;

    public UnsuitableException(String field, String sentence) {
        super(sentence);
        this.field = field;
    }

    public String field() {
        return field;
    }
}
