package org.undanus.core.station.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
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
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.TemperatureDifference;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** With a fixed orifice: the vapour is as much warmer than it condenses at as this air asks for. */
final class SuperheatTrim implements Requirement {
    private static final LimitKey KEY = new LimitKey("charge.superheat", Dimension.TEMPERATURE_DIFFERENCE, "Superheat");
    private static final LimitKey WET_BULB = new LimitKey(
            "charge.superheat-wet-bulb", Dimension.TEMPERATURE, "Return wet bulb in which a target superheat is known");
    private static final LimitKey OUTDOOR = new LimitKey(
            "charge.superheat-outdoor", Dimension.TEMPERATURE, "Outdoor air in which a target superheat is known");
    static final Setting BAND = new Setting(
            "charge.superheat-band", Dimension.TEMPERATURE_DIFFERENCE, "How far superheat may be from its target");
    private static final Setting LEAST = new Setting(
            "charge.superheat-least",
            Dimension.TEMPERATURE_DIFFERENCE,
            "Least target superheat that a fixed orifice is set by");
    private static final About ABOUT = About.of(
                    "charge.superheat",
                    Station.CHARGE,
                    Scope.OUTDOOR_UNIT,
                    "Superheat as this air asks",
                    Severity.PERFORMANCE)
            .sources(RefrigerantState.SOURCE, TargetSuperheat.SOURCE)
            .needs(PlatePoints.REFRIGERANT)
            .limits(KEY, WET_BULB, OUTDOOR)
            .settings(Stream.concat(
                            Stream.of(BAND, LEAST, RefrigerantState.BARE_SENSOR, SteadyRunning.DURATION),
                            Stream.of(Trim.ADVICE))
                    .toArray(Setting[]::new))
            .cautions(ChargePoints.SUCTION_PRESSURE.caution());
    private static final List<Point> NEEDED = Stream.concat(RefrigerantState.LOW.stream(), Stream.of(AirPoints.OUTDOOR))
            .toList();

    @Override
    public About about() {
        return ABOUT;
    }

    private static Examination indoors(Examination x) {
        List<Subject> units = x.facts().subjects(Scope.COIL_UNIT);
        return units.isEmpty() ? x : x.at(units.get(0));
    }

    /** What this air asks for, K; empty where wet bulb or outdoor air were not read. */
    static Optional<Uncertain> target(Examination x) {
        Examination in = indoors(x);
        return in.measured(AirPoints.RETURN_WET_BULB).flatMap(wet -> x.measured(AirPoints.OUTDOOR)
                .map(dry -> Propagation.through(
                        v -> TargetSuperheat.kelvin(v[0], v[1]), wet.uncertain(), dry.uncertain())));
    }

    @Override
    public Judgement judge(Examination x) {
        return RefrigerantState.shown(x, judged(x), "Superheat", RefrigerantState.LOW, RefrigerantState::superheat);
    }

    private static Judgement judged(Examination x) {
        Optional<Option> metering = Trim.metering(x);
        if (metering.isEmpty()) {
            return Trim.unknownMetering(x);
        }
        if (!Trim.byOrifice(metering.get())) {
            return x.finding()
                    .step("Metering device", metering.get())
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("A valve holds superheat by itself; subcooling decides."),
                            "");
        }
        Optional<Judgement> refused = Trim.refused(x, NEEDED);
        if (refused.isPresent()) {
            return refused.get();
        }
        List<Point> wet = indoors(x).missing(AirPoints.RETURN_WET_BULB);
        if (!wet.isEmpty()) {
            return indoors(x).notShown(wet);
        }
        RefrigerantState state = RefrigerantState.of(x).orElseThrow();
        Optional<Judgement> unusable = state.unusable();
        return unusable.orElseGet(() -> read(x, state));
    }

    private static Judgement read(Examination x, RefrigerantState state) {
        Uncertain read = state.superheat();
        Finding finding = state.explainLow(x.finding());
        if (Trim.under(read)) {
            return finding.step("Superheat", TemperatureDifference.ofKelvin(read.value()))
                    .conclude(
                            Verdict.FAILS,
                            Text.of(
                                    "The suction line is {read} colder than its vapour condenses: liquid comes back to the compressor.",
                                    TemperatureDifference.ofKelvin(-read.value())),
                            Text.of(
                                    "Switch it off before the compressor breaks. Look at airflow and metering piece; then: {advice}",
                                    Trim.advice(x, false)));
        }
        Optional<Judgement> outside = outside(
                        x,
                        finding,
                        WET_BULB,
                        indoors(x).number(AirPoints.RETURN_WET_BULB).orElseThrow())
                .or(() ->
                        outside(x, finding, OUTDOOR, x.number(AirPoints.OUTDOOR).orElseThrow()));
        if (outside.isPresent()) {
            return outside.get();
        }
        Uncertain target = target(x).orElseThrow();
        var least = x.rules().setting(LEAST);
        finding.step(
                "Target superheat",
                "(3·wet bulb − 80 − outdoor)/2 in °F",
                TemperatureDifference.ofKelvin(target.value()),
                TargetSuperheat.SOURCE);
        if (target.value() < least.value().si()) {
            return finding.step("Least that can be set by", "", least.value(), least.source())
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of(
                                    "In this air the target would be {target}: it cannot be set this way today.",
                                    TemperatureDifference.ofKelvin(target.value())),
                            "Judge by weight, or come back when it is cooler outdoors or more humid inside.");
        }
        return compared(x, finding, read, target);
    }

    private static Optional<Judgement> outside(Examination x, Finding finding, LimitKey key, double value) {
        List<Limit> range = x.rules().limits(key);
        Optional<Limit> broken = range.stream()
                .filter(limit -> limit.bound() == Bound.AT_LEAST
                        ? value < limit.value().si()
                        : value > limit.value().si())
                .findFirst();
        return broken.map(limit -> finding.step("Limit", limit.value(), limit.source())
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "{key}: {bound} {limit}; here it is {found}.",
                                key.title(),
                                limit.bound().words(),
                                limit.value(),
                                Temperature.ofKelvin(value)),
                        "Judge by weight, or come back in other weather."));
    }

    private static Judgement compared(Examination x, Finding finding, Uncertain read, Uncertain target) {
        double band = x.rules().number(BAND);
        Text source = Text.of(
                "{formula}; {source}",
                TargetSuperheat.SOURCE,
                x.rules().setting(BAND).source());
        List<Limit> limits = new ArrayList<>(x.rules().limits(KEY));
        limits.add(new Limit(
                        x.rules().computed(),
                        Bound.AT_LEAST,
                        TemperatureDifference.ofKelvin(Math.max(0, target.value() - band)),
                        source)
                .within(target.standardUncertainty()));
        limits.add(new Limit(
                        x.rules().computed(),
                        Bound.AT_MOST,
                        TemperatureDifference.ofKelvin(target.value() + band),
                        source)
                .within(target.standardUncertainty()));
        Comparison held = finding.hold(KEY, read, 0, limits).orElseThrow();
        return finding.conclude(held.verdict(), finding.room(), Trim.advice(x, read.value() > target.value()));
    }
}
