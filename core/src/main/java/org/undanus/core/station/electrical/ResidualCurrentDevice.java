package org.undanus.core.station.electrical;

import static org.undanus.core.station.electrical.CircuitPoints.RESIDUAL_DEVICE;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/**
 * A residual-current device, where design-current practice may ask for one. Whether it must depends on the earthing
 * system and the maker, so its absence is referred, not failed. Source: IEC 60364-4-41, 411.3.3 and 415.1.
 */
final class ResidualCurrentDevice implements Requirement {
    private static final About ABOUT = About.of(
                    "electrical.residual-current-device",
                    Station.ELECTRICAL,
                    Scope.POWERED_UNIT,
                    "Residual-current device",
                    Severity.SAFETY)
            .sources("IEC 60364-4-41, 411.3.3 and 415.1")
            .schools(Protection.TOPIC);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        if (!x.by(Protection.DESIGN)) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY, Text.of("Plate-ampacity practice does not ask for one here."), "");
        }
        Optional<Boolean> fitted = x.affirmed(RESIDUAL_DEVICE);
        if (fitted.isEmpty()) {
            return x.notShown(List.of(RESIDUAL_DEVICE));
        }
        return x.finding()
                .step("Residual-current device", fitted.get() ? "yes" : "no")
                .conclude(
                        fitted.get() ? Verdict.MEETS : Verdict.REFER,
                        Text.of(
                                fitted.get()
                                        ? "One is fitted."
                                        : "None is fitted; earthing system and maker's instruction decide whether one must be."),
                        "The authority or a licensed electrician decides.");
    }
}
