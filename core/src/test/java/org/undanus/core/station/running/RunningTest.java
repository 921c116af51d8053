package org.undanus.core.station.running;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Authority;
import org.undanus.core.words.UnitSystem;

class RunningTest {

    private static CaseFixture running(String supply) {
        return new CaseFixture()
                .accuracy(InstrumentKind.THERMOMETER, Accuracy.ofConstant(0.2))
                .accuracy(InstrumentKind.PSYCHROMETER, Accuracy.ofConstant(0.2))
                .outdoor("plate.model", "WS-12")
                .indoor("plate.model", "WS-12 I")
                .indoor("operation.mode", "cooling")
                .indoor("operation.run-time", "22 min")
                .indoor("running.outdoor-dry-bulb", "90.0 °F")
                .indoor("running.return-dry-bulb", "75.0 °F")
                .indoor("running.return-wet-bulb", "63.0 °F")
                .indoor("running.supply-earlier", supply)
                .indoor("running.supply-dry-bulb", supply);
    }

    @ParameterizedTest(name = "supply {0}: {1}")
    @CsvSource({"54.5 °F, MEETS", "46.0 °F, FAILS", "66.0 °F, FAILS"})
    void splitAgainstExpectation(String supply, Verdict verdict) {
        assertThat(running(supply).judge("running.split").verdict()).isEqualTo(verdict);
    }

    @Test
    void aLargeSplitIsQuestionedNotPraised() {
        Judgement judgement = running("46.0 °F").judge("running.split");
        assertThat(judgement.because().in(UnitSystem.US)).contains("no merit").contains("cfm would explain");
        assertThat(judgement.remedy().orElseThrow().toString()).contains("airflow first");
    }

    @Test
    void aSmallSplitDoesNotCallForRefrigerant() {
        Judgement judgement = running("66.0 °F").judge("running.split");
        assertThat(judgement.remedy().orElseThrow().toString()).contains("Do not add refrigerant");
    }

    @Test
    void fixedBandIsOneClickAway() {
        Judgement judgement = running("54.5 °F").judge("running.split");
        assertThat(judgement.school().orElseThrow().id()).isEqualTo("psychrometric");
        assertThat(judgement.otherSchools()).singleElement().satisfies(other -> {
            assertThat(other.school().orElseThrow().id()).isEqualTo("fixed-band");
            assertThat(other.verdict()).isEqualTo(Verdict.MEETS);
        });
    }

    @Test
    void thinnerAirSplitsMore() {
        double low = expected(running("54.5 °F"));
        double high = expected(running("54.5 °F").elevation(1600));
        assertThat(high).isGreaterThan(low + 0.5);
    }

    private static double expected(CaseFixture fixture) {
        return fixture.judge("running.split").comparison().orElseThrow().limits().stream()
                .mapToDouble(held -> held.limit().value().si())
                .average()
                .orElseThrow();
    }

