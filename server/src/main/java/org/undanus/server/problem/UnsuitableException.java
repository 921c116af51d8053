package org.undanus.server.problem;

import java.util.List;
import org.undanus.core.words.Text;

/** A field holds something that cannot be taken. */
public final class UnsuitableException extends SaidException {
    private static final long serialVersionUID = 1L;

    private final String field;
    private final List<String> choices;

    public UnsuitableException(String field, String sentence) {
        this(field, Text.plain(sentence));
    }

    public UnsuitableException(String field, Text sentence) {
        this(field, sentence, List.of());
    }

    /** @param choices what may have been meant, each ready to be sent instead */
    public UnsuitableException(String field, Text sentence, List<String> choices) {
        super(sentence);
        this.field = field;
        this.choices = List.copyOf(choices);
    }

    public List<String> choices() {
        return choices;
    }

    public String field() {
        return field;
    }
}
