package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** The condition that every performance reading shares: the machine had run long enough. */
public final class SteadyRunning {
    private SteadyRunning() {}

    public static final Setting DURATION =
            new Setting("running.steady-duration", Dimension.DURATION, "Steady running before any performance reading");

    /** The reason why a performance reading shows nothing yet; empty once the machine has run long enough. */
    public static Optional<Judgement> notYet(Examination x) {
        Optional<Value.Measured> ran = x.measured(OperationPoints.RUN_TIME);
        if (ran.isEmpty()) {
            return Optional.of(x.notShown(List.of(OperationPoints.RUN_TIME)));
        }
        var needed = x.rules().setting(DURATION);
        if (ran.get().quantity().si() >= needed.value().si()) {
            return Optional.empty();
        }
        return Optional.of(x.finding()
                .step("Running time", ran.get().quantity())
                .step("Running time needed", "", needed.value(), needed.source())
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "It had run {ran} when this was read; a reading counts after {needed} of running.",
                                ran.get().quantity(),
                                needed.value()),
                        "Let it run on without a change, then read again."));
    }
}
