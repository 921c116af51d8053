package org.undanus.core.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Text;

/**
 * A figure of a station, before any pen.
 *
 * @param title what is drawn, where a station has several
 * @param spoken the figure in a sentence, for whoever does not see it
 * @param narrow what of the frame a narrow sheet shows, where that is less; words beyond it are left out there
 * @param elements from the back to the front; of words the earlier ones choose their place first
 */
public record Drawing(String title, Text spoken, Frame frame, Optional<Frame> narrow, List<Element> elements) {
    public Drawing {
        elements = List.copyOf(elements);
    }

    /** Begins one. */
    public static Builder of(String title, Frame frame) {
        return new Builder(title, frame);
    }

    /** Puts a drawing together from the back to the front. */
    public static final class Builder {
        private final String title;
        private final Frame frame;
        private final List<Element> elements = new ArrayList<>();
        private Optional<Frame> narrow = Optional.empty();

        private Builder(String title, Frame frame) {
            this.title = title;
            this.frame = frame;
        }

        public Builder line(Role role, Place... points) {
            return add(new Element.Path(role, Arrays.asList(points), false, Optional.empty()));
        }

        public Builder line(Role role, Standing standing, Place... points) {
            return add(new Element.Path(role, Arrays.asList(points), false, Optional.of(standing)));
        }

        public Builder line(Role role, List<Place> points) {
            return add(new Element.Path(role, points, false, Optional.empty()));
        }

        public Builder area(Role role, Place... corners) {
            return add(new Element.Path(role, Arrays.asList(corners), true, Optional.empty()));
        }

        public Builder area(Role role, Standing standing, Place... corners) {
            return add(new Element.Path(role, Arrays.asList(corners), true, Optional.of(standing)));
        }

        public Builder box(Role role, double left, double low, double right, double high) {
            return area(role, corners(left, low, right, high));
        }

        public Builder box(Role role, Standing standing, double left, double low, double right, double high) {
            return area(role, standing, corners(left, low, right, high));
        }

        private static Place[] corners(double left, double low, double right, double high) {
            return new Place[] {Place.of(left, low), Place.of(right, low), Place.of(right, high), Place.of(left, high)};
        }

        public Builder disc(Role role, Place centre, double radius) {
            return add(new Element.Disc(role, centre, radius, Optional.empty()));
        }

        public Builder disc(Role role, Standing standing, Place centre, double radius) {
            return add(new Element.Disc(role, centre, radius, Optional.of(standing)));
        }

        public Builder dot(Role role, Place at, PointKey line) {
            return add(new Element.Dot(role, at, Optional.of(Standing.of(line))));
        }

        /** Words that must stand. */
        public Builder words(Text text, Place at, Weight weight, Standing standing, Side... sides) {
            return add(new Element.Words(text, at, Arrays.asList(sides), weight, true, Optional.of(standing)));
        }

        /** Words that must stand and stand for nothing. */
        public Builder words(Text text, Place at, Weight weight, Side... sides) {
            return add(new Element.Words(text, at, Arrays.asList(sides), weight, true, Optional.empty()));
        }

        /** Words that are left out where there is no room. */
        public Builder aside(Text text, Place at, Side... sides) {
            return add(new Element.Words(text, at, Arrays.asList(sides), Weight.QUIET, false, Optional.empty()));
        }

        /** The same, standing for something. */
        public Builder aside(Text text, Place at, Standing standing, Side... sides) {
            return add(new Element.Words(text, at, Arrays.asList(sides), Weight.PLAIN, false, Optional.of(standing)));
        }

        public Builder dimension(Place from, Place to, Text text, Standing standing) {
            return add(new Element.Dimension(from, to, text, Optional.of(standing)));
        }

        /** What of it a narrow sheet shows. */
        public Builder narrow(Frame less) {
            narrow = Optional.of(less);
            return this;
        }

        public Builder add(Element element) {
            elements.add(element);
            return this;
        }

        public Drawing spoken(Text sentence) {
            return new Drawing(title, sentence, frame, narrow, elements);
        }
    }
}
