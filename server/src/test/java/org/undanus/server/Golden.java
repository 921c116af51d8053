package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Compares with a committed file, so that a change shows as a readable diff. To accept a change run the tests with
 * {@code -Dgolden.update=true} and commit the file.
 */
public final class Golden {
    private Golden() {}

    public static void compare(Path file, String now) {
        try {
            if (Boolean.getBoolean("golden.update")) {
                Files.writeString(file, now);
            }
            assertThat(now).as("%s is out of date", file).isEqualTo(Files.readString(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
