package org.undanus.core.station.tightness;

import static org.undanus.core.station.tightness.TightnessPoints.STAGES;
import static org.undanus.core.station.tightness.TightnessPoints.START_PRESSURE;
import static org.undanus.core.station.tightness.TightnessPoints.STRENGTH;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.Curve;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Value;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
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
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.GaugePressure;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/** How high the test went: never over what the plates bear, in stages, and as high as the tightness asked for. */
final class TestPressure {
    private static final String SOURCE =
            "Nameplate; ISO 5149-2 and EN 378-2, pressure tests; check the adopted edition";
    private static final LimitKey HIGHEST =
            new LimitKey("tightness.highest", Dimension.GAUGE_PRESSURE, "Highest pressure of the test");
    private static final LimitKey TARGET =
            new LimitKey("tightness.target", Dimension.GAUGE_PRESSURE, "Pressure of the long hold");
    private static final Setting FRACTION = new Setting(
            "tightness.fraction", Dimension.RATIO, "Tightness pressure, share of the design pressure on the low side");
    private static final Setting SCREEN =
            new Setting("tightness.screen", Dimension.GAUGE_PRESSURE, "Pressure of a low-pressure screen");
    private static final Setting FEWEST =
            new Setting("tightness.stages", Dimension.COUNT, "Stages in which the pressure is raised");
    private static final Setting PAUSE =
            new Setting("tightness.pause", Dimension.DURATION, "How long each stage is watched");

    static final SchoolTopic.School BY_MAKER = new SchoolTopic.School("maker", "The maker's figure");
    static final SchoolTopic.School BY_FRACTION = new SchoolTopic.School("fraction", "A share of the design pressure");
    static final SchoolTopic.School BY_SCREEN =
            new SchoolTopic.School("screen", "Low pressure and bubbles, as a screen only");
    static final SchoolTopic TOPIC = new SchoolTopic(
            "tightness.target", "How high the tightness test goes", List.of(BY_MAKER, BY_FRACTION, BY_SCREEN));

    private TestPressure() {}

    static final Requirement NEVER_OVER = Requirement.of(
            About.of(
                            "tightness.never-over",
                            Station.TIGHTNESS,
                            Scope.LINE_SET,
                            "Never over the plates' test pressure",
                            Severity.SAFETY)
                    .sources(SOURCE)
                    .limits(HIGHEST)
                    .cautions("Never exceed the lower test pressure on any plate of what is under test."),
            TestPressure::neverOver);

    static final Requirement IN_STAGES = Requirement.of(
            About.of(
                            "tightness.in-stages",
                            Station.TIGHTNESS,
                            Scope.LINE_SET,
                            "Pressure raised in stages",
                            Severity.SAFETY)
                    .sources("Common practice: large leaks and loose joints show at low pressure")
                    .needs(STAGES)
                    .settings(FEWEST, PAUSE),
            TestPressure::inStages);

    static final Requirement HIGH_ENOUGH = Requirement.of(
            About.of(
                            "tightness.high-enough",
                            Station.TIGHTNESS,
                            Scope.LINE_SET,
                            "Tested at the pressure asked for",
                            Severity.DAMAGE)
                    .sources(SOURCE)
                    .limits(TARGET)
                    .settings(FRACTION, SCREEN)
                    .schools(TOPIC),
            TestPressure::highEnough);

    private static final LimitKey STRENGTH_LIMIT =
            new LimitKey("tightness.strength-pressure", Dimension.GAUGE_PRESSURE, "Strength test, highest pressure");

    /** The pressure held briefly before the long hold, where code or maker asks for one. */
    static final Requirement STRENGTH_TEST = Requirement.of(
            About.of(
                            "tightness.strength-test",
                            Station.TIGHTNESS,
                            Scope.LINE_SET,
                            "Strength test high enough",
                            Severity.SAFETY)
                    .sources(SOURCE)
                    .limits(STRENGTH_LIMIT)
                    .cautions(STRENGTH.caution()),
            TestPressure::strength);

