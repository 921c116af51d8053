package org.undanus.server.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;
import org.undanus.core.evidence.Point;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.Temperature;
import org.undanus.server.instrument.Instruments;

/** What instruments that send show now: nothing of it is kept, and after a while it is forgotten. A line may take it over. */
@Component
public class Displays {
    private static final Duration SHOWN = Duration.ofMinutes(2);
    private static final long MOST = 1000;

    /** @param name of what it shows, where the instrument names it */
    private record Place(String instrument, String name) {}

    /** @param came by this machine's clock: an instrument's own may be wrong */
    private record Value(SenMl.Kind kind, double value, Instant came) {}

    /**
     * What an instrument shows.
     *
     * @param title of the instrument
     * @param name of what it shows; may be empty
     * @param resolution of its display, SI
     */
    public record Shown(
            String instrument, String title, String name, Quantity quantity, double resolution, Instant came) {}

    private final Clock clock;
    private final Instruments instruments;
    private final Cache<Place, Value> values =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(SHOWN).build();

    Displays(Clock clock, Instruments instruments) {
        this.clock = clock;
        this.instruments = instruments;
    }

    /** Shows what a pack says last. */
    void show(String instrument, SenMl.Pack pack) {
        for (SenMl.Measured measured : pack.measured()) {
            String[] parts = measured.name().split(":");
            boolean named = parts.length > 1 && !parts[parts.length - 1].equals(instrument);
            values.put(
                    new Place(instrument, named ? parts[parts.length - 1].replace('_', ' ') : ""),
                    new Value(measured.kind(), measured.value().doubleValue(), clock.instant()));
        }
    }

    /** What could be read at a line now, the instruments in order. */
    public List<Shown> of(Point point) {
        Dimension dimension = point.dimension().orElseThrow();
        return values.asMap().entrySet().stream()
                .filter(entry -> entry.getValue().kind().is(dimension))
                .flatMap(entry -> instruments
                        .find(entry.getKey().instrument())
                        .filter(i -> i.kind() == point.instrument()
                                && i.channel(dimension).isPresent())
                        .map(i -> new Shown(
                                i.id(),
                                i.title(),
                                entry.getKey().name(),
                                quantity(dimension, entry.getValue().value()),
                                i.channel(dimension).orElseThrow().accuracy().resolution(),
                                entry.getValue().came()))
                        .stream())
                .sorted(Comparator.comparing(Shown::title).thenComparing(Shown::name))
                .toList();
    }

    private static Quantity quantity(Dimension dimension, double value) {
        return dimension == Dimension.TEMPERATURE ? Temperature.ofCelsius(value) : dimension.of(value);
    }
}
