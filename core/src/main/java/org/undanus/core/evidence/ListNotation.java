package org.undanus.core.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * Parts of one kind in a row, each understood by itself and those before it.
 *
 * @param <P> a part
 * @param <L> all of them
 */
public abstract class ListNotation<P, L extends Notation.Listing> implements Notation {
    private static final int SHOWN = 40;

    private final String example;
    private final String none;

    /** @param none what is said where nothing is written: {@code No stage is written.} */
    protected ListNotation(String example, String none) {
        this.example = example;
        this.none = none;
    }

    /**
     * A part as it was written.
     *
     * @param number from 0
     */
    public record Place(int number, String text) {

        /** @throws Entry.Unsuitable where it is written otherwise, saying how it is written */
        public Matcher matching(Pattern pattern, String how) {
            Matcher matcher = pattern.matcher(text);
            if (!matcher.matches()) {
                throw wrong(how);
            }
            return matcher;
        }

        /**
         * A quantity in it, in SI.
         *
         * @throws Entry.Unsuitable where it is none
         */
        public double si(String written, Dimension dimension) {
            try {
                return FieldNotation.parse(written.strip(), dimension).value().si();
            } catch (FieldNotationException e) {
                throw wrong(e.said());
            }
        }

        public Entry.Unsuitable wrong(String why, Object... arguments) {
            return wrong(Text.of(why, arguments));
        }

        /** @param why what is wrong with it, as a whole sentence or as part of one */
        public Entry.Unsuitable wrong(Text why) {
            String shown = text.length() <= SHOWN ? text : text.substring(0, SHOWN) + "…";
            return new Entry.Unsuitable(
                    why.whole() ? "Part {number}, \"{shown}\": {why}" : "Part {number}, \"{shown}\": {why}.",
                    number + 1,
                    shown,
                    why);
        }
    }

    /**
     * Understands a part.
     *
     * @throws Entry.Unsuitable by {@link Place#wrong}
     */
    protected abstract P part(Place place, List<P> before);

    /** @param parts one at least */
    protected abstract L of(List<P> parts);

    @Override
    public final String example() {
        return example;
    }

    @Override
    public List<String> offered(UnitSystem units) {
        return List.of();
    }

    @Override
    public final Editing editing() {
        return Editing.PARTS;
    }

    @Override
    public final L read(String typed) {
        List<Part> written = Notation.parts(typed);
        List<P> parts = new ArrayList<>();
        for (int i = 0; i < written.size(); i++) {
            parts.add(part(new Place(i, written.get(i).text()), parts));
        }
        if (parts.isEmpty()) {
            throw new Entry.Unsuitable("{none} For example: {example}", none, example);
        }
        return of(parts);
    }
}
