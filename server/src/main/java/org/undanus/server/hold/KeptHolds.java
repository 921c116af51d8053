package org.undanus.server.hold;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptHolds {

    @Bean
    Kept allHolds(HoldMapper mapper) {
        return new Kept("hold", row -> mapper.all().forEach(hold -> row.accept(hold.id(), hold)));
    }
}
