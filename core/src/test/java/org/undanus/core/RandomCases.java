package org.undanus.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.DoubleFunction;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.Notation;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.evidence.Stage;
import org.undanus.core.evidence.Toolcase;
import org.undanus.core.evidence.Value;
import org.undanus.core.geometry.Sites;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.DataSheets;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.Site;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Power;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/** Cases with random units, sites, sheets and readings. The same random gives the same case. */
public final class RandomCases {
    private static final List<String> MODELS = List.of("WS-12", "WS-12 I", "Nobody's", "DX-42 <b>");

    /** Their lines came later: they draw by themselves, so that what was recorded of the others stays. */
    private static final Set<Scope> LATER = EnumSet.of(
            Scope.LINE_SET, Scope.JOINT, Scope.DRAIN_RUN, Scope.CIRCUIT, Scope.DUCT_SYSTEM, Scope.VENT, Scope.ZONE);

    /** The last value sheets could give at first. */
    private static final SheetValue LAST_FIRST = SheetValue.HOLE_DIAMETER;

    /** The same of single lines, by how their names begin. */
    private static final List<String> LATER_POINTS = List.of(
            "condensate.",
            "fuel.",
            "running.supply-wet-bulb",
            "electrical.service-rating",
            "electrical.listed-load",
            "electrical.peak-load",
            "electrical.free-ways",
            "electrical.control-",
            "electrical.stage-",
            "electrical.separated",
            "electrical.surge",
            "electrical.dedicated",
            "electrical.run-length",
            "electrical.method",
            "electrical.earth-size",
            "electrical.conduit-",
            "electrical.conductor-class",
            "electrical.strain-relief",
            "electrical.disconnect-kind",
            "electrical.fuse-rating",
            "electrical.pull-out-way",
            "electrical.weatherproof",
            "electrical.voltage-12",
            "electrical.voltage-23",
            "electrical.voltage-31",
            "electrical.terminals");

    private RandomCases() {}

    public static Case facts(Random random) {
        List<Component> components = new ArrayList<>();
        if (random.nextInt(10) > 0) {
            components.add(new Component("outdoor", Component.Kind.OUTDOOR, "Outdoor unit", random.nextInt(5) > 0));
        }
        Component.Kind[] kinds = Component.Kind.values();
        for (int i = 0; i < random.nextInt(3); i++) {
            components.add(new Component(
                    "indoor-" + i, kinds[1 + random.nextInt(kinds.length - 1)], "Unit " + i, random.nextBoolean()));
        }
        return new Case(
                new Site("Lido", Length.ofMetres(-400 + 6000 * random.nextDouble())),
                components,
                DataSheets.of(random.nextBoolean() ? List.of() : List.of(sheet(random, 0), sheet(random, 1))),
                LocalDate.of(2026, 9, 1),
                Stage.values()[random.nextInt(Stage.values().length)],
                random.nextBoolean(),
                Toolcase.EMPTY,
                random.nextInt(3) == 0 ? Optional.of(site(random)) : Optional.empty(),
                List.of(),
                KnownTraces.ANY,
                Refrigerants.SHIPPED);
    }

    private static SitePlan site(Random random) {
        return new Sites()
                .rectangle("yard", SitePlan.Kind.AREA, 0, 0, 6, 5)
                .rectangle("plot", SitePlan.Kind.BOUNDARY, -4, -4, 14, 13)
                .rectangle("house", SitePlan.Kind.WALL, 0, 5, 6, 0.3)
                .rectangle("hedge", SitePlan.Kind.OBSTACLE, 4.5 + random.nextDouble(), 0, 0.4, 3)
                .line("door", SitePlan.Kind.OPENING, 0.5, 5, 1.4, 5)
                .unit("outdoor", 1 + 4 * random.nextDouble(), 0.5 + 4 * random.nextDouble(), 90 * random.nextInt(4))
                .plan();
    }

    /** A sheet refuses what contradicts itself; then another is made. */
    private static DataSheet sheet(Random random, int model) {
        while (true) {
            try {
                return withLater(anySheet(random, model));
            } catch (IllegalArgumentException contradiction) {
                assertThat(contradiction.getMessage()).containsAnyOf("contradicts itself", "cannot be");
            }
        }
    }

