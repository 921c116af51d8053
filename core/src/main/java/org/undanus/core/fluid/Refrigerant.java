package org.undanus.core.fluid;

import java.util.AbstractList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
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
 */
public record Refrigerant(
        String name,
        String safetyClass,
        Optional<Double> lowerFlammabilityLimit,
        double molarMass,
        double viscosity,
        double warmingPotential,
        int parts) {

    /** Designations of mixtures: 400 those that part, 500 those that boil as one. Source: ISO 817 and ASHRAE 34, numbering. */
    private static final Pattern MIXTURE = Pattern.compile("R[45]\\d\\d[A-Z]*");

    private static final List<Refrigerant> SHIPPED = Csv.read(Refrigerant.class, "refrigerants.csv").stream()
            .map(Refrigerant::of)
            .toList();
    private static final List<Refrigerant> KNOWN = new CopyOnWriteArrayList<>(SHIPPED);
    private static final List<String> NAMES = new AbstractList<>() {
        @Override
        public String get(int index) {
            return KNOWN.get(index).name;
        }

        @Override
        public int size() {
            return KNOWN.size();
        }
    };

    /** @throws IllegalArgumentException when a column is no number */
    static Refrigerant of(Map<String, String> row) {
        return new Refrigerant(
                row.get("refrigerant"),
                row.get("safety_class"),
                Optional.of(row.get("lfl_kg_m3"))
                        .filter(text -> !text.isBlank())
                        .map(Double::valueOf),
                Double.parseDouble(row.get("molar_mass_g_mol")) / 1000,
                Double.parseDouble(row.get("vapour_viscosity_25C_uPa_s")) / 1e6,
                Double.parseDouble(row.get("gwp_100")),
                parts(row.getOrDefault("composition_mass_percent", ""), row.get("refrigerant")));
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

    public static Optional<Refrigerant> named(String name) {
        return KNOWN.stream().filter(r -> r.name.equals(name)).findFirst();
    }

    public boolean flammable() {
        return lowerFlammabilityLimit.isPresent();
    }

    /** Every refrigerant the tables know; later ones after those that ship with them. */
    public static List<Refrigerant> known() {
        return Collections.unmodifiableList(KNOWN);
    }

    /** Whether it ships with the application: nothing takes its place. */
    public boolean ships() {
        return SHIPPED.contains(this);
    }

    /** Their names. Not a copy: one that is brought later is among them at once. */
    public static List<String> names() {
        return NAMES;
    }

    /**
     * Makes the refrigerant of a file known everywhere, until the program ends; again the same is nothing new.
     *
     * @throws IllegalArgumentException where another of this name is known
     */
    public static synchronized void add(RefrigerantFile file) {
        Optional<Refrigerant> same = named(file.refrigerant().name);
        if (same.isPresent()) {
            if (!same.get().equals(file.refrigerant())) {
                throw new IllegalArgumentException(same.get().name + " is known already, with other figures.");
            }
            return;
        }
        Saturation.add(file.saturation());
        Enthalpy.add(file.enthalpy());
        KNOWN.add(file.refrigerant());
    }
}
