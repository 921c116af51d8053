package org.undanus.core.station.running;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * The machine had run long enough and its supply temperature had stopped moving. A machine that has not settled has not
 * failed: the judgement is Not shown.
 */
final class SteadyOperation implements Requirement {
    private static final LimitKey DRIFT = new LimitKey(
            "running.supply-drift", Dimension.TEMPERATURE_DIFFERENCE, "Change of supply temperature in five minutes");
    static final About ABOUT = About.of(
                    "running.steady", Station.RUNNING, Scope.COIL_UNIT, "Running steadily", Severity.RECORD)
            .needs(OperationPoints.RUN_TIME)
            .limits(DRIFT)
            .settings(SteadyRunning.DURATION);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<Judgement> notYet = SteadyRunning.notYet(x);
        if (notYet.isPresent()) {
            return notYet.get();
        }
        Optional<Judgement> unknown = SupplyChange.unknown(x);
        if (unknown.isPresent()) {
            return unknown.get();
        }
        Finding finding = x.finding();
        Optional<Comparison> held = hold(x, finding);
        if (held.isEmpty()) {
            return finding.nobodyLimits();
        }
        return switch (held.get().verdict()) {
            case MEETS -> finding.conclude(Verdict.MEETS, Text.of("Long enough and settled."), "");
            case FAILS ->
                finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("The supply air is still moving."),
                        "Wait five minutes and read again.");
            default ->
                finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("The thermometer's display is too coarse to show that the supply air has settled."),
                        "Read with a finer display, or wait longer and compare over more time.");
        };
    }

    private static Optional<Comparison> hold(Examination x, Finding finding) {
        return finding.hold(
                DRIFT,
                SupplyChange.of(x, finding),
                TemperatureDifference.ofKelvin(0.1).si(),
                x.rules().limits(DRIFT));
    }

    /** Why a performance reading of this unit shows nothing yet; empty when it ran steadily. */
    static Optional<Judgement> notYet(Examination x) {
        Optional<Judgement> tooShort = SteadyRunning.notYet(x);
        if (tooShort.isPresent()) {
            return tooShort;
        }
        Optional<Judgement> unknown = SupplyChange.unknown(x);
        if (unknown.isPresent()) {
            return unknown;
        }
        Finding finding = x.finding();
        boolean settled =
                hold(x, finding).map(c -> c.verdict() == Verdict.MEETS).orElse(true);
        return settled
                ? Optional.empty()
                : Optional.of(x.finding()
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of("The supply air has not been shown to have settled."),
                                "Let it run on without a change, then read again."));
    }
}
