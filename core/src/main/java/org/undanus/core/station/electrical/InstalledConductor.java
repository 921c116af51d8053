package org.undanus.core.station.electrical;

import static org.undanus.core.installation.PlatePoints.PHASES;
import static org.undanus.core.installation.PlatePoints.THREE_PHASES;
import static org.undanus.core.station.electrical.CircuitPoints.AMBIENT;
import static org.undanus.core.station.electrical.CircuitPoints.BUNDLED;
import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_MATERIAL;
import static org.undanus.core.station.electrical.CircuitPoints.CONDUCTOR_SIZE;
import static org.undanus.core.station.electrical.CircuitPoints.INSULATION;
import static org.undanus.core.station.electrical.CircuitPoints.TERMINALS;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Step;
import org.undanus.core.numeric.Propagation;
import org.undanus.core.quantity.Current;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.Setting;
import org.undanus.core.words.Text;

/**
 * What the conductors can carry where they lie: table value at the insulation's rating × ambient factor × grouping
 * factor, and never above the table value at the terminals' rating.
 */
record InstalledConductor(Uncertain ampacity, List<Step> steps) {
    static final Setting TERMINAL_RATING = new Setting(
            "electrical.terminal-rating", Dimension.TEMPERATURE, "Terminal rating taken where none is marked");
    static final String TABLE = "electrical.conductors";
    /** Taken where nobody said how they are installed. */
    private static final String USUAL_METHOD = "C";

    static final Point[] NEEDS = {CONDUCTOR_SIZE, CONDUCTOR_MATERIAL, INSULATION, AMBIENT, BUNDLED};

    static Map<String, Set<String>> tables() {
        return Map.of(TABLE, ConductorTable.names());
    }

    static ConductorTable table(RuleBook rules) {
        return ConductorTable.named(rules.tables().get(TABLE));
    }

    /** What is still to be read before the ampacity is known: {@link #NEEDS}, and the phases where the table tells them. */
    static List<Point> missing(Examination x) {
        List<Point> missing = new ArrayList<>(x.missing(NEEDS));
        if (table(x.rules()).tellsPhases()) {
            missing.addAll(x.missing(PHASES));
        }
        return missing;
    }

    /** Two conductors carry the current of one phase; three that of three. */
    private static int loaded(Examination x) {
        return x.chosen(PHASES).filter(THREE_PHASES::equals).isPresent() ? 3 : 2;
    }

    /** Empty where the rule book's table has no such conductor. Nothing may be {@link #missing}. */
    static Optional<InstalledConductor> of(Examination x) {
        ConductorTable table = table(x.rules());
        String metal = x.chosen(CONDUCTOR_MATERIAL).orElseThrow().id();
        double area = x.need(CONDUCTOR_SIZE).quantity().si();
        int insulation = Integer.parseInt(x.chosen(INSULATION).orElseThrow().id());
        int terminals = x.chosen(TERMINALS)
                .map(rating -> Integer.valueOf(rating.id()))
                .orElseGet(() -> (int) Math.round(
                        ((Temperature) x.rules().setting(TERMINAL_RATING).value()).celsius()));
        int loaded = loaded(x);
        String method = x.chosen(WiringPoints.METHOD).map(Option::id).orElse(USUAL_METHOD);
        int bundled =
                Math.max(loaded, (int) Math.round(x.need(BUNDLED).quantity().si()));
        return table.column(metal, area, insulation, loaded, method).map(column -> {
            double grouping = table.groupingFactor(bundled, loaded);
            double ceiling = table.column(metal, area, terminals, loaded, method)
                    .map(ConductorTable.Column::ampere)
                    .orElse(column.ampere());
            Uncertain ambient = x.need(AMBIENT).uncertain();
            Uncertain ampacity = Propagation.through(
                    in -> Math.min(ceiling, column.ampere() * table.ambientFactor(column.rating(), in[0]) * grouping),
                    ambient);
            List<Step> steps = new ArrayList<>();
            steps.add(new Step(
                    Text.of("Table value"),
                    table.tellsMethods()
                            ? Text.of(
                                    "{metal}, {rating} °C column, {loaded} current-carrying conductors, method {method}",
                                    metal,
                                    column.rating(),
                                    loaded,
                                    method)
                            : Text.of(
                                    "{metal}, {rating} °C column, {loaded} current-carrying conductors",
                                    metal,
                                    column.rating(),
                                    loaded),
                    Current.ofAmperes(column.ampere()),
                    Text.plain(table.source())));
            steps.add(Step.of(
                    "Ambient factor",
                    "√((insulation − air)/(insulation − base))",
                    Text.plain(
                            String.format(Locale.ROOT, "%.3f", table.ambientFactor(column.rating(), ambient.value()))),
                    table.source()));
            steps.add(new Step(
                    Text.of("Grouping factor"),
                    Text.of("{bundled} current-carrying conductors together", bundled),
                    Text.plain(String.format(Locale.ROOT, "%.2f", grouping)),
                    Text.plain(table.source())));
            steps.add(new Step(
                    Text.of("Ceiling at the terminals"),
                    Text.of("table value in the {terminals} °C column, no factors", terminals),
                    Current.ofAmperes(ceiling),
                    Text.plain(x.rules().setting(TERMINAL_RATING).source())));
            return new InstalledConductor(ampacity, List.copyOf(steps));
        });
    }
}
