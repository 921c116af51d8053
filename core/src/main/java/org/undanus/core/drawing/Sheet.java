package org.undanus.core.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.words.Wording;

/**
 * A drawing laid out for a sheet of a given size, in dots from its upper left corner. No pen has to think any more: every piece has
 * its place, letters one size that can be read, and no words cover others as long as there is room.
 *
 * @param frame what of the drawing it shows
 */
public record Sheet(int width, int height, Frame frame, Scale scale, List<Piece> pieces) {
    /** Dots; letters are never smaller. */
    public static final int LETTERS = 12;

    /** How wide a letter is to its size in a face of even width. */
    private static final double LETTER_WIDTH = 0.63;

    private static final double ABOVE_LINE = 0.8;
    private static final double BELOW_LINE = 0.25;
    private static final double GAP = 5;
    private static final double EDGE = 4;
    private static final double DOT = 5;
    /** How far words may go off their place before they are given up, in steps of their height. */
    private static final int FARTHEST = 5;

    /** Dots; below this a drawing shows only what it names for narrow sheets. */
    private static final int NARROW = 480;

    private static final int LEADER_FROM = 2;
    /** Height of a line of letters, dots. */
    private static final double ROW = 16;
    /** Share of a sheet's smaller side that the whole takes in its corner. */
    private static final double CORNER = 0.26;
    /** Where along a dimension line its value may stand, the best first. */
    private static final double[] ALONG = {0.5, 0.67, 0.33};

    /**
     * How a drawing's measure came to the sheet: dots from the left are {@code x0 + x · across}, dots from the top
     * {@code y0 − y · up}.
     */
    public record Scale(double x0, double y0, double across, double up) {
        Place onSheet(Place place) {
            return Place.of(rounded(x0 + place.x() * across), rounded(y0 - place.y() * up));
        }
    }

    /** What a piece is made of. */
    public enum Kind {
        LINE,
        AREA,
        CIRCLE,
        WORDS
    }

    /** On which side of its place a text begins. */
    public enum Anchor {
        START,
        MIDDLE,
        END
    }

    /**
     * @param points of a line or area; the centre of a circle; where words stand on their line
     * @param radius of a circle, else 0
     * @param text of words, else empty
     */
    public record Piece(
            Kind kind,
            Role role,
            List<Place> points,
            double radius,
            String text,
            Weight weight,
            Anchor anchor,
            Optional<Meaning> meaning) {}

    /**
     * Lays a drawing out.
     *
     * @param width of the sheet, dots
     * @param height of the sheet at most, dots; a drawing to scale may need less
     */
    public static Sheet of(Drawing drawing, int width, int height, Wording wording) {
        Drawing shown = width < NARROW ? drawing.narrow().orElse(drawing) : drawing;
        return new Layout(shown, width, height, wording).sheet();
    }

    private static double rounded(double dots) {
        return Math.round(dots * 10) / 10.0;
    }

    private record Box(double left, double top, double right, double low) {
        boolean meets(Box other) {
            return left < other.right && other.left < right && top < other.low && other.top < low;
        }

        boolean holds(Place place) {
            return place.x() >= left && place.x() <= right && place.y() >= top && place.y() <= low;
        }

        /** Whether a straight line runs through it (Liang and Barsky 1984). */
        boolean crossed(Place from, Place to) {
            double[] along = {from.x() - to.x(), to.x() - from.x(), from.y() - to.y(), to.y() - from.y()};
            double[] room = {from.x() - left, right - from.x(), from.y() - top, low - from.y()};
            double enters = 0;
            double leaves = 1;
            for (int side = 0; side < along.length; side++) {
                if (along[side] == 0) {
                    if (room[side] < 0) {
                        return false;
                    }
                } else {
                    double at = room[side] / along[side];
                    enters = along[side] < 0 ? Math.max(enters, at) : enters;
                    leaves = along[side] > 0 ? Math.min(leaves, at) : leaves;
                }
            }
            return enters < leaves;
        }

        double shared(Box other) {
            return Math.max(0, Math.min(right, other.right) - Math.max(left, other.left))
                    * Math.max(0, Math.min(low, other.low) - Math.max(top, other.top));
        }
    }

