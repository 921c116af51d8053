package org.undanus.server.trial;

import java.util.List;

/** Something that may be changed, which the archive is tried with before it is. Used by several at once. */
interface Change {

    /** Installations that it may touch, by their ids in order. */
    List<String> installations();

    /** Tells the trial what each of these comes to as things stand and with the change, as long as it wants to know. */
    void compare(List<String> ids, Trial trial);
}
