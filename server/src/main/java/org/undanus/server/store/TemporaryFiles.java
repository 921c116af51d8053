package org.undanus.server.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/**
 * Files that live no longer than a request, in a folder of their own: whoever asks for one deletes it, and what a killed process
 * left is swept at the next start.
 */
@Component
public class TemporaryFiles {
    private static final String FOLDER = "temporary";
    /** Copies that nobody fetched before the process that asked was killed. */
    private static final String COPIES = "*.backup-{copy,refused}";

    private final Path folder;

    TemporaryFiles(@Value("${undanus.data}") Path data) {
        this.folder = data.resolve(FOLDER);
        try {
            FileSystemUtils.deleteRecursively(folder);
            if (Files.isDirectory(data)) {
                try (DirectoryStream<Path> left = Files.newDirectoryStream(data, COPIES)) {
                    for (Path copy : left) {
                        Files.deleteIfExists(copy);
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A new empty file. */
    public Path file(String ending) throws IOException {
        return Files.createTempFile(Files.createDirectories(folder), "", ending);
    }
}
