package org.undanus.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

class MoistAirTest {
    private static final AbsolutePressure SEA_LEVEL = AbsolutePressure.ofPascals(101_325);

    @Test
    void agreesWithTheReferenceTable() {
        SoftAssertions all = new SoftAssertions();
        var rows = Csv.read(MoistAirTest.class, "/reference/moist-air.csv");
        assertThat(rows).hasSizeGreaterThan(250);
        for (Map<String, String> row : rows) {
            MoistAir air = MoistAir.ofRelativeHumidity(
                    Temperature.ofCelsius(number(row, "dry_bulb_c")),
                    number(row, "relative_humidity"),
                    AbsolutePressure.ofPascals(number(row, "pressure_pa")));
            all.assertThat(MoistAir.saturationPressure(number(row, "dry_bulb_c")))
                    .as("saturation pressure, %s", row)
                    .isCloseTo(number(row, "saturation_pressure_pa"), withinPercentage(0.1));
            all.assertThat(air.humidityRatio())
                    .as("humidity ratio, %s", row)
                    .isCloseTo(number(row, "humidity_ratio_kg_per_kg"), withinPercentage(0.1));
            all.assertThat(air.wetBulb().celsius())
                    .as("wet bulb, %s", row)
                    .isCloseTo(number(row, "wet_bulb_c"), offset(0.02));
            all.assertThat(air.dewPoint().celsius())
                    .as("dew point, %s", row)
                    .isCloseTo(number(row, "dew_point_c"), offset(0.02));
            double enthalpy = number(row, "enthalpy_kj_per_kg_dry_air");
            all.assertThat(air.enthalpy() / 1000)
                    .as("enthalpy, %s", row)
                    .isCloseTo(enthalpy, offset(Math.max(0.001 * Math.abs(enthalpy), 0.001)));
            all.assertThat(air.specificVolume())
                    .as("volume, %s", row)
                    .isCloseTo(number(row, "volume_m3_per_kg_dry_air"), withinPercentage(0.1));
        }
        all.assertAll();
    }

    private static double number(Map<String, String> row, String column) {
        return Double.parseDouble(row.get(column));
    }

    @Test
    void wetBulbAndBackAgain() {
        MoistAir air = MoistAir.ofWetBulb(Temperature.ofCelsius(26.7), Temperature.ofCelsius(19.4), SEA_LEVEL);
        assertThat(air.wetBulb().celsius()).isCloseTo(19.4, offset(0.001));
        assertThat(air.relativeHumidity()).isBetween(0.50, 0.52);
    }

    @Test
    void saturatedAirOfAnEnthalpyHasIt() {
        MoistAir air = MoistAir.saturatedOfEnthalpy(35_000, SEA_LEVEL);
        assertThat(air.enthalpy()).isCloseTo(35_000, offset(0.1));
        assertThat(air.relativeHumidity()).isCloseTo(1, offset(1e-9));
    }

    @Test
    void impossibleStatesAreRefusedInWords() {
        Temperature warm = Temperature.ofCelsius(24);
        assertThatThrownBy(() -> MoistAir.ofWetBulb(warm, Temperature.ofCelsius(25), SEA_LEVEL))
                .hasMessageContaining("above the dry bulb");
        assertThatThrownBy(() -> MoistAir.ofWetBulb(warm, Temperature.ofCelsius(2), SEA_LEVEL))
                .hasMessageContaining("even dry air");
        assertThatThrownBy(() -> MoistAir.ofRelativeHumidity(warm, 1.2, SEA_LEVEL))
                .hasMessageContaining("100 %");
        assertThatThrownBy(() -> MoistAir.ofRelativeHumidity(Temperature.ofCelsius(80), 0.5, SEA_LEVEL))
                .hasMessageContaining("60 °C");
        assertThatThrownBy(() -> MoistAir.ofRelativeHumidity(warm, 0.5, AbsolutePressure.ofPascals(5_000)))
                .hasMessageContaining("kPa");
    }
}
