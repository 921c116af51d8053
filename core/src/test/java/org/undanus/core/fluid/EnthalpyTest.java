package org.undanus.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.quantity.Temperature;

class EnthalpyTest {
    private static Enthalpy of(String name) {
        return Refrigerant.shipped(name).orElseThrow().enthalpy();
    }

    @ParameterizedTest
    @CsvSource({"R22", "R32", "R290", "R134a"})
    void theDifferenceOfVapourAndLiquidIsTheHeatOfVaporisation(String name) {
        for (double celsius = -39; celsius <= 60; celsius += 3.3) {
            Temperature at = Temperature.ofCelsius(celsius);
            double heat = Refrigerant.shipped(name).orElseThrow().saturation().vaporisation(at);
            assertThat(of(name).vapour(at, 0) - of(name).liquid(at, 0)).isCloseTo(heat, within(100.0));
        }
    }

    @Test
    void boilingLiquidAtZeroIsTwoHundred() {
        assertThat(of("R22").liquid(Temperature.ofCelsius(0), 0)).isCloseTo(200_000, within(100.0));
    }

    @Test
    void warmerVapourIsReadBetweenItsColumnsAndBeyondThem() {
        Temperature at = Temperature.ofCelsius(-40);
        assertThat(of("R22").vapour(at, 10)).isEqualTo(394_240);
        assertThat(of("R22").vapour(at, 5)).isCloseTo((388_129 + 394_240) / 2.0, within(1e-6));
        assertThat(of("R22").vapour(at, 30)).isCloseTo((400_416 + 413_009) / 2.0, within(1e-6));
        assertThat(of("R22").vapour(at, 60)).isCloseTo(413_009 + 413_009 - 400_416, within(1e-6));
        assertThat(of("R22").vapour(at, -5)).as("wet vapour is not vapour").isEqualTo(388_129);
    }

    @Test
    void colderLiquidHoldsLess() {
        Temperature at = Temperature.ofCelsius(-40);
        assertThat(of("R22").liquid(at, 5)).isCloseTo(154_887 - 5 * 1090.5, within(1e-6));
    }

    @Test
    void outsideItsTableItNamesItsRange() {
        assertThatThrownBy(() -> of("R22").liquid(Temperature.ofCelsius(-41), 0))
                .hasMessageContaining("R22 is described from -40 °C to");
        assertThatThrownBy(() -> of("R22").vapour(Temperature.ofCelsius(95), 0))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
