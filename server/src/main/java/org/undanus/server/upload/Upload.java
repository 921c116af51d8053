package org.undanus.server.upload;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/** A file as it came in. */
public final class Upload {
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final byte[] JPEG = {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF};
    private static final byte[] PDF = "%PDF-".getBytes(StandardCharsets.US_ASCII);

    private Upload() {}

    /** Its media type by its first bytes; empty for anything that is neither PNG, JPEG nor PDF. */
    public static Optional<String> mediaType(byte[] content) {
        if (startsWith(content, PNG)) {
            return Optional.of("image/png");
        }
        if (startsWith(content, JPEG)) {
            return Optional.of("image/jpeg");
        }
        return startsWith(content, PDF) ? Optional.of("application/pdf") : Optional.empty();
    }

    private static boolean startsWith(byte[] content, byte[] mark) {
        return content.length > mark.length && Arrays.equals(content, 0, mark.length, mark, 0, mark.length);
    }
}
