package org.undanus.core.station.electrical;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.numeric.Csv;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.Temperature;

/**
 * A shipped table of conductor ampacity with its grouping factors. Ambient correction is √((Tc − Ta)/(Tc − T0)), the
 * equation behind the factors of both code families.
 */
final class ConductorTable {
    private static final double SAME_SIZE = 0.01;

    /** @param loaded how many current-carrying conductors of one circuit the row is for, at most */
    private record Entry(String metal, double area, int rating, int loaded, double ampere, String method) {}

    private record Grouping(int upTo, double factor) {}

    private static final Map<String, ConductorTable> SHIPPED = Csv.read(ConductorTable.class, "tables.csv").stream()
            .map(ConductorTable::new)
            .collect(Collectors.toUnmodifiableMap(table -> table.name, Function.identity()));

    private final String name;
    private final String source;
    private final double baseAmbient;
    private final boolean byCircuits;
    private final List<Entry> entries;
    private final List<Grouping> groupings;

    private ConductorTable(Map<String, String> about) {
        name = about.get("table");
        source = about.get("source");
        baseAmbient = Double.parseDouble(about.get("base_ambient_c"));
        byCircuits = about.get("grouped_by").equals("circuits");
        entries = Csv.read(ConductorTable.class, "ampacity-" + name + ".csv").stream()
                .map(row -> new Entry(
                        row.get("metal"),
                        FieldNotation.parse(row.get("size"), Dimension.CONDUCTOR_AREA)
                                .value()
                                .si(),
                        Integer.parseInt(row.get("rating_c")),
                        Integer.parseInt(row.get("loaded")),
                        Double.parseDouble(row.get("ampere")),
                        row.get("method")))
                .toList();
        groupings = Csv.read(ConductorTable.class, "grouping-" + name + ".csv").stream()
                .map(row -> new Grouping(Integer.parseInt(row.get("up_to")), Double.parseDouble(row.get("factor"))))
                .toList();
    }

    static Set<String> names() {
        return SHIPPED.keySet();
    }

    static ConductorTable named(String name) {
        return SHIPPED.get(name);
    }

    String source() {
        return source;
    }

    /** One size and metal at one insulation temperature; ampere at the table's own conditions. */
    record Column(int rating, double ampere) {}

    /**
     * The highest column not above a rating: a conductor may always be used cooler than it is made for. Empty where the
     * table has no such size.
     *
     * @param loaded current-carrying conductors of the circuit: two, or three where it is of three phases
     * @param method how they are installed, where the table tells methods apart
     */
    Optional<Column> column(String metal, double area, int rating, int loaded, String method) {
        return entries.stream()
                .filter(e -> e.metal.equals(metal)
                        && e.rating <= rating
                        && e.loaded >= loaded
                        && (e.method.isEmpty() || e.method.equals(method))
                        && Math.abs(e.area / area - 1) < SAME_SIZE)
                .max(Comparator.comparingInt(Entry::rating).thenComparingInt(e -> -e.loaded))
                .map(e -> new Column(e.rating, e.ampere));
    }

    /** Whether it tells methods of installation apart. */
    boolean tellsMethods() {
        return entries.stream().anyMatch(e -> !e.method.isEmpty());
    }

    /** Whether it tells circuits of two loaded conductors from those of three. */
    boolean tellsPhases() {
        return entries.stream().mapToInt(Entry::loaded).distinct().count() > 1;
    }

    /** 0 where the air is as hot as the insulation may get. */
    double ambientFactor(int rating, double ambientKelvin) {
        double room = rating - (ambientKelvin - Temperature.ZERO_CELSIUS);
        return Math.sqrt(Math.max(0, room) / (rating - baseAmbient));
    }

    /**
     * @param conductors current-carrying ones together, this circuit's own included
     * @param loaded of this circuit; where the table counts circuits, the others are taken to have as many
     */
    double groupingFactor(int conductors, int loaded) {
        int grouped = byCircuits ? (conductors + loaded - 1) / loaded : conductors;
        return groupings.stream()
                .filter(g -> grouped <= g.upTo)
                .findFirst()
                .orElse(groupings.get(groupings.size() - 1))
                .factor;
    }
}
