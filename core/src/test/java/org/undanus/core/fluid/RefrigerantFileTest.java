package org.undanus.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.quantity.Temperature;

class RefrigerantFileTest {
    private static String with(int line, String column, String value) {
        String[] lines = RefrigerantFiles.like("R32", "R9932").split("\n");
        String[] fields = lines[line - 1].split(",", -1);
        fields[RefrigerantFile.columns().indexOf(column)] = value;
        lines[line - 1] = String.join(",", fields);
        return String.join("\n", lines);
    }

    @Test
    void whatWasBroughtComputesAsWhatShips() {
        RefrigerantFile read = RefrigerantFile.read(RefrigerantFiles.like("R454B", "R9954B"));
        Refrigerant like = Refrigerant.shipped("R454B").orElseThrow();
        assertThat(read.refrigerant().safetyClass()).isEqualTo("A2L");
        assertThat(read.refrigerant().lowerFlammabilityLimit()).isEqualTo(like.lowerFlammabilityLimit());
        assertThat(read.refrigerant().warmingPotential()).isEqualTo(466);
        Temperature warm = Temperature.ofCelsius(21);
        assertThat(read.refrigerant().saturation().dew(warm).si())
                .isCloseTo(like.saturation().dew(warm).si(), within(1e-6));
        assertThat(read.refrigerant().enthalpy().vapour(warm, 7))
                .isCloseTo(like.enthalpy().vapour(warm, 7), within(1e-6));
    }

    @ParameterizedTest(name = "line {0}, {1} {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "5 | p_bubble_kPa | 100 | Line 5, p_bubble_kPa: it does not rise",
                "5 | p_dew_kPa | 9999 | Line 5, p_dew_kPa: it is over the bubble pressure",
                "5 | rho_liquid_kg_m3 | 2000 | Line 5, rho_liquid_kg_m3: it does not fall",
                "5 | rho_vapour_kg_m3 | -1 | it is not more than nothing",
                "5 | h_vaporisation_kJ_kg | 900 | it does not fall",
                "5 | t_C | 90 | Line 6, t_C: it does not rise",
                "5 | t_C | warm | \"warm\" is no number",
                "5 | h_liquid_kJ_kg | NaN | is no number",
                "5 | safety_class | A1 | it is another than in the row before",
                "5 | gwp_100 | 1e999 | is no number",
                "2 | molar_mass_g_mol | 0 | Line 2, molar_mass_g_mol: it is not more than nothing",
                "2 | vapour_viscosity_25C_uPa_s | -13 | it is not more than nothing",
                "2 | gwp_100 | -675 | it is less than nothing",
                "2 | lfl_kg_m3 | 0 | Line 2, lfl_kg_m3: it is not more than nothing",
                "2 | t_C | -300 | Line 2, t_C: nothing is as cold",
                "5 | h_vapour_kJ_kg | 10 | Line 5, h_vapour_kJ_kg: it is not over h_liquid_kJ_kg",
                "5 | h_vapour_superheated_20K_kJ_kg | 400 | it is not over h_vapour_superheated_10K_kJ_kg",
            })
    void whatCannotBeIsRefusedWithItsPlace(int line, String column, String value, String why) {
        assertThatThrownBy(() -> RefrigerantFile.read(with(line, column, value)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why);
    }

    @Test
    void whatIsNoSuchFileIsRefused() {
        String sound = RefrigerantFiles.like("R32", "R9932");
        assertThatThrownBy(() -> RefrigerantFile.read("")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> RefrigerantFile.read(sound.replace("p_dew_kPa", "p_dew")))
                .hasMessageContaining("lacks the column p_dew_kPa");
        assertThatThrownBy(() -> RefrigerantFile.read(
                        Arrays.stream(sound.split("\n")).limit(5).collect(Collectors.joining("\n"))))
                .hasMessageContaining("It has 4 rows");
        assertThatThrownBy(() -> RefrigerantFile.read(sound.replace("R9932", "<b>32")))
                .hasMessageContaining("is no designation");
        assertThatThrownBy(() -> RefrigerantFile.read(sound.replace("A2L", "D4")))
                .hasMessageContaining("is no safety class");
        assertThatThrownBy(() -> RefrigerantFile.read(sound.replace("A2L", "A1")))
                .hasMessageContaining("has no lower flammability limit");
        assertThatThrownBy(() -> RefrigerantFile.read(sound.replace("0.307", "")))
                .hasMessageContaining("needs its lower flammability limit");
    }
}
