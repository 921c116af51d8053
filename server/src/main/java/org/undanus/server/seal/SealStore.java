package org.undanus.server.seal;

import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import org.undanus.server.photo.Photos;
import org.undanus.server.seal.SealMapper.SealRow;
import org.undanus.server.seal.SealMapper.SealState;
import org.undanus.server.store.Digest;
import org.undanus.server.store.TemporaryFiles;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps sealed files. A photo that is kept here anyway is not kept a second time: every byte of a sealed file follows from its
 * seal and what it lists, so the file is put together again when it is handed out. All of it within the caller's transaction.
 */
@Component
class SealStore {
    private final TemporaryFiles temporary;
    private final SealMapper mapper;
    private final Photos photos;
    private final JsonMapper json;

    SealStore(TemporaryFiles temporary, SealMapper mapper, Photos photos, JsonMapper json) {
        this.temporary = temporary;
        this.mapper = mapper;
        this.photos = photos;
        this.json = json;
    }

    /**
     * Keeps a file that was checked.
     *
     * @param contents of what the seal lists
     */
    SealState keep(SealRow row, Seal seal, SealArchive.Contents contents) throws IOException {
        Path kept = temporary.file(".zip");
        try {
            try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(kept))) {
                zip.putNextEntry(new ZipEntry(Seal.FILE));
                zip.write(ExactCheck.bytes(seal, json));
                for (SealArchive.Entry entry : seal.entries()) {
                    if (!photos.holds(entry.sha256())) {
                        zip.putNextEntry(new ZipEntry(entry.name()));
                        try (InputStream content = contents.open(entry)) {
                            content.transferTo(zip);
                        }
                    }
                }
            }
            try (InputStream content = Files.newInputStream(kept)) {
                mapper.insert(row, content, true);
            }
        } finally {
            Files.deleteIfExists(kept);
        }
        return new SealState(row, digest(row.number()));
    }

    /** Keeps a file of the older kind, every byte of it as it is. */
    SealState keep(SealRow row, Path sealed) throws IOException {
        try (InputStream content = Files.newInputStream(sealed)) {
            mapper.insert(row, content, false);
        }
        return new SealState(row, Digest.sha256(Files.newInputStream(sealed)));
    }

    /** SHA-256 of the file as it is handed out; of one that can no longer be handed out, why. */
    String digest(String number) {
        MessageDigest digest = Digest.sha256();
        try {
            write(number, new DigestOutputStream(OutputStream.nullOutputStream(), digest));
        } catch (UncheckedIOException e) {
            return e.getMessage();
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    /** Writes a sealed file out, byte by byte as it was sealed. */
    void write(String number, OutputStream to) {
        SealMapper.Content kept = mapper.content(number);
        try (InputStream content = kept.content()) {
            if (kept.apart()) {
                together(content, to);
            } else {
                content.transferTo(to);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void together(InputStream content, OutputStream to) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(content)) {
            if (zip.getNextEntry() == null) {
                throw new IOException("nothing is left of it");
            }
            byte[] signed = zip.readAllBytes();
            Deque<String> next = new ArrayDeque<>();
            advance(zip, next);
            List<SealArchive.Entry> entries = new ArrayList<>(read(signed).entries());
            entries.add(SealArchive.Entry.of(Seal.FILE, new ByteArrayInputStream(signed)));
            SealArchive.write(
                    entries,
                    entry -> {
                        if (entry.name().equals(Seal.FILE)) {
                            return new ByteArrayInputStream(signed);
                        }
                        if (!entry.name().equals(next.peek())) {
                            return new ByteArrayInputStream(photo(entry));
                        }
                        return new FilterInputStream(zip) {
                            @Override
                            public void close() throws IOException {
                                advance(zip, next);
                            }
                        };
                    },
                    to);
        }
    }

    private Seal read(byte[] signed) throws IOException {
        try {
            return json.readValue(signed, Seal.class);
        } catch (JacksonException e) {
            throw new IOException("its seal cannot be read", e);
        }
    }

    private static void advance(ZipInputStream zip, Deque<String> next) throws IOException {
        next.clear();
        ZipEntry entry = zip.getNextEntry();
        if (entry != null) {
            next.add(entry.getName());
        }
    }

    /** One that was lost leaves a hole that the check names. */
    private byte[] photo(SealArchive.Entry entry) {
        return photos.ofDigest(entry.sha256()).orElse(new byte[0]);
    }

    /** The case as it was sealed. */
    JsonNode document(String number) {
        try (ZipInputStream zip = new ZipInputStream(mapper.content(number).content())) {
            while (!zip.getNextEntry().getName().equals(SealCheck.CASE)) {
                zip.closeEntry();
            }
            return json.readTree(zip.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
