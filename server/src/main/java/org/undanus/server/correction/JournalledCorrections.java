package org.undanus.server.correction;

import java.util.function.Function;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.store.Digest;

/** What of this package the journal is held against. */
@Configuration
class JournalledCorrections {

    @Bean
    JournalledKind allCorrections(CorrectionMapper mapper) {
        return new JournalledKind(
                "correction", row -> mapper.all().forEach(correction -> row.accept(correction.id(), correction)));
    }

    @Bean
    JournalledKind allSteps(CorrectionMapper mapper) {
        Function<Object, String> correction = content -> ((CorrectionMapper.StepRow) content).correctionId();
        return new JournalledKind(
                        "correction-step", row -> mapper.allSteps().forEach(step -> row.accept(step.id(), step)))
                .ordered(correction);
    }

    @Bean
    JournalledKind allAttachments(CorrectionMapper mapper) {
        return new JournalledKind("attachment", row -> mapper.allAttachments()
                .forEach(file -> row.accept(
                        file.id(),
                        new CorrectionMapper.AttachmentState(
                                file, Digest.sha256(mapper.content(file.id()).content())))));
    }
}
