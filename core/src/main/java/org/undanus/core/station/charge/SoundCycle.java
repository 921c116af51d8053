package org.undanus.core.station.charge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.ExpectedSplit;
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
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.charge.Diagnosis.Cause;
import org.undanus.core.station.charge.Diagnosis.Departure;
import org.undanus.core.station.charge.Diagnosis.Sign;

/** All readings of the running cycle together: sound, or what is wrong with it, or what else would tell. */
final class SoundCycle implements Requirement {
    private static final Setting LEAST_MOVE =
            new Setting("charge.least-move", Dimension.COUNT, "Bands that a cause moves a reading by, at least");
    private static final Setting MOST_MOVE =
            new Setting("charge.most-move", Dimension.COUNT, "Bands that a cause moves a reading by, at most");
    private static final Setting SOUND_SPREAD =
            new Setting("charge.sound-spread", Dimension.COUNT, "Bands that a sound machine's readings spread by");
    private static final Setting USUAL_SUBCOOLING = new Setting(
            "charge.usual-subcooling", Dimension.TEMPERATURE_DIFFERENCE, "Subcooling, where nothing gives a target");
    private static final Setting USUAL_SUPERHEAT =
            new Setting("charge.usual-superheat", Dimension.TEMPERATURE_DIFFERENCE, "Superheat that a valve holds");
    private static final Setting CONDENSING =
            new Setting("charge.condensing-over", Dimension.TEMPERATURE_DIFFERENCE, "Condensing over the outdoor air");
    private static final Setting CONDENSING_BAND = new Setting(
            "charge.condensing-band", Dimension.TEMPERATURE_DIFFERENCE, "How far condensing may be from that");
    private static final Setting DRIER =
            new Setting("charge.drier-drop", Dimension.TEMPERATURE_DIFFERENCE, "Temperature drop of a good drier");
    private static final Setting REST =
            new Setting("charge.rest-excess", Dimension.PRESSURE_DIFFERENCE, "How far the pressure at rest may be off");
    private static final Setting SURE =
            new Setting("charge.diagnosis-sure", Dimension.RATIO, "Likelihood from which a cause is named");
    static final About ABOUT = About.of(
                    "charge.cycle", Station.CHARGE, Scope.OUTDOOR_UNIT, "Cycle reads sound", Severity.PERFORMANCE)
            .sources(
                    "Signs of faults: Rossi and Braun, HVAC&R Research 3, 1997; likelihood by Bayes' rule",
                    RefrigerantState.SOURCE)
            .needs(PlatePoints.REFRIGERANT)
            .settings(Stream.of(
                            Stream.of(
                                    LEAST_MOVE,
                                    MOST_MOVE,
                                    SOUND_SPREAD,
                                    USUAL_SUBCOOLING,
                                    USUAL_SUPERHEAT,
                                    CONDENSING,
                                    CONDENSING_BAND,
                                    DRIER,
                                    REST,
                                    SURE,
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
        return unusable.orElseGet(() -> told(x, state, Trim.byOrifice(metering.get())));
    }

    private static Judgement told(Examination x, RefrigerantState state, boolean orifice) {
        Map<Sign, Departure> read = departures(x, state, orifice);
        Diagnosis told = Diagnosis.of(read, orifice, moves(x));
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
        double sure = x.rules().number(SURE);
        double sound = told.share(Cause.NONE);
        if (sound >= sure) {
            return finding.conclude(
                    Verdict.MEETS, Text.of("Superheat, subcooling and the rest are as they should be together."), "");
        }
        Optional<Sign> further = told.tellsApart(read, orifice);
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
        Text next = further.map(sign -> Text.of("To tell them apart read the {}.", sign.title()))
                .orElse(Text.of("Read all of it again after half an hour, on better instruments."));
        return sound <= 1 - sure
                ? finding.conclude(Verdict.FAILS, Text.of("It is not sound: {}.", names), next)
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("It cannot be told: sound ({} %), {}.", percent(sound), names),
                        next);
    }

    private static Text cure(Examination x, Cause cause) {
        return switch (cause) {
            case SHORT -> Trim.advice(x, true);
            case OVER -> Trim.advice(x, false);
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
                                x.rules().number(USUAL_SUPERHEAT), x.rules().number(SuperheatTrim.BAND)))
                : Uncertain.exact(x.rules().number(USUAL_SUPERHEAT));
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
                        SubcoolingTrim.target(x).orElseGet(() -> x.rules().number(USUAL_SUBCOOLING)),
                        x.rules().number(SubcoolingTrim.BAND)));
        double outdoor = x.number(AirPoints.OUTDOOR).orElseThrow();
        read.put(
                Sign.CONDENSING,
                departure(
                        state.condensing(),
                        outdoor + x.rules().number(CONDENSING),
                        x.rules().number(CONDENSING_BAND)));
        split(x).ifPresent(departure -> read.put(Sign.SPLIT, departure));
        x.measured(ChargePoints.DRIER_DROP)
                .ifPresent(drop -> read.put(
                        Sign.DRIER, departure(drop.uncertain(), 0, x.rules().number(DRIER))));
        if (x.missing(ChargePoints.REST_PRESSURE, ChargePoints.REST_TEMPERATURE).isEmpty()) {
            rest(x, state).ifPresent(departure -> read.put(Sign.REST, departure));
        }
        return read;
    }

    private static Optional<Departure> rest(Examination x, RefrigerantState state) {
        try {
            return Optional.of(departure(state.restExcess(), 0, x.rules().number(REST)));
        } catch (IllegalArgumentException outsideItsTable) {
            return Optional.empty();
        }
    }

    /** Of one indoor unit; several share one cycle, and their splits say little of it. */
    private static Optional<Departure> split(Examination x) {
        var units = x.facts().subjects(Scope.INDOOR_UNIT);
        if (units.size() != 1) {
            return Optional.empty();
        }
        Examination in = x.at(units.get(0));
        List<Value.Measured> air = new ArrayList<>();
        for (Point point : List.of(AirPoints.RETURN_DRY_BULB, AirPoints.RETURN_WET_BULB, AirPoints.SUPPLY_DRY_BULB)) {
            in.measured(point).ifPresent(air::add);
        }
        if (air.size() < 3) {
            return Optional.empty();
        }
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
                x.rules().number(LEAST_MOVE),
                x.rules().number(MOST_MOVE),
                x.rules().number(SOUND_SPREAD));
    }
}
