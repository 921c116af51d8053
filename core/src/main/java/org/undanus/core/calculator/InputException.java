package org.undanus.core.calculator;

import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** Something typed that a computation cannot take. */
public final class InputException extends RefusedException {
    private static final long serialVersionUID = 1L;

    private final String input;

    public InputException(String input, String said) {
        this(input, Text.plain(said));
    }

    public InputException(String input, Text said) {
        super(said);
        this.input = input;
    }

    /** The id of the input. */
    public String input() {
        return input;
    }
}
