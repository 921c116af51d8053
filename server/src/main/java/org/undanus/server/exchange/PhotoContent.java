package org.undanus.server.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Supplier;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * A photo's file within a case file, in base64. There may be more of them than fit into memory: each is fetched when it is
 * written or kept, and lies in a file of its own after it was read.
 */
@JsonSerialize(using = PhotoContent.Writer.class)
@JsonDeserialize(using = PhotoContent.Reader.class)
final class PhotoContent {
    /** The reader's attribute that names the folder for what it reads. */
    static final String FOLDER = "photo-folder";

    private final Supplier<byte[]> fetched;

    private PhotoContent(Supplier<byte[]> fetched) {
        this.fetched = fetched;
    }

    static PhotoContent fetched(Supplier<byte[]> from) {
        return new PhotoContent(from);
    }

    /** What lies in a file of its own. */
    static PhotoContent in(Path file) {
        return new PhotoContent(() -> Reader.read(file));
    }

    byte[] bytes() {
        return fetched.get();
    }

    static final class Writer extends ValueSerializer<PhotoContent> {
        @Override
        public void serialize(PhotoContent content, JsonGenerator to, SerializationContext context) {
            byte[] bytes = content.bytes();
            to.writeBinary(new ByteArrayInputStream(bytes), bytes.length);
        }
    }

    static final class Reader extends ValueDeserializer<PhotoContent> {
        @Override
        public PhotoContent deserialize(JsonParser from, DeserializationContext context) {
            try {
                Path file = Files.createTempFile((Path) context.getAttribute(FOLDER), "photo", "");
                try (OutputStream out = new Bounded(Files.newOutputStream(file))) {
                    from.readBinaryValue(out);
                }
                return new PhotoContent(() -> read(file));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private static byte[] read(Path file) {
            try {
                return Files.readAllBytes(file);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static final class Bounded extends OutputStream {
        private final OutputStream inner;
        private long left = Photos.MOST_BYTES;

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
                        "photos", "A photo in the file is larger than " + Photos.MOST_BYTES / 1024 + " kB.");
            }
            inner.write(bytes, offset, length);
        }

        @Override
        public void close() throws IOException {
            inner.close();
        }
    }
}
