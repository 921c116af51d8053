package org.undanus.server.correction;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.undanus.server.correction.Correction.State;

/**
 * What was said or done about a correction.
 *
 * @param readings ids of those that came with it
 */
public record Step(String id, Kind kind, String words, List<String> readings, String by, Instant at) {

    /** What may be done, by whom and when. */
    public enum Kind {
        SEEN(State.SEEN, false, Set.of(State.OPEN)),
        ANSWERED(State.ANSWERED, false, Set.of(State.OPEN, State.SEEN, State.ANSWERED, State.REFUSED)),
        ACCEPTED(State.ACCEPTED, true, Set.of(State.ANSWERED)),
        REFUSED(State.REFUSED, true, Set.of(State.ANSWERED)),
        CLOSED(State.CLOSED, true, Set.of(State.OPEN, State.SEEN, State.ANSWERED, State.REFUSED)),
        WITHDRAWN(State.WITHDRAWN, true, Set.of(State.OPEN, State.SEEN, State.ANSWERED, State.REFUSED));

        private final State leadsTo;
        private final boolean office;
        private final Set<State> from;

        Kind(State leadsTo, boolean office, Set<State> from) {
            this.leadsTo = leadsTo;
            this.office = office;
            this.from = from;
        }

        State leadsTo() {
            return leadsTo;
        }

        /** Whether it is for the inspection office to do; else for the crew. */
        boolean office() {
            return office;
        }

        boolean possible(State state) {
            return from.contains(state);
        }
    }
}
