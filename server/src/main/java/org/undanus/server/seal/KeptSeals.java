package org.undanus.server.seal;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Anchored;
import org.undanus.server.journal.Kept;
import org.undanus.server.report.SealNotes;
import org.undanus.server.seal.SealMapper.SealState;
import org.undanus.server.store.Digest;

/** What of this package the journal is held against and to, and what reports print of it. */
@Configuration
class KeptSeals {

    @Bean
    Kept allSeals(SealMapper mapper) {
        return new Kept("seal", row -> mapper.all()
                .forEach(seal -> row.accept(seal.number(), new SealState(seal, digest(mapper, seal.number())))));
    }

    @Bean
    Anchored sealedAnchors(SealMapper mapper) {
        return () -> mapper.all().stream()
                .filter(seal -> seal.anchorSequence() > 0)
                .map(seal -> new Anchored.Anchor(seal.anchorSequence(), seal.anchorHash(), "the seal " + seal.number()))
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

    private static String digest(SealMapper mapper, String number) {
        try {
            return Digest.sha256(mapper.content(number).content());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
