package org.undanus.server.correction;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptCorrections {

    @Bean
    Kept allCorrections(CorrectionMapper mapper) {
        return new Kept(
                "correction", row -> mapper.all().forEach(correction -> row.accept(correction.id(), correction)));
    }
}
