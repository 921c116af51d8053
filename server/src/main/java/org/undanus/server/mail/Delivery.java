package org.undanus.server.mail;

import java.time.Instant;
import org.undanus.server.store.Moment;

/**
 * A letter on its way to somebody.
 *
 * @param name whom it goes to
 * @param tries how often it was tried
 * @param since when it was written
 * @param dueAt when it is tried next; null once that has ended
 * @param said why it was not taken the last time; empty where nothing was refused
 */
record Delivery(
        String id, String messageId, String name, State state, int tries, Instant since, Instant dueAt, String said) {
    enum State {
        WAITING,
        SENT,
        /** The mail server refused it, or did not answer for so long that it is given up. */
        FAILED,
        /** Whom it was to no longer wants it, or may no longer see it. */
        DROPPED
    }

    private static final int LONGEST = 300;

    Delivery {
        since = Moment.kept(since);
        dueAt = Moment.kept(dueAt);
        said = said.length() > LONGEST ? said.substring(0, LONGEST) : said;
    }

    /** As the journal keeps it: that it was written and how it ended, not each try between. */
    record Ending(String id, String messageId, String name, State state, Instant since) {}

    Ending ending() {
        return new Ending(id, messageId, name, state, since);
    }

    Delivery ended(State how, String why) {
        return new Delivery(id, messageId, name, how, tries, since, null, why);
    }

    /** Tried once more; unless it ends well it is tried again. */
    Delivery begun(Instant again) {
        return new Delivery(id, messageId, name, state, tries + 1, since, again, said);
    }

    Delivery refused(String why) {
        return new Delivery(id, messageId, name, state, tries, since, dueAt, why);
    }
}
