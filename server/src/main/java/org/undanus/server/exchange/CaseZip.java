package org.undanus.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.photo.Photos;
import org.undanus.server.problem.UnsuitableException;
import org.undanus.server.trace.TraceStore;
import tools.jackson.databind.json.JsonMapper;

/** A case with its pictures, curves and papers in one file: {@code case.json} beside them, each once. See docs/formats/case.md. */
final class CaseZip {
    static final String CASE = "case.json";
    static final String PHOTOS = "photos/";
    static final String TRACES = "traces/";
    static final String FILES = "files/";

    private static final Pattern BESIDE = Pattern.compile("(?:photos|traces|files)/[A-Za-z0-9][A-Za-z0-9._-]{0,119}");
    private static final Set<String> FOLDERS = Set.of(PHOTOS, TRACES, FILES);
    private static final int MOST_ENTRIES = 20_000;
    private static final int BUFFER = 1 << 16;
    /** The first bytes of every such file (APPNOTE 4.3.7). */
    private static final byte[] SIGNATURE = {'P', 'K', 3, 4};

    /** A file to be written out, opened when its turn comes. */
    record Beside(String name, FileContent content) {}

    private CaseZip() {}

    /** Whether a file is one, by its content. */
    static boolean is(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return Arrays.equals(in.readNBytes(SIGNATURE.length), SIGNATURE);
        }
    }

    static void write(CaseDocument document, List<Beside> files, JsonMapper json, OutputStream to) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(to)) {
            zip.putNextEntry(new ZipEntry(CASE));
            zip.write(json.writeValueAsBytes(document));
            zip.closeEntry();
            for (Beside file : files) {
                zip.putNextEntry(new ZipEntry(file.name()));
                try (InputStream content = file.content().open()) {
                    content.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
    }

    /**
     * Unpacks a file beside itself.
     *
     * @param all bytes of all it holds, unpacked
     * @return its case document
     * @throws UnsuitableException naming what it should not hold, or that it holds too much
     */
    static Path unpack(Path file, long all) {
        Path folder = file.getParent();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            if (zip.size() > MOST_ENTRIES) {
                throw new UnsuitableException("zip", Text.of("A case file holds {most} files at most.", MOST_ENTRIES));
            }
            for (String beside : FOLDERS) {
                Files.createDirectories(folder.resolve(beside));
            }
            Set<String> names = new HashSet<>();
            long left = all;
            for (ZipEntry entry : Collections.list(zip.entries())) {
                String name = entry.getName();
                boolean document = name.equals(CASE);
                if (!entry.isDirectory() || !FOLDERS.contains(name)) {
                    if (!(document || BESIDE.matcher(name).matches()) || !names.add(name)) {
                        throw new UnsuitableException(
                                "zip",
                                "A case file holds case.json, photos/…, traces/… and files/…, each once; this one holds other things too.");
                    }
                    long most = document ? left : mostOf(name);
                    left -= unpack(zip, entry, folder.resolve(name), Math.min(left, most), left <= most);
                }
            }
            if (!names.contains(CASE)) {
                throw new UnsuitableException("zip", "The file holds no case.json.");
            }
            return folder.resolve(CASE);
        } catch (ZipException e) {
            throw new UnsuitableException(
                    "zip", Text.of("This ZIP file is damaged: {message}.", RefusedException.said(e)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static long mostOf(String name) {
        return name.startsWith(TRACES) ? TraceStore.MOST_BYTES : Photos.MOST_BYTES;
    }

    /** @return how many bytes it had */
    private static long unpack(ZipFile zip, ZipEntry entry, Path to, long bound, boolean ofAll) throws IOException {
        long size = 0;
        byte[] buffer = new byte[BUFFER];
        try (InputStream in = zip.getInputStream(entry);
                OutputStream out = Files.newOutputStream(to)) {
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                size += read;
                if (size > bound) {
                    throw new UnsuitableException(
                            "zip",
                            ofAll
                                    ? Text.of("Unpacked the file is larger than what can be imported.")
                                    : Text.of(
                                            "{name} in the file is larger than {bound} kB.",
                                            entry.getName(),
                                            bound / 1024));
                }
                out.write(buffer, 0, read);
            }
        }
        return size;
    }
}
