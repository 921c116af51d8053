package org.undanus.server.problem;

import java.util.List;

/** A field holds something that cannot be taken. */
public final class UnsuitableException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String field;
    private final List<String> choices;

    public UnsuitableException(String field, String sentence) {
        this(field, sentence, List.of());
    }

    /** @param choices what may have been meant, each ready to be sent instead */
    public UnsuitableException(String field, String sentence, List<String> choices) {
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
