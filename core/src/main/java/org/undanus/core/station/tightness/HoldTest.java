package org.undanus.core.station.tightness;

import static org.undanus.core.station.tightness.TightnessPoints.END_PRESSURE;
import static org.undanus.core.station.tightness.TightnessPoints.END_TEMPERATURE;
import static org.undanus.core.station.tightness.TightnessPoints.HOLD_TIME;
import static org.undanus.core.station.tightness.TightnessPoints.PRESSURE_LOG;
import static org.undanus.core.station.tightness.TightnessPoints.PRESSURE_READINGS;
import static org.undanus.core.station.tightness.TightnessPoints.START_PRESSURE;
import static org.undanus.core.station.tightness.TightnessPoints.START_TEMPERATURE;
import static org.undanus.core.station.tightness.TightnessPoints.TEMPERATURE_LOG;
import static org.undanus.core.station.tightness.TightnessPoints.TEMPERATURE_OF;
import static org.undanus.core.station.tightness.TightnessPoints.TEMPERATURE_READINGS;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.undanus.core.curve.LeakFlow;
import org.undanus.core.curve.NitrogenHold;
import org.undanus.core.derived.Curve;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Leak;
import org.undanus.core.quantity.Mass;
import org.undanus.core.quantity.OfGas;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * The long hold: whether the pressure changed by more than its temperature explains, and what makes that enough. Schools differ: it lasted
 * as long as code or maker asks; the same, and every joint was searched besides; or it lasted, for this volume and this gauge, until the
 * leak that is too much would have shown. A loss is held against the drop that code or maker allow, else against that leak. That the
 * needle did not move proves nothing by itself.
 */
final class HoldTest implements Requirement {
    private static final String SOURCE = "Real-gas nitrogen at constant density; virial coefficients as tabulated";
    /** Seconds of a year (365.25 days). */
    private static final double YEAR = 31_557_600;

    private static final String AGAIN = "Read pressure and tube wall together, in shade, and hold it again.";

    private static final Setting LEAST_LEAK =
            new Setting("tightness.loss-per-joint", Dimension.MASS, "Refrigerant a joint may lose in a year");
    private static final Setting JOINTS =
            new Setting("tightness.joints-assumed", Dimension.COUNT, "Joints of a line set where none are listed");
    private static final Setting LAG_WALL =
            new Setting("tightness.lag-wall", Dimension.DURATION, "By how long the gas lags behind the tube's wall");
    private static final Setting LAG_AIR =
            new Setting("tightness.lag-air", Dimension.DURATION, "By how long the gas lags behind the air");

    static final SchoolTopic.School BY_TIME = new SchoolTopic.School("time", "Pressure hold by time");
    static final SchoolTopic.School BY_SEARCH =
            new SchoolTopic.School("search", "Pressure hold by time, and every joint searched");
    static final SchoolTopic.School BY_LEAK =
            new SchoolTopic.School("leak", "Pressure hold until the leak that is too much would show");
    private static final SchoolTopic TOPIC = new SchoolTopic(
            "tightness.acceptance", "What makes a pressure hold enough", List.of(BY_SEARCH, BY_TIME, BY_LEAK));
    private static final LimitKey TIME = new LimitKey("tightness.hold-time", Dimension.DURATION, "Held for");
    private static final LimitKey DROP = new LimitKey(
            "tightness.hold-drop", Dimension.PRESSURE_DIFFERENCE, "Pressure lost beyond what its temperature explains");
    private static final LimitKey LEAK = new LimitKey("tightness.leak", Dimension.LEAK, "Leak by what was lost");

    static final About ABOUT = About.of(
                    "tightness.hold", Station.TIGHTNESS, Scope.LINE_SET, "Held tight", Severity.DAMAGE)
            .sources(SOURCE, "ISO 5149-2 and EN 378-2, tightness test; check the adopted edition")
            .needs(TEMPERATURE_OF)
            .limits(TIME, DROP, LEAK)
            .settings(LEAST_LEAK, JOINTS, LAG_WALL, LAG_AIR)
            .schools(TOPIC)
            .cautions("It stays under pressure all the time: rope it off, and tell everybody who may come by.");

    @Override
    public About about() {
        return ABOUT;
    }