    /** A way to put words, in dots. */
    private record Spot(double x, double y, Anchor anchor, int away) {
        Box room(String text) {
            double wide = text.length() * LETTERS * LETTER_WIDTH;
            double left =
                    switch (anchor) {
                        case START -> x;
                        case MIDDLE -> x - wide / 2;
                        case END -> x - wide;
                    };
            return new Box(left, y - LETTERS * ABOVE_LINE, left + wide, y + LETTERS * BELOW_LINE);
        }
    }

    private static final class Layout {
        private final Drawing drawing;
        private final List<Element> elements;
        private final Frame frame;
        private final Wording wording;
        private final int width;
        private final int height;
        private final Scale scale;
        private final List<Piece> pieces = new ArrayList<>();
        private final List<Box> taken = new ArrayList<>();
        /** What runs as lines over the sheet: words keep clear of it where there is room. */
        private final List<List<Place>> runs = new ArrayList<>();

        Layout(Drawing drawing, int width, int height, Wording wording) {
            this.drawing = drawing;
            this.elements = drawing.elements().stream()
                    .flatMap(element -> element.in(wording.units()))
                    .toList();
            this.wording = wording;
            this.width = width;
            frame = drawing.interest()
                    .filter(part -> part.isPartOf(drawing.frame()))
                    .orElse(drawing.frame());
            double across = (width - 2 * EDGE) / frame.width();
            double up = (height - 2 * EDGE) / frame.height();
            double less = Math.min(across, up);
            scale = switch (frame.scale()) {
                case TO_SCALE -> {
                    this.height = (int) Math.ceil(Math.min(height, frame.height() * less + 2 * EDGE));
                    yield scaled(less, less);
                }
                case STRETCHED -> {
                    this.height = height;
                    yield scaled(across, up);
                }
                case ROWS -> {
                    this.height = (int) Math.ceil(frame.height() * ROW + 2 * EDGE);
                    yield scaled(across, ROW);
                }
            };
        }

        /** The frame in the middle of the sheet. */
        private Scale scaled(double across, double up) {
            return new Scale(
                    (width - frame.width() * across) / 2 - frame.left() * across,
                    (height - frame.height() * up) / 2 + frame.high() * up,
                    across,
                    up);
        }

        Sheet sheet() {
            elements.forEach(element -> shape(element, scale));
            if (frame != drawing.frame()) {
                corner();
            }
            elements.forEach(this::dots);
            elements.forEach(this::words);
            return new Sheet(width, height, frame, scale, List.copyOf(pieces));
        }

        private void shape(Element element, Scale to) {
            if (element instanceof Element.Path path) {
                List<Place> points = path.points().stream().map(to::onSheet).toList();
                pieces.add(drawn(path.closed() ? Kind.AREA : Kind.LINE, path.role(), points, 0, path.meaning()));
                if (to == scale && path.role() != Role.GRID) {
                    runs.add(points);
                }
                if (path.role() == Role.CABINET && to == scale) {
                    taken.add(about(points));
                }
            } else if (element instanceof Element.Disc disc) {
                pieces.add(drawn(
                        Kind.CIRCLE,
                        disc.role(),
                        List.of(to.onSheet(disc.centre())),
                        rounded(disc.radius() * Math.min(to.across(), to.up())),
                        disc.meaning()));
            } else if (element instanceof Element.Dimension dimension && to == scale) {
                Place from = to.onSheet(dimension.from());
                Place end = to.onSheet(dimension.to());
                pieces.add(drawn(Kind.LINE, Role.READ, List.of(from, end), 0, dimension.meaning()));
                runs.add(List.of(from, end));
                for (Place each : List.of(from, end)) {
                    pieces.add(drawn(Kind.CIRCLE, Role.READ, List.of(each), 2, dimension.meaning()));
                }
            }
        }

        private static Box about(List<Place> points) {
            return new Box(
                    points.stream().mapToDouble(Place::x).min().orElseThrow(),
                    points.stream().mapToDouble(Place::y).min().orElseThrow(),
                    points.stream().mapToDouble(Place::x).max().orElseThrow(),
                    points.stream().mapToDouble(Place::y).max().orElseThrow());
        }

