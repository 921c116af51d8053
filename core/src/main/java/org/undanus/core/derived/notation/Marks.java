package org.undanus.core.derived.notation;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * What was done while a curve ran: {@code 0 min pump on, 25 min isolated, 40 min stopped}, counted from the curve's first sample.
 *
 * @param marks in the order of time
 */
public record Marks(List<Mark> marks) implements Notation.Listing {

    /** What can be done. */
    public enum Act {
        PUMP_ON,
        ISOLATED,
        NITROGEN_IN,
        VALVE_OPENED,
        SOAPED,
        STOPPED;

        /** In words. */
        public String title() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        /** The one that is called so; empty where none is. */
        public static Optional<Act> named(String title) {
            return Arrays.stream(values())
                    .filter(act -> act.title().equalsIgnoreCase(title))
                    .findFirst();
        }
    }

    /** @param seconds from the curve's first sample */
    public record Mark(double seconds, Act act) {}

    /** Less than the time between two samples, s. */
    private static final double MOMENT = 0.001;

    public static final Notation NOTATION = new Written();

    public Marks {
        marks = List.copyOf(marks);
    }

    /** The times something was done, s, in order. */
    public DoubleStream times(Act act) {
        return marks.stream().filter(mark -> mark.act == act).mapToDouble(Mark::seconds);
    }

    /** The last time something was done, s; empty where it never was. */
    public OptionalDouble last(Act act) {
        return times(act).reduce((earlier, later) -> later);
    }

    /** As it is written. */
    public String written() {
        return marks.stream()
                .map(mark -> String.format(Locale.ROOT, "%.0f s %s", mark.seconds, mark.act.title()))
                .collect(Collectors.joining(", "));
    }

    /** The last moment before something else was done, s; empty where nothing was. What is read at its moment may be of it. */
    public OptionalDouble undisturbed(double from, Act... others) {
        return marks.stream()
                .filter(mark -> others.length == 0 || List.of(others).contains(mark.act))
                .mapToDouble(Mark::seconds)
                .filter(at -> at > from)
                .map(at -> at - MOMENT)
                .findFirst();
    }

    @Override
    public Text summary() {
        return Text.list(marks.stream()
                .map(mark -> Text.of("{act} {at}", mark.act.title(), Duration.ofSeconds(mark.seconds)))
                .toList());
    }

    private static final class Written extends ListNotation<Mark, Marks> {
        private static final Pattern MARK = Pattern.compile("(\\d+(?:[.,]\\d+)?\\s*(?:s|sec|min|h)\\b)\\s*(.+)");
        private static final Text ACTS =
                Text.list(Arrays.stream(Act.values()).map(Act::title).toList());

        private Written() {
            super("0 min pump on, 25 min isolated, 40 min stopped", "Nothing is marked.");
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of("0 min pump on", "20 min isolated", "30 min stopped");
        }

        @Override
        protected Mark part(Place place, List<Mark> before) {
            Matcher mark =
                    place.matching(MARK, "write the time from the curve's start, then what was done: 25 min isolated");
            double seconds = place.si(mark.group(1), Dimension.DURATION);
            String said = mark.group(2).strip();
            Act act = Act.named(said).orElseThrow(() -> place.wrong("\"{said}\" is none of {acts}", said, ACTS));
            if (!before.isEmpty() && seconds < before.get(before.size() - 1).seconds) {
                throw place.wrong("its time is before the one before");
            }
            return new Mark(seconds, act);
        }

        @Override
        protected Marks of(List<Mark> marks) {
            return new Marks(marks);
        }
    }
}
