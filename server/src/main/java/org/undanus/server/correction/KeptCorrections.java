package org.undanus.server.correction;

import java.util.function.Function;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;
import org.undanus.server.store.Digest;

/** What of this package the journal is held against. */
@Configuration
class KeptCorrections {

    @Bean
    Kept allCorrections(CorrectionMapper mapper) {
        return new Kept(
                "correction", row -> mapper.all().forEach(correction -> row.accept(correction.id(), correction)));
    }

    @Bean
    Kept allSteps(CorrectionMapper mapper) {
        Function<Object, String> correction = content -> ((CorrectionMapper.StepRow) content).correctionId();
        return new Kept("correction-step", row -> mapper.allSteps().forEach(step -> row.accept(step.id(), step)))
                .ordered(correction);
    }

    @Bean
    Kept allAttachments(CorrectionMapper mapper) {
        return new Kept("attachment", row -> mapper.allAttachments()
                .forEach(file -> row.accept(
                        file.id(),
                        new CorrectionMapper.AttachmentState(
                                file, Digest.sha256(mapper.content(file.id()).content())))));
    }
}
