package org.undanus.core.fluid;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.undanus.core.numeric.Csv;

/**
 * A refrigerant's identity. Source: refrigerants.csv beside this class (designation and safety class after ISO 817 and
 * ASHRAE 34; warming potential over 100 years after the fourth report of the IPCC, as EU 517/2014 uses it), and files that were
 * brought later.
 *
 * @param lowerFlammabilityLimit kg/m³, empty where it does not burn
 * @param molarMass kg/mol
 * @param viscosity of its vapour at 25 °C and one atmosphere, Pa·s
 * @param warmingPotential of a kilogram, in kilograms of carbon dioxide
 * @param parts how many it is mixed of: 1 of a pure one
 * @param saturation where its liquid and vapour stand together
 * @param enthalpy the heat in them
 */
public record Refrigerant(
        String name,
        String safetyClass,
        Optional<Double> lowerFlammabilityLimit,
        double molarMass,
        double viscosity,
        double warmingPotential,
        int parts,
        Saturation saturation,
        Enthalpy enthalpy) {

    /** Designations of mixtures: 400 those that part, 500 those that boil as one. Source: ISO 817 and ASHRAE 34, numbering. */
    private static final Pattern MIXTURE = Pattern.compile("R[45]\\d\\d[A-Z]*");

    private static final List<Refrigerant> SHIPPED = shippedTables();

    private static List<Refrigerant> shippedTables() {
        Map<String, List<Map<String, String>>> saturation = byName("refrigerant-saturation.csv");
        Map<String, List<Map<String, String>>> enthalpy = byName("refrigerant-enthalpy.csv");
        return Csv.read(Refrigerant.class, "refrigerants.csv").stream()
                .map(row -> {
                    String name = row.get("refrigerant");
                    return of(row, new Saturation(name, saturation.get(name)), new Enthalpy(name, enthalpy.get(name)));
                })
                .toList();
    }

    private static Map<String, List<Map<String, String>>> byName(String table) {
        return Csv.read(Refrigerant.class, table).stream()
                .collect(Collectors.groupingBy(row -> row.get("refrigerant")));
    }

    /** @throws IllegalArgumentException when a column is no number */
    static Refrigerant of(Map<String, String> row, Saturation saturation, Enthalpy enthalpy) {
        return new Refrigerant(
                row.get("refrigerant"),
                row.get("safety_class"),
                Optional.of(row.get("lfl_kg_m3"))
                        .filter(text -> !text.isBlank())
                        .map(Double::valueOf),
                Double.parseDouble(row.get("molar_mass_g_mol")) / 1000,
                Double.parseDouble(row.get("vapour_viscosity_25C_uPa_s")) / 1e6,
                Double.parseDouble(row.get("gwp_100")),
                parts(row.getOrDefault("composition_mass_percent", ""), row.get("refrigerant")),
                saturation,
                enthalpy);
    }

    /** By its composition, {@code R32/R125 50/50}; where none is given, a mixture's designation stands for two. */
    private static int parts(String composition, String name) {
        if (composition.isBlank()) {
            return MIXTURE.matcher(name).matches() ? 2 : 1;
        }
        return composition.strip().split("\\s+")[0].split("/").length;
    }

    public boolean blend() {
        return parts > 1;
    }

    public boolean flammable() {
        return lowerFlammabilityLimit.isPresent();
    }

    /** Those that ship with the application. */
    public static List<Refrigerant> shipped() {
        return SHIPPED;
    }

    /** One that ships with the application. */
    public static Optional<Refrigerant> shipped(String name) {
        return SHIPPED.stream().filter(each -> each.name.equals(name)).findFirst();
    }
}
