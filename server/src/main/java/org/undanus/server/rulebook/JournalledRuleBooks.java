package org.undanus.server.rulebook;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledRuleBooks {

    @Bean
    JournalledKind allRuleBooks(RuleBookMapper mapper) {
        return new JournalledKind("rule-book", row -> mapper.all().forEach(book -> row.accept(book.subject(), book)));
    }
}
