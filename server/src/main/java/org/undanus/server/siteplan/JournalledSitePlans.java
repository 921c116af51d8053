package org.undanus.server.siteplan;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledSitePlans {

    @Bean
    JournalledKind allSitePlans(SitePlanMapper mapper) {
        return new JournalledKind(
                "site-plan", row -> mapper.everyVersion().forEach(plan -> row.accept(plan.subject(), plan)));
    }
}
