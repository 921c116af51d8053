package org.undanus.server.problem;

import org.undanus.core.words.Text;

/** A query names a parameter and says nothing of it. */
final class EmptyParameterException extends SaidException {
    private static final long serialVersionUID = 1L;

    EmptyParameterException(String name) {
        super(Text.of("The parameter \"{name}\" is empty. Leave it out or say something.", name));
    }
}
