package org.undanus.core.station.charge;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.ExpectedSplit;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
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
import org.undanus.core.rules.Setting;
import org.undanus.core.station.charge.Diagnosis.Cause;
import org.undanus.core.station.charge.Diagnosis.Departure;
import org.undanus.core.station.charge.Diagnosis.Sign;
import org.undanus.core.words.Text;

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
        Optional<Option> metering = Trim.metering(x);
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
            Map<Sign, Departure> read = CycleReadings.of(x, state, orifice);
            return new Telling(read, orifice, Diagnosis.of(read, orifice, moves(x)));
        }

        Text next() {
            return diagnosis
                    .tellsApart(read, orifice)
                    .map(sign -> Text.of("To tell them apart read the {asked}.", sign.asked()))
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
        return telling(x).flatMap(told -> anotherCause(x, told));
    }

    private static Optional<Text> anotherCause(Examination x, Telling told) {
        return Optional.of(told.diagnosis.likeliest())
                .filter(share -> share.share() >= x.rules().number(CycleSettings.SURE))
                .map(Diagnosis.Share::cause)
                .filter(cause -> !cause.cure().isEmpty())
                .map(cause -> Text.of(
                        "First of all what the cycle shows, {cause}: {cure} Charge is judged after that.",
                        cause.title(),
                        cause.cure()));
    }

    /** What is to be done before charge is added or recovered; empty where nothing read of the cycle speaks against it. */
    static Optional<Text> beforeCharge(Examination x, boolean add) {
        return telling(x).flatMap(told -> anotherCause(x, told).or(() -> leftOpen(x, told, add)));
    }

    private static Optional<Text> leftOpen(Examination x, Telling told, boolean add) {
        double byCharge = told.diagnosis.share(add ? Cause.SHORT : Cause.OVER) + told.diagnosis.share(Cause.NONE);
        return byCharge >= x.rules().number(CycleSettings.SURE)
                ? Optional.empty()
                : Optional.of(Text.of(
                        "Whether it is the charge the cycle leaves open. {next} Nothing is added or recovered before that.",
                        told.next()));
    }

    private static Judgement told(Examination x, Telling telling) {
        Map<Sign, Departure> read = telling.read;
        Diagnosis told = telling.diagnosis;
        Finding finding = x.finding();
        read.forEach((sign, departure) -> finding.step(
                Text.of("{sign}", Text.capital(sign.title())),
                Text.of("in bands from what is expected"),
                Text.of(
                        "{departure} ± {uncertainty}",
                        rounded(departure.bands()),
                        rounded(2 * departure.uncertainty())),
                Text.empty()));
        told.shares().stream()
                .filter(share -> share.share() >= 0.01)
                .forEach(share -> finding.step(
                        Text.of("{cause}", Text.capital(share.cause().title())),
                        Text.plain(share.cause().reason()),
                        Text.of("{percent} %", percent(share.share())),
                        Text.of(ABOUT.sources().get(0))));
        double sure = x.rules().number(CycleSettings.SURE);
        double sound = told.share(Cause.NONE);
        if (sound >= sure) {
            return finding.conclude(
                    Verdict.MEETS, Text.of("Superheat, subcooling and the rest are as they should be together."), "");
        }
        Text names = Text.any(told.shares().stream()
                .filter(share -> share.cause() != Cause.NONE)
                .limit(2)
                .map(share -> Text.of("{cause} ({percent} %)", share.cause().title(), percent(share.share())))
                .toList());
        if (told.likeliest().share() >= sure) {
            Cause cause = told.likeliest().cause();
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "{cause}, {percent} %: {reason}",
                            Text.capital(cause.title()),
                            percent(told.likeliest().share()),
                            cause.reason()),
                    cure(x, cause));
        }
        Text next = telling.next();
        return sound <= 1 - sure
                ? finding.conclude(Verdict.FAILS, Text.of("It is not sound: {causes}.", names), next)
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("It cannot be told: sound ({percent} %), {causes}.", percent(sound), names),
                        next);
    }

    private static Text cure(Examination x, Cause cause) {
        return switch (cause) {
            case SHORT -> Trim.byCharge(x, true);
            case OVER -> Trim.byCharge(x, false);
            default -> Text.of("{cure}", cause.cure());
        };
    }

    /** Never all: a cause that nobody thought of may be at work. */
    private static long percent(double share) {
        return Math.min(99, Math.round(100 * share));
    }

    private static String rounded(double bands) {
        return String.valueOf(Math.round(10 * bands) / 10.0);
    }

    private static Diagnosis.Moves moves(Examination x) {
        return new Diagnosis.Moves(
                x.rules().number(CycleSettings.LEAST_MOVE),
                x.rules().number(CycleSettings.MOST_MOVE),
                x.rules().number(CycleSettings.SOUND_SPREAD));
    }
}