    @Test
    void fourMinutesShowNothing() {
        CaseFixture fixture = running("54.5 °F").indoor("operation.run-time", "4 min");
        assertThat(fixture.judge("running.steady").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture.judge("running.split").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(fixture.judge("running.split").because().toString()).contains("a reading counts after 15 min");
    }

    @ParameterizedTest(name = "{0} then 54.5 °F: {1}")
    @CsvSource({"54.7 °F, MEETS", "59.0 °F, NOT_SHOWN", "53 °F, NOT_SHOWN"})
    void supplyMustHaveSettledAndBeShownTo(String earlier, Verdict verdict) {
        assertThat(running("54.5 °F")
                        .indoor("running.supply-earlier", earlier)
                        .judge("running.steady")
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void heatingIsNotJudgedAsCooling() {
        assertThat(running("54.5 °F")
                        .indoor("operation.mode", "heating")
                        .judge("running.split")
                        .verdict())
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @Test
    void unsuitableWeatherSaysWhichWeatherIsNeeded() {
        Judgement judgement =
                running("54.5 °F").indoor("running.outdoor-dry-bulb", "50.0 °F").judge("running.split");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.remedy().orElseThrow().in(UnitSystem.US)).contains("at least 65 °F");
    }

    @Test
    void aWetBulbBelowWhatDryAirCouldShowCannotBeUsed() {
        Judgement judgement =
                running("54.5 °F").indoor("running.return-wet-bulb", "40.0 °F").judge("running.split");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("cannot be used together");
    }

    @Test
    void withoutCapacityNothingCanBeExpected() {
        assertThat(running("54.5 °F").noSheets().judge("running.split").verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(running("54.5 °F")
                        .noSheets()
                        .outdoor("plate.cooling-capacity", "3 t")
                        .judge("running.split")
                        .verdict())
                .isEqualTo(Verdict.MEETS);
    }

    @Test
    void measuredAirflowTakesThePlaceOfTheSheets() {
        CaseFixture starved = running("51.0 °F").indoor("running.airflow", "800 cfm");
        assertThat(starved.judge("running.split").derivation())
                .anyMatch(step -> step.how().toString().equals("measured here, flow hood"));
    }

    /** Bulbs good to ±0.2 K each, read to 0.1 °F: they may cross by 0.47 K of doubt, no more. */
    @ParameterizedTest(name = "wet bulb {0} over a dry bulb of 75.0 °F: refused {1}")
    @CsvSource({"75.0 °F, false", "75.8 °F, false", "75.9 °F, true", "80.0 °F, true"})
    void aWetBulbAboveTheDryBulbIsRefusedAsAPair(String wet, boolean refused) {
        Judgement judgement =
                running("54.5 °F").indoor("running.return-wet-bulb", wet).judge("running.split");
        assertThat(judgement.because().in(UnitSystem.US).contains("cannot lie above a dry bulb of 75 °F"))
                .isEqualTo(refused);
        assertThat(judgement.verdict() == Verdict.NOT_SHOWN).isEqualTo(refused);
    }

    /** Air off a coil is near saturation: a step of doubt must not leave what air can be. */
    @ParameterizedTest(name = "supply {0} with a wet bulb of {1}: told {2}")
    @CsvSource({
        "58.0 °F, 57.5 °F, true",
        "62.0 °F, 61.5 °F, true",
        "56.0 °F, 55.8 °F, true",
        "56.0 °F, 56.0 °F, true",
        "56.0 °F, 56.5 °F, true",
        "56.0 °F, 58.0 °F, false",
    })
    void nearlySaturatedSupplyAirIsToldFrom(String dry, String wet, boolean told) {
        Judgement judged = running(dry)
                .indoor("running.airflow", "1200 cfm")
                .indoor("running.supply-wet-bulb", wet)
                .judge("running.capacity");
        assertThat(judged.comparison().isPresent()).isEqualTo(told);
        assertThat(judged.because().toString().contains("cannot be used together"))
                .isEqualTo(!told);
        if (told) {
            assertThat(judged.comparison().orElseThrow().measured().standardUncertainty())
                    .isPositive();
        }
    }

    @Test
    void theLimitsOfTheCoilModelAreNobodysRule() {
        assertThat(running("54.5 °F")
                        .judge("running.split")
                        .comparison()
                        .orElseThrow()
                        .limits())
                .allSatisfy(held -> {
                    assertThat(held.limit().authority().kind()).isEqualTo(Authority.Kind.COMPUTED);
                    assertThat(held.limit().source().toString()).contains("Ondrel 4410");
                });
    }

    @Test
    void doubtAboutTheAirflowMeasuredIsCarried() {
        Accuracy fine = new Accuracy(0.01, 0, 0, 0, 0);
        Accuracy rough = new Accuracy(0.15, 0, 0, 0, 0);
        assertThat(expanded(rough)).isGreaterThan(expanded(fine) + 0.5);
    }

    private static double expanded(Accuracy hood) {
        return running("54.5 °F")
                .accuracy(InstrumentKind.FLOW_HOOD, hood)
                .indoor("running.airflow", "1200 cfm")
                .judge("running.split")
                .comparison()
                .orElseThrow()
                .measured()
                .expanded();
    }

    /** The pair is rated at 1200 cfm; the coil model holds from 30 to 200 % of that. */
    @ParameterizedTest
    @CsvSource({"350 cfm, NOT_SHOWN", "2500 cfm, NOT_SHOWN", "1200 cfm, MEETS"})
    void anAirflowFarFromTheRatedExpectsNothing(String airflow, Verdict verdict) {
        Judgement judgement =
                running("54.5 °F").indoor("running.airflow", airflow).judge("running.split");
        assertThat(judgement.verdict()).isEqualTo(verdict);
        assertThat(judgement.because().toString().contains("too far from the rated"))
                .isEqualTo(verdict == Verdict.NOT_SHOWN);
    }

    @Test
    void airflowMeasuredMovesTheExpectation() {
        assertThat(expected(running("54.5 °F").indoor("running.airflow", "900 cfm")))
                .isGreaterThan(expected(running("54.5 °F")) + 1);
    }

    @Test
    void hotterOutdoorAirLowersTheExpectation() {
        assertThat(expected(running("54.5 °F").indoor("running.outdoor-dry-bulb", "110.0 °F")))
                .isLessThan(expected(running("54.5 °F")) - 0.5);
    }

    @Test
    void veryHighUpTheAirIsBlamedNotTheBulbs() {
        Judgement judgement = running("54.5 °F").elevation(4500).judge("running.split");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("too thin");
        assertThat(running("54.5 °F")
                        .elevation(4100)
                        .judge("running.split")
                        .because()
                        .toString())
                .doesNotContain("too thin");
    }

    /** Two readings of a display that steps by 1 K cannot show half a kelvin in five minutes. */
    @ParameterizedTest(name = "display step {0} K: {1}")
    @CsvSource({"1, NOT_SHOWN", "0.1, MEETS"})
    void settlingIsJudgedByTheDisplayToo(double step, Verdict verdict) {
        Instrument thermometer = Instrument.plain(
                "thermometer", "Thermometer", InstrumentKind.THERMOMETER, new Accuracy(0, 0, 0, 0.2, step));
        CaseFixture fixture = running("54.5 °F")
                .toolcase(thermometer)
                .readWith("thermometer", "running.supply-earlier", "indoor", "54.5 °F")
                .readWith("thermometer", "running.supply-dry-bulb", "indoor", "54.5 °F");
        assertThat(fixture.judge("running.steady").verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest(name = "{0} after four minutes")
    @CsvSource({"46.0 °F, true", "54.5 °F, false", "66.0 °F, false"})
    void aSplitThatIsHighBeforeItSettlesIsSaidToBe(String supply, boolean high) {
        Judgement judgement =
                running(supply).indoor("operation.run-time", "4 min").judge("running.split");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString().contains("high already")).isEqualTo(high);
    }

    @Test
    void aSecondShortOfTheTimeIsPrintedAsSuch() {
        assertThat(running("54.5 °F")
                        .indoor("operation.run-time", "14 min 59 s")
                        .judge("running.steady")
                        .because()
                        .toString())
                .contains("14 min 59 s")
                .contains("15 min of running");
    }

    private static String log(String... rows) {
        return "time,°F\n" + String.join("\n", rows) + "\n";
    }

    /** It settles to 55.0 °F, and in its last five minutes moves by what is asked. */
    private static String settling(double fahrenheit) {
        return log(
                "2026-09-01T10:00:00Z,61.0",
                "2026-09-01T10:10:00Z,55.0",
                "2026-09-01T10:14:59Z,55.0",
                "2026-09-01T10:16:00Z," + (55 + fahrenheit),
                "2026-09-01T10:17:00Z,55.0");
    }

    @ParameterizedTest(name = "moved {0} °F: {1}")
    @CsvSource({"0.3, MEETS, settled", "2.0, NOT_SHOWN, still moving", "1.0, NOT_SHOWN, too coarse"})
    void aLogShowsWhetherTheSupplyAirHadSettled(double moved, Verdict verdict, String why) {
        CaseFixture fixture = running("54.5 °F").indoor("running.supply-earlier", "60.0 °F");
        assertThat(fixture.judge("running.steady").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        Judgement judgement =
                fixture.logged("running.supply-log", "indoor", settling(moved)).judge("running.steady");
        assertThat(judgement.verdict()).isEqualTo(verdict);
        assertThat(judgement.because().toString()).contains(why);
        assertThat(judgement.evidence()).anyMatch(key -> key.point().equals("running.supply-log"));
    }

    @Test
    void theLastSampleBeforeTheFiveMinutesCounts() {
        Judgement judgement = running("54.5 °F")
                .logged(
                        "running.supply-log",
                        "indoor",
                        log("2026-09-01T10:00:00Z,61.0", "2026-09-01T10:08:00Z,55.0", "2026-09-01T10:10:00Z,55.0"))
                .judge("running.steady");
        assertThat(judgement.because().toString()).contains("still moving");
    }

    @Test
    void aLogOfLessThanFiveMinutesShowsNothing() {
        CaseFixture fixture = running("54.5 °F")
                .logged("running.supply-log", "indoor", log("2026-09-01T10:00:00Z,55", "2026-09-01T10:04:59Z,55"));
        assertThat(fixture.judge("running.steady").because().in(UnitSystem.SI)).contains("five minutes are needed");
        assertThat(fixture.judge("running.split").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture longEnough = running("54.5 °F")
                .logged("running.supply-log", "indoor", log("2026-09-01T10:00:00Z,55.0", "2026-09-01T10:05:00Z,55.0"));
        assertThat(longEnough.judge("running.steady").verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void aLogWithoutTheTwoReadingsWillDo() {
        Judgement judgement = new CaseFixture()
                .indoor("operation.mode", "cooling")
                .indoor("operation.run-time", "22 min")
                .logged("running.supply-log", "indoor", settling(0.2))
                .judge("running.steady");
        assertThat(judgement.verdict()).isEqualTo(Verdict.MEETS);
    }

    @Test
    void aLogBeyondTheRangeOfItsInstrumentShowsNothing() {
        Instrument narrow = new Instrument(
                "narrow",
                "Narrow logger",
                InstrumentKind.THERMOMETER,
                List.of(new Channel(
                        "",
                        Dimension.TEMPERATURE_DIFFERENCE,
                        Accuracy.ofConstant(0.2),
                        Optional.of(new Channel.Range(Dimension.TEMPERATURE, 273, 288)))),
                List.of(),
                false,
                Optional.empty(),
                List.of());
        Judgement judgement = new CaseFixture()
                .indoor("operation.mode", "cooling")
                .indoor("operation.run-time", "22 min")
                .toolcase(narrow)
                .loggedWith("narrow", "running.supply-log", "indoor", settling(0.2))
                .judge("running.steady");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("out of its range");
    }
}