    /** What sheets learned to say later is drawn by itself; what would contradict the rest is left out. */
    private static DataSheet withLater(DataSheet first) {
        DataSheet sheet = first;
        for (SheetValue figure : SheetValue.values()) {
            Random own = new Random(31L * figure.key().hashCode()
                    + first.values().size()
                    + first.document().hashCode());
            if (figure.compareTo(LAST_FIRST) > 0 && own.nextInt(3) > 0) {
                try {
                    sheet = sheet.with(figure, figure.dimension().of(sized(own)));
                } catch (IllegalArgumentException contradiction) {
                    assertThat(contradiction.getMessage()).containsAnyOf("contradicts itself", "cannot be");
                }
            }
        }
        return sheet;
    }

    private static DataSheet anySheet(Random random, int model) {
        Map<SheetValue, Quantity> figures = new EnumMap<>(SheetValue.class);
        for (SheetValue figure : SheetValue.values()) {
            if (figure.compareTo(LAST_FIRST) <= 0 && random.nextInt(3) == 0) {
                figures.put(figure, figure.dimension().of(sized(random)));
            }
        }
        Map<Face, Length> distances = new EnumMap<>(Face.class);
        for (Face face : Face.values()) {
            distances.put(face, Length.ofMetres(sized(random)));
        }
        return new DataSheet(
                "Ondrel",
                MODELS.get(model),
                "Ondrel 1, edition 1",
                random.nextBoolean() ? Optional.empty() : Optional.of("R32"),
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(
                                new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.3), Length.ofMetres(0.6))),
                distances,
                Map.of(Mounting.values()[0], distances),
                distances,
                figures,
                Optional.empty(),
                random.nextBoolean() ? Optional.empty() : Optional.of(PlatePoints.FIXED_ORIFICE),
                random.nextBoolean() ? Optional.empty() : Optional.of(random.nextBoolean()),
                List.of(new DataSheet.Pair(
                        MODELS.get(1),
                        sometimes(random, Power::ofWatts, 1e4),
                        sometimes(random, VolumeFlow::ofCubicMetresPerSecond, 1),
                        sometimes(random, Ratio::ofFraction, 1),
                        sometimes(random, Power::ofWatts, 1e4),
                        sometimes(random, Length::ofMetres, 1e-3),
                        capacities(random),
                        List.of())),
                List.of(),
                List.of());
    }

    /** A table over outdoor air, as a sheet may give it, or none. */
    private static List<DataSheet.Capacity> capacities(Random random) {
        if (random.nextBoolean()) {
            return List.of();
        }
        List<DataSheet.Capacity> table = new ArrayList<>();
        for (DataSheet.Mode mode : DataSheet.Mode.values()) {
            for (double outdoor : new double[] {-20, 0, 20, 45}) {
                table.add(new DataSheet.Capacity(
                        mode,
                        Temperature.ofCelsius(outdoor),
                        Temperature.ofCelsius(20),
                        Power.ofWatts(1e4 * (0.5 + random.nextDouble())),
                        Optional.empty(),
                        sometimes(random, Power::ofWatts, 3e3)));
            }
        }
        return table;
    }

    private static <T> Optional<T> sometimes(Random random, DoubleFunction<T> of, double usual) {
        return random.nextInt(3) == 0 ? Optional.empty() : Optional.of(of.apply(usual * sized(random)));
    }

    /** Mostly of the order of one, now and then nought or very large. */
    private static double sized(Random random) {
        return switch (random.nextInt(12)) {
            case 0 -> 0;
            case 1 -> 1e6;
            default -> Math.exp(random.nextGaussian());
        };
    }

    /** Readings of a random share of all lines, extremes included. */
    public static Evidence evidence(Random random, Case facts) {
        return evidence(random, facts, random.nextDouble());
    }

    private static Evidence evidence(Random random, Case facts, double share) {
        List<Reading> readings = new ArrayList<>();
        for (var plan : Walk.plans()) {
            for (Point point : plan.points()) {
                facts.subjects(point.scope()).forEach(subject -> read(point, subject.id(), share, random, readings));
            }
        }
        return Evidence.of(readings);
    }

    /** Readings of most lines, each within what is usual. */
    public static Evidence usual(Random random, Case facts) {
        List<Reading> readings = new ArrayList<>();
        for (Reading reading : evidence(random, facts, 0.9).readings()) {
            boolean odd = reading.value() instanceof Value.SetAside
                    || reading.value() instanceof Value.Measured measured
                            && !Walk.point(reading.key().point())
                                    .orElseThrow()
                                    .plausible(measured.quantity().si());
            if (!odd) {
                readings.add(reading);
            }
        }
        return Evidence.of(readings);
    }

    private static void read(Point point, String component, double share, Random cases, List<Reading> readings) {
        boolean later = point.kind() == Point.Kind.CURVE
                || LATER.contains(point.scope())
                || LATER_POINTS.stream().anyMatch(point.id()::startsWith);
        Random random =
                later ? new Random(Double.doubleToLongBits(share) ^ (point.id() + component).hashCode()) : cases;
        if (random.nextDouble() > share) {
            return;
        }
        readings.add(new Reading(
                new UUID(0, readings.size()),
                new PointKey(point.id(), component),
                "typed",
                random.nextInt(40) == 0 ? new Value.SetAside(Text.of("unknown")) : value(point, random),
                "",
                Optional.empty(),
                Grade.values()[random.nextInt(Grade.values().length)],
                "inspector",
                Instant.EPOCH,
                Stage.values()[random.nextInt(Stage.values().length)]));
    }

    private static Value value(Point point, Random random) {
        return switch (point.kind()) {
            case QUANTITY -> measured(point, random);
            case CHOICE ->
                new Value.Chosen(one(Refrigerants.SHIPPED.asked(point).options(), random));
            case YES_NO -> new Value.Affirmed(random.nextBoolean());
            case TEXT -> new Value.Written(MODELS.get(random.nextInt(MODELS.size())));
            case MONTH -> {
                LocalDate first = LocalDate.of(1950 + random.nextInt(151), 1 + random.nextInt(12), 1);
                yield new Value.Within(first, first.plusDays(27));
            }
            case CURVE -> new Value.Logged(KnownTraces.random(point, random));
            case LIST -> new Value.Listed(listing(point.notation().orElseThrow(), random));
        };
    }

    private static Option one(List<Option> options, Random random) {
        return options.get(random.nextInt(options.size()));
    }

    /** Parts as they are offered, in any order; now and then they make no sense together. */
    private static Notation.Listing listing(Notation notation, Random random) {
        if (notation.offered(UnitSystem.SI).isEmpty()) {
            return notation.read(notation.example());
        }
        StringBuilder typed = new StringBuilder();
        for (int i = 0; i < 1 + random.nextInt(12); i++) {
            String part = notation.offered(UnitSystem.SI)
                    .get(random.nextInt(notation.offered(UnitSystem.SI).size()));
            typed.append(i == 0 ? "" : ", ").append(part);
        }
        try {
            return notation.read(typed.toString());
        } catch (Entry.Unsuitable nonsense) {
            return notation.read(notation.example());
        }
    }

    private static Value measured(Point point, Random random) {
        double low = point.lowestPossible();
        double high = point.highestPossible();
        double si =
                switch (random.nextInt(12)) {
                    case 0 -> low;
                    case 1 -> high;
                    case 2 -> point.least();
                    case 3 -> point.most();
                    case 4 -> low + (high - low) * random.nextDouble();
                    default -> point.least() + (point.most() - point.least()) * random.nextDouble();
                };
        double whole = point.counted() ? Math.rint(si) : si;
        double u = Math.abs(whole) * List.of(0.0, 0.01, 0.02, 1.0).get(random.nextInt(4));
        return new Value.Measured(
                point.dimension().orElseThrow().of(whole), u, random.nextBoolean() ? 0 : Math.abs(whole) * 0.01);
    }
}
