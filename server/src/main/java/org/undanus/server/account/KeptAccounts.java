package org.undanus.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptAccounts {

    @Bean
    Kept allAccounts(AccountMapper mapper) {
        return new Kept("account", row -> mapper.all().forEach(account -> row.accept(account.name(), account.state())));
    }
}
