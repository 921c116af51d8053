package org.undanus.server.report;

import java.util.Optional;
import org.undanus.view.CaseFile;

/** Knows whether a visit is sealed; the feature that seals says so. */
@FunctionalInterface
public interface SealNotes {

    /**
     * What is printed of a seal.
     *
     * @param root of the hash tree over all that was sealed
     * @param fingerprint of the key that signed it
     */
    record SealNote(String number, String root, String fingerprint) {}

    /** Of the visit that goes on, or was the last; empty while it is not sealed. */
    Optional<SealNote> of(CaseFile file);
}
