package org.undanus.server.siteplan;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptSitePlans {

    @Bean
    Kept allSitePlans(SitePlanMapper mapper) {
        return new Kept("site-plan", row -> mapper.everyVersion().forEach(plan -> row.accept(plan.subject(), plan)));
    }
}
