package org.undanus.core.station.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.words.Text;

/**
 * Every stage was seen, each told by its current or the frequency shown. Of a machine that its sheet gives two stages the currents
 * of one mode lie apart: by half of what the sheet's do, at least.
 */
final class StagesSeen implements Requirement {
    private static final LimitKey APART =
            new LimitKey("running.stages", Dimension.CURRENT, "Stages' currents lie apart by");
    private static final About ABOUT = About.of(
                    "running.stages", Station.RUNNING, Scope.OUTDOOR_UNIT, "Every stage seen", Severity.PERFORMANCE)
            .sources("The sheet's currents of the two stages")
            .needs(RunningPoints.STAGES)
            .limits(APART);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        NamedStages stages = x.listed(RunningPoints.STAGES, NamedStages.class).orElseThrow();
        Optional<Quantity> low = sheet(x, SheetValue.LOW_STAGE_CURRENT);
        Optional<Quantity> high = sheet(x, SheetValue.HIGH_STAGE_CURRENT);
        Finding finding = x.finding().step(RunningPoints.STAGES.title(), "", stages.summary(), "");
        if (low.isEmpty() || high.isEmpty()) {
            return finding.conclude(Verdict.MEETS, Text.of("Seen: {summary}.", stages.summary()), "");
        }
        double apart = (high.get().si() - low.get().si()) / 2;
        List<String> single = stages.modes().stream()
                .filter(mode -> !mode.equals("fan") && stages.currents(mode).size() < 2)
                .toList();
        List<String> staged = stages.modes().stream()
                .filter(mode -> stages.currents(mode).size() >= 2)
                .toList();
        finding.step("Low stage by the sheet", low.get()).step("High stage by the sheet", high.get());
        Optional<Judgement> worst = staged.stream()
                .map(mode -> apart(x, stages.currents(mode), apart))
                .reduce((one, other) -> other.verdict().compareTo(one.verdict()) < 0 ? other : one);
        if (worst.isPresent() && worst.get().verdict() == Verdict.FAILS) {
            return worst.get();
        }
        if (!single.isEmpty() || staged.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "The sheet knows two stages; they were not both seen in {single}.",
                            staged.isEmpty() && single.isEmpty() ? "cooling or heating" : Text.all(single)),
                    "Call for each stage at the control, and note the compressor's current in each.");
        }
        return worst.orElseThrow();
    }

    private static Optional<Quantity> sheet(Examination x, SheetValue what) {
        return x.sheet().flatMap(sheet -> sheet.value(what));
    }

    private static Judgement apart(Examination x, List<Double> currents, double least) {
        Accuracy clamp = x.rules().accuracy(InstrumentKind.CLAMP_METER);
        Uncertain lowest = read(clamp, currents.get(0));
        Uncertain highest = read(clamp, currents.get(currents.size() - 1));
        List<Limit> limits = new ArrayList<>(x.rules().limits(APART));
        limits.add(new Limit(
                x.rules().computed(),
                Bound.AT_LEAST,
                Current.ofAmperes(least),
                "Half of what the sheet's currents lie apart"));
        return x.finding()
                .step("Lowest", Current.ofAmperes(lowest.value()))
                .step("Highest", Current.ofAmperes(highest.value()))
                .compare(
                        APART,
                        Propagation.through(v -> v[1] - v[0], lowest, highest),
                        clamp.resolution(),
                        limits,
                        Text.of(
                                "The second stage does not come: look at its wire, the control's set-up and the sheet."));
    }

    private static Uncertain read(Accuracy clamp, double amperes) {
        return new Uncertain(amperes, clamp.standardUncertainty(amperes, clamp.resolution()));
    }
}
