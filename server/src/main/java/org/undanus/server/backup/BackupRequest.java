package org.undanus.server.backup;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.undanus.server.problem.StartRefusedException;

/**
 * A wish for a backup, left in the data folder for the Undanus that has it open: whoever may write there may have a copy.
 *
 * @param wish the file that asks
 */
record BackupRequest(Path wish) {
    private static final String WISH = ".backup-wanted";
    private static final String COPY = ".backup-copy";
    private static final String REFUSAL = ".backup-refused";
    private static final long POLL = Duration.ofMillis(200).toMillis();

    static BackupRequest leave(Path folder) throws IOException {
        return new BackupRequest(Files.createFile(folder.resolve(UUID.randomUUID() + WISH)));
    }

    static List<BackupRequest> in(Path folder) throws IOException {
        List<BackupRequest> found = new ArrayList<>();
        try (DirectoryStream<Path> wishes = Files.newDirectoryStream(folder, "*" + WISH)) {
            wishes.forEach(wish -> found.add(new BackupRequest(wish)));
        }
        return found;
    }

    private Path beside(String ending) {
        String name = wish.getFileName().toString();
        return wish.resolveSibling(name.substring(0, name.length() - WISH.length()) + ending);
    }

    /** Fulfils it, or says why not. */
    void fulfil(Backup backup) throws IOException {
        try {
            backup.to(beside(COPY));
        } catch (StartRefusedException e) {
            Files.writeString(beside(REFUSAL), e.getMessage());
        } finally {
            Files.deleteIfExists(wish);
        }
    }

    /**
     * Waits for the copy and moves it.
     *
     * @throws StartRefusedException where it is refused or nobody answers in time
     */
    void await(Path file, Duration patience) throws IOException, InterruptedException {
        long end = System.nanoTime() + patience.toNanos();
        while (System.nanoTime() < end) {
            if (Files.exists(beside(COPY))) {
                Files.move(beside(COPY), file);
                return;
            }
            if (Files.exists(beside(REFUSAL))) {
                String why = Files.readString(beside(REFUSAL));
                Files.delete(beside(REFUSAL));
                throw new StartRefusedException(why);
            }
            Thread.sleep(POLL);
        }
        Files.deleteIfExists(wish);
        throw new StartRefusedException("The Undanus that has the data open did not answer. Is it another version?");
    }
}
