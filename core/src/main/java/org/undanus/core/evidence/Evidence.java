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
    private final Map<PointKey, Course> courses = new HashMap<>();
    /** The points that it knows all readings of; empty where it knows all of everything. */
    private final Optional<Set<String>> known;

    /**
     * What was said on one line so far.
     *
     * @param stands the reading that stands; null where none does
     * @param under what stands again once it is taken back
     * @param beside what was said last and did not take its place; null where nothing was
     */
    private record Course(Reading stands, Course under, Reading beside) {
        static final Course NOTHING = new Course(null, null, null);

        Course and(Reading later) {
            if (later.value() instanceof Value.TakenBack) {
                return beside != null && later.takesBack(beside)
                        ? new Course(stands, under, null)
                        : stands != null && later.takesBack(stands) ? under : this;
            }
            return stands == null || later.supersedes(stands)
                    ? new Course(later, this, null)
                    : new Course(stands, under, later);
        }

        Optional<Reading> said() {
            return Optional.ofNullable(stands);
        }
    }

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
        readings.forEach(reading ->
                courses.merge(reading.key(), Course.NOTHING.and(reading), (before, first) -> before.and(reading)));
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

    /** The reading among these that stands: the last, in the order they were taken, that no later one took the place of or struck. */
    public static Optional<Reading> standing(List<Reading> history) {
        Course course = Course.NOTHING;
        for (Reading reading : history) {
            course = course.and(reading);
        }
        return course.said().filter(reading -> !reading.unread());
    }

    private Course course(PointKey key) {
        requireKnown(key);
        return courses.getOrDefault(key, Course.NOTHING);
    }

    /** A later reading that did not take the place of the one that stands: what the crew, or a weaker source, says. */
    public Optional<Reading> beside(PointKey key) {
        return Optional.ofNullable(course(key).beside);
    }

    /** The reading that stands: the last one taken of the point that was not weaker than the one before. */
    public Optional<Reading> latest(PointKey key) {
        return answer(key).filter(reading -> !reading.unread());
    }

    /** What stands on a line: a reading, or why there is none. */
    public Optional<Reading> answer(PointKey key) {
        return course(key).said();
    }

    /** Why nothing was read on a line, where somebody said so. */
    public Optional<Value.Unread> unread(PointKey key) {
        return answer(key)
                .map(Reading::value)
                .filter(Value.Unread.class::isInstance)
                .map(Value.Unread.class::cast);
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
