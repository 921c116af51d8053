package org.undanus.server.upload;

import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/** What a file that came in is called. */
public final class FileName {
    private static final int LONGEST = 120;

    private FileName() {}

    /**
     * Without what a path or a header could be made of.
     *
     * @throws UnsuitableException where nothing is left, or too much
     */
    public static String clean(String name) {
        String called = name.strip().replaceAll("[\\p{Cntrl}/\\\\\"]", "-");
        if (called.isEmpty() || called.length() > LONGEST) {
            throw new UnsuitableException("name", Text.of("A file's name has 1 to {longest} characters.", LONGEST));
        }
        return called;
    }
}