    private static Judgement strength(Examination x) {
        List<Limit> limits = x.outdoor()
                .map(unit -> x.at(unit).limits(STRENGTH_LIMIT, SheetLimit.atLeast(SheetValue.STRENGTH_PRESSURE)))
                .orElseGet(() -> x.rules().limits(STRENGTH_LIMIT));
        if (limits.isEmpty()) {
            return x.finding()
                    .conclude(
                            Verdict.DOES_NOT_APPLY,
                            Text.of("Neither code nor maker asks for a strength test here."),
                            "");
        }
        Limit highest = limits.stream()
                .max(Comparator.comparingDouble(limit -> limit.value().si()))
                .orElseThrow();
        Optional<Judgement> contradicted = contradicted(x, highest);
        if (contradicted.isPresent()) {
            return contradicted.get();
        }
        if (!x.has(STRENGTH)) {
            return x.notShown(List.of(STRENGTH), Text.of("It goes up to {highest}.", highest.value()));
        }
        Value.Measured read = x.need(STRENGTH);
        Finding finding = x.finding();
        Comparison held = finding.hold(STRENGTH_LIMIT, read.uncertain(), read.resolution(), limits)
                .orElseThrow();
        return finding.conclude(
                held.verdict() == Verdict.FAILS ? Verdict.NOT_SHOWN : held.verdict(),
                finding.room(),
                Text.of("Test it anew at {binding}.", held.binding().limit().value()));
    }

    /** Where more is asked for than the plate allows, nobody tests at either before it is settled which stands. */
    private static Optional<Judgement> contradicted(Examination x, Limit asked) {
        return plate(x).filter(most -> asked.value().si() > most).map(most -> x.finding()
                .step("Asked for", asked.value(), asked.source())
                .step("Plate, low side", "never more", GaugePressure.ofPascals(most), "Plate of the outdoor unit")
                .conclude(
                        Verdict.REFER,
                        Text.of(
                                "{asked} are asked for, and the plate bears {most} on its low side.",
                                asked.value(),
                                GaugePressure.ofPascals(most)),
                        Text.of(
                                "Ask the maker which figure stands. Until then never over {most}.",
                                GaugePressure.ofPascals(most))));
    }

    /** The pressure the hold began at, gauge. */
    static Optional<Uncertain> held(Examination x) {
        return Curve.of(x, TightnessPoints.PRESSURE_LOG, TightnessPoints.PRESSURE_READINGS)
                .map(curve -> new Uncertain(curve.outline().mean(0), curve.step() / Math.sqrt(12)))
                .or(() -> x.measured(START_PRESSURE).map(read -> read.uncertain()));
    }

    private static Optional<Uncertain> highest(Examination x) {
        return Stream.of(
                        x.measured(STRENGTH).map(read -> read.uncertain()),
                        x.listed(STAGES, PressureStages.class)
                                .map(s -> new Uncertain(
                                        s.highest(), x.step(STAGES, Dimension.GAUGE_PRESSURE, 0) / Math.sqrt(12))),
                        held(x))
                .flatMap(Optional::stream)
                .max((a, b) -> Double.compare(a.value(), b.value()));
    }

    /** The lowest test pressure on the plates of the units a line set joins, or their sheets, gauge. */
    static Optional<Double> plate(Examination x) {
        return x.outdoor().flatMap(unit -> x.at(unit).number(PlatePoints.LOW_SIDE_TEST_PRESSURE));
    }

    private static Judgement noPlate(Examination x) {
        Component unit = x.outdoor().orElse(null);
        return unit == null
                ? x.noSheetTells("the test pressure on the low side", "Add the outdoor unit.")
                : x.at(unit).notShown(List.of(PlatePoints.LOW_SIDE_TEST_PRESSURE));
    }

    private static Judgement neverOver(Examination x) {
        Optional<Uncertain> highest = highest(x);
        Optional<Double> plate = plate(x);
        if (plate.isEmpty()) {
            return noPlate(x);
        }
        if (highest.isEmpty()) {
            return x.notShown(
                    List.of(STAGES),
                    Text.of("It may go up to {plate}, and not higher.", GaugePressure.ofPascals(plate.get())));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(HIGHEST));
        limits.add(new Limit(
                x.rules().maker(),
                Bound.AT_MOST,
                GaugePressure.ofPascals(plate.get()),
                "Plate of the outdoor unit, test pressure on the low side"));
        Finding finding = x.finding();
        Comparison held = finding.hold(HIGHEST, highest.get(), 0, limits).orElseThrow();
        return finding.conclude(
                held.verdict(),
                finding.room(),
                Text.of(
                        "Keep everybody away until it is at {plate} or less. Then ask the maker what was overstressed.",
                        GaugePressure.ofPascals(plate.get())));
    }

