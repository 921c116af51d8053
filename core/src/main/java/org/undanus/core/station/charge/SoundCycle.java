package org.undanus.core.station.charge;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Propagation;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.charge.Diagnosis.Cause;
import org.undanus.core.station.charge.Diagnosis.Departure;
import org.undanus.core.station.charge.Diagnosis.Sign;

/** All readings of the running cycle together: sound, or what is wrong with it, or what else would tell. */
final class SoundCycle implements Requirement {
    static final About ABOUT = About.of(
                    "charge.cycle", Station.CHARGE, Scope.OUTDOOR_UNIT, "Cycle reads sound", Severity.PERFORMANCE)
            .sources(
                    "Signs of faults: Rossi and Braun, HVAC&R Research 3, 1997; likelihood by Bayes' rule",
                    RefrigerantState.SOURCE)
            .needs(PlatePoints.REFRIGERANT)
            .settings(Stream.of(
                            Stream.of(
                                    SubcoolingTrim.BAND,
                                    SuperheatTrim.BAND,
                                    RefrigerantState.BARE_SENSOR,
                                    SteadyRunning.DURATION),
                            Stream.of(Trim.ADVICE),
                            Stream.of(ExpectedSplit.settings()))
                    .flatMap(settings -> settings)
                    .toArray(Setting[]::new));
    private static final List<Point> NEEDED = Stream.of(
                    RefrigerantState.LOW, RefrigerantState.HIGH, List.of(AirPoints.OUTDOOR))
            .flatMap(List::stream)
            .toList();

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<String> metering = Trim.metering(x);
        if (metering.isEmpty()) {
            return Trim.unknownMetering(x);
        }
        Optional<Judgement> refused = Trim.refused(x, NEEDED);
        if (refused.isPresent()) {
            return refused.get();
        }
        RefrigerantState state = RefrigerantState.of(x).orElseThrow();
        Optional<Judgement> unusable = state.unusable();
        return unusable.orElseGet(() -> told(x, Telling.of(x, state, Trim.byOrifice(metering.get()))));
    }

    /** What the cycle as read comes to. */
    private record Telling(Map<Sign, Departure> read, boolean orifice, Diagnosis diagnosis) {
        static Telling of(Examination x, RefrigerantState state, boolean orifice) {
            Map<Sign, Departure> read = departures(x, state, orifice);
            return new Telling(read, orifice, Diagnosis.of(read, orifice, moves(x)));
        }

        Text next() {
            return diagnosis
                    .tellsApart(read, orifice)
                    .map(sign -> Text.of("To tell them apart read the {}.", sign.asked()))
                    .orElse(Text.of("Read all of it again after half an hour, on better instruments."));
        }
    }

    /** Empty where the cycle was not read, or not so that it tells anything. */
    private static Optional<Telling> telling(Examination x) {
        return Trim.metering(x).filter(any -> Trim.refused(x, NEEDED).isEmpty()).flatMap(device -> RefrigerantState.of(
                        x)
                .filter(state -> state.unusable().isEmpty())
                .map(state -> Telling.of(x, state, Trim.byOrifice(device))));
    }

    /** What is to be put right before anybody judges the charge: a cause that the cycle names and that is another. */
    static Optional<Text> anotherCause(Examination x) {
        return telling(x)
                .map(told -> told.diagnosis.likeliest())
                .filter(share -> share.share() >= x.rules().number(CycleSettings.SURE))
                .map(Diagnosis.Share::cause)
                .filter(cause -> !cause.cure().isEmpty())
                .map(cause -> Text.of(
                        "First of all what the cycle shows, {}: {} Charge is judged after that.",
                        cause.title(),
                        cause.cure()));
    }

    /** What is to be done before charge is added or recovered; empty where nothing read of the cycle speaks against it. */
    static Optional<Text> beforeCharge(Examination x, boolean add) {
        return anotherCause(x).or(() -> telling(x)
                .filter(told -> told.diagnosis.share(add ? Cause.SHORT : Cause.OVER) + told.diagnosis.share(Cause.NONE)
                        < x.rules().number(CycleSettings.SURE))
                .map(told -> Text.of(
                        "Whether it is the charge the cycle leaves open. {} Nothing is added or recovered before that.",
                        told.next())));
    }

    private static Judgement told(Examination x, Telling telling) {
        Map<Sign, Departure> read = telling.read;
        Diagnosis told = telling.diagnosis;
        Finding finding = x.finding();
        read.forEach((sign, departure) -> finding.step(
                Text.capital(sign.title()),
                "in bands from what is expected",
                Text.of("{} ± {}", rounded(departure.bands()), rounded(2 * departure.uncertainty())),
                ""));
        told.shares().stream()
                .filter(share -> share.share() >= 0.01)
                .forEach(share -> finding.step(
                        Text.capital(share.cause().title()),
                        share.cause().reason(),
                        Text.of("{} %", percent(share.share())),
                        ABOUT.sources().get(0)));
        double sure = x.rules().number(CycleSettings.SURE);
        double sound = told.share(Cause.NONE);
        if (sound >= sure) {
            return finding.conclude(
                    Verdict.MEETS, Text.of("Superheat, subcooling and the rest are as they should be together."), "");
        }
        String names = told.shares().stream()
                .filter(share -> share.cause() != Cause.NONE)
                .limit(2)
                .map(share -> share.cause().title() + " (" + percent(share.share()) + " %)")
                .collect(Collectors.joining(" or "));
        if (told.likeliest().share() >= sure) {
            Cause cause = told.likeliest().cause();
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "{}, {} %: {}",
                            Text.capital(cause.title()),
                            percent(told.likeliest().share()),
                            cause.reason()),
                    cure(x, cause));
        }
        Text next = telling.next();
        return sound <= 1 - sure
                ? finding.conclude(Verdict.FAILS, Text.of("It is not sound: {}.", names), next)
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("It cannot be told: sound ({} %), {}.", percent(sound), names),
                        next);
    }

    private static Text cure(Examination x, Cause cause) {
        return switch (cause) {
            case SHORT -> Trim.byCharge(x, true);
            case OVER -> Trim.byCharge(x, false);
            default -> Text.of("{}", cause.cure());
        };
    }

    /** Never all: a cause that nobody thought of may be at work. */
    private static long percent(double share) {
        return Math.min(99, Math.round(100 * share));
    }

    private static String rounded(double bands) {
        return String.valueOf(Math.round(10 * bands) / 10.0);
    }

    private static Departure departure(Uncertain read, double expected, double band) {
        return new Departure((read.value() - expected) / band, read.standardUncertainty() / band);
    }

    private static Map<Sign, Departure> departures(Examination x, RefrigerantState state, boolean orifice) {
        Map<Sign, Departure> read = new EnumMap<>(Sign.class);
        Uncertain superheat = orifice
                ? SuperheatTrim.target(x)
                        .orElse(new Uncertain(
                                x.rules().number(CycleSettings.USUAL_SUPERHEAT),
                                x.rules().number(SuperheatTrim.BAND)))
                : Uncertain.exact(x.rules().number(CycleSettings.USUAL_SUPERHEAT));
        Uncertain shown = state.superheat();
        read.put(
                Sign.SUPERHEAT,
                departure(
                        new Uncertain(
                                shown.value(),
                                Math.hypot(shown.standardUncertainty(), superheat.standardUncertainty())),
                        superheat.value(),
                        x.rules().number(SuperheatTrim.BAND)));
        read.put(
                Sign.SUBCOOLING,
                departure(
                        state.subcooling(),
                        SubcoolingTrim.target(x).orElseGet(() -> x.rules().number(CycleSettings.USUAL_SUBCOOLING)),
                        x.rules().number(SubcoolingTrim.BAND)));
        double outdoor = x.number(AirPoints.OUTDOOR).orElseThrow();
        read.put(
                Sign.CONDENSING,
                departure(
                        state.condensing(),
                        outdoor + x.rules().number(CycleSettings.CONDENSING),
                        x.rules().number(CycleSettings.CONDENSING_BAND)));
        evaporating(x, state).ifPresent(departure -> read.put(Sign.EVAPORATING, departure));
        split(x).ifPresent(departure -> read.put(Sign.SPLIT, departure));
        x.measured(ChargePoints.DRIER_DROP)
                .ifPresent(drop -> read.put(
                        Sign.DRIER, departure(drop.uncertain(), 0, x.rules().number(CycleSettings.DRIER))));
        if (x.missing(ChargePoints.REST_PRESSURE, ChargePoints.REST_TEMPERATURE).isEmpty()) {
            rest(x, state).ifPresent(departure -> read.put(Sign.REST, departure));
        }
        x.measured(AirPoints.OUTDOOR_LEAVING)
                .filter(any -> decided(x, CycleSettings.OUTDOOR_RISE, CycleSettings.OUTDOOR_RISE_BAND))
                .ifPresent(leaving -> read.put(
                        Sign.LEAVING,
                        departure(
                                leaving.uncertain(),
                                outdoor + x.rules().number(CycleSettings.OUTDOOR_RISE),
                                x.rules().number(CycleSettings.OUTDOOR_RISE_BAND))));
        discharge(x, state).ifPresent(departure -> read.put(Sign.DISCHARGE, departure));
        current(x).ifPresent(departure -> read.put(Sign.CURRENT, departure));
        return read;
    }

    /** Whether the rule book, perhaps an older one, says these. */
    private static boolean decided(Examination x, Setting... settings) {
        return Stream.of(settings).allMatch(x.rules()::decides);
    }

    /** Of the discharge line against what these pressures and this superheat give a sound compressor. */
    private static Optional<Departure> discharge(Examination x, RefrigerantState state) {
        return x.measured(ChargePoints.DISCHARGE_TEMPERATURE)
                .filter(any -> decided(x, CycleSettings.EFFICIENCY, CycleSettings.DISCHARGE_BAND))
                .flatMap(read -> {
                    try {
                        Uncertain over = Propagation.through(
                                in -> in[0]
                                        - Compression.discharge(
                                                state.refrigerant(),
                                                in[1],
                                                in[2],
                                                in[3],
                                                x.rules().number(CycleSettings.EFFICIENCY)),
                                read.uncertain(),
                                state.evaporating(),
                                state.condensing(),
                                state.superheat());
                        return Optional.of(departure(over, 0, x.rules().number(CycleSettings.DISCHARGE_BAND)));
                    } catch (IllegalArgumentException outsideItsTable) {
                        return Optional.empty();
                    }
                });
    }

    private static Optional<Departure> current(Examination x) {
        return x.measured(UnitPoints.RUNNING_CURRENT)
                .filter(any -> decided(x, CycleSettings.CURRENT, CycleSettings.CURRENT_BAND))
                .flatMap(read -> x.number(PlatePoints.COMPRESSOR_CURRENT)
                        .filter(plate -> plate > 0)
                        .map(plate -> departure(
                                new Uncertain(read.quantity().si() / plate, read.standardUncertainty() / plate),
                                x.rules().number(CycleSettings.CURRENT),
                                x.rules().number(CycleSettings.CURRENT_BAND))));
    }

    /** Where the coil boils against where this air has it boil: as far under its surface as at the rating point. */
    private static Optional<Departure> evaporating(Examination x, RefrigerantState state) {
        return coilAir(x, AirPoints.RETURN_DRY_BULB, AirPoints.RETURN_WET_BULB)
                .filter(any -> decided(x, CycleSettings.EVAPORATING, CycleSettings.EVAPORATING_BAND))
                .flatMap(air -> {
                    try {
                        return ExpectedSplit.of(air.at())
                                .filter(ExpectedSplit::describesAirflow)
                                .map(model -> {
                                    double expected = x.rules().number(CycleSettings.EVAPORATING)
                                            + model.surfaceOverRated(
                                                    air.read().get(0).quantity().si(),
                                                    air.read().get(1).quantity().si(),
                                                    x.number(AirPoints.OUTDOOR).orElseThrow());
                                    return departure(
                                            state.evaporating(),
                                            expected,
                                            x.rules().number(CycleSettings.EVAPORATING_BAND));
                                });
                    } catch (IllegalArgumentException airCannotBeUsed) {
                        return Optional.empty();
                    }
                });
    }

    /** @param at the only indoor unit */
    private record CoilAir(Examination at, List<Value.Measured> read) {}

    /** Of one indoor unit; several share one cycle, and their air says little of it. Empty where not all was read. */
    private static Optional<CoilAir> coilAir(Examination x, Point... points) {
        var units = x.facts().subjects(Scope.INDOOR_UNIT);
        if (units.size() != 1) {
            return Optional.empty();
        }
        Examination in = x.at(units.get(0));
        List<Value.Measured> air =
                Stream.of(points).flatMap(point -> in.measured(point).stream()).toList();
        return air.size() < points.length ? Optional.empty() : Optional.of(new CoilAir(in, air));
    }

    private static Optional<Departure> rest(Examination x, RefrigerantState state) {
        try {
            return Optional.of(departure(state.restExcess(), 0, x.rules().number(CycleSettings.REST)));
        } catch (IllegalArgumentException outsideItsTable) {
            return Optional.empty();
        }
    }

    private static Optional<Departure> split(Examination x) {
        return coilAir(x, AirPoints.RETURN_DRY_BULB, AirPoints.RETURN_WET_BULB, AirPoints.SUPPLY_DRY_BULB)
                .flatMap(coil -> split(x, coil.at(), coil.read()));
    }

    private static Optional<Departure> split(Examination x, Examination in, List<Value.Measured> air) {
        try {
            return ExpectedSplit.of(in).filter(ExpectedSplit::describesAirflow).map(model -> {
                double back = air.get(0).quantity().si();
                double wet = air.get(1).quantity().si();
                double outdoor = x.number(AirPoints.OUTDOOR).orElseThrow();
                double middle = model.split(back, wet, outdoor, 1);
                double band = (model.split(back, wet, outdoor, 1 - model.tolerance())
                                - model.split(back, wet, outdoor, 1 + model.tolerance()))
                        / 2;
                Uncertain read = new Uncertain(
                        back - air.get(2).quantity().si(),
                        Math.hypot(air.get(0).standardUncertainty(), air.get(2).standardUncertainty()));
                return departure(read, middle, band);
            });
        } catch (IllegalArgumentException airCannotBeUsed) {
            return Optional.empty();
        }
    }

    private static Diagnosis.Moves moves(Examination x) {
        return new Diagnosis.Moves(
                x.rules().number(CycleSettings.LEAST_MOVE),
                x.rules().number(CycleSettings.MOST_MOVE),
                x.rules().number(CycleSettings.SOUND_SPREAD));
    }
}
