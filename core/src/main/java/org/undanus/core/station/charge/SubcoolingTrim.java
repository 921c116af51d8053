package org.undanus.core.station.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
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
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** With an expansion valve: the liquid is as much colder than it boils at as plate or sheet asks. */
final class SubcoolingTrim implements Requirement {
    private static final LimitKey KEY =
            new LimitKey("charge.subcooling", Dimension.TEMPERATURE_DIFFERENCE, "Subcooling");
    static final Setting BAND = new Setting(
            "charge.subcooling-band", Dimension.TEMPERATURE_DIFFERENCE, "How far subcooling may be from its target");
    private static final About ABOUT = About.of(
                    "charge.subcooling",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Subcooling as asked",
                    Severity.PERFORMANCE)
            .sources(RefrigerantState.SOURCE, "Subcooling = t_bubble(p) − t of the liquid")
            .needs(PlatePoints.REFRIGERANT)
            .limits(KEY)
            .settings(Stream.concat(
                            Stream.of(BAND, RefrigerantState.BARE_SENSOR, SteadyRunning.DURATION),
                            Stream.of(Trim.ADVICE))
                    .toArray(Setting[]::new))
            .cautions(ChargePoints.LIQUID_PRESSURE.caution());

    @Override
    public About about() {
        return ABOUT;
    }

    /** What plate or sheet asks for, K. */
    static Optional<Double> target(Examination x) {
        return x.number(PlatePoints.TARGET_SUBCOOLING);
    }

    @Override
    public Judgement judge(Examination x) {
        return RefrigerantState.shown(x, judged(x), "Subcooling", RefrigerantState.HIGH, RefrigerantState::subcooling);
    }

    private static Judgement judged(Examination x) {
        Optional<Option> metering = Trim.metering(x);
        if (metering.isEmpty()) {
            return Trim.unknownMetering(x);
        }
        if (Trim.byOrifice(metering.get())) {
            return x.finding()
                    .step("Metering device", metering.get())
                    .conclude(Verdict.DOES_NOT_APPLY, Text.of("With a fixed orifice superheat decides."), "");
        }
        Optional<Judgement> refused = Trim.refused(x, RefrigerantState.HIGH);
        if (refused.isPresent()) {
            return refused.get();
        }
        RefrigerantState state = RefrigerantState.of(x).orElseThrow();
        Optional<Judgement> unusable = state.unusable();
        if (unusable.isPresent()) {
            return unusable.get();
        }
        Uncertain read = state.subcooling();
        Finding finding = state.explainHigh(x.finding());
        if (Trim.under(read)) {
            return finding.step("Subcooling", TemperatureDifference.ofKelvin(read.value()))
                    .conclude(
                            Verdict.FAILS,
                            Text.of(
                                    "{read} under none: vapour is in the liquid line.",
                                    TemperatureDifference.ofKelvin(-read.value())),
                            Trim.advice(x, true));
        }
        Optional<Double> target = target(x);
        if (target.isEmpty()) {
            return finding.step("Subcooling", TemperatureDifference.ofKelvin(read.value()))
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("Neither plate nor sheet gives a target."),
                            "Look for the charging label inside the service panel.");
        }
        return compared(x, finding, read, target.get());
    }

    private static Judgement compared(Examination x, Finding finding, Uncertain read, double target) {
        double band = x.rules().number(BAND);
        Text source = Text.of(
                "Target by plate or sheet; {source}", x.rules().setting(BAND).source());
        List<Limit> limits = new ArrayList<>(x.rules().limits(KEY));
        limits.add(
                new Limit(x.rules().computed(), Bound.AT_LEAST, TemperatureDifference.ofKelvin(target - band), source));
        limits.add(
                new Limit(x.rules().computed(), Bound.AT_MOST, TemperatureDifference.ofKelvin(target + band), source));
        finding.step("Target", TemperatureDifference.ofKelvin(target));
        Comparison held = finding.hold(KEY, read, 0, limits).orElseThrow();
        return finding.conclude(held.verdict(), finding.room(), Trim.advice(x, read.value() < target));
    }
}
