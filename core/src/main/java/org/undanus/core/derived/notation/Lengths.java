package org.undanus.core.derived.notation;

import java.util.function.Function;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.words.Text;

/** Lengths inside longer notations, and how parts of those are refused. */
public final class Lengths {
    private Lengths() {}

    /**
     * A length, m.
     *
     * @param wrong refuses the part with a reason
     */
    public static double metres(String text, Function<Text, Entry.Unsuitable> wrong) {
        return si(text, Dimension.LENGTH, wrong);
    }

    /** A quantity, in the SI unit of its dimension. */
    public static double si(String text, Dimension dimension, Function<Text, Entry.Unsuitable> wrong) {
        try {
            return FieldNotation.parse(text.strip(), dimension).value().si();
        } catch (FieldNotationException e) {
            throw wrong.apply(e.said());
        }
    }

    /** @param part from 0 */
    public static Entry.Unsuitable wrong(int part, String written, String why, Object... arguments) {
        return wrong(part, written, Text.of(why, arguments));
    }

    public static Entry.Unsuitable wrong(int part, String written, Text why) {
        return new ListNotation.Place(part, written).wrong(why);
    }
}
