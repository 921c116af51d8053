package org.undanus.core.evidence;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * How people write down something that has parts in an order: a run of tube, the wires between terminals, the readings of a
 * grid.
 */
public interface Notation {

    /** What a list says, once it is understood. */
    interface Listing {
        /** The whole in a few words, for whoever typed it. */
        Text summary();
    }

    /** How such a list is worked on where it is drawn. */
    enum Editing {
        /** A part is tapped, then changed, added to or removed. */
        PARTS,
        /** Two ends are tapped, one after the other, and belong together from then on. */
        PAIRS,
        /** A place is tapped and a value given to it. */
        PLACES
    }

    /** What is done to a list where it is drawn. */
    enum Change {
        REPLACE,
        BEFORE,
        AFTER,
        REMOVE,
        JOIN
    }

    /** A part as it was written, between two places of the text. */
    record Part(String text, int from, int to) {}

    /** One that could be typed. */
    String example();

    /** Parts that are put in by a tap, in a reader's units. */
    List<String> offered(UnitSystem units);

    Editing editing();

    /**
     * Understands what was typed.
     *
     * @throws Entry.Unsuitable naming the part that cannot be taken, and its number
     */
    Listing read(String typed);

    /**
     * What is typed after a change on the drawing; it may be something that {@link #read} refuses.
     *
     * @param thing the drawn thing it is done to; of parts the number from 0, and one more to put one at the end
     * @param other what takes its place, stands beside it or is joined to it
     */
    default String changed(String typed, String thing, Change change, String other) {
        List<String> texts =
                new ArrayList<>(parts(typed).stream().map(Part::text).toList());
        int at = number(thing, texts.size());
        switch (change) {
            case REPLACE -> {
                if (at < texts.size()) {
                    texts.set(at, other.strip());
                } else {
                    texts.add(other.strip());
                }
            }
            case BEFORE -> texts.add(at, other.strip());
            case AFTER -> texts.add(Math.min(at + 1, texts.size()), other.strip());
            case REMOVE -> {
                if (at < texts.size()) {
                    texts.remove(at);
                }
            }
            case JOIN -> throw new Entry.Unsuitable("These parts follow one another; none is joined to another.");
        }
        return String.join(", ", texts);
    }

    private static int number(String thing, int parts) {
        try {
            return Math.min(parts, Math.max(0, Integer.parseInt(thing)));
        } catch (NumberFormatException e) {
            throw new Entry.Unsuitable("There is no part \"{thing}\".", thing);
        }
    }

    /**
     * The parts of a list: parted by commas, semicolons or new lines. A comma between two digits is a decimal comma.
     */
    static List<Part> parts(String typed) {
        List<Part> parts = new ArrayList<>();
        int from = 0;
        for (int i = 0; i <= typed.length(); i++) {
            if (i == typed.length() || parts(typed, i)) {
                part(typed, from, i, parts);
                from = i + 1;
            }
        }
        return parts;
    }

    private static boolean parts(String typed, int at) {
        char c = typed.charAt(at);
        boolean decimal = c == ','
                && at > 0
                && at + 1 < typed.length()
                && Character.isDigit(typed.charAt(at - 1))
                && Character.isDigit(typed.charAt(at + 1));
        return !decimal && (c == ',' || c == ';' || c == '\n');
    }

    private static void part(String typed, int from, int to, List<Part> parts) {
        int first = from;
        int last = to;
        while (first < last && Character.isWhitespace(typed.charAt(first))) {
            first++;
        }
        while (last > first && Character.isWhitespace(typed.charAt(last - 1))) {
            last--;
        }
        if (first < last) {
            parts.add(new Part(typed.substring(first, last), first, last));
        }
    }
}