    /** The hold as it was read; empty where too little was, or where nitrogen is not described. */
    static Optional<NitrogenHold> hold(Examination x) {
        Optional<Curve> pressure = Curve.of(x, PRESSURE_LOG, PRESSURE_READINGS);
        Optional<Curve> temperature = Curve.of(x, TEMPERATURE_LOG, TEMPERATURE_READINGS);
        try {
            if (pressure.isPresent()
                    && temperature.isPresent()
                    && pressure.get().logged() == temperature.get().logged()
                    && pressure.get().outline().size() >= NitrogenHold.FEWEST) {
                return Optional.of(logged(x, pressure.get(), temperature.get()));
            }
            return missing(x).isEmpty() ? Optional.of(read(x)) : Optional.empty();
        } catch (IllegalArgumentException notDescribed) {
            return Optional.empty();
        }
    }

    private static List<Point> missing(Examination x) {
        return x.missing(START_PRESSURE, START_TEMPERATURE, HOLD_TIME, END_PRESSURE, END_TEMPERATURE);
    }

    private static double lag(Examination x) {
        Option of = x.chosen(TEMPERATURE_OF).orElse(TightnessPoints.OF_AIR);
        return of.equals(TightnessPoints.OF_GAS)
                ? 0
                : x.rules().number(of.equals(TightnessPoints.OF_WALL) ? LAG_WALL : LAG_AIR);
    }

    /** The outline of a gauge's pressure as absolute pressure. */
    static Outline absolute(Examination x, Outline gauge) {
        double air = x.facts().site().atmosphere().si();
        double[] seconds = new double[gauge.size()];
        double[] values = new double[gauge.size()];
        for (int i = 0; i < values.length; i++) {
            seconds[i] = gauge.seconds(i);
            values[i] = gauge.mean(i) + air;
        }
        return Outline.of(gauge.origin(), seconds, values);
    }

    private static NitrogenHold logged(Examination x, Curve pressure, Curve temperature) {
        Outline shifted = moved(temperature.outline(), pressure.outline());
        Span held = held(x, pressure);
        Outline undisturbed = pressure.between(held.from, held.until);
        return NitrogenHold.of(absolute(x, undisturbed), shifted, pressure.step(), temperature.step(), lag(x));
    }

    /**
     * The part of a curve in which nothing was let in or out.
     *
     * @param from s from its first sample
     * @param until s from its first sample
     */
    record Span(double from, double until) {}

    /** By the marks: from when nitrogen came in last until a valve was opened or it was stopped; all of it where none says so. */
    static Span held(Examination x, Curve pressure) {
        Optional<Marks> marks = x.listedOf(PRESSURE_LOG, TightnessPoints.MARKS, Marks.class);
        double whole = pressure.outline().lasting();
        double from = marks.map(m -> m.last(Act.NITROGEN_IN)).orElse(OptionalDouble.empty()).stream()
                .filter(at -> at < whole)
                .findFirst()
                .orElse(0);
        double until = marks.map(m -> m.undisturbed(from, Act.VALVE_OPENED, Act.STOPPED))
                .orElse(OptionalDouble.empty())
                .orElse(whole);
        return new Span(from, Math.min(until, whole));
    }

    /** With times counted from the other's origin. */
    private static Outline moved(Outline outline, Outline other) {
        double by = java.time.Duration.between(other.origin(), outline.origin()).toMillis() / 1000.0;
        double[] seconds = new double[outline.size()];
        double[] values = new double[outline.size()];
        for (int i = 0; i < values.length; i++) {
            seconds[i] = outline.seconds(i) + by;
            values[i] = outline.mean(i);
        }
        return Outline.of(other.origin(), seconds, values);
    }

    private static NitrogenHold read(Examination x) {
        double lasting = x.need(HOLD_TIME).quantity().si();
        double cold = x.need(START_TEMPERATURE).quantity().si();
        double warm = x.need(END_TEMPERATURE).quantity().si();
        double lagging = lag(x) * Math.abs(warm - cold) / lasting;
        return NitrogenHold.of(
                absolute(x, START_PRESSURE, END_PRESSURE),
                absolute(x, END_PRESSURE, START_PRESSURE),
                new Uncertain(cold, uncertainty(x, START_TEMPERATURE, END_TEMPERATURE)),
                new Uncertain(warm, Math.hypot(uncertainty(x, END_TEMPERATURE, START_TEMPERATURE), lagging)),
                lasting);
    }

