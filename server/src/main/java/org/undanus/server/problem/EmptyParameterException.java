package org.undanus.server.problem;

/** A query names a parameter and says nothing of it. */
final class EmptyParameterException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    EmptyParameterException(String name) {
        super("The parameter \"" + name + "\" is empty. Leave it out or say something.");
    }
}
