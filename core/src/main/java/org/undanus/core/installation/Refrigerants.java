package org.undanus.core.installation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.fluid.RefrigerantFile;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.words.RefusedException;

/**
 * The refrigerants that plates may name: those that ship with the application, and those that were brought as files. Never
 * changed: another makes others.
 */
public final class Refrigerants {
    /** Those that ship. */
    public static final Refrigerants SHIPPED = new Refrigerants(List.of());

    /**
     * One of them, told to people.
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

    private final List<RefrigerantFile> brought;

    private Refrigerants(List<RefrigerantFile> brought) {
        this.brought = List.copyOf(brought);
    }

    /** Those that ship, then those that were brought. */
    public Stream<Refrigerant> all() {
        return Stream.concat(Refrigerant.shipped().stream(), brought.stream().map(RefrigerantFile::refrigerant));
    }

    public Optional<Refrigerant> named(String name) {
        return all().filter(each -> each.name().equals(name)).findFirst();
    }

    /** One that was chosen among them. */
    public Optional<Refrigerant> chosen(Option option) {
        return named(option.id());
    }

    public List<String> names() {
        return all().map(Refrigerant::name).toList();
    }

    /** As a line of the walk offers them: by their designations. */
    public List<Option> options() {
        return all().map(each -> Option.of(each.name(), each.name())).toList();
    }

    /** A point as it is asked where these are known: a choice among refrigerants offers them. */
    public Point asked(Point point) {
        return point.open() ? point.offering(options()) : point;
    }

    public List<Known> known() {
        return all().map(each -> new Known(
                        each.name(),
                        each.safetyClass(),
                        each.lowerFlammabilityLimit(),
                        each.warmingPotential(),
                        each.enthalpy().coldest(),
                        each.saturation().warmest()))
                .toList();
    }

    /** The files of those that were brought, in order. */
    public List<String> files() {
        return brought.stream().map(RefrigerantFile::text).toList();
    }

    /**
     * These, and the one of a file; the same again is nothing new.
     *
     * @throws IllegalArgumentException where the file does not fit, or another of its name is among these
     */
    public Refrigerants with(String file) {
        RefrigerantFile read = RefrigerantFile.read(file);
        if (brought.contains(read)) {
            return this;
        }
        String name = read.refrigerant().name();
        if (named(name).isPresent()) {
            throw new RefusedException("{name} is known already, by another file.", name);
        }
        List<RefrigerantFile> more = new ArrayList<>(brought);
        more.add(read);
        return new Refrigerants(more);
    }

    /** Whether one of this name ships with the application: nothing takes its place. */
    public static boolean ships(String name) {
        return Refrigerant.shipped(name).isPresent();
    }

    /** The columns of a file of one. */
    public static List<String> columns() {
        return RefrigerantFile.columns();
    }

    /**
     * The name that a sound file is about.
     *
     * @throws IllegalArgumentException naming line and column of what does not fit
     */
    public static String nameIn(String file) {
        return RefrigerantFile.read(file).refrigerant().name();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Refrigerants others && others.brought.equals(brought);
    }

    @Override
    public int hashCode() {
        return brought.hashCode();
    }
}
