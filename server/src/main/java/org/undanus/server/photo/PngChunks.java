package org.undanus.server.photo;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;

/**
 * The packed texts and colour profile of a PNG may unpack to a thousand times their size. They are unpacked once, counted and
 * thrown away, before any reader keeps them. Structure after ISO/IEC 15948.
 */
final class PngChunks {
    private static final int SIGNATURE = 8;
    private static final int FRAME = 12;
    private static final long MOST_UNPACKED = 4L * 1024 * 1024;
    private static final int BUFFER = 64 * 1024;

    private PngChunks() {}

    /** @throws UnsuitableException when what is beside the picture is larger than it may be */
    static void requireModest(byte[] content) {
        long unpacked = 0;
        int at = SIGNATURE;
        while (at + FRAME <= content.length) {
            int length = ByteBuffer.wrap(content, at, 4).getInt();
            if (length < 0 || length > content.length - at - FRAME) {
                return;
            }
            String kind = new String(content, at + 4, 4, StandardCharsets.US_ASCII);
            if (kind.equals("zTXt") || kind.equals("iCCP") || kind.equals("iTXt")) {
                unpacked += unpacked(content, packedFrom(content, at + 8, length, kind), at + 8 + length);
            }
            if (unpacked > MOST_UNPACKED) {
                throw new UnsuitableException(
                        "photo",
                        Text.of(
                                "What is packed beside this picture is larger than {mostUnpacked} MB. Save it without texts and profile. Nothing was saved.",
                                MOST_UNPACKED / 1024 / 1024));
            }
            at += FRAME + length;
        }
    }

    /** After the keyword, its end and the method; in an international text after language and translation too. */
    private static int packedFrom(byte[] content, int from, int length, String kind) {
        int at = after(content, from, from + length);
        if (!kind.equals("iTXt")) {
            return at + 1;
        }
        return after(content, after(content, at + 2, from + length), from + length);
    }

    private static int after(byte[] content, int from, int end) {
        int at = from;
        while (at < end && content[at] != 0) {
            at++;
        }
        return at + 1;
    }

    private static long unpacked(byte[] content, int from, int end) {
        if (from >= end) {
            return 0;
        }
        Inflater inflater = new Inflater();
        try {
            inflater.setInput(content, from, end - from);
            byte[] buffer = new byte[BUFFER];
            long size = 0;
            while (!inflater.finished() && !inflater.needsInput() && size <= MOST_UNPACKED) {
                size += inflater.inflate(buffer);
            }
            return size;
        } catch (DataFormatException notPacked) {
            return 0;
        } finally {
            inflater.end();
        }
    }
}
