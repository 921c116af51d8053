package org.undanus.server.trace;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.util.HexFormat;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.undanus.server.journal.JournalledKind;
import org.undanus.server.store.Digest;
import org.undanus.server.trace.TraceMapper.TraceRow;

/** What of this package the journal is held against. */
@Configuration
class JournalledTraces {

    @Bean
    JournalledKind allTraces(TraceMapper mapper, TraceStore store) {
        return new JournalledKind("trace", row -> mapper.all()
                .forEach(trace -> row.accept(trace.id(), trace.state(digestNow(trace, store)))));
    }

    private static String digestNow(TraceRow trace, TraceStore store) {
        MessageDigest digest = Digest.sha256();
        try (InputStream csv = new DigestInputStream(store.csv(trace), digest)) {
            csv.transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(digest.digest());
        } catch (IOException | UncheckedIOException e) {
            return "its samples cannot be read";
        }
    }
}
