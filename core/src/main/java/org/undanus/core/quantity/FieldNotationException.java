package org.undanus.core.quantity;

/** What a person typed cannot be taken as asked; the message says why, where, and what would do. */
public final class FieldNotationException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final int position;

    FieldNotationException(String message, int position) {
        super(message);
        this.position = position;
    }

    /** The character, counted from 0, at which reading stopped. */
    public int position() {
        return position;
    }
}
