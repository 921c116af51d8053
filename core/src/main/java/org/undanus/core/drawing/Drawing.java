package org.undanus.core.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * A figure of a station, before any pen.
 *
 * @param title what is drawn, where a station has several
 * @param spoken the figure in a sentence, for whoever does not see it
 * @param caption what is said under it
 * @param interest what of the frame fills the sheet; the whole is then shown in a corner
 * @param narrow the same for a narrow sheet, where that is another
 * @param elements from the back to the front; of words the earlier ones choose their place first
 */
public record Drawing(
        Text title,
        Text spoken,
        List<Text> caption,
        Frame frame,
        Optional<Frame> interest,
        Optional<Drawing> narrow,
        List<Element> elements) {
    public Drawing {
        caption = List.copyOf(caption);
        elements = List.copyOf(elements);
    }

    /** Begins one whose title is a phrase or somebody's own words. */
    public static Builder of(String title, Frame frame) {
        return of(Text.plain(title), frame);
    }

    /** Begins one. */
    public static Builder of(Text title, Frame frame) {
        return new Builder(title, frame);
    }

    /** Puts a drawing together from the back to the front. */
    public static final class Builder {
        private static final Place NO_SIZE = Place.of(0, 0);
        private final Text title;
        private final Frame frame;
        private final List<Element> elements = new ArrayList<>();
        private final List<Text> caption = new ArrayList<>();
        private Optional<Frame> interest = Optional.empty();
        private Optional<Drawing> narrow = Optional.empty();
        private Optional<Frame> narrowFrame = Optional.empty();

        private Builder(Text title, Frame frame) {
            this.title = title;
            this.frame = frame;
        }

        public Builder line(Role role, Place... points) {
            return add(new Element.Path(role, Arrays.asList(points), false, Optional.empty()));
        }

        public Builder line(Role role, Meaning meaning, Place... points) {
            return add(new Element.Path(role, Arrays.asList(points), false, Optional.of(meaning)));
        }

        public Builder line(Role role, List<Place> points) {
            return add(new Element.Path(role, points, false, Optional.empty()));
        }

        public Builder area(Role role, Place... corners) {
            return add(new Element.Path(role, Arrays.asList(corners), true, Optional.empty()));
        }

        public Builder area(Role role, Meaning meaning, Place... corners) {
            return add(new Element.Path(role, Arrays.asList(corners), true, Optional.of(meaning)));
        }

        public Builder box(Role role, double left, double low, double right, double high) {
            return area(role, corners(left, low, right, high));
        }

        public Builder box(Role role, Meaning meaning, double left, double low, double right, double high) {
            return area(role, meaning, corners(left, low, right, high));
        }

        private static Place[] corners(double left, double low, double right, double high) {
            return new Place[] {Place.of(left, low), Place.of(right, low), Place.of(right, high), Place.of(left, high)};
        }

        public Builder disc(Role role, Place centre, double radius) {
            return add(new Element.Disc(role, centre, radius, Optional.empty()));
        }

        public Builder disc(Role role, Meaning meaning, Place centre, double radius) {
            return add(new Element.Disc(role, centre, radius, Optional.of(meaning)));
        }

        public Builder dot(Role role, Place at, PointKey line) {
            return add(new Element.Dot(role, at, Optional.of(Meaning.of(line))));
        }

        /** Words that must stand. */
        public Builder words(Text text, Place at, Weight weight, Meaning meaning, Side... sides) {
            return add(new Element.Words(text, at, NO_SIZE, Arrays.asList(sides), weight, true, Optional.of(meaning)));
        }

        /** Words that must stand and stand for nothing. */
        public Builder words(Text text, Place at, Weight weight, Side... sides) {
            return add(new Element.Words(text, at, NO_SIZE, Arrays.asList(sides), weight, true, Optional.empty()));
        }

        /** Words that are left out where there is no room. */
        public Builder aside(Text text, Place at, Side... sides) {
            return add(
                    new Element.Words(text, at, NO_SIZE, Arrays.asList(sides), Weight.QUIET, false, Optional.empty()));
        }

        /** An aside that stands for something: words that stay away where there is no room for them. */
        public Builder aside(Text text, Place at, Meaning meaning, Side... sides) {
            return add(new Element.Words(
                    text, at, NO_SIZE, Arrays.asList(sides), Weight.PLAIN, false, Optional.of(meaning)));
        }

        public Builder dimension(Place from, Place to, Text text, Meaning meaning) {
            return add(new Element.Dimension(from, to, text, Optional.of(meaning)));
        }

        /** A narrow sheet shows less of it; words beyond are left out there. */
        public Builder narrow(Frame less) {
            narrowFrame = Optional.of(less);
            return this;
        }

        /** A narrow sheet shows another drawing of the same. */
        public Builder narrow(Drawing other) {
            narrow = Optional.of(other);
            return this;
        }

        /** What fills the sheet. */
        public Builder interest(Frame part) {
            interest = Optional.of(part);
            return this;
        }

        /** Said under it. */
        public Builder caption(Text sentence) {
            caption.add(sentence);
            return this;
        }

        /** Shown to readers in one unit system only. */
        public Builder only(UnitSystem units, Consumer<Builder> drawn) {
            Builder within = new Builder(title, frame);
            drawn.accept(within);
            within.elements.forEach(element -> add(new Element.Within(units, element)));
            return this;
        }

        public Builder add(Element element) {
            elements.add(element);
            return this;
        }

        public Drawing spoken(Text sentence) {
            Optional<Drawing> other = narrow.or(() -> narrowFrame.map(
                    less -> new Drawing(title, sentence, caption, less, Optional.empty(), Optional.empty(), elements)));
            return new Drawing(title, sentence, caption, frame, interest, other, elements);
        }
    }
}
