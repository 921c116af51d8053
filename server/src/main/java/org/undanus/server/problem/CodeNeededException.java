package org.undanus.server.problem;

import org.springframework.security.core.AuthenticationException;

/** Name and password are right; the code of the second factor is missing or wrong. */
public final class CodeNeededException extends AuthenticationException {
    private static final long serialVersionUID = 1L;

    public CodeNeededException(String sentence) {
        super(sentence);
    }
}
