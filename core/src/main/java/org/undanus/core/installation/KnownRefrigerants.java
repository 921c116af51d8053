package org.undanus.core.installation;

import java.util.List;
import java.util.Optional;
import org.undanus.core.fluid.Enthalpy;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.RefrigerantFile;
import org.undanus.core.fluid.Saturation;
import org.undanus.core.quantity.Temperature;

/** The refrigerants that plates may name, and how another becomes one of them. */
public final class KnownRefrigerants {
    private KnownRefrigerants() {}

    /**
     * One of them.
     *
     * @param lowerFlammabilityLimit kg/m³; empty where it does not burn
     * @param warmingPotential over 100 years, of a kilogram in kilograms of carbon dioxide
     * @param coldest that its tables describe
     * @param warmest that its tables describe
     */
    public record Known(
            String name,
            String safetyClass,
            Optional<Double> lowerFlammabilityLimit,
            double warmingPotential,
            Temperature coldest,
            Temperature warmest) {}

    /** Those that ship, then those that were brought in. */
    public static List<Known> all() {
        return Refrigerant.known().stream().map(KnownRefrigerants::known).toList();
    }

    /** Whether one of this name ships with the application. */
    public static boolean ships(String name) {
        return Refrigerant.named(name).filter(Refrigerant::ships).isPresent();
    }

    private static Known known(Refrigerant each) {
        return new Known(
                each.name(),
                each.safetyClass(),
                each.lowerFlammabilityLimit(),
                each.warmingPotential(),
                Enthalpy.of(each).coldest(),
                Saturation.of(each).warmest());
    }

    /** The columns of a file of one. */
    public static List<String> columns() {
        return RefrigerantFile.columns();
    }

    /**
     * The name that a sound file is about; it is not known by that yet.
     *
     * @throws IllegalArgumentException naming line and column of what does not fit
     */
    public static String nameIn(String file) {
        return RefrigerantFile.read(file).refrigerant().name();
    }

    /**
     * Makes the refrigerant of a file known, until the program ends; the same again is nothing new.
     *
     * @throws IllegalArgumentException where the file does not fit, or another of this name is known
     */
    public static void add(String file) {
        Refrigerant.add(RefrigerantFile.read(file));
    }
}
