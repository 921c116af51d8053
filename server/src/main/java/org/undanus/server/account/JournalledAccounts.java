package org.undanus.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledAccounts {

    @Bean
    JournalledKind allAccounts(AccountMapper mapper) {
        return new JournalledKind(
                "account", row -> mapper.all().forEach(account -> row.accept(account.name(), account.state())));
    }
}
