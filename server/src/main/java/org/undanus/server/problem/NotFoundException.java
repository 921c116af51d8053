package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** There is no such thing, or it is none of this person's business; nobody can tell the two apart. */
public final class NotFoundException extends SaidException {
    private static final long serialVersionUID = 1L;

    public NotFoundException(String sentence) {
        this(Text.plain(sentence));
    }

    public NotFoundException(Text sentence) {
        super(sentence);
    }
}
