package org.undanus.core.evidence;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.undanus.core.words.Text;

/**
 * One thing read, once. Never changed: a later reading of the same point may supersede it, and it stays visible.
 *
 * @param typed what was typed, to the letter
 * @param value what it was understood as
 * @param unit the unit as typed, empty for other than quantities
 * @param instrument the instrument's id, empty for the usual kind's default accuracy
 * @param by who entered it
 * @param stage of the visit it was taken on
 * @param byCrew whether a crew entered it in its record, rather than the inspection office
 */
public record Reading(
        UUID id,
        PointKey key,
        String typed,
        Value value,
        String unit,
        Optional<String> instrument,
        Grade grade,
        String by,
        Instant at,
        Stage stage,
        boolean byCrew) {

    /** One entered by the inspection office. */
    public Reading(
            UUID id,
            PointKey key,
            String typed,
            Value value,
            String unit,
            Optional<String> instrument,
            Grade grade,
            String by,
            Instant at,
            Stage stage) {
        this(id, key, typed, value, unit, instrument, grade, by, at, stage, false);
    }

    /** What was typed, as it is shown to people; of a curve, which nobody types, what it is. */
    public Text said() {
        if (value instanceof Value.Unread unread) {
            return unread.said();
        }
        if (value instanceof Value.Chosen chosen) {
            return Text.plain(chosen.option().words());
        }
        return value instanceof Value.Logged logged ? logged.said() : Text.plain(typed);
    }

    /** Whether it only says why nothing was read. */
    boolean unread() {
        return value instanceof Value.Unread;
    }

    /** Whether it strikes the one that stands, which it may: a crew takes back its own alone. */
    boolean takesBack(Reading standing) {
        return value instanceof Value.TakenBack && (standing.byCrew || !byCrew);
    }

    /**
     * Whether this later reading takes the place of one that stands: never a crew's that of the office, nor one of lower grade
     * that of a higher, unless the same person says the same again and only corrects the grade. That nothing was read gives way to
     * any reading, and takes the place of none.
     */
    boolean supersedes(Reading standing) {
        if (unread() || standing.unread()) {
            return standing.unread();
        }
        if (byCrew && !standing.byCrew) {
            return false;
        }
        return grade.atLeast(standing.grade) || by.equals(standing.by) && typed.equals(standing.typed);
    }
}
