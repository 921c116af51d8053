package org.undanus.core.derived.notation;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * Which terminal of the outdoor unit is wired to which of an indoor unit: {@code 1-1, 2-2, 3-3, E-E}. Where the outdoor unit has
 * several groups their letter stands first: {@code A1-1}.
 *
 * @param wires in the order they were written
 */
public record TerminalMap(List<Wire> wires) implements Notation.Listing {

    /**
     * @param group letter of the outdoor terminal's group, empty where there is one group
     * @param outdoor mark of the terminal at the outdoor unit
     * @param indoor mark at the indoor unit
     */
    public record Wire(String group, String outdoor, String indoor) {
        /** Whether both ends bear the same mark. */
        public boolean straight() {
            return outdoor.equals(indoor);
        }
    }

    public static final String EARTH = "E";
    public static final Notation NOTATION = new Written();

    private static final String OUTDOOR = "outdoor ";
    private static final String INDOOR = "indoor ";

    public TerminalMap {
        wires = List.copyOf(wires);
    }

    /** The name a drawing gives to an end. */
    public static String outdoorThing(Wire wire) {
        return OUTDOOR + wire.group + wire.outdoor;
    }

    /** The name a drawing gives to a terminal of the indoor unit. */
    public static String indoorThing(String mark) {
        return INDOOR + mark;
    }

    /** The name a drawing gives to a terminal of the outdoor unit that no wire is on. */
    public static String outdoorThing(String mark) {
        return OUTDOOR + mark;
    }

    /** Two wires that have changed places, in the order they were written. */
    public List<List<Wire>> swaps() {
        List<List<Wire>> found = new ArrayList<>();
        for (int i = 0; i < wires.size(); i++) {
            for (int j = i + 1; j < wires.size(); j++) {
                Wire a = wires.get(i);
                Wire b = wires.get(j);
                if (!a.straight() && a.outdoor.equals(b.indoor) && b.outdoor.equals(a.indoor)) {
                    found.add(List.of(a, b));
                }
            }
        }
        return found;
    }

    /** Wires whose ends bear other marks. */
    public List<Wire> wrong() {
        return wires.stream().filter(wire -> !wire.straight()).toList();
    }

    /** Those of a list that no wire is on, at the indoor unit. */
    public List<String> missing(List<String> asked) {
        return asked.stream()
                .filter(mark -> wires.stream().noneMatch(wire -> wire.indoor.equals(mark)))
                .toList();
    }

    /** The groups its wires are on at the outdoor unit. */
    public List<String> groups() {
        return wires.stream()
                .map(Wire::group)
                .filter(group -> !group.isEmpty())
                .distinct()
                .toList();
    }

    public Optional<Wire> earth() {
        return wires.stream().filter(wire -> wire.indoor.equals(EARTH)).findFirst();
    }

    @Override
    public Text summary() {
        int wrong = wrong().size();
        return wrong == 0
                ? Text.counted(
                        wires.size(), "{count} wire, number to number", "{count} wires, number to number", wires.size())
                : Text.of("{count} wires, {wrong} on another number", wires.size(), wrong);
    }

    private static final class Written implements Notation {
        private static final int MOST = 24;
        private static final Pattern WIRE = Pattern.compile(
                "([A-H](?=[\\dLNSE]))?\\s*([A-Z]{1,2}\\d?|\\d{1,2})\\s*(?:-|–|to|:|=)\\s*([A-Z]{1,2}\\d?|\\d{1,2})");

        @Override
        public String example() {
            return "1-1, 2-2, 3-3, E-E";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return List.of("1-1", "2-2", "3-3", "E-E");
        }

        @Override
        public Editing editing() {
            return Editing.PAIRS;
        }

        @Override
        public TerminalMap read(String typed) {
            List<Part> parts = Notation.parts(typed);
            if (parts.size() > MOST) {
                throw new Entry.Unsuitable("These are more than {most} wires.", MOST);
            }
            List<Wire> wires = new ArrayList<>();
            Map<String, Integer> outdoor = new LinkedHashMap<>();
            Map<String, Integer> indoor = new LinkedHashMap<>();
            for (int i = 0; i < parts.size(); i++) {
                int number = i;
                String text = parts.get(i).text();
                Function<Text, Entry.Unsuitable> wrong = why -> Lengths.wrong(number, text, why);
                Wire wire = wire(text)
                        .orElseThrow(
                                () -> wrong.apply(
                                        Text.of(
                                                "write the mark at the outdoor unit, a dash and the mark at the indoor unit, like 1-1 or E-E")));
                once(outdoor, wire.group + wire.outdoor, number, "outdoor", wrong);
                once(indoor, wire.indoor, number, "indoor", wrong);
                wires.add(wire);
            }
            return new TerminalMap(wires);
        }

        private static Optional<Wire> wire(String text) {
            String plain = text.strip()
                    .toUpperCase(Locale.ROOT)
                    .replace("EARTH", EARTH)
                    .replace("PE", EARTH)
                    .replace("GND", EARTH)
                    .replace("TO", "-");
            Matcher matcher = WIRE.matcher(plain);
            return matcher.matches()
                    ? Optional.of(new Wire(
                            matcher.group(1) == null ? "" : matcher.group(1), matcher.group(2), matcher.group(3)))
                    : Optional.empty();
        }

        /** One wire on each terminal: else nobody can tell which is meant. */
        private static void once(
                Map<String, Integer> seen,
                String mark,
                int number,
                String end,
                Function<Text, Entry.Unsuitable> wrong) {
            Integer before = seen.putIfAbsent(mark, number);
            if (before != null) {
                throw wrong.apply(Text.of(
                        "terminal {mark} at the {end} unit is on wire {before} already. Each terminal takes one wire of this cable",
                        mark,
                        end,
                        before + 1));
            }
        }

        @Override
        public String changed(String typed, String thing, Change change, String other) {
            List<String> kept = new ArrayList<>(Notation.parts(typed).stream()
                    .map(Part::text)
                    .filter(text -> !on(text, thing) && !(change == Change.JOIN && on(text, other)))
                    .toList());
            switch (change) {
                case JOIN -> {
                    String outdoor = thing.startsWith(OUTDOOR) ? thing : other;
                    String indoor = thing.startsWith(INDOOR) ? thing : other;
                    if (!outdoor.startsWith(OUTDOOR) || !indoor.startsWith(INDOOR)) {
                        throw new Entry.Unsuitable(
                                "A wire leads from the outdoor to the indoor unit: tap one end at each.");
                    }
                    kept.add(outdoor.substring(OUTDOOR.length()) + "-" + indoor.substring(INDOOR.length()));
                }
                case REMOVE -> {
                    // what is on this terminal is left out above
                }
                case REPLACE, BEFORE, AFTER -> kept.add(other.strip());
            }
            return String.join(", ", kept);
        }

        private static boolean on(String text, String thing) {
            return wire(text)
                    .filter(wire -> outdoorThing(wire).equals(thing)
                            || indoorThing(wire.indoor).equals(thing))
                    .isPresent();
        }
    }
}
