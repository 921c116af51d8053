package org.undanus.server.photo;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledPhotos {

    @Bean
    JournalledKind allPhotos(PhotoMapper mapper) {
        return new JournalledKind("photo", row -> mapper.all()
                .forEach(photo -> row.accept(
                        photo.id(),
                        photo.state(
                                mapper.content(photo.id()).content(),
                                mapper.thumbnail(photo.id()).content()))));
    }

    @Bean
    JournalledKind allMarks(PhotoMapper mapper) {
        return new JournalledKind(
                "photo-marks", row -> mapper.allMarks().forEach(marks -> row.accept(marks.subject(), marks)));
    }
}
