package org.undanus.core.fluid;

import java.util.List;
import java.util.Optional;
import org.undanus.core.quantity.Csv;

/**
 * A refrigerant's identity. Source: refrigerants.csv beside this class (designation and safety class after ISO 817 and
 * ASHRAE 34).
 *
 * @param lowerFlammabilityLimit kg/m³, empty where it does not burn
 */
public record Refrigerant(String name, String safetyClass, Optional<Double> lowerFlammabilityLimit) {

    private static final List<Refrigerant> KNOWN = Csv.read(Refrigerant.class, "refrigerants.csv").stream()
            .map(row -> new Refrigerant(
                    row.get("refrigerant"),
                    row.get("safety_class"),
                    Optional.of(row.get("lfl_kg_m3"))
                            .filter(text -> !text.isBlank())
                            .map(Double::valueOf)))
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
