package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;

/** Honest records are left alone and doctored ones found; the full table stands in the docs. */
class RecordProofTest {
    private static final int CREWS = 4;

    @Test
    void honestRecordsAreLeftAloneAndDoctoredOnesFound() {
        RecordProof proof = RecordProof.of(7, CREWS, CaseFixture.PLATE_BOOK);
        // one in twenty, give or take three standard deviations of so few
        assertThat(proof.doubted()).isLessThan(proof.honest() / 20 + 6);
        assertThat(proof.found())
                .allSatisfy((way, tally) ->
                        assertThat(tally.found()).as(way.title()).isGreaterThanOrEqualTo(tally.tried() * 8 / 10));
    }
}
