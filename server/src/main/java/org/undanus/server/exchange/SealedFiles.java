package org.undanus.server.exchange;

import java.io.OutputStream;
import java.nio.file.Path;
import java.util.List;
import org.undanus.server.account.Person;

/** The sealed visits there are, to be handed out and brought in with everything else; the feature that seals keeps them. */
public interface SealedFiles {

    /** In the order they were sealed. */
    List<String> numbers();

    void write(String number, OutputStream to);

    /** Public parts of the keys that signed them, base64. */
    List<String> keys();

    /** Takes keys over whose seals are to verify here too. */
    void adopt(List<String> keys);

    /**
     * Keeps a seal that was made elsewhere, of a visit that is here.
     *
     * @throws org.undanus.server.problem.UnsuitableException where it is not what was sealed, or of no visit here
     */
    void keep(Path sealed, Person person);
}
