package org.undanus.server.hold;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledHolds {

    @Bean
    JournalledKind allHolds(HoldMapper mapper) {
        return new JournalledKind("hold", row -> mapper.all().forEach(hold -> row.accept(hold.id(), hold)));
    }
}
