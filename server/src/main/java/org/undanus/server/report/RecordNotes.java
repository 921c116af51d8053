package org.undanus.server.report;

import java.util.List;
import org.undanus.core.words.Wording;
import org.undanus.server.account.Person;
import org.undanus.view.CaseFile;

/** Knows what does not fit together in commissioning records; the feature that audits them says so. */
@FunctionalInterface
public interface RecordNotes {

    /**
     * What is printed of a record.
     *
     * @param checks how many could tell
     */
    record RecordNote(String day, String signedBy, int checks, List<DoubtNote> doubts) {}

    /** @param innocent how it may have come about with everybody honest */
    record DoubtNote(String title, String strength, String because, List<String> innocent) {}

    /** Of those that this person may see: a crew only what is released to it. */
    List<RecordNote> of(CaseFile file, Person person, Wording wording);
}
