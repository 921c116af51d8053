package org.undanus.server.datasheet;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptSheets {

    @Bean
    Kept allDataSheets(SheetMapper mapper) {
        return new Kept("data-sheet", row -> mapper.all().forEach(sheet -> row.accept(sheet.subject(), sheet)));
    }
}
