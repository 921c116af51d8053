package org.undanus.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.quantity.UnitSystem;

/**
 * A drawing laid out for a sheet of a given size, in dots from its upper left corner. No pen has to think any more: every piece has
 * its place, letters one size that can be read, and no words cover others as long as there is room.
 */
public record Sheet(int width, int height, List<Piece> pieces) {
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
            Optional<Standing> standing) {}

    /**
     * Lays a drawing out.
     *
     * @param width of the sheet, dots
     * @param height of the sheet at most, dots; a drawing to scale may need less
     */
    public static Sheet of(Drawing drawing, int width, int height, UnitSystem units) {
        return new Layout(drawing, width, height, units).sheet();
    }

    private record Box(double left, double top, double right, double low) {
        boolean meets(Box other) {
            return left < other.right && other.left < right && top < other.low && other.top < low;
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
        private final Frame frame;
        private final UnitSystem units;
        private final int width;
        private final int height;
        private final double scaleX;
        private final double scaleY;
        private final double leftEdge;
        private final double topEdge;
        private final List<Piece> pieces = new ArrayList<>();
        private final List<Box> taken = new ArrayList<>();

        Layout(Drawing drawing, int width, int height, UnitSystem units) {
            this.drawing = drawing;
            this.units = units;
            this.width = width;
            frame = width < NARROW ? drawing.narrow().orElse(drawing.frame()) : drawing.frame();
            double across = (width - 2 * EDGE) / frame.width();
            double up = (height - 2 * EDGE) / frame.height();
            if (frame.toScale()) {
                scaleX = Math.min(across, up);
                scaleY = scaleX;
                this.height = (int) Math.ceil(Math.min(height, frame.height() * scaleY + 2 * EDGE));
            } else {
                scaleX = across;
                scaleY = up;
                this.height = height;
            }
            leftEdge = (width - frame.width() * scaleX) / 2;
            topEdge = (this.height - frame.height() * scaleY) / 2;
        }

        private Place onSheet(Place place) {
            return Place.of(
                    rounded(leftEdge + (place.x() - frame.left()) * scaleX),
                    rounded(topEdge + (frame.high() - place.y()) * scaleY));
        }

        private static double rounded(double dots) {
            return Math.round(dots * 10) / 10.0;
        }

        Sheet sheet() {
            drawing.elements().forEach(this::shape);
            drawing.elements().forEach(this::dots);
            drawing.elements().forEach(this::words);
            return new Sheet(width, height, List.copyOf(pieces));
        }

        private void shape(Element element) {
            if (element instanceof Element.Path path) {
                pieces.add(drawn(
                        path.closed() ? Kind.AREA : Kind.LINE,
                        path.role(),
                        path.points().stream().map(this::onSheet).toList(),
                        0,
                        path.standing()));
            } else if (element instanceof Element.Disc disc) {
                pieces.add(drawn(
                        Kind.CIRCLE,
                        disc.role(),
                        List.of(onSheet(disc.centre())),
                        rounded(disc.radius() * Math.min(scaleX, scaleY)),
                        disc.standing()));
            } else if (element instanceof Element.Dimension dimension) {
                Place from = onSheet(dimension.from());
                Place to = onSheet(dimension.to());
                pieces.add(drawn(Kind.LINE, Role.READ, List.of(from, to), 0, dimension.standing()));
                for (Place end : List.of(from, to)) {
                    pieces.add(drawn(Kind.CIRCLE, Role.READ, List.of(end), 2, dimension.standing()));
                }
            }
        }

        private void dots(Element element) {
            if (element instanceof Element.Dot dot) {
                Place at = onSheet(dot.at());
                pieces.add(drawn(Kind.CIRCLE, dot.role(), List.of(at), DOT, dot.standing()));
                taken.add(new Box(at.x() - DOT, at.y() - DOT, at.x() + DOT, at.y() + DOT));
            }
        }

        private static Piece drawn(
                Kind kind, Role role, List<Place> points, double radius, Optional<Standing> standing) {
            return new Piece(kind, role, points, radius, "", Weight.PLAIN, Anchor.MIDDLE, standing);
        }

        private void words(Element element) {
            if (element instanceof Element.Words words && frame.holds(words.at())) {
                Place at = onSheet(words.at());
                write(
                        words.text().in(units),
                        around(at, words.sides()),
                        words.weight(),
                        words.needed(),
                        at,
                        words.standing());
            } else if (element instanceof Element.Dimension dimension) {
                Place from = onSheet(dimension.from());
                Place to = onSheet(dimension.to());
                Place middle = Place.of((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
                boolean flat = Math.abs(to.x() - from.x()) > Math.abs(to.y() - from.y());
                write(
                        dimension.text().in(units),
                        around(middle, flat ? List.of(Side.ABOVE, Side.BELOW) : List.of(Side.RIGHT, Side.LEFT)),
                        Weight.STRONG,
                        true,
                        middle,
                        dimension.standing());
            }
        }

        /** The sides wished for, then the same ever farther off. */
        private static List<Spot> around(Place at, List<Side> sides) {
            List<Spot> spots = new ArrayList<>();
            for (int away = 0; away <= FARTHEST; away++) {
                for (Side side : sides) {
                    double off = away * LETTERS * (1 + BELOW_LINE);
                    if (side == Side.CENTRE) {
                        spots.add(new Spot(at.x(), at.y() + LETTERS * ABOVE_LINE / 2 + off, Anchor.MIDDLE, away));
                        spots.add(new Spot(at.x(), at.y() + LETTERS * ABOVE_LINE / 2 - off, Anchor.MIDDLE, away));
                    } else if (side == Side.ABOVE) {
                        spots.add(new Spot(at.x(), at.y() - GAP - off, Anchor.MIDDLE, away));
                    } else if (side == Side.BELOW) {
                        spots.add(new Spot(at.x(), at.y() + GAP + LETTERS * ABOVE_LINE + off, Anchor.MIDDLE, away));
                    } else {
                        double x = side == Side.RIGHT ? at.x() + GAP + DOT : at.x() - GAP - DOT;
                        Anchor anchor = side == Side.RIGHT ? Anchor.START : Anchor.END;
                        spots.add(new Spot(x, at.y() + LETTERS * ABOVE_LINE / 2 + off, anchor, away));
                        spots.add(new Spot(x, at.y() + LETTERS * ABOVE_LINE / 2 - off, anchor, away));
                    }
                }
            }
            return spots;
        }

        private void write(
                String text,
                List<Spot> spots,
                Weight weight,
                boolean needed,
                Place belongs,
                Optional<Standing> standing) {
            Optional<Spot> free = spots.stream()
                    .filter(spot -> (needed || spot.away() < LEADER_FROM) && free(spot.room(text)))
                    .findFirst();
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
                        standing));
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

        private double covered(Box room) {
            return taken.stream().mapToDouble(room::shared).sum()
                    + Math.max(0, -room.left())
                    + Math.max(0, room.right() - width)
                    + Math.max(0, -room.top())
                    + Math.max(0, room.low() - height);
        }
    }
}
