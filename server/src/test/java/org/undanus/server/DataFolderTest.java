package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.undanus.server.problem.StartRefusedException;

class DataFolderTest {
    @TempDir
    Path folder;

    private DataFolder folder(Path path) {
        return DataFolder.of(new String[] {"--server.port=1", "--undanus.data=" + path});
    }

    @Test
    void anEmptyOrNewFolderIsUsable() {
        assertThatCode(() -> folder(folder.resolve("new")).requireUsable()).doesNotThrowAnyException();
    }

    @Test
    void aFolderIsNamedWholeWhereverItWasStarted() {
        String[] given = {"check-data", "--undanus.data=data/demo", "--server.port=1"};
        assertThat(DataFolder.of(given).named(given))
                .containsExactly(
                        "check-data",
                        "--server.port=1",
                        "--undanus.data=" + Path.of("data/demo").toAbsolutePath());
        assertThat(DataFolder.of(new String[0]).path()).isAbsolute();
    }

    @Test
    void whatIsNoFolderIsSaidInOneLine() throws IOException {
        Path file = Files.createFile(folder.resolve("file"));
        assertThatThrownBy(() -> folder(file.resolve("below")).requireUsable())
                .isInstanceOf(StartRefusedException.class)
                .hasMessageContaining("Nothing can be written")
                .hasMessageNotContaining("\n");
    }

    @Test
    void aFolderInUseIsSaidInOneLine() throws IOException {
        Path database = Files.createFile(folder.resolve("undanus.mv.db"));
        assertThatCode(() -> folder(folder).requireUsable()).doesNotThrowAnyException();
        try (FileChannel channel = FileChannel.open(database, StandardOpenOption.WRITE);
                FileLock lock = channel.lock()) {
            assertThat(lock.isValid()).isTrue();
            assertThatThrownBy(() -> folder(folder).requireUsable())
                    .isInstanceOf(StartRefusedException.class)
                    .hasMessageContaining("in use by another Undanus");
        }
    }
}