    private static Uncertain absolute(Examination x, Point point, Point other) {
        double gauge = x.need(point).quantity().si();
        return new Uncertain(gauge + x.facts().site().atmosphere().si(), uncertainty(x, point, other));
    }

    /** What one instrument shows wrong it shows wrong both times: then only its step counts. */
    private static double uncertainty(Examination x, Point point, Point other) {
        return x.sameInstrument(point, other)
                ? x.step(point) / Math.sqrt(12)
                : x.need(point).standardUncertainty();
    }

    /** The leak of nitrogen that is too much, Pa·m³/s; empty where the refrigerant is not known. */
    static Optional<Double> tooMuch(Examination x, double tested) {
        return refrigerant(x)
                .map(r -> LeakFlow.nitrogen(
                        x.rules().number(LEAST_LEAK) * jointsCounted(x) / YEAR,
                        AbsolutePressure.ofPascals(tested),
                        x.facts().site().atmosphere(),
                        r));
    }

    private static Optional<Refrigerant> refrigerant(Examination x) {
        return x.outdoor().flatMap(unit -> x.at(unit).refrigerant(PlatePoints.REFRIGERANT));
    }

    private static double jointsCounted(Examination x) {
        int listed = joints(x).size();
        return listed > 0 ? listed : x.rules().number(JOINTS);
    }

    /** Those listed of these lines. */
    private static List<Subject> joints(Examination x) {
        return x.facts().subjects(Scope.JOINT).stream()
                .filter(joint -> joint.joins().stream()
                        .anyMatch(unit -> x.subject().joins().contains(unit)
                                && x.indoor().filter(in -> in.id().equals(unit)).isPresent()))
                .toList();
    }

    @Override
    public Judgement judge(Examination x) {
        Optional<TestVolume> volume = TestVolume.of(x);
        Optional<NitrogenHold> hold = hold(x);
        if (hold.isEmpty()) {
            return nothing(x);
        }
        Optional<Double> tooMuch = tooMuch(x, hold.get().first());
        if (x.by(BY_LEAK) && (volume.isEmpty() || tooMuch.isEmpty())) {
            return unknown(x, volume);
        }
        Finding finding = explained(x, hold.get());
        volume.ifPresent(v -> v.explain(finding));
        return judged(x, new Held(hold.get(), volume.filter(v -> tooMuch.isPresent()), tooMuch), finding);
    }

    /** Why no leak can be told from a hold. */
    static Judgement unknown(Examination x, Optional<TestVolume> volume) {
        if (volume.isEmpty()) {
            return x.notShown(List.of(TestVolume.READ));
        }
        return x.outdoor()
                .map(unit -> x.at(unit).notShown(List.of(PlatePoints.REFRIGERANT)))
                .orElseGet(() -> x.noSheetTells("the refrigerant", "Add the outdoor unit."));
    }

    /**
     * A hold as it is judged.
     *
     * @param volume empty where no leak can be told
     * @param tooMuch leak of nitrogen, Pa·m³/s
     */
    private record Held(NitrogenHold hold, Optional<TestVolume> volume, Optional<Double> tooMuch) {}

