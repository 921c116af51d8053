package org.undanus.server.signing;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Collections;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.io.TempDir;

class SigningKeyTest {
    private static final int AT_ONCE = 8;

    @TempDir
    Path folder;

    @RepeatedTest(5)
    void manyWhoSignFirstSignWithOneKey() throws Exception {
        ExecutorService signers = Executors.newFixedThreadPool(AT_ONCE);
        try {
            Callable<String> signer = () -> SigningKey.ensuredIn(folder).fingerprint();
            assertThat(signers.invokeAll(Collections.nCopies(AT_ONCE, signer)))
                    .extracting(Future::get)
                    .containsOnly(SigningKey.in(folder).orElseThrow().fingerprint());
        } finally {
            signers.shutdown();
        }
    }
}
