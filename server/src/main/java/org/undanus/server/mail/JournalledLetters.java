package org.undanus.server.mail;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledLetters {

    @Bean
    JournalledKind allLetters(OutboxMapper mapper) {
        return new JournalledKind("message", row -> mapper.all().forEach(message -> row.accept(message.id(), message)));
    }

    @Bean
    JournalledKind allMailChoices(MailMapper mapper) {
        return new JournalledKind(
                "mail-choice", row -> mapper.choices().forEach(choice -> row.accept(choice.name(), choice.state())));
    }

    @Bean
    JournalledKind allDeliveries(MailMapper mapper) {
        return new JournalledKind(
                "delivery", row -> mapper.deliveries().forEach(each -> row.accept(each.id(), each.ending())));
    }
}
