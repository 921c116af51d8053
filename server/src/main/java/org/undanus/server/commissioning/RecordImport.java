package org.undanus.server.commissioning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;
import org.undanus.server.work.Underway;

/** Many records on their way in: how far it is, and what could not be taken. What is named is bounded. */
final class RecordImport extends Underway.Work {
    private static final int MOST_NAMED = 200;

    /** @param why each line that cannot be taken, one a line */
    record RefusedRecord(String file, String why) {}

    /**
     * @param brought how many are saved
     * @param already how many were in before
     * @param refused how many cannot be taken
     * @param named the first of those, each with its reasons
     */
    record RecordImportView(
            String id,
            Underway.State state,
            int done,
            int total,
            int brought,
            int already,
            int refused,
            List<RefusedRecord> named,
            Optional<String> problem) {}

    private final int total;
    private final Wording wording;
    private final List<RefusedRecord> named = new ArrayList<>();
    private int brought;
    private int already;
    private int refused;

    RecordImport(String id, String person, int total, Wording wording) {
        super(id, person);
        this.total = total;
        this.wording = wording;
    }

    synchronized void brought() {
        brought++;
    }

    synchronized void already() {
        already++;
    }

    synchronized void refused(String file, Text why) {
        refused++;
        if (named.size() < MOST_NAMED) {
            named.add(new RefusedRecord(file, why.in(wording)));
        }
    }

    synchronized RecordImportView view() {
        return new RecordImportView(
                id(),
                state(),
                brought + already + refused,
                total,
                brought,
                already,
                refused,
                List.copyOf(named),
                problem());
    }
}
