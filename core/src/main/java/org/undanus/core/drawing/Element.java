package org.undanus.core.drawing;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/** A part of a drawing. Sizes are in the drawing's own measure; letters and marks have theirs on the sheet. */
public sealed interface Element {

    /** What it stands for, if anything. */
    Optional<Meaning> meaning();

    /** A line through points; closed it is an area. */
    record Path(Role role, List<Place> points, boolean closed, Optional<Meaning> meaning) implements Element {
        public Path {
            points = List.copyOf(points);
            if (points.size() < 2) {
                throw new IllegalArgumentException("A path goes from somewhere to somewhere");
            }
        }
    }

    /** A circle. */
    record Disc(Role role, Place centre, double radius, Optional<Meaning> meaning) implements Element {
        public Disc {
            if (!(radius > 0)) {
                throw new IllegalArgumentException("A circle has a radius");
            }
        }
    }

    /** A spot of the same size on every sheet. */
    record Dot(Role role, Place at, Optional<Meaning> meaning) implements Element {}

    /** From which side words come to their place, and with what weight. */
    enum Weight {
        STRONG,
        PLAIN,
        QUIET
    }

    /** Where words may stand to the place they belong to. */
    enum Side {
        CENTRE,
        RIGHT,
        LEFT,
        ABOVE,
        BELOW
    }

    /**
     * Words at a place.
     *
     * @param sides where they may stand, the best first; where all are taken they go farther off, with a leader
     * @param about half the width and half the height of the thing they name: they stand clear of it
     * @param needed whether they stand even where they cover others; else they are left out there
     */
    record Words(
            Text text,
            Place at,
            Place about,
            List<Side> sides,
            Weight weight,
            boolean needed,
            Optional<Meaning> meaning)
            implements Element {
        public Words {
            sides = List.copyOf(sides);
            if (sides.isEmpty()) {
                throw new IllegalArgumentException("Words stand somewhere");
            }
        }
    }

    /** Something only readers in one unit system are shown, such as the round numbers along an axis. */
    record Within(UnitSystem units, Element element) implements Element {
        @Override
        public Optional<Meaning> meaning() {
            return element.meaning();
        }
    }

    /** What a reader in a unit system is shown of it. */
    default Stream<Element> in(UnitSystem units) {
        return !(this instanceof Within within)
                ? Stream.of(this)
                : within.units == units ? within.element.in(units) : Stream.empty();
    }

    /** A dimension line with its value. */
    record Dimension(Place from, Place to, Text text, Optional<Meaning> meaning) implements Element {}
}
