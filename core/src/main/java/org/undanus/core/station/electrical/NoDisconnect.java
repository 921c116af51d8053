package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.DISCONNECT_PRESENT;

import java.util.Optional;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/** What every further question about a disconnect comes to where there is none. */
final class NoDisconnect {
    private NoDisconnect() {}

    static Optional<Judgement> judgement(Examination x) {
        return x.affirmed(DISCONNECT_PRESENT).orElseThrow()
                ? Optional.empty()
                : Optional.of(x.finding()
                        .conclude(
                                Verdict.DOES_NOT_APPLY,
                                Text.of("There is no disconnect; that is judged by itself."),
                                ""));
    }
}
