package org.undanus.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TemporaryFilesTest {
    @TempDir
    Path data;

    @Test
    void whatAKilledProcessLeftIsSweptAtTheNextStartAndNothingElse() throws IOException {
        Path left = new TemporaryFiles(data).file(".csv");
        Path copy = Files.writeString(data.resolve("1234.backup-copy"), "half a copy");
        Path refusal = Files.writeString(data.resolve("1234.backup-refused"), "no room");
        Path wish = Files.writeString(data.resolve("1234.backup-wanted"), "");
        Path database = Files.writeString(data.resolve("undanus.mv.db"), "x");

        Path fresh = new TemporaryFiles(data).file(".csv");
        assertThat(left).doesNotExist();
        assertThat(copy).doesNotExist();
        assertThat(refusal).doesNotExist();
        assertThat(wish).exists();
        assertThat(database).exists();
        assertThat(fresh).exists().hasParent(left.getParent());
    }

    @Test
    void aFolderThatIsNotThereYetIsNoFault() throws IOException {
        assertThat(new TemporaryFiles(data.resolve("new")).file("")).exists();
    }
}
