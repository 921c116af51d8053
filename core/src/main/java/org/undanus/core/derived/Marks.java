package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Duration;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

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
        return Text.of(
                "{}",
                marks.stream()
                        .map(mark -> mark.act.title() + " " + Duration.ofSeconds(mark.seconds))
                        .collect(Collectors.joining(", ")));
    }

    private static final class Written implements Notation {
        private static final Pattern MARK = Pattern.compile("(\\d+(?:[.,]\\d+)?\\s*(?:s|sec|min|h)\\b)\\s*(.+)");
        private static final String ACTS =
                Arrays.stream(Act.values()).map(Act::title).collect(Collectors.joining(", "));

        @Override
        public String example() {
            return "0 min pump on, 25 min isolated, 40 min stopped";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of("0 min pump on", "20 min isolated", "30 min stopped");
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public Marks read(String typed) {
            List<Part> parts = Notation.parts(typed);
            List<Mark> marks = new ArrayList<>();
            for (int i = 0; i < parts.size(); i++) {
                int number = i;
                String text = parts.get(i).text();
                Matcher mark = MARK.matcher(text);
                if (!mark.matches()) {
                    throw Lengths.wrong(
                            i, text, "write the time from the curve's start, then what was done: 25 min isolated");
                }
                double seconds = Lengths.si(mark.group(1), Dimension.DURATION, why -> Lengths.wrong(number, text, why));
                String said = mark.group(2).strip();
                Optional<Act> act = Act.named(said);
                if (act.isEmpty()) {
                    throw Lengths.wrong(i, text, "\"" + said + "\" is none of " + ACTS);
                }
                if (!marks.isEmpty() && seconds < marks.get(marks.size() - 1).seconds) {
                    throw Lengths.wrong(i, text, "its time is before the one before");
                }
                marks.add(new Mark(seconds, act.get()));
            }
            if (marks.isEmpty()) {
                throw new Entry.Unsuitable("Nothing is marked. For example: " + example());
            }
            return new Marks(marks);
        }
    }
}
