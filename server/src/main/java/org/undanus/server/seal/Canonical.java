package org.undanus.server.seal;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.erdtman.jcs.JsonCanonicalizer;
import org.undanus.server.store.Digest;

/** JSON in the one form that everybody writes alike (RFC 8785), so that its hash says what it says. */
final class Canonical {
    private Canonical() {}

    /** @throws IllegalArgumentException where it is no JSON that has such a form */
    static String of(String json) {
        try {
            return new String(new JsonCanonicalizer(json).getEncodedUTF8(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalArgumentException("This JSON has no canonical form: " + e.getMessage(), e);
        }
    }

    /** SHA-256 of any JSON value in this form; a value alone is written within an array. */
    static String digest(String json) {
        return Digest.sha256(of("[" + json + "]"));
    }
}
