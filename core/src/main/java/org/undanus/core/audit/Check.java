package org.undanus.core.audit;

import java.util.List;

/** One thing that a record is held against. A pure function of what it is given. */
interface Check {

    AboutCheck about();

    /** What it finds, for every unit or part it speaks of; nothing where the installation has none such. */
    List<Found> check(AuditedRecord paper);
}
