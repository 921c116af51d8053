package org.undanus.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.undanus.core.words.Text;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.trace.TraceStore;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * A photo or a curve within a case file, in base64. There may be more of them than fit into memory: each is opened when it is
 * written or kept, and lies in a file of its own after it was read.
 */
@JsonSerialize(using = FileContent.Writer.class)
@JsonDeserialize(using = FileContent.Reader.class)
final class FileContent {
    /** The reader's attribute that names the folder for what it reads. */
    static final String FOLDER = "content-folder";

    private static final long MOST_BYTES = Math.max(Photos.MOST_BYTES, TraceStore.MOST_BYTES);
    private static final int UNKNOWN = -1;

    /** Where it comes from. */
    @FunctionalInterface
    interface Source {
        InputStream open() throws IOException;
    }

    private final Source source;

    private FileContent(Source source) {
        this.source = source;
    }

    static FileContent of(Source source) {
        return new FileContent(source);
    }

    /** What lies in a file of its own. */
    static FileContent in(Path file) {
        return new FileContent(() -> Files.newInputStream(file));
    }

    InputStream open() throws IOException {
        return source.open();
    }

    static final class Writer extends ValueSerializer<FileContent> {
        @Override
        public void serialize(FileContent content, JsonGenerator to, SerializationContext context) {
            try (InputStream in = content.open()) {
                to.writeBinary(in, UNKNOWN);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    static final class Reader extends ValueDeserializer<FileContent> {
        @Override
        public FileContent deserialize(JsonParser from, DeserializationContext context) {
            try {
                Path file = Files.createTempFile((Path) context.getAttribute(FOLDER), "content", "");
                try (OutputStream out = new Bounded(Files.newOutputStream(file))) {
                    from.readBinaryValue(out);
                }
                return in(file);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static final class Bounded extends OutputStream {
        private final OutputStream inner;
        private long left = MOST_BYTES;

        Bounded(OutputStream inner) {
            this.inner = inner;
        }

        @Override
        public void write(int value) throws IOException {
            write(new byte[] {(byte) value}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int offset, int length) throws IOException {
            left -= length;
            if (left < 0) {
                throw new UnsuitableException(
                        "content",
                        Text.of("A photo or curve in the file is larger than {mostBytes} kB.", MOST_BYTES / 1024));
            }
            inner.write(bytes, offset, length);
        }

        @Override
        public void close() throws IOException {
            inner.close();
        }
    }
}
