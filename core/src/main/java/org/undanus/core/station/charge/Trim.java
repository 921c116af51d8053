package org.undanus.core.station.charge;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.RoomCharge;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.MeteredAsListed;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** Whether a running machine's readings may trim its charge at all, and by how much at a time. */
final class Trim {
    static final Setting STEP =
            new Setting("charge.step", Dimension.RATIO, "Share of the charge that is added or recovered at a time");
    static final Setting WAIT =
            new Setting("charge.wait", Dimension.DURATION, "Time it runs on after each step before it is read again");
    /** What whoever gives advice declares. */
    static final Setting[] ADVICE = Stream.concat(
                    Stream.of(STEP, WAIT, ChargeByLength.TOLERANCE),
                    Stream.concat(Stream.of(RoomCharge.settings()), CycleSettings.ALL.stream()))
            .toArray(Setting[]::new);

    private Trim() {}

    /** The metering device of all indoor units; empty where one is not known, or they differ. */
    static Optional<Option> metering(Examination x) {
        List<Subject> units = x.facts().subjects(Scope.COIL_UNIT);
        List<Option> read = units.stream()
                .flatMap(unit -> x.at(unit).chosen(PlatePoints.METERING_DEVICE).stream())
                .toList();
        return read.size() == units.size() && read.stream().distinct().count() == 1
                ? Optional.of(read.get(0))
                : Optional.empty();
    }

    /** What is said where {@link #metering} is not known. */
    static Judgement unknownMetering(Examination x) {
        return x.facts().subjects(Scope.COIL_UNIT).stream()
                .filter(unit -> x.at(unit).chosen(PlatePoints.METERING_DEVICE).isEmpty())
                .findFirst()
                .map(unit -> x.at(unit).notShown(List.of(PlatePoints.METERING_DEVICE)))
                .orElseGet(() -> x.finding()
                        .conclude(
                                Verdict.NOT_SHOWN,
                                Text.of("The coils are metered in different ways: weight decides."),
                                "Judge by weight."));
    }

    static boolean byOrifice(Option metering) {
        return metering.equals(PlatePoints.FIXED_ORIFICE);
    }

    /** Why a cycle that runs tells nothing of its charge; empty where it does. */
    static Optional<Judgement> refused(Examination x, List<Point> needed) {
        List<Point> first = x.missing(OperationPoints.MODE, ChargePoints.COMPRESSOR);
        if (!first.isEmpty()) {
            return Optional.of(x.notShown(first));
        }
        if (!x.chosen(OperationPoints.MODE).orElseThrow().equals(OperationPoints.COOLING)) {
            return Optional.of(x.finding()
                    .step(OperationPoints.MODE.title(), OperationPoints.HEATING)
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("Check the charge in cooling: readings taken in heating do not show it."),
                            "Judge by weight, or read it in cooling in warm weather."));
        }
        if (x.chosen(ChargePoints.COMPRESSOR).orElseThrow().equals(ChargePoints.FREE)) {
            return Optional.of(x.finding()
                    .step(ChargePoints.COMPRESSOR.title(), ChargePoints.FREE)
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("Variable speed: charge by weight, superheat and subcooling do not decide."),
                            "Judge by weight, or set it to the maker's test mode and read again."));
        }
        Optional<Text> wrong = MeteredAsListed.wrong(x);
        if (wrong.isPresent()) {
            return Optional.of(x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            wrong.get(),
                            "Replace the metering device first, then charge and read again."));
        }
        Optional<Judgement> notYet = SteadyRunning.notYet(x);
        if (notYet.isPresent()) {
            return notYet;
        }
        List<Point> missing = x.missing(needed.toArray(Point[]::new));
        return missing.isEmpty() ? Optional.empty() : Optional.of(x.notShown(missing));
    }

    /** How much to take in or out first. Where the lines are known to hold too much or too little already, that much and no more. */
    static Text advice(Examination x, boolean add) {
        Optional<Double> off = off(x);
        return SameRefrigerantCharged.another(x)
                .or(() -> full(off, add))
                .or(() -> off.isPresent() ? SoundCycle.anotherCause(x) : SoundCycle.beforeCharge(x, add))
                .orElseGet(() -> amount(x, off, add));
    }

    /** By how much more is in it than its lines ask for, kg; empty where its weight or its lines are not known. */
    private static Optional<Double> off(Examination x) {
        return ChargeByLength.asked(x).flatMap(asked -> ChargeByLength.added(x)
                .map(added -> added.value() - asked.added().value()));
    }

    private static Optional<Text> full(Optional<Double> off, boolean add) {
        return off.filter(more -> add ? more >= 0 : more <= 0)
                .map(
                        any -> Text.of(
                                add
                                        ? "By weight the charge is full: look for another cause before any is added."
                                        : "By weight no more is in it than the lines ask for: look for another cause before any is recovered."));
    }

    /** How much to add or recover where the charge is known to be at fault. */
    static Text byCharge(Examination x, boolean add) {
        Optional<Double> off = off(x);
        return full(off, add).orElseGet(() -> amount(x, off, add));
    }

    private static Text amount(Examination x, Optional<Double> off, boolean add) {
        Duration wait = Duration.ofSeconds(x.rules().number(WAIT));
        Optional<Mass> left = add ? left(x) : Optional.empty();
        if (left.filter(mass -> mass.si() == 0).isPresent()) {
            return Text.of(
                    "The room bears no more of this refrigerant: none is added. Look for a leak and another cause.");
        }
        if (off.isPresent()) {
            Mass amount = Mass.ofKilograms(Math.abs(off.get()));
            return add
                    ? Text.of(
                            "Weigh in {least}, throttled on the suction side and never over plate or room limit, then wait {wait} and read again.",
                            least(amount, left),
                            wait)
                    : recover(x, amount);
        }
        Optional<Mass> step = x.number(PlatePoints.CHARGE)
                .map(whole -> Mass.ofKilograms(whole * x.rules().number(STEP)));
        Text amount =
                step.map(mass -> Text.of("about {least}", least(mass, left))).orElse(Text.of("a little"));
        return add
                ? Text.of(
                        "Search for a leak first. Then have {amount} added, never over plate or room limit, wait {wait} and read again.",
                        amount,
                        wait)
                : recover(x, amount);
    }

    /** What the room bears beyond what is in it; empty where nothing limits it, or it is not known. */
    private static Optional<Mass> left(Examination x) {
        Optional<Double> bears =
                x.refrigerant(PlatePoints.REFRIGERANT).flatMap(refrigerant -> RoomCharge.leastOf(x, refrigerant));
        return bears.flatMap(most -> x.number(PlatePoints.CHARGE)
                .map(factory -> Mass.ofKilograms(Math.max(
                        0,
                        most
                                - factory
                                - ChargeByLength.added(x).map(Uncertain::value).orElse(0.0)))));
    }

    private static Mass least(Mass amount, Optional<Mass> left) {
        return left.filter(mass -> mass.si() < amount.si()).orElse(amount);
    }

    /** @param amount a mass, or words for it */
    static Text recover(Examination x, Object amount) {
        return Text.of(
                "Recover {amount}, then wait {wait} and read again.",
                amount,
                Duration.ofSeconds(x.rules().number(WAIT)));
    }

    /** Whether a value is under zero beyond its uncertainty. */
    static boolean under(Uncertain value) {
        return value.value() + value.expanded() < 0;
    }
}
