package org.undanus.core.station.running;

import static org.undanus.core.station.running.RunningPoints.AFTER_VALVE;
import static org.undanus.core.station.running.RunningPoints.BEFORE_VALVE;

import java.util.Optional;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/** The cold gas does not warm up on its way through the reversing valve: hot gas that leaks across would warm it. */
final class ReversingValve implements Requirement {
    private static final LimitKey WARMED = new LimitKey(
            "running.reversing-valve", Dimension.TEMPERATURE_DIFFERENCE, "Suction gas warms in the reversing valve by");
    private static final About ABOUT = About.of(
                    "running.reversing-valve",
                    Station.RUNNING,
                    Scope.OUTDOOR_UNIT,
                    "Reversing valve shuts",
                    Severity.PERFORMANCE)
            .sources("Common practice: temperatures across the valve's suction passage")
            .needs(BEFORE_VALVE, AFTER_VALVE)
            .limits(WARMED)
            .cautions(BEFORE_VALVE.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    /** A machine that no listed pair gives a heating capacity of only cools: it has no such valve. */
    @Override
    public Optional<Judgement> spared(Examination x) {
        return x.sheet()
                .filter(sheet ->
                        !sheet.pairs().isEmpty() && sheet.pairs().stream().noneMatch(DataSheet.Pair::heats))
                .map(sheet -> x.finding()
                        .step("Listed pairs", "", Text.of("cooling alone"), sheet.document())
                        .conclude(Verdict.DOES_NOT_APPLY, Text.of("This machine cools only."), ""));
    }

    @Override
    public Judgement judge(Examination x) {
        double step = Math.hypot(x.step(BEFORE_VALVE), x.step(AFTER_VALVE)) / Math.sqrt(12);
        Uncertain warmed = x.sameInstrument(BEFORE_VALVE, AFTER_VALVE)
                ? new Uncertain(
                        x.need(AFTER_VALVE).quantity().si()
                                - x.need(BEFORE_VALVE).quantity().si(),
                        step)
                : Propagation.through(
                        v -> v[1] - v[0],
                        x.need(BEFORE_VALVE).uncertain(),
                        x.need(AFTER_VALVE).uncertain());
        return x.finding()
                .step(BEFORE_VALVE.title(), x.need(BEFORE_VALVE).quantity())
                .step(AFTER_VALVE.title(), x.need(AFTER_VALVE).quantity())
                .compare(
                        WARMED,
                        warmed,
                        0,
                        x.rules().limits(WARMED),
                        Text.of("Switch it over several times; if it stays warm, replace the valve."));
    }
}
