package org.undanus.server.notice;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptNotices {

    @Bean
    Kept allStopNotices(StopNoticeMapper mapper) {
        return new Kept("stop-notice", row -> mapper.all().forEach(notice -> row.accept(notice.id(), notice)));
    }
}
