package org.undanus.core.audit;

import java.util.List;
import org.undanus.core.rules.RuleBook;

/** One thing that the records of one crew are held against each other by. */
interface JobCheck {

    AboutCheck about();

    /** What it finds; nothing where there are too few records for it to tell. */
    List<JobFound> check(List<CommissioningRecord> records, RuleBook rules);
}
