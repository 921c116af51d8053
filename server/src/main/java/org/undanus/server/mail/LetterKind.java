package org.undanus.server.mail;

import java.util.EnumSet;
import java.util.Set;
import org.undanus.server.account.Person;

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

    /** Which letters somebody can get at all: the inspection office asks for corrections, and no letter asks them of it. */
    static Set<LetterKind> to(Person person) {
        return person.inspects() ? EnumSet.of(ANSWERED, RECORD) : EnumSet.allOf(LetterKind.class);
    }

    /** Where it is answered. */
    String page(String server, String installation) {
        return server.replaceAll("/+$", "") + page.replace("{installation}", installation);
    }
}
