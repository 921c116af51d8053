package org.undanus.core.audit;

import java.util.List;
import org.undanus.core.rules.RuleBook;

/** One thing that the records of one crew are held against each other by. */
interface JobCheck {

    AboutCheck about();

    /**
     * What it finds; nothing where there are too few records for it to tell.
     *
     * @param records of one crew
     * @param archive of all crews, these among them: how much lines vary is told from all
     */
    List<JobFound> check(List<CommissioningRecord> records, List<CommissioningRecord> archive, RuleBook rules);
}
