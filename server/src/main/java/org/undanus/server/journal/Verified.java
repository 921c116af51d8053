package org.undanus.server.journal;

import java.util.List;

/** Knows more of what is kept than that it is what was journalled, for example whether a signature still belongs to it. */
@FunctionalInterface
public interface Verified {

    /** Each a sentence's middle: {@code the seal LH-07/1: …}. Empty where all is as it should be. */
    List<String> problems();
}
