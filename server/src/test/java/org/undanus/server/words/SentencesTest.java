package org.undanus.server.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class SentencesTest {
    private static final Path KEPT = Path.of("src/main/resources/words/undanus.pot");

    /** A slip here would be met only where the sentence is said for the first time. */
    @Test
    void everyTemplateIsGivenWhatItNames() {
        assertThat(Sentences.all().mismatched()).isEmpty();
    }

    /** Whoever translates, and whoever reviews a change of words, reads this file. */
    @Test
    void theFileForTranslatorsHasEverySentence() throws IOException {
        String now = Sentences.all().template();
        if (Boolean.getBoolean("golden.update")) {
            Files.createDirectories(KEPT.getParent());
            Files.writeString(KEPT, now);
        }
        assertThat(Files.readString(KEPT))
                .as("%s is out of date: ./undanus accept, then read the difference", KEPT)
                .isEqualTo(now);
    }
}
