package org.undanus.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

class SaturationTest {
    private static Saturation of(String refrigerant) {
        return Refrigerant.shipped(refrigerant).orElseThrow().saturation();
    }

    @Test
    void everyRowOfTheTableComesOutBothWays() {
        for (Map<String, String> row : Csv.read(Saturation.class, "refrigerant-saturation.csv")) {
            Saturation here = of(row.get("refrigerant"));
            Temperature t = Temperature.ofCelsius(Double.parseDouble(row.get("t_C")));
            double bubble = 1000 * Double.parseDouble(row.get("p_bubble_kPa"));
            double dew = 1000 * Double.parseDouble(row.get("p_dew_kPa"));
            assertThat(here.bubble(t).si()).isCloseTo(bubble, within(1e-6 * bubble));
            assertThat(here.dew(t).si()).isCloseTo(dew, within(1e-6 * dew));
            assertThat(here.bubbleTemperature(AbsolutePressure.ofPascals(bubble))
                            .si())
                    .isCloseTo(t.si(), within(1e-6));
            assertThat(here.dewTemperature(AbsolutePressure.ofPascals(dew)).si())
                    .isCloseTo(t.si(), within(1e-6));
            assertThat(here.liquidDensity(t))
                    .isCloseTo(Double.parseDouble(row.get("rho_liquid_kg_m3")), within(1e-6 * 1e3));
            assertThat(here.vapourDensity(t)).isPositive();
            assertThat(here.vaporisation(t))
                    .isCloseTo(1000 * Double.parseDouble(row.get("h_vaporisation_kJ_kg")), within(1e-3));
        }
    }

    /** Every other row taken out and interpolated over twice the distance: the error of the whole table is a sixteenth of it. */
    @Test
    void betweenRowsItIsAsSmoothAsTheTable() {
        Saturation r32 = of("R32");
        double low = Math.log(r32.bubble(Temperature.ofCelsius(20)).si());
        double middle = Math.log(r32.bubble(Temperature.ofCelsius(21)).si());
        double high = Math.log(r32.bubble(Temperature.ofCelsius(22)).si());
        // ln p over −1/T is all but straight: three points within 2 K stray by less than 1e-5
        double share = (1 / 293.15 - 1 / 294.15) / (1 / 293.15 - 1 / 295.15);
        assertThat(middle).isCloseTo(low + share * (high - low), within(1e-5));
    }

    @Test
    void outsideTheTableTheRangeIsNamed() {
        assertThatThrownBy(() -> of("R410A").bubble(Temperature.ofCelsius(90)))
                .hasMessageContaining("R410A is described from -40 °C to");
        assertThatThrownBy(() -> of("R410A").dewTemperature(AbsolutePressure.ofPascals(1e3)))
                .hasMessageContaining("kPa abs, not at 1000 Pa");
    }

    /**
     * Another formulation, of which the table was not made: ln(p/p_c) = T_c/T·Σ n·θ^t, θ = 1 − T/T_c. Both differ by a few parts in
     * 100,000, smoothly; between two nodes they must not differ otherwise than at them.
     */
    private static double ancillary(double kelvin, double critical, double kilopascals, double[] n, double[] t) {
        double theta = 1 - kelvin / critical;
        double sum = 0;
        for (int i = 0; i < n.length; i++) {
            sum += n[i] * Math.pow(theta, t[i]);
        }
        return 1000 * kilopascals * Math.exp(critical / kelvin * sum);
    }

    private static void agrees(String refrigerant, double critical, double kilopascals, double[] n, double[] t) {
        Saturation here = of(refrigerant);
        for (double celsius = -39; celsius < 60; celsius += 2) {
            double[] off = new double[3];
            for (int i = 0; i < off.length; i++) {
                Temperature at = Temperature.ofCelsius(celsius + i - 1);
                off[i] = here.bubble(at).si() / ancillary(at.si(), critical, kilopascals, n, t) - 1;
            }
            assertThat(Math.abs(off[1]))
                    .as("%s at %.0f °C", refrigerant, celsius)
                    .isLessThan(2e-4);
            // 0.002 K are 4e-5 of the pressure where it rises least
            assertThat(Math.abs(off[1] - (off[0] + off[2]) / 2))
                    .as("%s between nodes, at %.0f °C", refrigerant, celsius)
                    .isLessThan(4e-5);
        }
    }

    @Test
    void offTheNodesItAgreesWithPublishedVapourPressureEquations() {
        // Tillner-Roth and Baehr 1994
        agrees("R134a", 374.18, 4056.29, new double[] {-7.686556, 2.311791, -2.039554, -3.583758}, new double[] {
            1, 1.5, 2, 4
        });
        // Lemmon, McLinden and Wagner 2009
        agrees("R290", 369.89, 4251.2, new double[] {-6.7722, 1.6938, -1.3341, -3.1876, 0.94937}, new double[] {
            1, 1.5, 2.2, 4.8, 6.2
        });
    }
}