    private static Judgement inStages(Examination x) {
        PressureStages stages = x.listed(STAGES, PressureStages.class).orElseThrow();
        int fewest = (int) x.rules().number(FEWEST);
        double pause = x.rules().number(PAUSE);
        long hasty = stages.stages().stream()
                .limit(stages.stages().size() - 1L)
                .filter(stage -> stage.seconds() < pause)
                .count();
        Finding finding = x.finding()
                .step("Stages", "", stages.summary(), "")
                .step(
                        "Stages asked for",
                        "",
                        Text.of("{fewest}", fewest),
                        x.rules().setting(FEWEST).source())
                .step(
                        "Each watched for",
                        "",
                        Duration.ofSeconds(pause),
                        x.rules().setting(PAUSE).source());
        if (stages.stages().size() < fewest) {
            return finding.conclude(
                    Verdict.FAILS,
                    Text.of(
                            "It rose in {stages} of {fewest} stages.",
                            stages.stages().size(),
                            fewest),
                    Text.of(
                            "Nothing to correct now. Next time raise the pressure in {fewest} stages, {pause} each: {highest} first.",
                            fewest,
                            Duration.ofSeconds(pause),
                            GaugePressure.ofPascals(stages.highest() / fewest)));
        }
        return hasty == 0
                ? finding.conclude(
                        Verdict.MEETS,
                        Text.of(
                                "It rose in {stages} stages, each watched.",
                                stages.stages().size()),
                        "")
                : finding.conclude(
                        Verdict.FAILS,
                        Text.of(
                                "{hasty} of its stages were not watched for {pause}.",
                                hasty,
                                Duration.ofSeconds(pause)),
                        Text.of("Next time watch each stage for {pause} before going on.", Duration.ofSeconds(pause)));
    }

    /** What the school asks for, with where it says so; empty where the plate is not known. */
    static Optional<Limit> asked(Examination x) {
        if (x.by(BY_SCREEN)) {
            return Optional.of(new Limit(
                    x.rules().practice(),
                    Bound.AT_LEAST,
                    x.rules().setting(SCREEN).value(),
                    x.rules().setting(SCREEN).source()));
        }
        Optional<Limit> maker = x.by(BY_FRACTION) ? Optional.empty() : ofMaker(x);
        return maker.isPresent()
                ? maker
                : plate(x).map(pressure -> new Limit(
                        x.rules().practice(),
                        Bound.AT_LEAST,
                        GaugePressure.ofPascals(x.rules().number(FRACTION) * pressure),
                        x.rules().setting(FRACTION).source()));
    }

    /** What the outdoor unit's sheet asks for; makers that give none leave it to practice. */
    private static Optional<Limit> ofMaker(Examination x) {
        return x.outdoor().flatMap(unit -> {
            Examination there = x.at(unit);
            return there.sheet()
                    .flatMap(sheet -> sheet.value(SheetValue.TIGHTNESS_PRESSURE))
                    .map(value -> there.bySheet(Bound.AT_LEAST, value));
        });
    }

    private static Judgement highEnough(Examination x) {
        Optional<Limit> asked = asked(x);
        if (asked.isEmpty()) {
            return noPlate(x);
        }
        Optional<Judgement> contradicted = contradicted(x, asked.get());
        if (contradicted.isPresent()) {
            return contradicted.get();
        }
        Optional<Uncertain> held = held(x);
        if (held.isEmpty()) {
            return x.notShown(
                    List.of(START_PRESSURE),
                    Text.of("It begins at {asked}.", asked.get().value()));
        }
        List<Limit> limits = new ArrayList<>(x.rules().limits(TARGET));
        limits.add(asked.get());
        Finding finding = x.finding();
        Comparison compared = finding.hold(TARGET, held.get(), 0, limits).orElseThrow();
        boolean lower = compared.verdict() == Verdict.FAILS;
        if (x.by(BY_SCREEN) && !lower) {
            return finding.conclude(
                    Verdict.NOT_SHOWN,
                    Text.of(
                            "A screen at {asked} finds large leaks; it shows no tightness at the pressure of use.",
                            asked.get().value()),
                    plate(x).map(p -> Text.of(
                                    "Hold it at {screen}, and not over {most}.",
                                    GaugePressure.ofPascals(x.rules().number(FRACTION) * p),
                                    GaugePressure.ofPascals(p)))
                            .orElse(Text.of("Hold it at the maker's figure.")));
        }
        return finding.conclude(
                lower ? Verdict.NOT_SHOWN : compared.verdict(),
                lower
                        ? Text.of(
                                "It was held at {held}; that shows nothing at {binding}.",
                                GaugePressure.ofPascals(held.get().value()),
                                compared.binding().limit().value())
                        : finding.room(),
                plate(x).map(most -> Text.of(
                                "Test it anew at {binding}, and not over {most}.",
                                compared.binding().limit().value(),
                                GaugePressure.ofPascals(most)))
                        .orElse(Text.of(
                                "Test it anew at {binding}.",
                                compared.binding().limit().value())));
    }
}
