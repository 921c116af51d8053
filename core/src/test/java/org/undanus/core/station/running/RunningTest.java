package org.undanus.core.station.running;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.UnitSystem;

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
        assertThat(fixture.judge("running.split").because().toString()).contains("nothing settles before 15 min");
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
        assertThat(judgement.remedy().orElseThrow().in(UnitSystem.US)).contains("at least 65.0 °F");
    }

    @Test
    void wetBulbAboveDryBulbCannotBeUsed() {
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
                .anyMatch(step -> step.how().equals("measured here"));
    }
}
