package org.undanus.server.installation;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledCases {

    @Bean
    JournalledKind allReadings(InstallationMapper mapper) {
        return new JournalledKind(
                        "reading", row -> mapper.allReadings().forEach(reading -> row.accept(reading.id(), reading)))
                .ordered(reading -> ((InstallationMapper.ReadingRow) reading).installationId());
    }

    @Bean
    JournalledKind allSubjects(InstallationMapper mapper) {
        return new JournalledKind(
                        "subject", row -> mapper.allSubjects().forEach(subject -> row.accept(subject.key(), subject)))
                .ordered(subject -> ((InstallationMapper.SubjectRow) subject).installationId());
    }

    @Bean
    JournalledKind allSites(InstallationMapper mapper) {
        return new JournalledKind("site", row -> mapper.sites().forEach(site -> row.accept(site.id(), site)));
    }

    @Bean
    JournalledKind allVisits(InstallationMapper mapper) {
        return new JournalledKind("visit", row -> mapper.allVisits().forEach(visit -> row.accept(visit.id(), visit)))
                .ordered(visit -> ((InstallationMapper.VisitRow) visit).installationId());
    }

    @Bean
    JournalledKind allInstallations(InstallationMapper mapper) {
        return new JournalledKind("installation", row -> mapper.all()
                .forEach(installation -> row.accept(
                        installation.id(),
                        new InstallationMapper.InstallationState(installation, mapper.components(installation.id())))));
    }
}
