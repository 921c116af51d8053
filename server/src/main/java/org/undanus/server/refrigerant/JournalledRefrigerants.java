package org.undanus.server.refrigerant;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledRefrigerants {

    @Bean
    JournalledKind allRefrigerants(RefrigerantMapper mapper) {
        return new JournalledKind("refrigerant", row -> mapper.all().forEach(kept -> row.accept(kept.name(), kept)));
    }
}
