package org.undanus.core.station.evacuation;

import static org.undanus.core.station.evacuation.EvacuationPoints.BORE;
import static org.undanus.core.station.evacuation.EvacuationPoints.COLDEST;
import static org.undanus.core.station.evacuation.EvacuationPoints.GAUGE_AT;
import static org.undanus.core.station.evacuation.EvacuationPoints.HOSE;
import static org.undanus.core.station.evacuation.EvacuationPoints.LOG;
import static org.undanus.core.station.evacuation.EvacuationPoints.PULLED;
import static org.undanus.core.station.evacuation.EvacuationPoints.PUMP;
import static org.undanus.core.station.evacuation.EvacuationPoints.REACHED;
import static org.undanus.core.station.evacuation.EvacuationPoints.READINGS;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.undanus.core.curve.Falling;
import org.undanus.core.curve.PullDown;
import org.undanus.core.curve.Rise;
import org.undanus.core.derived.TestVolume;
import org.undanus.core.derived.notation.Marks.Act;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Amount;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Leak;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** What the curve after isolation says: tight and dry, moisture, a leak, both, or that it cannot be told yet. */
final class Dryness {
    private static final String FITTED =
            "Least squares of flat, straight, levelling and both; the corrected Akaike criterion chooses";
    private static final String WATER = "ASHRAE Fundamentals, psychrometrics (Hyland and Wexler)";
    private static final Setting LEAK =
            new Setting("evacuation.leak", Dimension.LEAK, "Leak into the vacuum that is too much");
    private static final Setting MOIST = new Setting(
            "evacuation.moisture", Dimension.PRESSURE_DIFFERENCE, "Rise by moisture from which a system is not dry");
    private static final Setting WALL = new Setting(
            "evacuation.warm-wall", Dimension.TEMPERATURE, "Warmest wall, where none was read: water adds no more");
    private static final Setting DRY_LEVEL = new Setting(
            "evacuation.dry-level", Dimension.ABSOLUTE_PRESSURE, "Vacuum that ice must not be able to hold");

    private Dryness() {}

    static final About CURVE_ABOUT = About.of(
                    "evacuation.curve",
                    Station.EVACUATION,
                    Scope.LINE_SET,
                    "Decay curve: leak or moisture",
                    Severity.DAMAGE)
            .sources(FITTED)
            .settings(LEAK, MOIST, WALL);
    static final Requirement CURVE = Requirement.of(CURVE_ABOUT, Dryness::curve);
    static final Requirement FROST = Requirement.of(
            About.of("evacuation.frost", Station.EVACUATION, Scope.LINE_SET, "No ice masking moisture", Severity.DAMAGE)
                    .sources(WATER)
                    .needs(COLDEST)
                    .settings(DRY_LEVEL),
            Dryness::frost);
    static final Requirement SPEED = Requirement.of(
            About.of(
                            "evacuation.pull-down",
                            Station.EVACUATION,
                            Scope.LINE_SET,
                            "Pulled down as fast as pump and hose can",
                            Severity.RECORD)
                    .sources("Pump and hose in series: 1/S = 1/S_pump + 1/C; vacuum technology, conductance of tubes")
                    .needs(PULLED, REACHED, PUMP, BORE, HOSE),
            Dryness::speed);

    /** The pressure water can reach at most: of the wall read, else of what the book assumes. */
    static double mostMoisture(Examination x) {
        Temperature wall = Temperature.ofKelvin(x.number(COLDEST)
                .map(cold -> Math.max(cold, x.rules().number(WALL)))
                .orElseGet(() -> x.rules().number(WALL)));
        return MoistAir.saturationPressure(wall).si();
    }

    private static Judgement curve(Examination x) {
        Optional<Judgement> nothing = Acceptance.noCourse(x);
        if (nothing.isPresent()) {
            return nothing.get();
        }
        Optional<VacuumCurve> curve = VacuumCurve.of(x);
        if (curve.isPresent() && !curve.get().told()) {
            return Acceptance.pumpMayRun(x, curve.get());
        }
        Optional<Rise> rise = curve.flatMap(c -> c.read(mostMoisture(x)));
        if (rise.isEmpty()) {
            List<Point> missing = x.doubted(LOG) ? List.of(LOG) : List.of(READINGS);
            return curve.isEmpty()
                    ? x.notShown(missing)
                    : x.finding()
                            .conclude(
                                    Verdict.NOT_SHOWN,
                                    Text.of(
                                            "{rise} samples came after isolation; a curve is read from {fewest} at least.",
                                            curve.get().rise().size(),
                                            Rise.FEWEST),
                                    "Valve the pump off and read it every minute, or let the logger run on.");
        }
        Optional<TestVolume> volume = TestVolume.of(x);
        if (volume.isEmpty()) {
            return x.notShown(List.of(TestVolume.READ));
        }
        return said(x, curve.get(), rise.get(), volume.get());
    }