    /** Why there is no hold to judge. */
    static Judgement nothing(Examination x) {
        List<Point> missing = missing(x);
        if (missing.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.NOT_SHOWN,
                            Text.of("Nitrogen is not described at such a pressure or temperature."),
                            "Look at what was read: -30 to 60 °C and up to 5 MPa.");
        }
        return needed(x)
                .map(time -> x.notShown(
                        missing,
                        Text.of(
                                x.by(BY_LEAK)
                                        ? "With this gauge and volume it takes {time} or more: a finer gauge shortens it."
                                        : "It is held for {time} at least.",
                                Duration.ofSeconds(Math.ceil(time / 60) * 60))))
                .orElseGet(() -> x.notShown(missing));
    }

    static final HoldableLine HELD =
            new HoldableLine(HOLD_TIME, Optional.of(Act.NITROGEN_IN), ABOUT, HoldTest::needed, HoldTest::power);

    /** How long it has to be held: as code or maker ask, or until the leak that is too much shows; s. */
    private static Optional<Double> needed(Examination x) {
        return x.by(BY_LEAK)
                ? untilItShows(x)
                : times(x).stream()
                        .filter(limit -> limit.bound() == Bound.AT_LEAST)
                        .map(limit -> limit.value().si())
                        .max(Double::compare);
    }

    private static Optional<Double> untilItShows(Examination x) {
        Optional<Double> pressure = x.measured(START_PRESSURE)
                .map(read -> read.quantity().si())
                .or(() -> TestPressure.plate(x))
                .map(gauge -> gauge + x.facts().site().atmosphere().si());
        return pressure.flatMap(
                p -> TestVolume.of(x).flatMap(v -> tooMuch(x, p).map(q -> v.leakShown(step(x), 1) / q)));
    }

    private static List<Limit> times(Examination x) {
        return ofLines(x, TIME, SheetLimit.atLeast(SheetValue.TIGHTNESS_TIME));
    }

    /** What the book says, and the outdoor unit's sheet. */
    private static List<Limit> ofLines(Examination x, LimitKey key, SheetLimit given) {
        return x.outdoor().map(unit -> x.at(unit).limits(key, given)).orElseGet(() -> x.rules()
                .limits(key));
    }

    private static Optional<Text> power(Examination x, double seconds) {
        return TestVolume.of(x)
                .map(v -> Text.of(
                        "A leak over {leakShown} would have shown by now.",
                        Leak.ofPascalCubicMetresPerSecond(v.leakShown(step(x), seconds))));
    }

    /** Of the gauge that read the start, else of any, Pa. */
    private static double step(Examination x) {
        return x.measured(START_PRESSURE).isPresent()
                ? x.step(START_PRESSURE)
                : x.rules().accuracy(START_PRESSURE.instrument()).resolution();
    }

    private static Finding explained(Examination x, NitrogenHold hold) {
        Uncertain change = hold.change();
        return x.finding()
                .step(
                        "Pressure at the start",
                        "gauge and the air's pressure",
                        AbsolutePressure.ofPascals(hold.first()),
                        "")
                .step(
                        "Pressure at the end",
                        "gauge and the air's pressure",
                        AbsolutePressure.ofPascals(hold.last()),
                        "")
                .step(
                        "Pressure at the end by temperature alone",
                        "same density at the later temperature, p = ρRT(1 + Bρ + Cρ²)",
                        AbsolutePressure.ofPascals(hold.expected()),
                        SOURCE)
                .step(
                        "Change that temperature does not explain",
                        "p2 − p2,expected; one gauge's calibration error is in both",
                        new OfGas(change.value(), change.expanded()),
                        "JCGM 100")
                .step("Held for", Duration.ofSeconds(hold.lasting()));
    }

    private static OfGas ofGas(double pascals) {
        return new OfGas(pascals);
    }

    private static Judgement judged(Examination x, Held held, Finding finding) {
        NitrogenHold hold = held.hold;
        Uncertain change = hold.change();
        double explained = hold.expected() - hold.first();
        if (unmoved(hold, explained)) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "The pressure stayed while the temperature moved; it should have changed by {change}.",
                            ofGas(explained)),
                    AGAIN);
        }
        if (change.value() > change.expanded()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "It gained {change} beyond what its temperature explains: that temperature was not the gas's.",
                            ofGas(change.value())),
                    AGAIN);
        }
        Optional<Judgement> lost = lost(x, held, finding);
        if (lost.isPresent()) {
            return lost.get();
        }
        return x.by(BY_LEAK) ? byLeak(x, held, finding) : byTime(x, held, finding);
    }

    /** What a loss comes to that is more than chance; empty where nothing was lost, or no more than may be. */
    private static Optional<Judgement> lost(Examination x, Held held, Finding finding) {
        if (!standsOut(held.hold)) {
            return Optional.empty();
        }
        Uncertain change = held.hold.change();
        List<Limit> drops = ofLines(x, DROP, SheetLimit.atMost(SheetValue.TIGHTNESS_DROP));
        if (drops.isEmpty() && x.by(BY_LEAK)) {
            return Optional.empty();
        }
        Optional<Comparison> compared = !drops.isEmpty()
                ? finding.hold(DROP, new Uncertain(-change.value(), change.standardUncertainty()), 0, drops)
                : held.volume.isEmpty() ? Optional.empty() : finding.hold(LEAK, leak(x, held), 0, leaks(x, held));
        Verdict verdict = compared.map(Comparison::verdict).orElse(Verdict.FAILS);
        return verdict == Verdict.MEETS ? Optional.empty() : Optional.of(leaking(x, held, finding, verdict));
    }

    /** Whether more was lost than chance explains. */
    private static boolean standsOut(NitrogenHold hold) {
        return -hold.change().value() > hold.change().expanded();
    }

    private static Judgement leaking(Examination x, Held held, Finding finding, Verdict verdict) {
        return finding.conclude(
                verdict,
                lostIn(x, held),
                "Let the pressure off, have the joint found with soap and made anew, then hold it again.");
    }

    /** By what was lost, with the error that the gauge's gain puts into the loss itself. */
    private static Uncertain leak(Examination x, Held held) {
        return held.hold.leak(held.volume.orElseThrow().cubicMetres(), gain(x));
    }

    /** The share by which the gauge may show every change of pressure too large or small, as a standard uncertainty. */
    private static double gain(Examination x) {
        Point read = x.measured(START_PRESSURE).isPresent() ? START_PRESSURE : PRESSURE_LOG;
        return x.accuracy(read, Dimension.GAUGE_PRESSURE).gain();
    }

    private static List<Limit> leaks(Examination x, Held held) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(LEAK));
        limits.add(new Limit(
                x.rules().practice(),
                Bound.AT_MOST,
                Leak.ofPascalCubicMetresPerSecond(held.tooMuch.orElseThrow()),
                Text.of(
                        "{source}; as nitrogen at this pressure, of {jointsCounted} joints",
                        x.rules().setting(LEAST_LEAK).source(),
                        Math.round(jointsCounted(x)))));
        return limits;
    }

    private static Judgement byLeak(Examination x, Held held, Finding finding) {
        Comparison compared =
                finding.hold(LEAK, leak(x, held), 0, leaks(x, held)).orElseThrow();
        if (compared.verdict() != Verdict.MEETS && standsOut(held.hold)) {
            return leaking(x, held, finding, compared.verdict());
        }
        double smallest = smallest(held.hold, held.volume.orElseThrow());
        return compared.verdict() == Verdict.MEETS
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "No more was lost than may be; a leak of {lossOf} a year would have shown.",
                                lossOf(x, smallest, held.hold)),
                        "")
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "No leak stood out, but only one of {lossOf} a year would have.",
                                lossOf(x, smallest, held.hold)),
                        Text.of(
                                "Use a finer gauge, or hold it {needed} in all with this one.",
                                Duration.ofSeconds(Math.ceil(held.hold.needed(
                                                        held.volume.get().cubicMetres(), held.tooMuch.orElseThrow())
                                                / 60)
                                        * 60)));
    }

    private static Judgement byTime(Examination x, Held held, Finding finding) {
        double lasting = held.hold.lasting();
        Optional<Comparison> compared = finding.hold(TIME, Uncertain.exact(lasting), 1, times(x));
        if (compared.isEmpty()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("Nobody says how long it is to be held."),
                    "Give it in the rule book, or bring the outdoor unit's data sheet.");
        }
        Optional<Mass> unseen = unseen(x, held);
        if (unseen.isPresent()) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "With this gauge and volume only a leak of {unseen} a year would have shown: more than the whole charge.",
                            unseen.get()),
                    "Use a finer gauge.");
        }
        Duration asked = (Duration) compared.get().binding().limit().value();
        if (compared.get().verdict() != Verdict.MEETS) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of("It was held for {lasting}; {asked} are asked for.", Duration.ofSeconds(lasting), asked),
                    Text.of("Hold it {asked}.", asked));
        }
        Text said = held.volume
                .map(v -> Text.of(
                        "Held for {lasting} ({asked} asked) without a loss that temperature does not explain; a leak of {smallest} a year would have shown.",
                        Duration.ofSeconds(lasting),
                        asked,
                        lossOf(x, smallest(held.hold, v), held.hold)))
                .orElseGet(() -> Text.of(
                        "Held for {lasting} ({asked} asked) without a loss that temperature does not explain.",
                        Duration.ofSeconds(lasting),
                        asked));
        if (x.by(BY_TIME)) {
            return finding.conclude(Verdict.MEETS, said, "");
        }
        return searched(x, finding, said);
    }

    /** By what finds nitrogen, and joint by joint where joints are listed. */
    private static Judgement searched(Examination x, Finding finding, Text said) {
        List<Option> joints = joints(x).stream()
                .map(joint -> x.at(joint).chosen(TightnessPoints.JOINT).orElse(TightnessPoints.NOT_SEARCHED))
                .toList();
        if (joints.contains(TightnessPoints.BUBBLES)) {
            return finding.conclude(
                    Verdict.FAILS,
                    said.then(Text.of("But a joint showed bubbles or a signal.")),
                    "Let the pressure off, have that joint made anew, and test again.");
        }
        Optional<Option> search = x.chosen(TightnessPoints.SEARCH);
        boolean searched = search.filter(by -> by.equals(TightnessPoints.SOAP) || by.equals(TightnessPoints.TRACED))
                .isPresent();
        long left = joints.stream().filter(TightnessPoints.NOT_SEARCHED::equals).count();
        if (searched && left > 0) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    said.then(Text.of("Of {joints} joints {left} were not searched.", joints.size(), left)),
                    TightnessPoints.JOINT.how());
        }
        return searched
                ? finding.conclude(
                        Verdict.MEETS,
                        joints.isEmpty()
                                ? said.then(Text.of("The search found nothing; no joint is listed by itself."))
                                : said.then(Text.of("Every joint was searched.")),
                        "")
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        said.then(Text.of("The joints were not searched by what finds nitrogen.")),
                        TightnessPoints.SEARCH.how());
    }

    /** The smallest leak that would have stood out of the hold, Pa·m³/s. */
    static double smallest(NitrogenHold hold, TestVolume volume) {
        return hold.smallestLeak(volume.cubicMetres());
    }

    /** Whether the needle stood still although the temperature's share alone is far more than could be overlooked. */
    private static boolean unmoved(NitrogenHold hold, double explained) {
        double moved = Math.abs(hold.last() - hold.first());
        return Math.abs(hold.change().value()) > hold.change().expanded()
                && moved <= hold.change().expanded()
                && Math.abs(explained) > hold.change().expanded();
    }

    private static Text lostIn(Examination x, Held held) {
        NitrogenHold hold = held.hold;
        Text lost = Text.of(
                "{change} were lost beyond what its temperature explains",
                ofGas(-hold.change().value()));
        return held.volume
                .map(volume -> Text.of(
                        "{lost}: a leak of {leak}, {lossOf} of refrigerant a year.",
                        lost,
                        Amount.of(Dimension.LEAK, leak(x, held), 0),
                        lossOf(x, leak(x, held).value(), hold)))
                .orElse(Text.of("{lost}.", lost));
    }

    /** What a leak of nitrogen in this hold would be of refrigerant in a year. */
    static Object lossOf(Examination x, double leak, NitrogenHold hold) {
        return loss(x, leak, hold).map(Object.class::cast).orElse("an unknown mass");
    }

    private static Optional<Mass> loss(Examination x, double leak, NitrogenHold hold) {
        return refrigerant(x)
                .map(r -> Mass.ofKilograms(YEAR
                        * LeakFlow.refrigerant(
                                leak,
                                AbsolutePressure.ofPascals(hold.first()),
                                x.facts().site().atmosphere(),
                                r)));
    }

    /** A hold in which a leak that empties the machine within a year would have passed unseen; empty where it is none, or not known. */
    private static Optional<Mass> unseen(Examination x, Held held) {
        Optional<Double> charge = x.outdoor().flatMap(unit -> x.at(unit).number(PlatePoints.CHARGE));
        return held.volume
                .flatMap(volume -> loss(x, smallest(held.hold, volume), held.hold))
                .filter(lost -> charge.filter(whole -> lost.si() > whole).isPresent());
    }
}
