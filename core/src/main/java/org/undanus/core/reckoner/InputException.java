package org.undanus.core.reckoner;

/** Something typed that a computation cannot take. */
public final class InputException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final String input;

    public InputException(String input, String sentence) {
        super(sentence);
        this.input = input;
    }

    /** The id of the input. */
    public String input() {
        return input;
    }
}
