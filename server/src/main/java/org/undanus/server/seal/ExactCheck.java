package org.undanus.server.seal;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.undanus.core.words.Text;
import tools.jackson.databind.json.JsonMapper;

/**
 * Holds every byte of a sealed file against the seal. Each entry is held by its digest; then the archive is written anew from what
 * the seal says, and must be the file, byte by byte. So nothing can lie before, behind, between or beside what was sealed.
 */
final class ExactCheck {
    /** Bytes; of what was packed by somebody else, to name what in it was changed. */
    private static final long MOST_UNFOLDED = 256L << 20;

    private final Seal seal;
    private final ZipFile zip;
    private final Path file;
    private final JsonMapper json;
    /** Bytes that may still be read: few that unfold to many, or lie over each other, must not keep it busy. */
    private long left;

    ExactCheck(Seal seal, ZipFile zip, Path file, JsonMapper json) {
        this.seal = seal;
        this.zip = zip;
        this.file = file;
        this.json = json;
    }

    /** Adds what is not as it was sealed. */
    void into(List<Text> problems) throws IOException {
        int before = problems.size();
        if (zip.size() > SealArchive.MOST_ENTRIES) {
            problems.add(Text.of("It holds more than {most} files.", SealArchive.MOST_ENTRIES));
            return;
        }
        Map<String, ZipEntry> there = new HashMap<>();
        for (ZipEntry entry : Collections.list(zip.entries())) {
            if (there.put(entry.getName(), entry) != null) {
                problems.add(Text.of("It holds {name} twice.", entry.getName()));
            }
        }
        if (!asLargeAsTheFile(there.values())) {
            problems.add(Text.of("It is packed otherwise than a sealed file is."));
        }
        left = Math.max(Files.size(file), MOST_UNFOLDED);
        entries(there, problems);
        if (problems.size() == before) {
            form(there, problems);
        }
    }

    /** In a sealed file everything lies unpacked and once. */
    private boolean asLargeAsTheFile(Iterable<ZipEntry> entries) throws IOException {
        long bytes = 0;
        for (ZipEntry entry : entries) {
            if (entry.getMethod() != ZipEntry.STORED || entry.getSize() != entry.getCompressedSize()) {
                return false;
            }
            bytes += entry.getSize();
        }
        return bytes <= Files.size(file);
    }

    private void entries(Map<String, ZipEntry> there, List<Text> problems) throws IOException {
        Set<String> sealed = new HashSet<>(Set.of(Seal.FILE));
        for (SealArchive.Entry entry : seal.entries()) {
            if (!sealed.add(entry.name())) {
                problems.add(Text.of("The seal names {entry} twice.", entry.name()));
                return;
            }
            ZipEntry now = there.get(entry.name());
            if (now == null) {
                problems.add(Text.of("Missing: {file}{entry}.", SealParts.FILE, entry.name()));
            } else {
                SealArchive.Entry is = SealArchive.Entry.of(entry.name(), new Limited(zip.getInputStream(now), left));
                left -= is.bytes();
                if (!is.equals(entry)) {
                    changed(entry, problems);
                }
            }
        }
        there.keySet().stream()
                .filter(name -> !sealed.contains(name))
                .sorted()
                .forEach(name -> problems.add(Text.of("Added: {file}{name}.", SealParts.FILE, name)));
    }

    /** Of the case each part that says something else, where one does. */
    private void changed(SealArchive.Entry entry, List<Text> problems) throws IOException {
        if (!entry.name().equals(SealCheck.CASE)) {
            problems.add(Text.of("Changed: {file}{entry}.", SealParts.FILE, entry.name()));
            return;
        }
        int before = problems.size();
        SortedMap<String, String> was = new TreeMap<>(seal.parts());
        was.keySet().removeIf(name -> name.startsWith(SealParts.FILE));
        SortedMap<String, String> is = SealCheck.caseParts(zip, json, problems);
        if (problems.size() == before) {
            SealCheck.compare(was, is, problems);
        }
        if (problems.size() == before) {
            problems.add(Text.of("Changed: how case.json is written."));
        }
    }

    private void form(Map<String, ZipEntry> there, List<Text> problems) throws IOException {
        byte[] signed = bytes(seal, json);
        List<SealArchive.Entry> entries = new ArrayList<>(seal.entries());
        entries.add(SealArchive.Entry.of(Seal.FILE, new ByteArrayInputStream(signed)));
        try (InputStream is = new BufferedInputStream(Files.newInputStream(file))) {
            SameBytes compared = new SameBytes(is);
            try (OutputStream to = new BufferedOutputStream(compared)) {
                SealArchive.write(
                        entries,
                        entry -> entry.name().equals(Seal.FILE)
                                ? new ByteArrayInputStream(signed)
                                : zip.getInputStream(there.get(entry.name())),
                        to);
            }
            long other = compared.firstOther();
            if (other >= 0) {
                problems.add(Text.of("Changed: the archive around its files, from byte {other} on.", other));
            }
        }
    }

    /** As it lies in the file. */
    static byte[] bytes(Seal seal, JsonMapper json) {
        return Canonical.of(json.writeValueAsString(seal)).getBytes(StandardCharsets.UTF_8);
    }
}
