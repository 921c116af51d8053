package org.undanus.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FieldNotationTest {

    @ParameterizedTest(name = "{0} as {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "3' 4-1/2\"|LENGTH|1.0287",
                "3'4-1/2\"|LENGTH|1.0287",
                "3 ft 4.5 in|LENGTH|1.0287",
                "40.5 in|LENGTH|1.0287",
                "3′ 4.5″|LENGTH|1.0287",
                "18-1/2 in|LENGTH|0.4699",
                "1/2 in|LENGTH|0.0127",
                "1.03m|LENGTH|1.03",
                "1,03 m|LENGTH|1.03",
                "610 mm|LENGTH|0.61",
                "1,220.5 mm|LENGTH|1.2205",
                "0,350 m|LENGTH|0.35",
                "350 um|LENGTH|0.00035",
                "-5 mm|LENGTH|-0.005",
                "118 psig|GAUGE_PRESSURE|813581.326",
                "118 psi|GAUGE_PRESSURE|813581.326",
                "8.1 barg|GAUGE_PRESSURE|810000",
                "8 kgf/cm2|GAUGE_PRESSURE|784532",
                "29.6 inHg vac|GAUGE_PRESSURE|-100237.1144",
                "350 um|ABSOLUTE_PRESSURE|46.66284",
                "350 micron|ABSOLUTE_PRESSURE|46.66284",
                "350µm|ABSOLUTE_PRESSURE|46.66284",
                "0.35 torr|ABSOLUTE_PRESSURE|46.66284",
                "29.92 inHg|ABSOLUTE_PRESSURE|101320.75888",
                "14.7 psia|ABSOLUTE_PRESSURE|101352.9279",
                "0.45 inwc|PRESSURE_DIFFERENCE|112.090005",
                "0.45 in w.c.|PRESSURE_DIFFERENCE|112.090005",
                "75F|TEMPERATURE|297.0388889",
                "75 °F|TEMPERATURE|297.0388889",
                "24 °C|TEMPERATURE|297.15",
                "-14C|TEMPERATURE|259.15",
                "12.5 K|TEMPERATURE_DIFFERENCE|12.5",
                "18 F|TEMPERATURE_DIFFERENCE|10",
                "18 F°|TEMPERATURE_DIFFERENCE|10",
                "COP 2.5|PERFORMANCE|2.5",
                "cop: 1,75|PERFORMANCE|1.75",
                "2.5 COP|PERFORMANCE|2.5",
                "8.5 Btu/Wh|PERFORMANCE|2.491104",
                "3 t|POWER|10550.559",
                "3 t|MASS|3000",
                "36 kBtu/h|POWER|10550.55852",
                "36000 Btu/h|POWER|10550.55852",
                "10.5 kW|POWER|10500",
                "2 lb 6 oz|MASS|1.077281877",
                "1:40 h|DURATION|6000",
                "1:40:30|DURATION|6030",
                "1 h 40 min|DURATION|6000",
                "25 min|DURATION|1500",
                "1200 cfm|VOLUME_FLOW|0.5663369",
                "2040 m³/h|VOLUME_FLOW|0.566666667",
                "45 %|RATIO|0.45",
                "45|RATIO|0.45",
                "27.4|CURRENT|27.4",
                "27.4 A|CURRENT|27.4",
                "238|VOLTAGE|238",
                "8 AWG|CONDUCTOR_AREA|8.3656e-6",
                "#8|CONDUCTOR_AREA|8.3656e-6",
                "2/0 AWG|CONDUCTOR_AREA|67.431e-6",
                "250 kcmil|CONDUCTOR_AREA|126.677e-6",
                "10 mm²|CONDUCTOR_AREA|1e-5",
                "1.5e3 W|POWER|1500",
                "3|COUNT|3",
            })
    void readsWhatPeopleWrite(String typed, Dimension dimension, double si) {
        assertThat(FieldNotation.parse(typed, dimension).value().si())
                .isCloseTo(si, within(Math.max(1e-12, Math.abs(si) * 2e-5)));
    }

    @ParameterizedTest(name = "{0} refused as {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "118 psia|GAUGE_PRESSURE|4|a unit of an absolute pressure",
                "118 psig|ABSOLUTE_PRESSURE|4|a unit of a gauge pressure",
                "118 psi|ABSOLUTE_PRESSURE|4|unsaid kind",
                "40 A|LENGTH|3|a unit of a current",
                "75 °F|POWER|3|a unit of a temperature",
                "40 furlongs|LENGTH|3|not a unit known",
                "40|LENGTH|2|unit is missing",
                "1,220 mm|LENGTH|0|two ways",
                "abc|LENGTH|0|A number is expected",
                "3' 4' 5\"|LENGTH|3|3' and 4' 5",
                "1/0 in|LENGTH|2|over zero",
                "1:75|DURATION|2|run to 59",
                "5/0 AWG|CONDUCTOR_AREA|0|4/0",
                "1e999 W|POWER|0|too large",
                "12 in -3 in|LENGTH|6|12 in and -3 in",
                "20 °C 5 °C|TEMPERATURE|6|20 °C and 5 °C",
            })
    void refusesByNameAndPosition(String typed, Dimension dimension, int position, String words) {
        assertThatThrownBy(() -> FieldNotation.parse(typed, dimension))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(e.position())
                        .isEqualTo(position))
                .hasMessageContaining(words);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "\t"})
    void emptyTextSaysWhatToWrite(String typed) {
        assertThatThrownBy(() -> FieldNotation.parse(typed, Dimension.LENGTH)).hasMessageContaining("40.5 in");
    }

    @Test
    void overlongTextIsRefusedBeforeItIsRead() {
        assertThatThrownBy(() -> FieldNotation.parse("1".repeat(100_000), Dimension.LENGTH))
                .hasMessageContaining("longer");
    }

    @ParameterizedTest(name = "{0} resolves {2}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "1.03 m|LENGTH|0.01",
                "3' 4-1/2\"|LENGTH|0",
                "7 ft|LENGTH|0",
                "40.5 in|LENGTH|0.00254",
                "75F|TEMPERATURE|0.5555556",
                "198 V|VOLTAGE|1"
            })
    void lastDigitWrittenIsTheResolution(String typed, Dimension dimension, double resolution) {
        assertThat(FieldNotation.parse(typed, dimension).resolution()).isCloseTo(resolution, within(1e-6));
    }

    @Test
    void whatCouldBeMeantIsOfferedReadyToTake() {
        assertThat(choices("2.500 mm", Dimension.LENGTH)).containsExactly("2.5 mm", "2500 mm");
        assertThat(choices("208/230 V", Dimension.VOLTAGE)).containsExactly("208 V", "230 V");
        assertThat(choices("151/2 in", Dimension.LENGTH)).containsExactly("15-1/2 in", "75.5 in");
        assertThat(choices("2:45", Dimension.DURATION)).containsExactly("2 h 45 min", "2 min 45 s");
        assertThat(choices("75°", Dimension.TEMPERATURE)).containsExactly("75 °F", "75 °C");
        assertThat(choices("20 bar 250 psi", Dimension.GAUGE_PRESSURE)).containsExactly("20 bar", "250 psi");
        assertThat(choices("1.375 kg", Dimension.MASS)).containsExactly("1.3750 kg", "1375 kg");
    }

    private static List<String> choices(String typed, Dimension dimension) {
        return catchThrowableOfType(FieldNotationException.class, () -> FieldNotation.parse(typed, dimension))
                .choices();
    }

    @Test
    void placesAreThoseOfWhatWasTypedNotOfItsFoldedForm() {
        assertThatThrownBy(() -> FieldNotation.parse("40½ furlongs", Dimension.LENGTH))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(e.position())
                        .isEqualTo(4))
                .hasMessageContaining("character 5");
    }

    @ParameterizedTest(name = "a bare {0} for {1} is offered as {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "7|LENGTH|7 in, 7 cm, 7 ft",
                "14 1/2|LENGTH|14 1/2 in, 14 1/2 cm, 14 1/2 ft",
                "75|TEMPERATURE|75 °F, 75 °C",
                "8|CONDUCTOR_AREA|8 AWG, 8 mm²",
            })
    void aBareNumberIsOfferedInTheUsualUnits(String typed, Dimension dimension, String offered) {
        assertThatThrownBy(() -> FieldNotation.parse(typed, dimension))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(String.join(", ", e.choices()))
                        .isEqualTo(offered));
    }

    @Test
    void ofTheUsualUnitsThoseComeFirstInWhichTheNumberIsUsual() {
        assertThatThrownBy(() -> FieldNotation.parse("300", Dimension.LENGTH, si -> si >= 0.1 && si <= 5))
                .isInstanceOfSatisfying(FieldNotationException.class, e -> assertThat(e.choices())
                        .containsExactly("300 cm", "300 mm"));
    }

    @Test
    void aUnitThatIsHeldCompletesABareNumberAndNothingElse() {
        List<String> held = List.of("kg", "cm", "in");
        assertThat(FieldNotation.completed("12", Dimension.LENGTH, any -> true, Dimension.LENGTH.usualUnits(), held))
                .contains("12 cm");
        assertThat(FieldNotation.completed("12 ft", Dimension.LENGTH, any -> true, Dimension.LENGTH.usualUnits(), held))
                .isEmpty();
        assertThat(FieldNotation.completed(
                        "twelve", Dimension.LENGTH, any -> true, Dimension.LENGTH.usualUnits(), held))
                .isEmpty();
        assertThat(FieldNotation.completed("12 A", Dimension.LENGTH, any -> true, Dimension.LENGTH.usualUnits(), held))
                .isEmpty();
        assertThat(FieldNotation.completed(
                        "12", Dimension.LENGTH, any -> true, Dimension.LENGTH.usualUnits(), List.of()))
                .isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Dimension.class)
    void everyUnitThatIsOfferedIsKnown(Dimension dimension) {
        assertThat(dimension.usualUnits()).allSatisfy(unit -> assertThat(
                        FieldNotation.parse("1 " + unit, dimension).unit())
                .isEqualTo(unit));
    }
}
