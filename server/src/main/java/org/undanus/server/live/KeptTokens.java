package org.undanus.server.live;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against; samples become curves, which are. */
@Configuration
class KeptTokens {

    @Bean
    Kept allTokens(LiveMapper mapper) {
        return new Kept("token", row -> mapper.tokens().forEach(token -> row.accept(token.instrument(), token)));
    }
}
