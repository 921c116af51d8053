package org.undanus.core.station.evacuation;

import static org.undanus.core.station.evacuation.EvacuationPoints.AFTER;
import static org.undanus.core.station.evacuation.EvacuationPoints.HOLD_TIME;
import static org.undanus.core.station.evacuation.EvacuationPoints.ISOLATED;
import static org.undanus.core.station.evacuation.EvacuationPoints.PULLS;
import static org.undanus.core.station.evacuation.EvacuationPoints.REACHED;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.undanus.core.curve.Falling;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Comparison;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Leak;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * How deep the vacuum went, and where it stood after it was left alone, by the schools there are: a deep pull with isolation, the
 * same but strict, repeated pulls broken with nitrogen, a low absolute pressure held, and the needle of a manifold for an hour.
 */
final class Acceptance {
    private static final String SOURCE =
            "Common practice of evacuation; ISO 5149-2 and EN 378-2, evacuation; check the adopted edition";
    private static final LimitKey LEVEL =
            new LimitKey("evacuation.level", Dimension.ABSOLUTE_PRESSURE, "Vacuum reached");
    private static final LimitKey STANDS =
            new LimitKey("evacuation.stands", Dimension.ABSOLUTE_PRESSURE, "Vacuum after isolation");

    /** A way of accepting a vacuum, with its numbers. */
    private record Way(SchoolTopic.School school, Setting reached, Setting stands, Setting time) {
        private static Way of(String id, String title) {
            return new Way(
                    new SchoolTopic.School(id, title),
                    new Setting(
                            "evacuation." + id + "-level",
                            Dimension.ABSOLUTE_PRESSURE,
                            "Vacuum to be reached: " + title),
                    new Setting(
                            "evacuation." + id + "-stands",
                            Dimension.ABSOLUTE_PRESSURE,
                            "Vacuum at which it may stand after isolation: " + title),
                    new Setting("evacuation." + id + "-time", Dimension.DURATION, "Isolated for: " + title));
        }
    }

    private static final Way DEEP = Way.of("deep", "Deep pull with isolation");
    private static final Way STRICT = Way.of("strict", "Strict hold");
    private static final Way REPEATED = Way.of("repeated", "Repeated pulls broken with nitrogen");
    private static final Way ABSOLUTE = Way.of("absolute", "Low absolute pressure held");
    private static final SchoolTopic.School NEEDLE =
            new SchoolTopic.School("needle", "Needle of a manifold for an hour");
    private static final Setting PULLS_ASKED =
            new Setting("evacuation.repeated-pulls", Dimension.COUNT, "Pulls, the last included");
    private static final Setting EARLIER_PULLS = new Setting(
            "evacuation.repeated-earlier", Dimension.ABSOLUTE_PRESSURE, "Vacuum of each pull before the last");
    private static final Setting FIRST_PULL = Setting.useful(
            "evacuation.repeated-first",
            Dimension.ABSOLUTE_PRESSURE,
            "Vacuum of the first pull, where it may be less deep");
    private static final double ROUNDING = 1e-6;
    private static final List<Way> WAYS = List.of(DEEP, STRICT, REPEATED, ABSOLUTE);
    static final SchoolTopic TOPIC = new SchoolTopic(
            "evacuation.acceptance",
            "When a vacuum is accepted",
            List.of(DEEP.school, STRICT.school, REPEATED.school, ABSOLUTE.school, NEEDLE));

    private Acceptance() {}

    static final Requirement DEEP_ENOUGH = Requirement.of(
            About.of(
                            "evacuation.deep-enough",
                            Station.EVACUATION,
                            Scope.LINE_SET,
                            "Vacuum deep enough",
                            Severity.DAMAGE)
                    .sources(SOURCE)
                    .limits(LEVEL)
                    .settings(
                            DEEP.reached,
                            STRICT.reached,
                            REPEATED.reached,
                            ABSOLUTE.reached,
                            PULLS_ASKED,
                            EARLIER_PULLS,
                            FIRST_PULL)
                    .schools(TOPIC),
            Acceptance::deepEnough);

