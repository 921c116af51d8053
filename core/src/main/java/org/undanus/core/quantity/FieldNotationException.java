package org.undanus.core.quantity;

import java.util.List;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** What a person typed cannot be taken as asked; the message says why, where, and what would do. */
public final class FieldNotationException extends RefusedException {
    private static final long serialVersionUID = 1L;

    private final int position;
    private final List<String> choices;

    FieldNotationException(String message, int position) {
        this(Text.plain(message), position);
    }

    FieldNotationException(Text message, int position) {
        this(message, position, List.of());
    }

    public FieldNotationException(Text message, int position, List<String> choices) {
        super(message);
        this.position = position;
        this.choices = List.copyOf(choices);
    }

    /** The character, counted from 0, at which reading stopped. */
    public int position() {
        return position;
    }

    /** What may have been meant, each ready to be typed instead; empty where nobody can tell. */
    public List<String> choices() {
        return choices;
    }
}