    private static Judgement said(Examination x, VacuumCurve curve, Rise rise, TestVolume volume) {
        double tooMuch = x.rules().number(LEAK);
        double v = volume.cubicMetres();
        double gain = curve.curve().accuracy().gain();
        Rise.Leaks leaks = rise.leaks(gain);
        boolean moist = rise.model().levels() && rise.moisture() > x.rules().number(MOIST);
        Finding finding = explained(x, curve, rise, volume, leaks);
        if (leaks.least() * v > tooMuch) {
            return finding.conclude(
                    Verdict.FAILS,
                    moist
                            ? Text.of(
                                    "It climbs on and levels off: a leak of {least} to {most}, and moisture.",
                                    leak(leaks.least() * v),
                                    leak(leaks.most() * v))
                            : Text.of(
                                    "It climbs straight on: a leak of {least} to {most}.",
                                    leak(leaks.least() * v),
                                    leak(leaks.most() * v)),
                    "Break the vacuum with dry nitrogen, find the leak under pressure, then evacuate anew.");
        }
        if (leaks.most() * v > tooMuch) {
            return cannotTell(x, finding, rise, leaks, v, tooMuch);
        }
        if (moist) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "Levels off at {plateau}: moisture, not a leak; a leak above {leak} would have shown.",
                            Amount.of(Dimension.ABSOLUTE_PRESSURE, rise.plateau(gain), 0),
                            leak(leaks.most() * v)),
                    "Break the vacuum with dry nitrogen, change the pump's oil, and pull again, with the lines warm.");
        }
        return finding.conclude(
                Verdict.MEETS,
                Text.of(
                        "Dry and tight: it stands at {rise}, and a leak above {leak} would have shown.",
                        AbsolutePressure.ofPascals(rise.last()),
                        leak(leaks.most() * v)),
                "");
    }

    private static Finding explained(Examination x, VacuumCurve curve, Rise rise, TestVolume volume, Rise.Leaks leaks) {
        Finding finding = volume.explain(x.finding()
                .step(
                        "Isolated from",
                        curve.marked() ? "as marked" : "nothing is marked: from where it began to rise on",
                        Duration.ofSeconds(curve.isolated()),
                        "")
                .step("Course", "flat, straight, levelling or both", Text.of("{course}", course(rise)), FITTED)
                .step("At isolation", AbsolutePressure.ofPascals(rise.first()))
                .step("At the end", AbsolutePressure.ofPascals(rise.last()))
                .step(
                        "Water's pressure at most",
                        "saturation at the warmest wall",
                        AbsolutePressure.ofPascals(mostMoisture(x)),
                        WATER));
        return finding.step(
                        "Leak",
                        "a·V, every course that fits as well as chance allows, and the gauge's gain",
                        Text.of(
                                "{least} to {most}",
                                leak(leaks.least() * volume.cubicMetres()),
                                leak(leaks.most() * volume.cubicMetres())),
                        "")
                .step(
                        "Leak that is too much",
                        "",
                        leak(x.rules().number(LEAK)),
                        x.rules().setting(LEAK).source());
    }

    private static Leak leak(double si) {
        return Leak.ofPascalCubicMetresPerSecond(si);
    }

    private static Judgement cannotTell(
            Examination x, Finding finding, Rise rise, Rise.Leaks leaks, double v, double tooMuch) {
        OptionalDouble whole = rise.needed(tooMuch / v, mostMoisture(x));
        Text because = Text.of(
                "It cannot be told yet whether it leaks or is wet: the leak may be anything from {least} to {most}.",
                leak(leaks.least() * v),
                leak(leaks.most() * v));
        return whole.isPresent() && whole.getAsDouble() > rise.lasting()
                ? finding.conclude(
                        Verdict.NOT_SHOWN,
                        because,
                        Text.of(
                                "Isolate {whole} more to tell leak from moisture.",
                                Duration.ofSeconds(Math.ceil((whole.getAsDouble() - rise.lasting()) / 60) * 60)))
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        because,
                        "Read it on a gauge that shows smaller steps, and leave it isolated longer.");
    }

    private static String course(Rise rise) {
        return switch (rise.model()) {
            case FLAT -> "flat";
            case STRAIGHT -> "straight";
            case LEVELLING -> "levelling off";
            case BOTH -> "climbing and levelling off";
        };
    }

    private static Judgement frost(Examination x) {
        Temperature coldest = (Temperature) x.need(COLDEST).quantity();
        double holds = MoistAir.saturationPressure(coldest).si();
        var level = x.rules().setting(DRY_LEVEL);
        Finding finding = x.finding()
                .step("Coldest wall", coldest)
                .step("Water or ice there holds", "saturation pressure", AbsolutePressure.ofPascals(holds), WATER)
                .step("Vacuum that shows dryness", "", level.value(), level.source());
        return holds > level.value().si()
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "Water left in it would have held {holds}: it could not hide.",
                                AbsolutePressure.ofPascals(holds)),
                        "")
                : finding.conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "Ice at {coldest} holds {holds} only: a dry-looking vacuum in this frost shows nothing.",
                                coldest,
                                AbsolutePressure.ofPascals(holds)),
                        "Warm the lines and the unit above freezing, then evacuate and isolate again.");
    }

    /** The pump running: as long as it needs to the level asked for, were it dry and tight. */
    static final HoldableLine PULLING = new HoldableLine(
            PULLED,
            Optional.of(Act.PUMP_ON),
            Acceptance.DEEP_ENOUGH.about(),
            Dryness::quickest,
            (x, seconds) -> goesOn(x));

    private static Optional<Text> goesOn(Examination x) {
        return Acceptance.level(x)
                .flatMap(level ->
                        VacuumCurve.of(x).flatMap(VacuumCurve::falling).flatMap(falling -> timeTo(x, falling, level)));
    }

    /** How much longer the pump takes to a level as it goes; empty where pump and hose are not known. */
    static Optional<Text> timeTo(Examination x, Falling falling, double level) {
        AbsolutePressure now = AbsolutePressure.ofPascals(falling.last());
        AbsolutePressure asked = AbsolutePressure.ofPascals(level);
        return pullDown(x).map(able -> falling.until(level, able)).map(span -> {
            if (span.most() == 0) {
                return Text.of("{now}: under the {asked} asked for.", now, asked);
            }
            return Double.isInfinite(span.most())
                    ? Text.of(
                            "{now}, and it hardly falls: water boils off, the oil is worn, or it leaks. No time to {asked} can be told.",
                            now,
                            asked)
                    : Text.of(
                            "{now} with the pump on: {asked} in {least} to {most} as it goes.",
                            now,
                            asked,
                            Duration.ofSeconds(Math.floor(span.least() / 60) * 60),
                            Duration.ofSeconds(Math.ceil(span.most() / 60) * 60));
        });
    }

    private static Optional<Double> quickest(Examination x) {
        return Acceptance.level(x).flatMap(level -> pullDown(x)
                .map(pull -> pull.time(x.facts().site().atmosphere().si(), level)));
    }

    /** What pump and hose can do; empty where they are not known. */
    static Optional<PullDown> pullDown(Examination x) {
        return x.missing(PUMP, BORE, HOSE).isEmpty()
                ? TestVolume.of(x).map(volume -> pull(x, volume))
                : Optional.empty();
    }

    private static PullDown pull(Examination x, TestVolume volume) {
        return new PullDown(
                volume.cubicMetres(),
                x.need(PUMP).quantity().si(),
                0,
                x.need(BORE).quantity().si(),
                x.need(HOSE).quantity().si());
    }

    private static Judgement speed(Examination x) {
        Optional<TestVolume> volume = TestVolume.of(x);
        if (volume.isEmpty()) {
            return x.notShown(List.of(TestVolume.READ));
        }
        double reached = x.need(REACHED).quantity().si();
        double quickest =
                pull(x, volume.get()).time(x.facts().site().atmosphere().si(), reached);
        double took = x.need(PULLED).quantity().si();
        Finding finding = volume.get()
                .explain(x.finding())
                .step("Pump ran for", Duration.ofSeconds(took))
                .step(
                        "Quickest, dry and tight",
                        "∫ V·dp/(S·p), the hose in series with the pump",
                        Duration.ofSeconds(quickest),
                        "");
        boolean atPump =
                x.chosen(GAUGE_AT).filter(EvacuationPoints.AT_PUMP::equals).isPresent();
        if (took < quickest) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    atPump
                            ? Text.of(
                                    "The gauge sits at the pump: that vacuum after {took} is the pump's, not the system's.",
                                    Duration.ofSeconds(took))
                            : Text.of(
                                    "Pump and hose need {quickest} for that at least; {took} are recorded.",
                                    Duration.ofSeconds(quickest),
                                    Duration.ofSeconds(took)),
                    "Read it at the far side from the pump, and note when the pump was switched on.");
        }
        return finding.conclude(
                Verdict.MEETS, Text.of("Pump and hose can do that in {quickest}.", Duration.ofSeconds(quickest)), "");
    }
}