        /** The whole in the corner that hides least, with what fills the sheet marked in it. */
        private void corner() {
            Frame whole = drawing.frame();
            double room = Math.min(width, height) * CORNER;
            double less = room / Math.max(whole.width(), whole.height());
            double wide = whole.width() * less;
            double high = whole.height() * less;
            List<Place> drawn =
                    pieces.stream().flatMap(piece -> piece.points().stream()).toList();
            Box free = Stream.of(width - EDGE - wide, EDGE)
                    .flatMap(left -> Stream.of(EDGE, height - EDGE - high)
                            .map(top -> new Box(left, top, left + wide, top + high)))
                    .min(Comparator.comparingLong(
                            box -> drawn.stream().filter(box::holds).count()))
                    .orElseThrow();
            taken.add(free);
            Scale small = new Scale(free.left() - whole.left() * less, free.top() + whole.high() * less, less, less);
            pieces.add(drawn(
                    Kind.AREA,
                    Role.BODY,
                    List.of(
                            Place.of(rounded(free.left()), rounded(free.top())),
                            Place.of(rounded(free.right()), rounded(free.top())),
                            Place.of(rounded(free.right()), rounded(free.low())),
                            Place.of(rounded(free.left()), rounded(free.low()))),
                    0,
                    Optional.empty()));
            elements.forEach(element -> shape(element, small));
            shape(
                    new Element.Path(
                            Role.GHOST,
                            List.of(
                                    Place.of(frame.left(), frame.low()),
                                    Place.of(frame.right(), frame.low()),
                                    Place.of(frame.right(), frame.high()),
                                    Place.of(frame.left(), frame.high())),
                            true,
                            Optional.empty()),
                    small);
        }

        private void dots(Element element) {
            if (element instanceof Element.Dot dot) {
                Place at = scale.onSheet(dot.at());
                pieces.add(drawn(Kind.CIRCLE, dot.role(), List.of(at), DOT, dot.meaning()));
                taken.add(new Box(at.x() - DOT, at.y() - DOT, at.x() + DOT, at.y() + DOT));
            }
        }

        private static Piece drawn(Kind kind, Role role, List<Place> points, double radius, Optional<Meaning> meaning) {
            return new Piece(kind, role, points, radius, "", Weight.PLAIN, Anchor.MIDDLE, meaning);
        }

        private void words(Element element) {
            if (element instanceof Element.Words words && frame.holds(words.at())) {
                Place at = scale.onSheet(words.at());
                write(
                        words.text().in(wording),
                        around(
                                        at,
                                        words.sides(),
                                        words.about().x() * scale.across(),
                                        words.about().y() * scale.up())
                                .toList(),
                        words.weight(),
                        words.needed(),
                        at,
                        words.meaning());
            } else if (element instanceof Element.Dimension dimension) {
                dimension(dimension);
            }
        }

        /** Beside its middle or its thirds. */
        private void dimension(Element.Dimension dimension) {
            Place from = scale.onSheet(dimension.from());
            Place to = scale.onSheet(dimension.to());
            boolean flat = Math.abs(to.x() - from.x()) > Math.abs(to.y() - from.y());
            List<Side> sides = flat ? List.of(Side.ABOVE, Side.BELOW) : List.of(Side.RIGHT, Side.LEFT);
            List<Place> places = Arrays.stream(ALONG)
                    .mapToObj(share ->
                            Place.of(from.x() + share * (to.x() - from.x()), from.y() + share * (to.y() - from.y())))
                    .filter(place -> place.x() >= 0 && place.x() <= width && place.y() >= 0 && place.y() <= height)
                    .toList();
            if (!places.isEmpty()) {
                write(
                        dimension.text().in(wording),
                        places.stream()
                                .flatMap(place -> around(place, sides, 0, 0))
                                .sorted(Comparator.comparingInt(Spot::away))
                                .toList(),
                        Weight.STRONG,
                        true,
                        places.get(0),
                        dimension.meaning());
            }
        }

        /** The sides wished for, clear of what is named, then the same ever farther off. */
        private static Stream<Spot> around(Place at, List<Side> sides, double halfAcross, double halfUp) {
            return IntStream.rangeClosed(0, FARTHEST).boxed().flatMap(away -> sides.stream()
                    .flatMap(side -> spots(at, side, halfAcross, halfUp, away)));
        }

