package org.undanus.server.seal;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.core.words.Text;
import org.undanus.server.journal.AnchorSource;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.journal.Verified;
import org.undanus.server.report.SealNotes;
import org.undanus.server.seal.SealMapper.SealState;
import org.undanus.server.store.TemporaryFiles;
import tools.jackson.databind.json.JsonMapper;

/** What of this package the journal is held against and to, and what reports print of it. */
@Configuration
class JournalledSeals {

    @Bean
    JournalledKind allSeals(SealMapper mapper, SealStore store) {
        return new JournalledKind("seal", row -> mapper.all()
                .forEach(seal -> row.accept(seal.number(), new SealState(seal, store.digest(seal.number())))));
    }

    @Bean
    AnchorSource sealedAnchors(SealMapper mapper) {
        return () -> mapper.all().stream()
                .filter(seal -> seal.anchorSequence() > 0)
                .map(seal ->
                        new AnchorSource.Anchor(seal.anchorSequence(), seal.anchorHash(), "the seal " + seal.number()))
                .toList();
    }

    @Bean
    SealNotes sealNotes(SealMapper mapper) {
        return file -> file.header()
                .visit()
                .sealedAs()
                .map(mapper::find)
                .map(seal -> new SealNotes.SealNote(seal.number(), seal.root(), seal.fingerprint()));
    }

    /** One verifier serves here too: of what was handed out, brought in and kept. */
    @Bean
    Verified verifiedSeals(SealMapper mapper, SealStore store, TemporaryFiles temporary, JsonMapper json) {
        SealCheck check = new SealCheck(json, Optional.empty());
        return () -> mapper.all().stream()
                .map(SealMapper.SealRow::number)
                .flatMap(number -> problems(number, store, temporary, check).stream()
                        .map(problem -> "the seal " + number + ": " + problem))
                .toList();
    }

    private static List<Text> problems(String number, SealStore store, TemporaryFiles temporary, SealCheck check) {
        try {
            Path file = temporary.file(".zip");
            try {
                try (OutputStream to = Files.newOutputStream(file)) {
                    store.write(number, to);
                }
                return check.check(file).problems();
            } catch (UncheckedIOException e) {
                return List.of(Text.of(
                        "it cannot be put together again: {why}.", e.getCause().getMessage()));
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
