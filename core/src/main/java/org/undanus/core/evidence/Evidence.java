package org.undanus.core.evidence;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** All readings of a system, in the order they were taken. Immutable. */
public final class Evidence {
    public static final Evidence NONE = new Evidence(List.of(), Optional.empty());

    private final List<Reading> readings;
    private final Map<PointKey, Reading> standing = new HashMap<>();
    /** The points that it knows all readings of; empty where it knows all of everything. */
    private final Optional<Set<String>> known;

    /** Asked for a point that it was not made for. */
    public static final class UnknownException extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        private UnknownException(String what) {
            super("This evidence was not made for " + what);
        }
    }

    private Evidence(List<Reading> readings, Optional<Set<String>> known) {
        this.readings = readings;
        this.known = known;
        readings.forEach(reading -> standing.merge(reading.key(), reading, Evidence::standing));
    }

    /** @param readings oldest first */
    public static Evidence of(Collection<Reading> readings) {
        return new Evidence(List.copyOf(readings), Optional.empty());
    }

    /**
     * Evidence of some points alone, for judging what looks at no others: whoever asks for more is refused, so that nothing is
     * taken for unread that was read.
     */
    public static Evidence of(Collection<Reading> readings, Set<String> points) {
        return new Evidence(List.copyOf(readings), Optional.of(Set.copyOf(points)));
    }

    private void requireKnown(PointKey key) {
        if (known.filter(points -> !points.contains(key.point())).isPresent()) {
            throw new UnknownException(key.point());
        }
    }

    /** This and one later reading. */
    public Evidence with(Reading reading) {
        List<Reading> longer = new ArrayList<>(readings());
        longer.add(reading);
        return of(longer);
    }

    /** The last of these, in the order they were taken, that no later one took the place of. */
    public static Optional<Reading> standing(List<Reading> history) {
        return history.stream().reduce(Evidence::standing);
    }

    private static Reading standing(Reading stands, Reading later) {
        return later.supersedes(stands) ? later : stands;
    }

    /** A later reading that did not take the place of the one that stands: what the crew, or a weaker source, says. */
    public Optional<Reading> beside(PointKey key) {
        List<Reading> history = history(key);
        return history.isEmpty()
                ? Optional.empty()
                : Optional.of(history.get(history.size() - 1)).filter(last -> !last.equals(standing.get(key)));
    }

    /** The reading that stands: the last one taken of the point that was not weaker than the one before. */
    public Optional<Reading> latest(PointKey key) {
        requireKnown(key);
        return Optional.ofNullable(standing.get(key));
    }

    /** What the reading that stands says, where it is of this form. */
    public <V extends Value> Optional<V> standing(PointKey key, Class<V> form) {
        return latest(key).map(Reading::value).filter(form::isInstance).map(form::cast);
    }

    /** The answer that makes a point of a unit or part pointless, where one does. */
    public Optional<Reading> pointless(Point point, String component) {
        return point.condition().flatMap(condition -> {
            Point on = condition.on();
            PointKey key = new PointKey(on.id(), on.scope().ofSystem() ? PointKey.SYSTEM : component);
            return pointless(on, component).or(() -> latest(key).filter(reading -> reading.value()
                    .answer()
                    .filter(answer -> !condition.answers().contains(answer))
                    .isPresent()));
        });
    }

    public List<Reading> readings() {
        if (known.isPresent()) {
            throw new UnknownException("all points");
        }
        return readings;
    }

    /** Every reading of a point, oldest first. */
    public List<Reading> history(PointKey key) {
        requireKnown(key);
        return readings.stream().filter(r -> r.key().equals(key)).toList();
    }
}