    static final Requirement STOOD = Requirement.of(
            About.of("evacuation.stood", Station.EVACUATION, Scope.LINE_SET, "Vacuum decay test", Severity.DAMAGE)
                    .sources(SOURCE)
                    .limits(STANDS)
                    .needs(ISOLATED)
                    .settings(
                            DEEP.stands,
                            DEEP.time,
                            STRICT.stands,
                            STRICT.time,
                            REPEATED.stands,
                            REPEATED.time,
                            ABSOLUTE.stands,
                            ABSOLUTE.time)
                    .schools(TOPIC),
            Acceptance::stood);

    static final HoldableLine ISOLATION = new HoldableLine(
            HOLD_TIME,
            Optional.of(Act.ISOLATED),
            STOOD.about(),
            x -> way(x).map(way -> x.rules().number(way.time)),
            Acceptance::power);

    /** What a leak lifts the pressure by, told from two readings in the gauge's steps. */
    private static Optional<Text> power(Examination x, double seconds) {
        double step = x.measured(REACHED).isPresent()
                ? x.step(REACHED)
                : x.rules().accuracy(REACHED.instrument()).resolution();
        return TestVolume.of(x)
                .map(v -> Text.of(
                        "A leak over {leakShown} would have shown by now.",
                        Leak.ofPascalCubicMetresPerSecond(v.leakShown(step, seconds))));
    }

    private static Optional<Way> way(Examination x) {
        return WAYS.stream().filter(way -> x.by(way.school)).findFirst();
    }

    /** By pressure in Pa, what the schools that were not chosen ask for there, in a few words. */
    static SortedMap<Double, List<Text>> others(Examination x) {
        SortedMap<Double, List<Text>> others = new TreeMap<>();
        WAYS.stream().filter(way -> !chosen(x, way)).forEach(way -> {
            others.computeIfAbsent(x.rules().number(way.reached), level -> new ArrayList<>())
                    .add(Text.of("{school} reached", way.school.id()));
            others.computeIfAbsent(x.rules().number(way.stands), level -> new ArrayList<>())
                    .add(Text.of("{school} after", way.school.id()));
        });
        return others;
    }

    /** Whether the rule book's choice is this one, whatever is being judged. */
    private static boolean chosen(Examination x, Way way) {
        return x.rules().school(TOPIC).equals(way.school);
    }

    /** The pressure the chosen school asks to be reached, Pa; empty where it is read on a needle. */
    static Optional<Double> level(Examination x) {
        return WAYS.stream().filter(way -> chosen(x, way)).findFirst().map(way -> x.rules()
                .number(way.reached));
    }

    private static Judgement needle(Examination x) {
        Finding finding = x.finding();
        x.measured(EvacuationPoints.NEEDLE_SHOWS).ifPresent(read -> {
            AbsolutePressure air = x.facts().site().atmosphere();
            double step = Math.max(
                    read.resolution(),
                    x.accuracy(EvacuationPoints.NEEDLE_SHOWS, Dimension.GAUGE_PRESSURE)
                            .resolution());
            finding.step(EvacuationPoints.NEEDLE_SHOWS.title(), read.quantity())
                    .step("Air's pressure at this height", air)
                    .step("One step of it", "as vacuum", AbsolutePressure.ofPascals(step), "");
        });
        return finding.conclude(
                Verdict.NOT_SHOWN,
                Text.of(
                        "A compound gauge cannot show dryness: one of its divisions is more than all the water there is."),
                "Read it on an electronic vacuum gauge at the far side from the pump.");
    }

    /** What a curve comes to of which nothing tells that the pump was valved off. */
    static Judgement pumpMayRun(Examination x, VacuumCurve curve) {
        Optional<Judgement> falls = level(x).flatMap(level ->
                curve.falling().filter(falling -> falling.last() > level).map(falling -> pumping(x, falling, level)));
        return falls.orElseGet(() -> flat(x));
    }

