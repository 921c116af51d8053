package org.undanus.server.mail;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptLetters {

    @Bean
    Kept allLetters(OutboxMapper mapper) {
        return new Kept("message", row -> mapper.all().forEach(message -> row.accept(message.id(), message)));
    }
}
