package org.undanus.server.mail;

import java.util.Set;

/**
 * Where somebody wants letters sent, and which.
 *
 * @param address empty where none are wanted
 * @param version how often it was changed
 */
public record MailChoice(String address, Set<LetterKind> kinds, int version) {
    static final int LONGEST = 254;

    /** The local part without quotes and a name with a dot in it: what is typed without one is a slip. */
    static final String ADDRESS = "[A-Za-z0-9.!#$%&'*+/=?^_`{|}~-]{1,64}@[A-Za-z0-9-]+(\\.[A-Za-z0-9-]+)+";

    /** Of somebody who has never chosen. */
    static final MailChoice NONE = everything("");

    /** Every letter to one address. */
    public static MailChoice everything(String address) {
        return new MailChoice(address, Set.of(LetterKind.values()), 0);
    }

    /** Whether an address is empty, or one that a mail server can be found for. */
    public static boolean sound(String address) {
        return address != null && address.length() <= LONGEST && (address.isEmpty() || address.matches(ADDRESS));
    }

    boolean wants(LetterKind kind) {
        return !address.isEmpty() && kinds.contains(kind);
    }
}