    private static Judgement pumping(Examination x, Falling falling, double level) {
        AbsolutePressure now = AbsolutePressure.ofPascals(falling.last());
        AbsolutePressure asked = AbsolutePressure.ofPascals(level);
        Finding finding = x.finding()
                .step("Vacuum now", "ln p over time, a line through the last third of the pull", now, "")
                .step("Vacuum asked for", asked);
        return finding.conclude(
                Verdict.NOT_SHOWN,
                Dryness.timeTo(x, falling, level)
                        .orElseGet(() -> Text.of("{now} with the pump on; {asked} are asked for.", now, asked)),
                Text.of("Pump on until it is under {asked}, then valve the pump off and let the log run on.", asked));
    }

    private static Judgement flat(Examination x) {
        return x.finding()
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("Nothing tells when the pump was valved off: so flat a curve may be the pump's."),
                        "Valve the pump off, and mark it by a tap, or write when, from the curve's first sample: 25 min isolated.");
    }

    private static Judgement neverOff(Examination x, Text remedy) {
        return x.finding()
                .step(ISOLATED.title(), EvacuationPoints.NOT_ISOLATED)
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of("The pump was never valved off: the gauge showed the pump."),
                        remedy);
    }

    /** Why no course after isolation can show anything; empty where it can. */
    static Optional<Judgement> noCourse(Examination x) {
        if (byNeedle(x)) {
            return Optional.of(needle(x));
        }
        return x.chosen(ISOLATED)
                .filter(EvacuationPoints.NOT_ISOLATED::equals)
                .map(never -> neverOff(x, Text.of("Valve it off at the system, and let the log run on.")));
    }

    private static Uncertain read(Examination x, Point point) {
        return x.need(point).uncertain();
    }

    private static Judgement deepEnough(Examination x) {
        Optional<Way> way = way(x);
        if (way.isEmpty() || byNeedle(x)) {
            return needle(x);
        }
        Optional<Uncertain> reached = VacuumCurve.of(x)
                .flatMap(VacuumCurve::reached)
                .or(() -> x.measured(REACHED).map(m -> m.uncertain()));
        if (reached.isEmpty()) {
            return x.notShown(
                    List.of(REACHED),
                    Text.of(
                            "It must reach {reached}.",
                            x.rules().setting(way.get().reached).value()));
        }
        Optional<Judgement> earlier = way.get() == REPEATED ? earlierPulls(x) : Optional.empty();
        if (earlier.isPresent()) {
            return earlier.get();
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(LEVEL));
        limits.add(asked(x, way.get().reached));
        Finding finding = x.finding();
        Comparison held = finding.hold(LEVEL, reached.get(), 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Pump on until it is under {binding}; if it stops above, look for water or a leak first.",
                        held.binding().limit().value()));
    }

    private static boolean byNeedle(Examination x) {
        return x.chosen(EvacuationPoints.GAUGE)
                .filter(EvacuationPoints.NEEDLE::equals)
                .isPresent();
    }

    private static Optional<Judgement> earlierPulls(Examination x) {
        int asked = (int) x.rules().number(PULLS_ASKED);
        double deep = x.rules().number(EARLIER_PULLS);
        Optional<Pulls> pulls =
                x.listed(PULLS, Pulls.class).or(() -> VacuumCurve.of(x).flatMap(VacuumCurve::depths));
        if (pulls.isEmpty()) {
            return Optional.of(x.notShown(List.of(PULLS), Text.of("{asked} pulls are asked for.", asked)));
        }
        List<Double> depths = pulls.get().depths();
        double first = x.rules().decides(FIRST_PULL) ? Math.max(deep, x.rules().number(FIRST_PULL)) : deep;
        long enough = depths.stream().filter(p -> reached(p, deep)).count();
        long withFirst = enough < depths.size() && depths.stream().anyMatch(p -> !reached(p, deep) && reached(p, first))
                ? enough + 1
                : enough;
        boolean lastDeep = reached(depths.get(depths.size() - 1), deep);
        return withFirst >= asked && lastDeep
                ? Optional.empty()
                : Optional.of(x.finding()
                        .step("Pulls", "", pulls.get().summary(), "")
                        .conclude(
                                Verdict.FAILS,
                                withFirst >= asked
                                        ? Text.of(
                                                "The last pull did not reach {deep}.", AbsolutePressure.ofPascals(deep))
                                        : Text.of(
                                                "{withFirst} of {asked} pulls reached {deep}.",
                                                withFirst,
                                                asked,
                                                AbsolutePressure.ofPascals(deep)),
                                Text.of(
                                        "Break the vacuum with dry nitrogen and pull again: {asked} more to {deep}.",
                                        Math.max(1, asked - withFirst),
                                        AbsolutePressure.ofPascals(deep))));
    }

    /** A pull that came down to a pressure has reached it. */
    private static boolean reached(double pull, double asked) {
        return pull <= asked * (1 + ROUNDING);
    }

    private static Limit asked(Examination x, Setting setting) {
        return new Limit(
                x.rules().practice(),
                Bound.AT_MOST,
                x.rules().setting(setting).value(),
                x.rules().setting(setting).source());
    }

    private static Judgement stood(Examination x) {
        Optional<Way> way = way(x);
        if (way.isEmpty() || byNeedle(x)) {
            return needle(x);
        }
        double time = x.rules().number(way.get().time);
        if (x.chosen(ISOLATED).orElseThrow().equals(EvacuationPoints.NOT_ISOLATED)) {
            return neverOff(x, Text.of("Valve it off at the system and read it for {time}.", Duration.ofSeconds(time)));
        }
        Optional<VacuumCurve> curve = VacuumCurve.of(x).filter(c -> c.lasting() > 0);
        if (curve.isPresent() && !curve.get().told()) {
            return pumpMayRun(x, curve.get());
        }
        List<Point> missing = curve.isPresent() ? List.of() : x.missing(AFTER, HOLD_TIME);
        if (!missing.isEmpty()) {
            return x.notShown(
                    missing,
                    Text.of(
                            "After {time} it may stand at {stands} at most.",
                            Duration.ofSeconds(time),
                            x.rules().setting(way.get().stands).value()));
        }
        double lasted = curve.map(VacuumCurve::lasting)
                .orElseGet(() -> x.need(HOLD_TIME).quantity().si());
        Uncertain after = curve.map(c -> c.after(time)).orElseGet(() -> read(x, AFTER));
        return standing(x, way.get(), time, lasted, after);
    }

    private static Judgement standing(Examination x, Way way, double time, double lasted, Uncertain after) {
        List<Limit> limits = new ArrayList<>(x.rules().limits(STANDS));
        limits.add(asked(x, way.stands));
        Finding finding = x.finding()
                .step("Isolated for", Duration.ofSeconds(lasted))
                .step(
                        "Isolated for, asked",
                        "",
                        Duration.ofSeconds(time),
                        x.rules().setting(way.time).source());
        Comparison held = finding.hold(STANDS, after, 0, limits).orElseThrow();
        AbsolutePressure most = (AbsolutePressure) held.binding().limit().value();
        if (lasted < time && held.verdict() != Verdict.FAILS) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "It was isolated for {lasted}; {time} are asked for.",
                            Duration.ofSeconds(lasted),
                            Duration.ofSeconds(time)),
                    Text.of(
                            "Leave it isolated {time} longer; it may then stand at {most} at most.",
                            Duration.ofSeconds(Math.ceil((time - lasted) / 60) * 60),
                            most));
        }
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Repair what the decay curve shows, then evacuate again: {most} maximum after {time}.",
                        most,
                        Duration.ofSeconds(time)));
    }
}
