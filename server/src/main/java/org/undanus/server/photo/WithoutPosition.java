package org.undanus.server.photo;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * A picture without what its camera wrote about place, time and maker: picture data are copied as they are, all Exif, XMP and
 * text parts are left out, and which way is up is written anew. Structure after ISO/IEC 10918-1 (JPEG) and ISO/IEC 15948 (PNG).
 */
final class WithoutPosition {
    private static final int MARKER = 0xFF;
    private static final int START_OF_SCAN = 0xDA;
    private static final int FIRST_APPLICATION = 0xE1;
    private static final int LAST_APPLICATION = 0xEF;
    private static final int COLOUR_PROFILE = 0xE2;
    private static final int ADOBE_TRANSFORM = 0xEE;
    private static final int COMMENT = 0xFE;
    private static final int PNG_SIGNATURE = 8;
    private static final int PNG_FRAME = 12;

    private WithoutPosition() {}

    static byte[] of(byte[] content, String mediaType) {
        return mediaType.equals("image/png") ? png(content) : jpeg(content);
    }

    private static byte[] jpeg(byte[] content) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(content.length);
        out.write(content, 0, 2);
        orientation(content).ifPresent(up -> out.writeBytes(exif(up)));
        int at = 2;
        while (at + 4 <= content.length && (content[at] & 0xFF) == MARKER) {
            int marker = content[at + 1] & 0xFF;
            if (marker == START_OF_SCAN) {
                break;
            }
            int length = 2 + ((content[at + 2] & 0xFF) << 8 | content[at + 3] & 0xFF);
            boolean application = marker >= FIRST_APPLICATION && marker <= LAST_APPLICATION;
            boolean kept = marker == COLOUR_PROFILE || marker == ADOBE_TRANSFORM || !application && marker != COMMENT;
            if (kept) {
                out.write(content, at, Math.min(length, content.length - at));
            }
            at += length;
        }
        if (at < content.length) {
            out.write(content, at, content.length - at);
        }
        return out.toByteArray();
    }

    private static Optional<Integer> orientation(byte[] content) {
        try {
            return Optional.ofNullable(ImageMetadataReader.readMetadata(new ByteArrayInputStream(content))
                            .getFirstDirectoryOfType(ExifIFD0Directory.class))
                    .map(exif -> exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION));
        } catch (ImageProcessingException | IOException e) {
            return Optional.empty();
        }
    }

    /** An Exif part that says only which way is up. */
    private static byte[] exif(int orientation) {
        ByteBuffer part = ByteBuffer.allocate(36);
        part.put((byte) MARKER).put((byte) FIRST_APPLICATION).putShort((short) 34);
        part.put(new byte[] {'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42});
        part.putInt(8).putShort((short) 1);
        part.putShort((short) ExifIFD0Directory.TAG_ORIENTATION)
                .putShort((short) 3)
                .putInt(1);
        part.putShort((short) orientation).putShort((short) 0).putInt(0);
        return part.array();
    }

    private static byte[] png(byte[] content) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(content.length);
        out.write(content, 0, PNG_SIGNATURE);
        int at = PNG_SIGNATURE;
        while (at + PNG_FRAME <= content.length) {
            int length = ByteBuffer.wrap(content, at, 4).getInt();
            String kind = new String(content, at + 4, 4, StandardCharsets.US_ASCII);
            int whole = PNG_FRAME + length;
            if (length < 0 || at + whole > content.length) {
                break;
            }
            boolean spoken = kind.equals("eXIf") || kind.equals("tEXt") || kind.equals("iTXt") || kind.equals("zTXt");
            if (!spoken) {
                out.write(content, at, whole);
            }
            at += whole;
        }
        return out.toByteArray();
    }
}
