package org.undanus.server.mail;

/** What letters are about; people choose which they get by mail. */
public enum LetterKind {
    /** Corrections are asked for or changed. */
    RAISED("/corrections?installation={installation}"),
    /** Something is said or done about a correction. */
    ANSWERED("/corrections?installation={installation}"),
    /** A question about a commissioning record, or its answer. */
    RECORD("/installations/{installation}/record");

    private final String page;

    LetterKind(String page) {
        this.page = page;
    }

    /** Where it is answered. */
    String page(String server, String installation) {
        return server.replaceAll("/+$", "") + page.replace("{installation}", installation);
    }
}