        private static Stream<Spot> spots(Place at, Side side, double halfAcross, double halfUp, int away) {
            double off = away * LETTERS * (1 + BELOW_LINE);
            double middle = at.y() + LETTERS * ABOVE_LINE / 2;
            return switch (side) {
                case ABOVE -> Stream.of(new Spot(at.x(), at.y() - halfUp - GAP - off, Anchor.MIDDLE, away));
                case BELOW ->
                    Stream.of(
                            new Spot(at.x(), at.y() + halfUp + GAP + LETTERS * ABOVE_LINE + off, Anchor.MIDDLE, away));
                case CENTRE -> upAndDown(at.x(), middle, off, Anchor.MIDDLE, away);
                case RIGHT -> upAndDown(at.x() + halfAcross + GAP + DOT, middle, off, Anchor.START, away);
                case LEFT -> upAndDown(at.x() - halfAcross - GAP - DOT, middle, off, Anchor.END, away);
            };
        }

        private static Stream<Spot> upAndDown(double x, double y, double off, Anchor anchor, int away) {
            return Stream.of(new Spot(x, y + off, anchor, away), new Spot(x, y - off, anchor, away));
        }

        private void write(
                String text,
                List<Spot> spots,
                Weight weight,
                boolean needed,
                Place belongs,
                Optional<Meaning> meaning) {
            List<Spot> open = spots.stream()
                    .filter(spot -> (needed || spot.away() < LEADER_FROM) && free(spot.room(text)))
                    .toList();
            List<Spot> elsewhere = around(belongs, List.of(Side.ABOVE, Side.BELOW, Side.RIGHT, Side.LEFT), 0, 0)
                    .filter(spot -> (needed || spot.away() < LEADER_FROM) && free(spot.room(text)))
                    .toList();
            Optional<Spot> free = Stream.of(open, elsewhere)
                    .flatMap(List::stream)
                    .filter(spot -> clear(spot.room(text)))
                    .findFirst()
                    .or(() -> Stream.of(open, elsewhere).flatMap(List::stream).findFirst());
            Optional<Spot> spot = free.isPresent() || !needed
                    ? free
                    : spots.stream().min(Comparator.comparingDouble(s -> covered(s.room(text))));
            spot.ifPresent(s -> {
                Spot within = within(s, text);
                taken.add(within.room(text));
                if (s.away() >= LEADER_FROM) {
                    Place end = Place.of(rounded(within.x()), rounded(within.y() - LETTERS * ABOVE_LINE / 2));
                    pieces.add(drawn(Kind.LINE, Role.GRID, List.of(belongs, end), 0, Optional.empty()));
                }
                pieces.add(new Piece(
                        Kind.WORDS,
                        Role.READ,
                        List.of(Place.of(rounded(within.x()), rounded(within.y()))),
                        0,
                        text,
                        weight,
                        within.anchor(),
                        meaning));
            });
        }

        /** Pushed back on the sheet where it would run over its edge. */
        private Spot within(Spot spot, String text) {
            Box room = spot.room(text);
            double right = Math.max(0, EDGE - room.left()) - Math.max(0, room.right() - (width - EDGE));
            double down = Math.max(0, EDGE - room.top()) - Math.max(0, room.low() - (height - EDGE));
            return new Spot(spot.x() + right, spot.y() + down, spot.anchor(), spot.away());
        }

        private boolean free(Box room) {
            return room.left() >= 0
                    && room.right() <= width
                    && room.top() >= 0
                    && room.low() <= height
                    && taken.stream().noneMatch(room::meets);
        }

        /** Whether no line runs through. */
        private boolean clear(Box room) {
            return runs.stream().noneMatch(run -> IntStream.range(1, run.size())
                    .anyMatch(i -> room.crossed(run.get(i - 1), run.get(i))));
        }

        private double covered(Box room) {
            return taken.stream().mapToDouble(room::shared).sum()
                    + Math.max(0, -room.left())
                    + Math.max(0, room.right() - width)
                    + Math.max(0, -room.top())
                    + Math.max(0, room.low() - height);
        }
    }
}
