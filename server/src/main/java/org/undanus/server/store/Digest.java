package org.undanus.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 digests in lower-case hexadecimal (FIPS 180-4). */
public final class Digest {
    private Digest() {}

    public static String sha256(byte[] content) {
        return HexFormat.of().formatHex(sha256().digest(content));
    }

    /** One to be fed piece by piece. */
    public static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java platform has SHA-256", e);
        }
    }

    /** Of all that is left of a stream, a piece at a time. */
    public static String sha256(InputStream content) throws IOException {
        try (DigestInputStream read = new DigestInputStream(content, sha256())) {
            read.transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(read.getMessageDigest().digest());
        }
    }

    /** Of the text as UTF-8. */
    public static String sha256(String text) {
        return sha256(text.getBytes(StandardCharsets.UTF_8));
    }
}
