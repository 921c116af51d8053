package org.undanus.server.correction;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.undanus.core.judgement.Severity;

/**
 * Something to put right.
 *
 * @param number counted within the installation
 * @param what requirement and unit
 * @param finding why, in the words of the judgement when it was raised
 * @param limits the limits it was held against, with their sources
 * @param words what the inspector asks for
 * @param severity what is at stake; empty where it was raised before that was kept
 */
public record Correction(
        String id,
        int number,
        String installationId,
        String requirement,
        String component,
        String what,
        String finding,
        String limits,
        String words,
        Optional<LocalDate> due,
        State state,
        String raisedBy,
        Instant raisedAt,
        Optional<Severity> severity,
        int version) {

    /** Where it stands. */
    public enum State {
        /** Raised; the crew has not looked at it. */
        OPEN("not seen yet"),
        SEEN("seen by the crew"),
        ANSWERED("answered, to be looked at"),
        /** The answer was not enough: the crew is to answer again. */
        REFUSED("answer refused"),
        /** The answer was enough, without a look at the installation. */
        ACCEPTED("accepted"),
        /** A re-visit showed that it is put right. */
        CLOSED("closed at a re-visit"),
        WITHDRAWN("withdrawn");

        private final String title;

        State(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }

        public boolean ended() {
            return this == ACCEPTED || this == CLOSED || this == WITHDRAWN;
        }
    }

    /** The day it was to be put right by has gone. */
    public boolean overdue(LocalDate today) {
        return !state.ended() && due.filter(day -> day.isBefore(today)).isPresent();
    }

    Correction with(String otherWords, Optional<LocalDate> otherDue, State otherState, int otherVersion) {
        return new Correction(
                id,
                number,
                installationId,
                requirement,
                component,
                what,
                finding,
                limits,
                otherWords,
                otherDue,
                otherState,
                raisedBy,
                raisedAt,
                severity,
                otherVersion);
    }
}
