package org.undanus.server.live;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.journal.Verified;

/** What of this package the journal is held against; samples are counted, and become curves, which are. */
@Configuration
class JournalledTokens {

    @Bean
    JournalledKind allTokens(LiveMapper mapper) {
        return new JournalledKind(
                "token", row -> mapper.tokens().forEach(token -> row.accept(token.instrument(), token)));
    }

    @Bean
    JournalledKind allListening(LiveMapper mapper) {
        return new JournalledKind(
                "listening", row -> mapper.all().forEach(each -> row.accept(each.id(), each.state())));
    }

    @Bean
    JournalledKind allLiveMarks(LiveMapper mapper) {
        return new JournalledKind(
                "live-mark", row -> mapper.allMarks().forEach(mark -> row.accept(mark.subject(), mark)));
    }

    @Bean
    Verified countedSamples(LiveMapper mapper) {
        return () -> mapper.all().stream()
                .filter(each -> each.samples() != mapper.counted(each.id()))
                .map(each -> "the listening " + each.id() + " has " + mapper.counted(each.id()) + " samples and took "
                        + each.samples())
                .toList();
    }
}
