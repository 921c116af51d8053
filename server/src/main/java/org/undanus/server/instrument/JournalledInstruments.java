package org.undanus.server.instrument;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.instrument.InstrumentMapper.CertificateRow;
import org.undanus.server.journal.JournalledKind;

/** What of this package the journal is held against. */
@Configuration
class JournalledInstruments {

    @Bean
    JournalledKind allInstruments(InstrumentMapper mapper) {
        return new JournalledKind(
                "instrument", row -> mapper.all().forEach(instrument -> row.accept(instrument.id(), instrument)));
    }

    @Bean
    JournalledKind allCertificates(InstrumentMapper mapper) {
        return new JournalledKind("certificate", row -> mapper.certificates().forEach(key -> {
            CertificateRow certificate = mapper.certificate(key.instrument(), key.sha256());
            row.accept(certificate.subject(), certificate.state());
        }));
    }
}
