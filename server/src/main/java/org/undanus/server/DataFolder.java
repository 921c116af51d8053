package org.undanus.server;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.stream.Stream;
import org.undanus.core.words.Text;
import org.undanus.server.problem.StartRefusedException;

/** The folder the data are kept in, looked at before anything is started. */
record DataFolder(Path path) {
    private static final String ARGUMENT = "--undanus.data=";

    static DataFolder of(String[] arguments) {
        return new DataFolder(Path.of(Arrays.stream(arguments)
                        .filter(argument -> argument.startsWith(ARGUMENT))
                        .map(argument -> argument.substring(ARGUMENT.length()))
                        .findFirst()
                        .orElse("data"))
                .toAbsolutePath()
                .normalize());
    }

    /** The arguments with this folder named whole: the database takes no path that depends on where it was started. */
    String[] named(String[] arguments) {
        return Stream.concat(
                        Arrays.stream(arguments).filter(argument -> !argument.startsWith(ARGUMENT)),
                        Stream.of(ARGUMENT + path))
                .toArray(String[]::new);
    }

    /** @throws StartRefusedException where it cannot be written in or another process has it */
    void requireUsable() {
        try {
            Files.createDirectories(path);
            Files.delete(Files.createTempFile(path, "written", ".tmp"));
        } catch (IOException e) {
            throw new StartRefusedException(
                    Text.of("Nothing can be written in the folder {path}. Choose another with --data.", path));
        }
        if (inUse()) {
            throw new StartRefusedException(Text.of(
                    "The data in {path} are in use by another Undanus. Stop it, or choose another folder with --data.",
                    path));
        }
    }

    /** Whether a process has the data open. */
    boolean inUse() {
        Path database = path.resolve("undanus.mv.db");
        if (!Files.exists(database)) {
            return false;
        }
        try (FileChannel channel = FileChannel.open(database, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            return lock == null;
        } catch (IOException | OverlappingFileLockException e) {
            return true;
        }
    }
}
