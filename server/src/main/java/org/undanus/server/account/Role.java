package org.undanus.server.account;

/** What a person may do. */
public enum Role {
    /** Reads and judges everything in the office. */
    INSPECTOR,
    /** An inspector who also keeps rule books and imports. */
    QUALITY_LEAD,
    /** Sees the own crew's installations and fills in the commissioning record. */
    CREW
}
