package org.undanus.core.fluid;

import de.siegmar.fastcsv.reader.CsvParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/**
 * A refrigerant in one file of comma-separated values: a heading row, then a row for each temperature from cold to warm. What is
 * the same of all temperatures, its name to its warming potential, stands in every row. Checked when it is read: nothing missing,
 * every figure a number, pressures and the vapour's density rising with temperature, the liquid's density and the heat of
 * vaporisation falling, no dew pressure over the bubble pressure, and the warmer a state the more heat in it.
 */
public record RefrigerantFile(Refrigerant refrigerant, String text) {
    /** Two are the same where they are word for word. */
    @Override
    public boolean equals(Object other) {
        return other instanceof RefrigerantFile file && file.text.equals(text);
    }

    @Override
    public int hashCode() {
        return text.hashCode();
    }

    private static final List<String> SAME = List.of(
            "refrigerant", "safety_class", "lfl_kg_m3", "molar_mass_g_mol", "vapour_viscosity_25C_uPa_s", "gwp_100");
    private static final List<String> RISING = List.of("t_C", "p_bubble_kPa", "p_dew_kPa", "rho_vapour_kg_m3");
    private static final List<String> FALLING = List.of("rho_liquid_kg_m3", "h_vaporisation_kJ_kg");
    private static final List<String> POSITIVE = List.of(
            "molar_mass_g_mol",
            "vapour_viscosity_25C_uPa_s",
            "p_bubble_kPa",
            "p_dew_kPa",
            "rho_liquid_kg_m3",
            "rho_vapour_kg_m3",
            "h_vaporisation_kJ_kg",
            "cp_liquid_kJ_kgK");
    private static final List<String> ENTHALPY = List.of(
            "h_liquid_kJ_kg",
            "h_vapour_kJ_kg",
            "cp_liquid_kJ_kgK",
            "h_vapour_superheated_10K_kJ_kg",
            "h_vapour_superheated_20K_kJ_kg",
            "h_vapour_superheated_40K_kJ_kg");
    /** Each over the one before, in a row. */
    private static final List<String> WARMER = List.of(
            "h_liquid_kJ_kg",
            "h_vapour_kJ_kg",
            "h_vapour_superheated_10K_kJ_kg",
            "h_vapour_superheated_20K_kJ_kg",
            "h_vapour_superheated_40K_kJ_kg");

    private static final int FEWEST = 10;
    private static final int MOST = 1000;
    private static final int HEADING = 1;
    private static final Pattern NAME = Pattern.compile("R\\d{1,4}[A-Za-z]{0,3}(\\([A-Z]\\))?");
    private static final Pattern CLASS = Pattern.compile("[AB](1|2L|2|3)");

    /** The columns it has, in the order that is written here. */
    public static List<String> columns() {
        return Stream.of(SAME, RISING, FALLING, ENTHALPY).flatMap(List::stream).toList();
    }

    /** @throws IllegalArgumentException naming row and column of what does not fit */
    public static RefrigerantFile read(String text) {
        List<Map<String, String>> rows = rows(text);
        for (String column : columns()) {
            if (!rows.get(0).containsKey(column)) {
                throw new RefusedException("The heading lacks the column {column}.", column);
            }
        }
        for (int i = 0; i < rows.size(); i++) {
            requireFigures(rows, i);
        }
        Map<String, String> first = rows.get(0);
        if (!NAME.matcher(first.get("refrigerant")).matches()) {
            throw new RefusedException(
                    "\"{first}\" is no designation, for example R32 or R454B.", first.get("refrigerant"));
        }
        if (!CLASS.matcher(first.get("safety_class")).matches()) {
            throw new RefusedException(
                    "\"{first}\" is no safety class, for example A1 or A2L.", first.get("safety_class"));
        }
        boolean burns = !first.get("safety_class").endsWith("1");
        if (burns == first.get("lfl_kg_m3").isBlank()) {
            throw new IllegalArgumentException(
                    burns
                            ? "One that burns needs its lower flammability limit, lfl_kg_m3."
                            : "One of class A1 or B1 has no lower flammability limit.");
        }
        String name = first.get("refrigerant");
        return new RefrigerantFile(Refrigerant.of(first, new Saturation(name, rows), new Enthalpy(name, rows)), text);
    }

    private static List<Map<String, String>> rows(String text) {
        List<Map<String, String>> rows;
        try {
            rows = Csv.read(text);
        } catch (CsvParseException e) {
            throw new RefusedException("A row does not fit the heading: {message}.", RefusedException.said(e));
        }
        if (rows.size() < FEWEST || rows.size() > MOST) {
            throw new RefusedException("It has {rows} rows; {fewest} to {most} are needed.", rows.size(), FEWEST, MOST);
        }
        return rows;
    }

    private static void requireFigures(List<Map<String, String>> rows, int i) {
        Map<String, String> row = rows.get(i);
        for (String column : columns()) {
            boolean words = column.equals("refrigerant") || column.equals("safety_class");
            boolean open = column.equals("lfl_kg_m3") && row.get(column).isBlank();
            if (!words && !open) {
                number(rows, i, column);
            }
            if (SAME.contains(column) && !row.get(column).equals(rows.get(0).get(column))) {
                throw wrong(i, column, "it is another than in the row before");
            }
        }
        for (String column : POSITIVE) {
            if (number(rows, i, column) <= 0) {
                throw wrong(i, column, "it is not more than nothing");
            }
        }
        if (number(rows, i, "t_C") <= -Temperature.ZERO_CELSIUS) {
            throw wrong(i, "t_C", "nothing is as cold");
        }
        if (number(rows, i, "gwp_100") < 0) {
            throw wrong(i, "gwp_100", "it is less than nothing");
        }
        if (!row.get("lfl_kg_m3").isBlank() && number(rows, i, "lfl_kg_m3") <= 0) {
            throw wrong(i, "lfl_kg_m3", "it is not more than nothing");
        }
        for (int k = 1; k < WARMER.size(); k++) {
            if (number(rows, i, WARMER.get(k)) <= number(rows, i, WARMER.get(k - 1))) {
                throw wrong(i, WARMER.get(k), "it is not over {colder}", WARMER.get(k - 1));
            }
        }
        if (i > 0) {
            RISING.forEach(column -> follows(rows, i, column, (before, now) -> now > before, "it does not rise"));
            FALLING.forEach(column -> follows(rows, i, column, (before, now) -> now < before, "it does not fall"));
        }
        if (number(rows, i, "p_dew_kPa") > number(rows, i, "p_bubble_kPa")) {
            throw wrong(i, "p_dew_kPa", "it is over the bubble pressure");
        }
    }

    private static void follows(
            List<Map<String, String>> rows, int i, String column, BiPredicate<Double, Double> fits, String why) {
        if (!fits.test(number(rows, i - 1, column), number(rows, i, column))) {
            throw wrong(i, column, why);
        }
    }

    private static double number(List<Map<String, String>> rows, int i, String column) {
        Optional<Double> read = Optional.empty();
        try {
            read = Optional.of(Double.valueOf(rows.get(i).get(column))).filter(Double::isFinite);
        } catch (NumberFormatException noNumber) {
            // said below, with its place
        }
        return read.orElseThrow(
                () -> wrong(i, column, "\"{figure}\" is no number", rows.get(i).get(column)));
    }

    private static RefusedException wrong(int row, String column, String why, Object... arguments) {
        return new RefusedException("Line {row}, {column}: {why}.", row + HEADING + 1, column, Text.of(why, arguments));
    }
}
