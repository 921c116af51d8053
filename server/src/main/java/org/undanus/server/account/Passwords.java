package org.undanus.server.account;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/** What a password may be. */
final class Passwords {
    /** Bytes in UTF-8 that its hash takes into account; it takes no more than these. */
    private static final int MOST_BYTES = 72;

    private Passwords() {}

    static boolean hashable(String password) {
        return password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
    }

    /** @throws UnsuitableException where it is too long to be hashed, or is the name of whose it is */
    static void requireFit(String password, Person person) {
        if (!hashable(password)) {
            throw new UnsuitableException(
                    "password",
                    Text.of(
                            "The password is too long: it holds at most {mostBytes} letters of the plain alphabet; others count for two to four. Nothing was changed.",
                            MOST_BYTES));
        }
        String plain = plain(password);
        if (plain.equals(plain(person.name())) || plain.equals(plain(person.title()))) {
            throw new UnsuitableException(
                    "password", "A name is no password: everybody knows it. Nothing was changed.");
        }
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
