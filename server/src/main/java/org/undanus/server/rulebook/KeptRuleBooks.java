package org.undanus.server.rulebook;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptRuleBooks {

    @Bean
    Kept allRuleBooks(RuleBookMapper mapper) {
        return new Kept("rule-book", row -> mapper.all().forEach(book -> row.accept(book.subject(), book)));
    }
}
