package org.undanus.server.refrigerant;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptRefrigerants {

    @Bean
    Kept allRefrigerants(RefrigerantMapper mapper) {
        return new Kept("refrigerant", row -> mapper.all().forEach(kept -> row.accept(kept.name(), kept)));
    }
}
