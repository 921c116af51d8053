package org.undanus.server.commissioning;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;
import org.undanus.server.store.Digest;

/** What of this package the journal is held against. */
@Configuration
class KeptRecords {

    @Bean
    Kept allRecords(RecordMapper mapper) {
        return new Kept("commissioning-record", row -> mapper.all().forEach(record -> row.accept(record.id(), record)));
    }

    @Bean
    Kept allClaims(RecordMapper mapper) {
        return new Kept("claim", row -> mapper.allClaims().forEach(claim -> row.accept(claim.id(), claim)));
    }

    @Bean
    Kept allDocuments(RecordMapper mapper) {
        return new Kept("record-document", row -> mapper.allDocuments()
                .forEach(document -> row.accept(
                        document.id(),
                        new RecordMapper.DocumentState(
                                document,
                                Digest.sha256(mapper.content(document.id()).content())))));
    }

    @Bean
    Kept allQuestions(RecordMapper mapper) {
        return new Kept("question", row -> mapper.allQuestions().forEach(each -> row.accept(each.id(), each)));
    }
}
