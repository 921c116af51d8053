package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** Something that cannot be done, with the sentence for whoever asked. */
public abstract class SaidException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Text said;

    SaidException(Text said) {
        super(said.toString());
        this.said = said;
    }

    public Text said() {
        return said;
    }
}
