package org.undanus.core.fluid;

import java.util.List;
import java.util.Optional;
import org.undanus.core.quantity.Csv;

/**
 * A refrigerant's identity. Source: refrigerants.csv beside this class (designation and safety class after ISO 817 and
 * ASHRAE 34).
 *
 * @param lowerFlammabilityLimit kg/m³, empty where it does not burn
 * @param molarMass kg/mol
 * @param viscosity of its vapour at 25 °C and one atmosphere, Pa·s
 */
public record Refrigerant(
        String name, String safetyClass, Optional<Double> lowerFlammabilityLimit, double molarMass, double viscosity) {

    private static final List<Refrigerant> KNOWN = Csv.read(Refrigerant.class, "refrigerants.csv").stream()
            .map(row -> new Refrigerant(
                    row.get("refrigerant"),
                    row.get("safety_class"),
                    Optional.of(row.get("lfl_kg_m3"))
                            .filter(text -> !text.isBlank())
                            .map(Double::valueOf),
                    Double.parseDouble(row.get("molar_mass_g_mol")) / 1000,
                    Double.parseDouble(row.get("vapour_viscosity_25C_uPa_s")) / 1e6))
            .toList();

    public static Optional<Refrigerant> named(String name) {
        return KNOWN.stream().filter(r -> r.name.equals(name)).findFirst();
    }

    public boolean flammable() {
        return lowerFlammabilityLimit.isPresent();
    }

    /** Every refrigerant the tables know. */
    public static List<Refrigerant> known() {
        return KNOWN;
    }
}
