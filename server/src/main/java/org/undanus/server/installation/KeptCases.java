package org.undanus.server.installation;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;

/** What of this package the journal is held against. */
@Configuration
class KeptCases {

    @Bean
    Kept allReadings(InstallationMapper mapper) {
        return new Kept("reading", row -> mapper.allReadings().forEach(reading -> row.accept(reading.id(), reading)))
                .ordered(reading -> ((InstallationMapper.ReadingRow) reading).installationId());
    }

    @Bean
    Kept allSubjects(InstallationMapper mapper) {
        return new Kept("subject", row -> mapper.allSubjects().forEach(subject -> row.accept(subject.key(), subject)))
                .ordered(subject -> ((InstallationMapper.SubjectRow) subject).installationId());
    }

    @Bean
    Kept allSites(InstallationMapper mapper) {
        return new Kept("site", row -> mapper.sites().forEach(site -> row.accept(site.id(), site)));
    }

    @Bean
    Kept allVisits(InstallationMapper mapper) {
        return new Kept("visit", row -> mapper.allVisits().forEach(visit -> row.accept(visit.id(), visit)))
                .ordered(visit -> ((InstallationMapper.VisitRow) visit).installationId());
    }

    @Bean
    Kept allInstallations(InstallationMapper mapper) {
        return new Kept("installation", row -> mapper.all()
                .forEach(installation -> row.accept(
                        installation.id(),
                        new InstallationMapper.InstallationState(installation, mapper.components(installation.id())))));
    }
}
