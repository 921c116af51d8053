package org.undanus.core.station.evacuation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.Charts;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class EvacuationTest {
    private static final String LINES = "@line-set-indoor";

    private static CaseFixture read(CaseFixture fixture, String... pointsAndTyped) {
        for (int i = 0; i < pointsAndTyped.length; i += 2) {
            fixture.lines("evacuation." + pointsAndTyped[i], pointsAndTyped[i + 1]);
        }
        return fixture;
    }

    private static CaseFixture read(String... pointsAndTyped) {
        CaseFixture fixture = new CaseFixture().at(Stage.WITNESS);
        fixture.lines("tightness.volume", "1.6 L");
        return read(fixture, pointsAndTyped);
    }

    private static String log(double minutes, DoubleUnaryOperator pascals) {
        StringBuilder csv = new StringBuilder("time,micron\n");
        Instant start = Instant.parse("2026-06-03T09:00:00Z");
        for (int i = 0; i <= minutes * 12; i++) {
            csv.append(start.plusSeconds(5L * i))
                    .append(',')
                    .append(String.format(Locale.ROOT, "%.0f", pascals.applyAsDouble(5.0 * i) / 0.1333224))
                    .append('\n');
        }
        return csv.toString();
    }

    private static CaseFixture logged(double minutes, DoubleUnaryOperator pascals) {
        return read("gauge", "electronic vacuum gauge", "isolated", "valved off at the system")
                .logged("evacuation.log", "line-set-indoor", log(minutes, pascals));
    }

    private static Judgement curve(CaseFixture fixture) {
        return fixture.find("evacuation.curve" + LINES);
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "gauge-at, far side from the pump, MEETS",
        "gauge-at, at the pump, NOT_SHOWN",
        "gauge-at, on the manifold, NOT_SHOWN",
        "pump-oil, fresh, MEETS",
        "pump-oil, clear, MEETS",
        "pump-oil, cloudy, FAILS",
        "pump-oil, not known, NOT_SHOWN",
        "cores-out, yes, MEETS",
        "cores-out, no, FAILS",
        "valves-shut-until, yes, MEETS",
        "valves-shut-until, no, FAILS",
    })
    void whatIsAnswered(String point, String typed, Verdict verdict) {
        String key = "evacuation." + point + LINES;
        assertThat(read().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(read(point, typed).verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"350 micron, MEETS", "900 micron, FAILS", "500 micron, TOO_CLOSE"})
    void itIsDeepEnough(String reached, Verdict verdict) {
        Judgement open = read().find("evacuation.deep-enough" + LINES);
        assertThat(open.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(open.remedy().orElseThrow().toString()).contains("It must reach 66.7 Pa.");
        assertThat(read("reached", reached).verdict("evacuation.deep-enough" + LINES))
                .isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} after {1}: {2}")
    @CsvSource({
        "600 micron, 10 min, MEETS",
        "1800 micron, 10 min, FAILS",
        "1000 micron, 10 min, TOO_CLOSE",
        "600 micron, 4 min, NOT_SHOWN",
        "1800 micron, 4 min, FAILS",
    })
    void itStandsAfterIsolation(String after, String time, Verdict verdict) {
        String key = "evacuation.stood" + LINES;
        assertThat(read().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(read("isolated", "valved off at the system", "after", after, "hold-time", time)
                        .verdict(key))
                .isEqualTo(verdict);
        assertThat(read("isolated", "not isolated", "after", after, "hold-time", time)
                        .verdict(key))
                .as("the gauge showed the pump")
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    @Test
    void aHoldKnowsHowLongItTakesAndWhatItCouldShowByThen() {
        HoldableLine isolation = Evacuation.plan().holdings().get(0);
        Examination x = examination(isolation, read());
        assertThat(isolation.needed().apply(x)).as("deep pull with isolation").contains(600.0);
        // 2·√2·1 micron/√12 of 1.6 L in 60 s
        assertThat(isolation.power().after(x, 60).orElseThrow().in(UnitSystem.SI))
                .isEqualTo("A leak over 0.0029 Pa·L/s would have shown by now.");
        assertThat(isolation.power().after(x, 600).orElseThrow().in(UnitSystem.SI))
                .isEqualTo("A leak over 0.00029 Pa·L/s would have shown by now.");
        assertThat(isolation.power().after(examination(isolation, new CaseFixture()), 60))
                .as("no volume, no claim")
                .isEmpty();

        HoldableLine pulling = Evacuation.plan().holdings().get(1);
        assertThat(pulling.needed().apply(examination(pulling, read())))
                .as("neither pump nor hose is known")
                .isEmpty();
        CaseFixture pump = read("pump-speed", "4 cfm", "hose-bore", "1/4 in", "hose-length", "5 ft");
        assertThat(pulling.needed().apply(examination(pulling, pump)).orElseThrow())
                .isBetween(20.0, 60.0);
    }

    private static Examination examination(HoldableLine holding, CaseFixture fixture) {
        Case facts = fixture.facts();
        return holding.examination(
                facts,
                fixture.evidence(),
                CaseFixture.PLATE_BOOK,
                facts.subjects(Scope.LINE_SET).get(0));
    }

    @Test
    void aFlatCurveAfterAPullIsThePumpsUntilAMarkSaysOtherwise() {
        DoubleUnaryOperator pulled = t -> 20 + 100_000 * Math.exp(-t / 60);
        Judgement flat = curve(logged(40, pulled));
        assertThat(flat.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(flat.because().toString()).contains("may be the pump's");
        assertThat(logged(40, pulled).verdict("evacuation.stood" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(curve(read(logged(40, pulled), "marks", "0 min pump on, 20 min isolated"))
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        assertThat(curve(logged(40, t -> t < 1200 ? pulled.applyAsDouble(t) : 20 + 0.25 * (t - 1200)))
                        .verdict())
                .as("the rate's change shows it")
                .isEqualTo(Verdict.FAILS);
        assertThat(curve(logged(40, t -> 20)).verdict())
                .as("a curve that begins there begins after it")
                .isEqualTo(Verdict.MEETS);
    }

    private static CaseFixture pulling(double minutes) {
        return read(
                logged(minutes, t -> 5 + 100_000 * Math.exp(-t / 90)),
                "pump-speed",
                "0.1 L/s",
                "hose-bore",
                "3/8 in",
                "hose-length",
                "3 ft");
    }

    @Test
    void whileThePumpDrawsItTellsHowLongItTakesAsItGoes() {
        // 66.7 Pa are reached after 90 s·ln(100 000/61.7), 11 min; after 6 min 5 of them are left, after 8 min 3
        assertThat(curve(pulling(6)).because().toString())
                .matches("18\\d\\d(\\.\\d)? Pa with the pump on: 66\\.7 Pa in [45] min to [5-7] min as it goes\\.");
        assertThat(curve(pulling(8)).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(curve(pulling(8)).remedy().orElseThrow().toString())
                .startsWith("Pump on until it is under 66.7 Pa, then valve the pump off");
        assertThat(curve(logged(6, t -> 5 + 100_000 * Math.exp(-t / 90)))
                        .because()
                        .toString())
                .as("neither pump nor hose is known")
                .endsWith("with the pump on; 66.7 Pa are asked for.");
        HoldableLine pump = Evacuation.plan().holdings().get(1);
        assertThat(pump.power()
                        .after(examination(pump, pulling(6)), 360)
                        .orElseThrow()
                        .toString())
                .contains("as it goes");
    }

    @Test
    void aPullThatHardlyFallsHasNoTime() {
        CaseFixture stuck = read(
                logged(30, t -> 900 + 90_000 * Math.exp(-t / 60) + 3 * Math.sin(t)),
                "pump-speed",
                "4 cfm",
                "hose-bore",
                "3/8 in",
                "hose-length",
                "3 ft");
        assertThat(curve(stuck).because().toString()).contains("it hardly falls: water boils off");
    }

    /** Twice to 150 Pa, broken with nitrogen; the third pull to 30 Pa is valved off. */
    private static double thrice(double t) {
        double since = t < 600 ? t : t < 1200 ? t - 600 : t - 1200;
        double deep = t < 1200 ? 150 : 30;
        return t < 2000 ? deep + 100_000 * Math.exp(-since / 60) : 30;
    }

    @Test
    void pullsBrokenWithNitrogenAreTheSegmentsOfOneCurve() {
        CaseFixture fixture = read(
                logged(50, EvacuationTest::thrice),
                "marks",
                "0 min pump on, 10 min nitrogen in, 10.2 min pump on, 20 min nitrogen in, 20.2 min pump on, 2000 s isolated");
        assertThat(repeated(fixture).verdict()).isEqualTo(Verdict.MEETS);
        assertThat(curve(fixture).verdict()).isEqualTo(Verdict.MEETS);
        CaseFixture twice =
                read(logged(50, EvacuationTest::thrice), "marks", "0 min pump on, 20 min nitrogen in, 2000 s isolated");
        assertThat(repeated(twice).because().toString()).startsWith("2 of 3 pulls reached 200 Pa");
        assertThat(repeated(read(twice, "pulls", "180 Pa, 150 Pa, 60 Pa")).verdict())
                .as("what is written goes before")
                .isEqualTo(Verdict.MEETS);
    }

    @Test
    void anIsolationBeforeTheLastPullIsNotItsOwn() {
        CaseFixture again = read(
                logged(15, t -> t < 600 ? 150 + 100_000 * Math.exp(-t / 60) : 5 + 100_000 * Math.exp(-(t - 600) / 90)),
                "marks",
                "0 min pump on, 8 min isolated, 10 min nitrogen in, 10 min pump on");
        assertThat(curve(again).because().toString()).contains("with the pump on");
    }

    @Test
    void nitrogenThatIsLetInLastOfAllIsNoPull() {
        CaseFixture filled = read(
                logged(30, t -> t < 1500 ? 20 + 100_000 * Math.exp(-t / 60) : 90_000),
                "marks",
                "0 min pump on, 18 min isolated, 25 min nitrogen in");
        assertThat(curve(filled).verdict()).isEqualTo(Verdict.MEETS);
        assertThat(repeated(filled).because().toString()).startsWith("Not read yet: Pulls");
    }

    @Test
    void marksOfAnEarlierCurveAreNotThoseOfTheNext() {
        DoubleUnaryOperator pulled = t -> 20 + 100_000 * Math.exp(-t / 60);
        CaseFixture marked = read(logged(40, pulled), "marks", "0 min pump on, 20 min isolated");
        assertThat(curve(marked).verdict()).isEqualTo(Verdict.MEETS);
        marked.logged("evacuation.log", "line-set-indoor", log(41, pulled));
        assertThat(curve(marked).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(curve(read(marked, "marks", "0 min pump on, 20 min isolated"))
                        .verdict())
                .isEqualTo(Verdict.MEETS);
        assertThat(curve(read("marks", "20 min isolated")
                                .lines("evacuation.gauge", "electronic vacuum gauge")
                                .lines("evacuation.isolated", "valved off at the system")
                                .logged("evacuation.log", "line-set-indoor", log(40, pulled)))
                        .verdict())
                .as("written before the only curve")
                .isEqualTo(Verdict.MEETS);
    }

    @Test
    void otherSchoolsStandOnTheChartWhereTheyAreWanted() {
        CaseFixture fixture = logged(15, t -> 40 + 0.002 * t);
        assertThat(chart(fixture, Set.of())).noneMatch(said -> said.contains("strict"));
        assertThat(chart(fixture, Set.of(Charts.Option.OTHER_SCHOOLS)))
                .contains("strict reached: 40 Pa", "strict after: 66.7 Pa")
                .noneMatch(said -> said.contains("deep"));
    }

    private static List<String> chart(CaseFixture fixture, Set<Charts.Option> options) {
        Case facts = fixture.facts();
        Drawing drawing = VacuumFigure.chart(
                        facts,
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()),
                        facts.subjects(Scope.LINE_SET).get(0),
                        new Charts.Look(0, Double.POSITIVE_INFINITY, options, Optional.empty(), OptionalDouble.empty()))
                .orElseThrow()
                .drawing();
        return Sheet.of(drawing, 900, 480, Wording.english(UnitSystem.SI)).pieces().stream()
                .map(Sheet.Piece::text)
                .filter(Objects::nonNull)
                .toList();
    }

    private static Judgement repeated(CaseFixture fixture) {
        return fixture.find("evacuation.deep-enough" + LINES).otherSchools().stream()
                .filter(j -> j.school().orElseThrow().id().equals("repeated"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void noCurveShowsDrynessWithThePumpOnOrByANeedle() {
        CaseFixture on = read("gauge", "electronic vacuum gauge", "isolated", "not isolated")
                .logged("evacuation.log", "line-set-indoor", log(20, t -> 20));
        assertThat(curve(on).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(curve(on).because().toString()).contains("never valved off");
        CaseFixture needle = read("gauge", "needle of a manifold", "isolated", "valved off at the system")
                .logged("evacuation.log", "line-set-indoor", log(20, t -> 20));
        assertThat(curve(needle).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(curve(needle).because().toString()).contains("gauge cannot show dryness");
    }

    @Test
    void aNeedleNeverShowsDryness() {
        CaseFixture needle = read("gauge", "needle of a manifold", "needle", "29.9 inHg vac");
        assertThat(needle.verdict("evacuation.deep-enough" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(needle.find("evacuation.deep-enough" + LINES).because().toString())
                .startsWith("A compound gauge cannot show dryness");
    }

    @Test
    void everySchoolHasItsVerdict() {
        Judgement deep = read(
                        "reached", "400 micron",
                        "isolated", "valved off at the system",
                        "after", "1300 micron",
                        "hold-time", "35 min")
                .find("evacuation.stood" + LINES);
        assertThat(deep.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(deep.otherSchools().stream().map(Judgement::verdict))
                .as("strict, repeated, absolute, needle")
                .containsExactly(Verdict.FAILS, Verdict.MEETS, Verdict.MEETS, Verdict.NOT_SHOWN);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "180 Pa, 150 Pa, 60 Pa | MEETS",
                "180 Pa, 60 Pa | FAILS",
                "4000 micron, 1500 micron, 500 micron | MEETS",
                "1500 micron, 1500 micron, 1500 micron | MEETS",
                "4000 micron, 4000 micron, 500 micron | FAILS",
                "500 micron, 1500 micron, 4000 micron | FAILS",
                "6000 micron, 1500 micron, 500 micron | FAILS",
            })
    void repeatedPullsAreCounted(String pulls, Verdict verdict) {
        assertThat(repeated(read("reached", "60 Pa", "pulls", pulls)).verdict()).isEqualTo(verdict);
    }

    @Test
    void theCurveSaysWhatItIs() {
        assertThat(curve(read()).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        Judgement dry = curve(logged(15, t -> 40 + 0.002 * t));
        assertThat(dry.verdict()).isEqualTo(Verdict.MEETS);
        assertThat(dry.because().toString()).startsWith("Dry and tight: it stands at 41.8 Pa");
        Judgement moist = curve(logged(20, t -> 40 + 75 * -Math.expm1(-t / 140)));
        assertThat(moist.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(moist.because().toString())
                .startsWith("Levels off at 11")
                .contains("moisture, not a leak; a leak above");
        Judgement leaks = curve(logged(15, t -> 40 + 0.12 * t));
        assertThat(leaks.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(leaks.because().toString()).startsWith("It climbs straight on: a leak of 0.1");
        Judgement both = curve(logged(25, t -> 40 + 0.07 * t + 60 * -Math.expm1(-t / 90)));
        assertThat(both.because().toString())
                .startsWith("It climbs on and levels off")
                .contains("and moisture");
    }

    @Test
    void tooShortIsNotShownWithTheTimeStillNeeded() {
        Judgement brief = curve(logged(2.5, t -> 40 + 0.05 * t + 40 * -Math.expm1(-t / 260)));
        assertThat(brief.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(brief.because().toString()).startsWith("It cannot be told yet whether it leaks or is wet");
        assertThat(brief.remedy().orElseThrow().toString())
                .matches("Isolate \\d+ min more to tell leak from moisture\\.");
    }

    @Test
    void thePullIsNotReadAsARise() {
        DoubleUnaryOperator pulledThenHeld = t -> t < 600 ? 40 + 2000 * Math.exp(-t / 60) : 40 + 0.12 * (t - 600);
        CaseFixture unmarked = logged(25, pulledThenHeld);
        assertThat(curve(unmarked).because().toString()).startsWith("It climbs straight on: a leak of 0.1");
        CaseFixture marked = read(
                logged(25, t -> t < 600 ? 40 + 2000 * Math.exp(-t / 60) : 45 - 0.002 * (t - 600)),
                "marks",
                "0 min pump on, 10 min isolated, 20 min nitrogen in");
        assertThat(curve(marked).derivation().stream().map(s -> s.how().toString()))
                .contains("as marked");
        Judgements all = new Judgements(marked.judgements());
        Drawing drawn = VacuumFigure.draw(marked.facts(), marked.evidence(), CaseFixture.PLATE_BOOK, all)
                .get(0);
        assertThat(drawn.spoken().toString()).startsWith("Vacuum over time.");
    }

    @Test
    void readingsByHandAreACurveToo() {
        CaseFixture fixture = read(
                "readings",
                "0 min 300 micron, 5 min 900, 10 min 1500, 15 min 2100, 20 min 2700, 25 min 3300, 30 min 3900, 35 min 4500");
        assertThat(curve(fixture).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(curve(read("readings", "0 min 300 micron, 2 min 310"))
                        .because()
                        .toString())
                .startsWith("2 samples came after isolation");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"12 °C, MEETS", "-4 °C, MEETS", "-25 °C, NOT_SHOWN"})
    void frostHidesWater(String coldest, Verdict verdict) {
        assertThat(read().verdict("evacuation.frost" + LINES)).isEqualTo(Verdict.NOT_SHOWN);
        Judgement frost = read("coldest-wall", coldest).find("evacuation.frost" + LINES);
        assertThat(frost.verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"25 min, MEETS", "10 s, NOT_SHOWN"})
    void nothingIsPulledFasterThanPumpAndHoseCan(String time, Verdict verdict) {
        String key = "evacuation.pull-down" + LINES;
        assertThat(read().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture fixture = read(
                "pull-time", time,
                "reached", "300 micron",
                "pump-speed", "1.4 L/s",
                "hose-bore", "6 mm",
                "hose-length", "1.5 m");
        assertThat(fixture.verdict(key)).isEqualTo(verdict);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "14:05 480 micron",
                "14:05 480, 14:10 490",
                "14:05 480 micron, 14:04 490",
                "14:05 480 micron, 5 min 490",
                "25:00 480 micron, 26:00 490",
                "14:05 480 psig, 14:10 490",
                "480 micron, 490 micron",
                "0 min -5 Pa, 1 min 3"
            })
    void handwritingThatMakesNoSenseIsRefused(String typed) {
        assertThatThrownBy(() -> read("readings", typed)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"pump on", "5 min dancing", "10 min isolated, 5 min pump on", ""})
    void marksThatMakeNoSenseAreRefused(String typed) {
        assertThatThrownBy(() -> read("marks", typed)).isInstanceOf(IllegalArgumentException.class);
    }
}
