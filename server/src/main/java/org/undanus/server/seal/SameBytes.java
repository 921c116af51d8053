package org.undanus.server.seal;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Arrays;

/** Takes what should be in a file, and holds it against what is. */
final class SameBytes extends OutputStream {
    private final InputStream is;
    private long count;
    private boolean same = true;

    /** @param is the file, from its first byte; whoever opened it closes it */
    SameBytes(InputStream is) {
        this.is = is;
    }

    @Override
    public void write(int value) throws IOException {
        write(new byte[] {(byte) value}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int offset, int length) throws IOException {
        if (!same) {
            return;
        }
        byte[] read = is.readNBytes(length);
        int differs = Arrays.mismatch(bytes, offset, offset + length, read, 0, read.length);
        if (differs >= 0) {
            same = false;
            count += differs;
        } else {
            count += length;
        }
    }

    /** The first byte, from 0, that is not what it should be; -1 where the file is all that was written and ends there. */
    long firstOther() throws IOException {
        return same && is.read() < 0 ? -1 : count;
    }
}
