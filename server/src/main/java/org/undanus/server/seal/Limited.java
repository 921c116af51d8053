package org.undanus.server.seal;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Reads no more than is allowed, however much a few packed bytes unfold to. */
final class Limited extends FilterInputStream {
    private final long most;
    private long count;

    /** @param most bytes */
    Limited(InputStream in, long most) {
        super(in);
        this.most = most;
    }

    @Override
    public int read() throws IOException {
        int value = super.read();
        count(value < 0 ? 0 : 1);
        return value;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
        int read = super.read(into, offset, length);
        count(Math.max(0, read));
        return read;
    }

    private void count(int read) throws IOException {
        count += read;
        if (count > most) {
            throw new IOException("something within is larger than " + (most >> 20) + " MB");
        }
    }
}
