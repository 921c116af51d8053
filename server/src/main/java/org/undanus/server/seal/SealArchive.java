package org.undanus.server.seal;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.security.DigestInputStream;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import org.undanus.server.store.Digest;

/**
 * The one form a sealed file has: a ZIP archive (PKWARE APPNOTE 6.3, 4.3) in which everything lies unpacked, without a date, a
 * comment or anything between. The same entries always give the same bytes, so that whoever knows the entries knows every byte.
 */
final class SealArchive {
    private static final int LOCAL = 0x04034b50;
    private static final int CENTRAL = 0x02014b50;
    private static final int END = 0x06054b50;
    private static final short VERSION = 10;
    private static final short NAMES_IN_UTF_8 = 1 << 11;
    private static final short STORED = 0;
    /** Midnight of 1 January 1980, the first day such an archive can name. */
    private static final short NO_TIME = 0;

    private static final short NO_DATE = (1 << 5) | 1;

    private static final int LOCAL_BYTES = 30;
    private static final int CENTRAL_BYTES = 46;
    private static final int END_BYTES = 22;
    /** What its sizes and counts can say (4.4.1.4); more needs another form. */
    static final long MOST_BYTES = 0xFFFF_FFFEL;

    static final int MOST_ENTRIES = 0xFFFE;

    /**
     * An entry by its exact bytes.
     *
     * @param crc32 of its bytes, as the archive writes it
     */
    record Entry(String name, long bytes, long crc32, String sha256) {

        /** @throws IOException where it cannot be read */
        static Entry of(String name, InputStream content) throws IOException {
            CRC32 crc = new CRC32();
            try (DigestInputStream read =
                    new DigestInputStream(new CheckedInputStream(content, crc), Digest.sha256())) {
                long bytes = read.transferTo(OutputStream.nullOutputStream());
                return new Entry(
                        name,
                        bytes,
                        crc.getValue(),
                        HexFormat.of().formatHex(read.getMessageDigest().digest()));
            }
        }
    }

    /** Opens an entry's content. */
    @FunctionalInterface
    interface Contents {
        InputStream open(Entry entry) throws IOException;
    }

    private SealArchive() {}

    /**
     * Writes entries in this order.
     *
     * @throws IOException where an entry cannot be read, or they are more than an archive of this form can name
     */
    static void write(List<Entry> entries, Contents contents, OutputStream to) throws IOException {
        long offset = 0;
        for (Entry entry : entries) {
            to.write(local(entry));
            try (InputStream content = contents.open(entry)) {
                content.transferTo(to);
            }
            offset += LOCAL_BYTES + name(entry).length + entry.bytes();
        }
        if (offset > MOST_BYTES || entries.size() > MOST_ENTRIES) {
            throw new IOException("A sealed file holds at most " + MOST_ENTRIES + " files and 4 GB");
        }
        long directory = offset;
        long at = 0;
        for (Entry entry : entries) {
            to.write(central(entry, at));
            at += LOCAL_BYTES + name(entry).length + entry.bytes();
            offset += CENTRAL_BYTES + name(entry).length;
        }
        to.write(of(END_BYTES)
                .putInt(END)
                .putInt(0)
                .putShort((short) entries.size())
                .putShort((short) entries.size())
                .putInt((int) (offset - directory))
                .putInt((int) directory)
                .putShort((short) 0)
                .array());
    }

    private static byte[] local(Entry entry) {
        byte[] name = name(entry);
        ByteBuffer header = of(LOCAL_BYTES + name.length).putInt(LOCAL);
        return about(entry, header, name).put(name).array();
    }

    private static byte[] central(Entry entry, long at) {
        byte[] name = name(entry);
        ByteBuffer header = of(CENTRAL_BYTES + name.length).putInt(CENTRAL).putShort(VERSION);
        return about(entry, header, name)
                // no comment, the first disk, no attributes
                .put(new byte[CENTRAL_BYTES - header.position() - Integer.BYTES])
                .putInt((int) at)
                .put(name)
                .array();
    }

    /** What the header before an entry and the one in the directory both say. */
    private static ByteBuffer about(Entry entry, ByteBuffer header, byte[] name) {
        return header.putShort(VERSION)
                .putShort(NAMES_IN_UTF_8)
                .putShort(STORED)
                .putShort(NO_TIME)
                .putShort(NO_DATE)
                .putInt((int) entry.crc32())
                .putInt((int) entry.bytes())
                .putInt((int) entry.bytes())
                .putShort((short) name.length)
                .putShort((short) 0);
    }

    private static byte[] name(Entry entry) {
        return entry.name().getBytes(StandardCharsets.UTF_8);
    }

    private static ByteBuffer of(int bytes) {
        return ByteBuffer.allocate(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }
}
