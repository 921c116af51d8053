package org.undanus.server.commissioning;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.core.audit.Found;
import org.undanus.core.words.Wording;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.report.RecordNotes;
import org.undanus.server.store.Digest;

/** What of this package the journal is held against. */
@Configuration
class JournalledRecords {

    @Bean
    RecordNotes recordNotes(CommissioningRecords records) {
        return (file, person, wording) -> records.of(file).stream()
                .filter(row -> person.inspects() || row.released())
                .map(row -> note(records.audited(row, file), wording))
                .toList();
    }

    private static RecordNotes.RecordNote note(CommissioningRecords.Audited audited, Wording wording) {
        return new RecordNotes.RecordNote(
                audited.record().on().toString(),
                audited.record().signedBy(),
                (int) audited.found().stream()
                        .filter(found -> found.doubt().isPresent())
                        .count(),
                audited.found().stream()
                        .filter(Found::doubtful)
                        .map(found -> new RecordNotes.DoubtNote(
                                wording.say(found.about().title()),
                                found.doubt().orElseThrow().words(),
                                found.because().in(wording),
                                found.about().innocent()))
                        .toList());
    }

    @Bean
    JournalledKind allRecords(RecordMapper mapper) {
        return new JournalledKind(
                "commissioning-record", row -> mapper.all().forEach(record -> row.accept(record.id(), record)));
    }

    @Bean
    JournalledKind allClaims(RecordMapper mapper) {
        return new JournalledKind("claim", row -> mapper.allClaims().forEach(claim -> row.accept(claim.id(), claim)));
    }

    @Bean
    JournalledKind allDocuments(RecordMapper mapper) {
        return new JournalledKind("record-document", row -> mapper.allDocuments()
                .forEach(document -> row.accept(
                        document.id(),
                        new RecordMapper.DocumentState(
                                document,
                                Digest.sha256(mapper.content(document.id()).content())))));
    }

    @Bean
    JournalledKind allQuestions(RecordMapper mapper) {
        return new JournalledKind(
                "question", row -> mapper.allQuestions().forEach(each -> row.accept(each.id(), each)));
    }
}
