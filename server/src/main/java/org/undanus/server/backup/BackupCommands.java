package org.undanus.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.springframework.util.FileSystemUtils;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.problem.StartRefusedException;

/** What the start script's {@code backup} and {@code restore} do without an application of their own. */
public final class BackupCommands {
    private static final Duration PATIENCE = Duration.ofMinutes(10);

    private BackupCommands() {}

    /** @throws StartRefusedException where the file is there already or its folder is not */
    public static void requireNew(Path file) {
        if (Files.exists(file)) {
            throw new StartRefusedException(Text.of("There is a file {file} already. Choose another name.", file));
        }
        if (file.toAbsolutePath().getParent() == null
                || !Files.isWritable(file.toAbsolutePath().getParent())) {
            throw new StartRefusedException(Text.of("Nothing can be written beside {file}.", file));
        }
    }

    /** Asks the Undanus that has the folder open for a backup. */
    public static void ask(Path folder, Path file) {
        try {
            BackupRequest.leave(folder).await(file, PATIENCE);
        } catch (IOException e) {
            throw new StartRefusedException(
                    Text.of("The backup could not be written to {file}: {message}", file, RefusedException.said(e)));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new StartRefusedException("Stopped before the backup was there.");
        }
    }

    /**
     * Puts a backup's files into a folder that holds no data; all of them or none.
     *
     * @throws StartRefusedException where the folder holds data or the file is no whole backup
     */
    public static void unpack(Path file, Path folder) {
        if (Backup.ENTRIES.stream().anyMatch(name -> Files.exists(folder.resolve(name)))) {
            throw new StartRefusedException(
                    Text.of("The folder {folder} holds data already. Restore into an empty one with --data.", folder));
        }
        Optional<Path> beside = Optional.empty();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            List<? extends ZipEntry> entries = zip.stream().toList();
            Set<String> names = entries.stream().map(ZipEntry::getName).collect(Collectors.toCollection(HashSet::new));
            boolean whole = names.containsAll(Backup.ENTRIES) && names.size() == entries.size();
            names.removeAll(Backup.ENTRIES);
            names.remove(Backup.RETIRED);
            if (!whole || !names.isEmpty()) {
                throw new StartRefusedException(Text.of("{file} is no backup of Undanus.", file));
            }
            Files.createDirectories(folder);
            beside = Optional.of(Files.createTempDirectory(folder, "restoring"));
            for (ZipEntry entry : entries) {
                try (InputStream content = zip.getInputStream(entry)) {
                    Files.copy(content, beside.get().resolve(entry.getName()));
                }
            }
            for (String name : List.of(Backup.RETIRED, Backup.KEY, Backup.HEADS, Backup.DATABASE)) {
                if (Files.exists(beside.get().resolve(name))) {
                    Files.move(beside.get().resolve(name), folder.resolve(name));
                }
            }
        } catch (IOException e) {
            throw new StartRefusedException(
                    Text.of("{file} cannot be read as a whole backup: {message}", file, RefusedException.said(e)));
        } finally {
            beside.ifPresent(unfinished -> FileSystemUtils.deleteRecursively(unfinished.toFile()));
        }
    }
}
