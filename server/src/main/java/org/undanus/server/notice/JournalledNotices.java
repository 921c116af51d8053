package org.undanus.server.notice;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledNotices {

    @Bean
    JournalledKind allStopNotices(StopNoticeMapper mapper) {
        return new JournalledKind(
                "stop-notice", row -> mapper.all().forEach(notice -> row.accept(notice.id(), notice)));
    }
}
