package org.undanus.core.station.running;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.plan.HoldableLine;

/** Every mode in turn, and what it should do. */
class ModesTest {
    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "cooling | runs as it should | MEETS",
                "cooling | does not run | FAILS",
                "cooling | not possible today | NOT_SHOWN",
                "cooling | not fitted | DOES_NOT_APPLY",
                "heating | runs as it should | MEETS",
                "heating | does not run | FAILS",
                "backup | not possible today | NOT_SHOWN",
                "backup | runs as it should | MEETS",
                "fan | runs as it should | MEETS",
                "fan | does not run | FAILS",
                "defrost | runs as it should | MEETS",
                "defrost | not fitted | DOES_NOT_APPLY",
            })
    void everyModeIsSeen(String mode, String typed, Verdict verdict) {
        String key = "running." + mode + "-seen@system";
        assertThat(new CaseFixture().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        CaseFixture seen = new CaseFixture().indoor("running." + mode + "-seen", typed);
        assertThat(seen.verdict(key)).isEqualTo(verdict);
        if (verdict == Verdict.NOT_SHOWN) {
            assertThat(seen.find(key).remedy().orElseThrow().toString()).isNotEmpty();
        }
    }

    @Test
    void theNextSuitableDayIsToldFromTheForecast() {
        var today = new CaseFixture().facts().on();
        String days = today.plusDays(1) + " 2 °C to 9 °C, " + today.plusDays(2) + " 12 °C to 24 °C";
        CaseFixture waits = new CaseFixture()
                .indoor("running.cooling-seen", "not possible today")
                .indoor("running.heating-seen", "not possible today")
                .indoor("running.forecast", days);
        assertThat(waits.find("running.cooling-seen@system")
                        .remedy()
                        .orElseThrow()
                        .toString())
                .startsWith("Come back when it is at least 18.3 °C outdoors.")
                .contains(today.plusDays(2) + " allows it: 12 °C to 24 °C");
        assertThat(waits.find("running.heating-seen@system")
                        .remedy()
                        .orElseThrow()
                        .toString())
                .contains(today.plusDays(1) + " allows it");
        waits.indoor("running.forecast", today.minusDays(3) + " 20 °C to 30 °C");
        assertThat(waits.find("running.cooling-seen@system")
                        .remedy()
                        .orElseThrow()
                        .toString())
                .as("that day is over")
                .endsWith("No day of the forecast allows it.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "tomorrow 4 °C to 9 °C",
                "2026-13-01 4 °C to 9 °C",
                "2026-11-28 9 °C to 4 °C",
                "2026-11-28 4 m to 9 °C",
                "2026-11-28 4 °C to 9 °C, 2026-11-28 4 °C to 9 °C"
            })
    void aForecastThatMakesNoSenseIsRefused(String typed) {
        assertThatThrownBy(() -> new CaseFixture().indoor("running.forecast", typed))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static CaseFixture cooling(String supply, String supplyWet, String flow) {
        CaseFixture fixture = HeatingFixture.steady("cooling", "32.2 °C", "23.9 °C", supply)
                .indoor("running.return-wet-bulb", "17.2 °C");
        if (supplyWet != null) {
            fixture.indoor("running.supply-wet-bulb", supplyWet);
        }
        return flow == null ? fixture : fixture.indoor("running.airflow", flow);
    }

    @ParameterizedTest(name = "supply {0}, wet bulb {1}: {2}")
    @CsvSource({"12.5 °C, 11.3 °C, MEETS", "16.0 °C, 14.0 °C, FAILS", "12.5 °C, 12.2 °C, TOO_CLOSE"})
    void capacityComesFromEnthalpyAndAirflow(String supply, String wet, Verdict verdict) {
        assertThat(cooling(supply, wet, "2000 m³/h").verdict("running.capacity@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void withoutAirflowOrWetBulbNoCapacityIsShown() {
        assertThat(cooling("12.5 °C", "11.3 °C", null).verdict("running.capacity@indoor"))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(cooling("12.5 °C", null, "2000 m³/h").verdict("running.capacity@indoor"))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(HeatingFixture.steady("heating", "2 °C", "21.0 °C", "40.0 °C")
                        .verdict("running.capacity@indoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    private static CaseFixture heating(String outdoor, String supply, String flow) {
        CaseFixture fixture = HeatingFixture.heating(HeatingFixture.MILD, Map.of(), outdoor, supply);
        return flow == null ? fixture : fixture.indoor("running.airflow", flow);
    }

    @ParameterizedTest(name = "{0} outdoors, supply {1}: {2}")
    @CsvSource({
        "0 °C, 36.8 °C, MEETS",
        "0 °C, 31.0 °C, FAILS",
        "0 °C, 44.0 °C, FAILS",
        "0 °C, 34.6 °C, TOO_CLOSE",
        "-15 °C, 36.0 °C, NOT_SHOWN"
    })
    void theRiseInHeatingIsThatOfTheSheetAtThisWeather(String outdoor, String supply, Verdict verdict) {
        assertThat(heating(outdoor, supply, null).verdict("running.heating-rise@indoor"))
                .isEqualTo(verdict);
    }

    @Test
    void measuredAirflowCountsBeforeTheRated() {
        Judgement rated = heating("0 °C", "36.8 °C", null).find("running.heating-rise@indoor");
        Judgement starved = heating("0 °C", "36.8 °C", "500 m³/h").find("running.heating-rise@indoor");
        assertThat(starved.verdict()).isEqualTo(Verdict.FAILS);
        // 4000 W, 0.2 m³/s of air at 20 °C: 16.7 K
        assertThat(rated.comparison().orElseThrow().limits().stream()
                        .mapToDouble(held -> held.limit().value().si())
                        .average()
                        .orElseThrow())
                .isCloseTo(16.9, within(0.6));
        assertThat(HeatingFixture.steady("cooling", "30 °C", "24.0 °C", "13.0 °C")
                        .verdict("running.heating-rise@indoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    private static CaseFixture strip(String current) {
        CaseFixture fixture = new CaseFixture()
                .indoorKind(Component.Kind.INDOOR_DUCTED, true)
                .indoor("running.backup-seen", "runs as it should")
                .indoor("plate.rated-voltage", "240 V")
                .indoor("plate.heater-current", "40 A");
        return current == null
                ? fixture
                : fixture.read("airside.heater-current", "duct-system-indoor", current)
                        .read("airside.heater-voltage", "duct-system-indoor", "234 V");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"39 A, MEETS", "20 A, FAILS", "46 A, FAILS", "35.5 A, TOO_CLOSE", ", NOT_SHOWN"})
    void everyElementOfTheStripHeatDraws(String current, Verdict verdict) {
        assertThat(strip(current).verdict("running.strip-heat@indoor")).isEqualTo(verdict);
    }

    @Test
    void withoutStripHeatNothingIsAsked() {
        assertThat(strip("39 A").indoor("plate.heater-current", "0 A").verdict("running.strip-heat@indoor"))
                .as("the plate has none")
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(strip("39 A").indoor("running.backup-seen", "not fitted").verdict("running.strip-heat@indoor"))
                .isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(new CaseFixture()
                        .indoor("running.backup-seen", "runs as it should")
                        .verdict("running.strip-heat@indoor"))
                .as("a wall unit has no ducts")
                .isEqualTo(Verdict.DOES_NOT_APPLY);
    }

    @ParameterizedTest(name = "{0} to {1}: {2}")
    @CsvSource({"4.0 °C, 5.0 °C, MEETS", "4.0 °C, 12.0 °C, FAILS", "4.0 °C, 6.8 °C, TOO_CLOSE"})
    void coldGasDoesNotWarmInTheReversingValve(String before, String after, Verdict verdict) {
        String key = "running.reversing-valve@outdoor";
        assertThat(new CaseFixture().verdict(key)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(new CaseFixture()
                        .outdoor("running.reversing-before", before)
                        .outdoor("running.reversing-after", after)
                        .verdict(key))
                .isEqualTo(verdict);
    }

    @Test
    void theWarmUpIsAHold() {
        HoldableLine warmUp = Running.plan().holdings().get(0);
        CaseFixture fixture = new CaseFixture();
        assertThat(warmUp.begins()).isEmpty();
        assertThat(warmUp.needed()
                        .apply(warmUp.examination(
                                fixture.facts(),
                                fixture.evidence(),
                                CaseFixture.PLATE_BOOK,
                                org.undanus.core.installation.Subject.SYSTEM)))
                .contains(900.0);
    }

    @Test
    void whatWasReadInAnotherModeIsReadAgain() {
        CaseFixture turned = HeatingFixture.heating(HeatingFixture.MILD, Map.of(), "0 °C", "36.8 °C");
        assertThat(turned.verdict("running.heating-rise@indoor")).isEqualTo(Verdict.MEETS);
        turned.indoor("operation.mode", "cooling").indoor("operation.run-time", "20 min");
        Judgement cooled = turned.find("running.split@indoor");
        assertThat(cooled.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(cooled.because().toString()).contains("it was read while mode was \"heating\"");
        turned.indoor("operation.mode", "heating").indoor("operation.run-time", "20 min");
        assertThat(turned.verdict("running.heating-rise@indoor"))
                .as("it is the same mode again: what was read in it stands")
                .isEqualTo(Verdict.MEETS);
    }
}
