package org.undanus.server.datasheet;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledSheets {

    @Bean
    JournalledKind allDataSheets(SheetMapper mapper) {
        return new JournalledKind(
                "data-sheet", row -> mapper.all().forEach(sheet -> row.accept(sheet.subject(), sheet)));
    }
}
