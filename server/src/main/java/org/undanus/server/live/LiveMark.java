package org.undanus.server.live;

import java.time.Instant;
import org.undanus.core.derived.notation.Marks;

/**
 * Something done while a line listens.
 *
 * @param at by the instrument's clock
 * @param markedBy who tapped it; where the instrument said it, who let the line listen
 */
public record LiveMark(String listening, Instant at, Marks.Act act, String markedBy) {

    /** Of which the journal speaks. */
    String subject() {
        return listening + "@" + at + "@" + act;
    }

    /** It was marked just now, and is kept. */
    public record Came(Listening listening, LiveMark mark) {}
}
