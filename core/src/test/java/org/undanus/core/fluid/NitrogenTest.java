package org.undanus.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

class NitrogenTest {
    @Test
    void theTablesDensitiesComeOutWithinAFiftiethOfAPercent() {
        List<Map<String, String>> rows = Csv.read(Nitrogen.class, "nitrogen.csv");
        assertThat(rows).hasSize(120);
        for (Map<String, String> row : rows) {
            double table = Double.parseDouble(row.get("rho_mol_m3"));
            double here = Nitrogen.density(
                    AbsolutePressure.ofPascals(1000 * Double.parseDouble(row.get("p_kPa"))),
                    Temperature.ofCelsius(Double.parseDouble(row.get("t_C"))));
            assertThat(here).as("%s", row).isCloseTo(table, within(2e-4 * table));
        }
    }

    @Test
    void betweenNodesItStaysBetweenThemAndGoesThereAndBack() {
        AbsolutePressure four = AbsolutePressure.ofPascals(4e6);
        AbsolutePressure warmer = Nitrogen.warmed(four, Temperature.ofCelsius(15), Temperature.ofCelsius(24));
        // the ideal gas says 4 MPa · 297.15/288.15; the real one some tenth more in the change
        double ideal = 4e6 * (297.15 / 288.15 - 1);
        assertThat((warmer.si() - 4e6) / ideal).isBetween(1.05, 1.12);
        assertThat(Nitrogen.warmed(warmer, Temperature.ofCelsius(24), Temperature.ofCelsius(15))
                        .si())
                .isCloseTo(4e6, within(1.0));
        assertThat(Nitrogen.density(AbsolutePressure.ofPascals(101_325), Temperature.ofCelsius(0)))
                .as("22.4 L of a mole")
                .isCloseTo(1 / 22.403e-3, within(0.02));
    }

    @Test
    void outsideItsRangeItSaysSo() {
        assertThatThrownBy(() -> Nitrogen.density(AbsolutePressure.ofPascals(6e6), Temperature.ofCelsius(20)))
                .hasMessageContaining("up to 5 MPa, not at 20 °C and 6000 kPa abs");
        assertThatThrownBy(() -> Nitrogen.density(AbsolutePressure.ofPascals(1e6), Temperature.ofCelsius(-31)))
                .hasMessageContaining("-30 to 60 °C");
        assertThatThrownBy(() -> Nitrogen.density(AbsolutePressure.ofPascals(0), Temperature.ofCelsius(20)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
