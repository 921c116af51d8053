package org.undanus.server.toolcase;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.Kept;
import org.undanus.server.toolcase.InstrumentMapper.CertificateRow;

/** What of this package the journal is held against. */
@Configuration
class KeptInstruments {

    @Bean
    Kept allInstruments(InstrumentMapper mapper) {
        return new Kept(
                "instrument", row -> mapper.all().forEach(instrument -> row.accept(instrument.id(), instrument)));
    }

    @Bean
    Kept allCertificates(InstrumentMapper mapper) {
        return new Kept("certificate", row -> mapper.certificates().forEach(key -> {
            CertificateRow certificate = mapper.certificate(key.instrument(), key.sha256());
            row.accept(certificate.subject(), certificate.state());
        }));
    }
}
