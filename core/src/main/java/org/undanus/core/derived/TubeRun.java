package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/**
 * A run of refrigerant lines from the indoor to the outdoor unit, or of a drain from the unit to its end, unrolled: every piece
 * goes on along the wall, up or down. All lengths in metres.
 *
 * @param pieces at least one
 * @param start height of the indoor connection over the ground, where that was said
 */
public record TubeRun(List<Piece> pieces, Optional<Double> start) implements Notation.Listing {

    /** How refrigerant lines are written. */
    public static final Notation LINES = TubeRunNotation.LINES;

    /** How drains are written. */
    public static final Notation DRAIN = TubeRunNotation.DRAIN;

    /** What a piece is. */
    public enum Kind {
        STRAIGHT,
        /** Spare length, rolled up. */
        COIL,
        ELBOW,
        LONG_ELBOW,
        HALF_ELBOW,
        TRAP,
        INVERTED_TRAP,
        /** A loop below the hole, from which rain drips. */
        DRIP_LOOP,
        COUPLING,
        DRIER,
        /** Where the lines pass the wall: before it they are indoors, after it outdoors. */
        WALL,
        VENT,
        CLEANOUT,
        PUMP,
        /** A length that hangs through. */
        SAG;

        /** Whether it goes somewhere, rather than standing at a place. */
        public boolean hasLength() {
            return this == STRAIGHT || this == COIL;
        }
    }

    /** Which way a straight piece goes. */
    public enum Way {
        LEVEL,
        UP,
        DOWN
    }

    /** Where a piece lies, by the air about it. */
    public enum Around {
        INDOORS("indoors"),
        ATTIC("attic"),
        OUTDOORS("outdoors"),
        UNDERGROUND("underground");

        private final String title;

        Around(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /**
     * @param part number of the part of the text that it was written in, from 0
     * @param count how many alike
     * @param length of a straight piece or coil, depth of a sag; else 0
     * @param rise of a level piece from its beginning to its end
     * @param insulation thickness, 0 where it is bare; empty where nothing was said
     * @param conductivity of the insulation, W/(m·K)
     * @param sun whether sunlight reaches it
     */
    public record Piece(
            int part,
            Kind kind,
            int count,
            double length,
            Way way,
            double rise,
            Optional<Double> insulation,
            Optional<Double> conductivity,
            Around around,
            boolean sun) {

        /** How much higher it ends than it begins, m. */
        public double lift() {
            if (kind != Kind.STRAIGHT) {
                return 0;
            }
            return switch (way) {
                case LEVEL -> rise;
                case UP -> length;
                case DOWN -> -length;
            };
        }

        /** How far it goes along, m. */
        public double along() {
            return kind == Kind.STRAIGHT && way == Way.LEVEL
                    ? Math.sqrt(Math.max(0, length * length - rise * rise))
                    : 0;
        }
    }

    /** A place of the unrolled run: how far along, and how high over its beginning. */
    public record Corner(double along, double height) {}

    /**
     * A place lower than what is before and after it, other than a trap or a drip loop.
     *
     * @param part after which it lies
     * @param depth the lesser of the two heights it lies under
     */
    public record LowSpot(int part, double depth) {}

    /**
     * A stretch that rises without a trap.
     *
     * @param part with which it begins
     * @param height how far it rises
     * @param trapped whether a trap lies at its foot
     */
    public record Rise(int part, double height, boolean trapped) {}

    public TubeRun {
        pieces = List.copyOf(pieces);
    }

    /** Length of tube, coils included, m. */
    public double length() {
        return pieces.stream()
                .filter(piece -> piece.kind.hasLength())
                .mapToDouble(piece -> piece.count * piece.length)
                .sum();
    }

    /** So many lengths were measured. */
    public int measured() {
        return (int) pieces.stream().filter(piece -> piece.kind.hasLength()).count();
    }

    /** How many of a kind. */
    public int count(Kind kind) {
        return pieces.stream()
                .filter(piece -> piece.kind == kind)
                .mapToInt(Piece::count)
                .sum();
    }

    /** Whether one of a kind stands before the first of another, from the beginning of the run. */
    public boolean startsWith(Kind kind, Kind before) {
        return pieces.stream().takeWhile(piece -> piece.kind != before).anyMatch(piece -> piece.kind == kind);
    }

    /** Length with fittings as straight tube of this size. A trap counts as a return bend and an elbow. */
    public double equivalent(Tube tube) {
        return length()
                + count(Kind.ELBOW) * tube.elbow()
                + count(Kind.LONG_ELBOW) * tube.longElbow()
                + count(Kind.HALF_ELBOW) * tube.halfElbow()
                + (count(Kind.TRAP) + count(Kind.INVERTED_TRAP) + count(Kind.DRIP_LOOP))
                        * (tube.returnBend() + tube.elbow());
    }

    /** How much higher the outdoor end lies than the indoor one, m; negative where it lies lower. */
    public double lift() {
        return pieces.stream().mapToDouble(piece -> piece.count * piece.lift()).sum();
    }

    /** The greatest height between two places of it, m. */
    public double span() {
        double low = 0;
        double high = 0;
        for (Corner corner : corners()) {
            low = Math.min(low, corner.height);
            high = Math.max(high, corner.height);
        }
        return high - low;
    }

    /** Where each piece begins, and at the end where the last one ends. */
    public List<Corner> corners() {
        List<Corner> corners = new ArrayList<>();
        Corner at = new Corner(0, 0);
        corners.add(at);
        for (Piece piece : pieces) {
            at = new Corner(at.along + piece.count * piece.along(), at.height + piece.count * piece.lift());
            corners.add(at);
        }
        return corners;
    }

    /** Places where oil and liquid stand. */
    public List<LowSpot> lowSpots() {
        List<LowSpot> found = new ArrayList<>();
        double fallen = 0;
        boolean drained = false;
        int lowest = 0;
        for (Piece piece : pieces) {
            if (piece.kind == Kind.SAG) {
                found.add(new LowSpot(piece.part, piece.length));
            } else if (piece.kind == Kind.TRAP || piece.kind == Kind.DRIP_LOOP) {
                drained = true;
            } else if (piece.lift() < 0) {
                fallen = (drained ? 0 : fallen) - piece.lift();
                drained = false;
                lowest = piece.part;
            } else if (piece.lift() > 0 && fallen > 0) {
                if (!drained) {
                    found.add(new LowSpot(lowest, Math.min(fallen, piece.lift())));
                }
                fallen = 0;
            }
        }
        return found;
    }

    /** Its rises, each as far as a fall or a trap: oil that climbs on behind a level stretch has climbed both. */
    public List<Rise> rises() {
        List<Rise> found = new ArrayList<>();
        int from = -1;
        double height = 0;
        boolean foot = false;
        boolean before = false;
        for (Piece piece : pieces) {
            boolean up = piece.kind == Kind.STRAIGHT && piece.way == Way.UP;
            boolean trap = piece.kind == Kind.TRAP;
            if (up) {
                if (from < 0) {
                    from = piece.part;
                    foot = before;
                }
                height += piece.count * piece.length;
            }
            if (from >= 0 && (trap || piece.lift() < 0)) {
                found.add(new Rise(from, height, foot));
                from = -1;
                height = 0;
            }
            before = trap || before && !piece.kind.hasLength();
        }
        if (from >= 0) {
            found.add(new Rise(from, height, foot));
        }
        return found;
    }

    /** Whether it ends, at the outdoor unit, with an inverted trap. */
    public boolean endsInInvertedTrap() {
        return pieces.stream()
                .filter(piece -> piece.kind == Kind.STRAIGHT && piece.way == Way.UP || piece.kind == Kind.INVERTED_TRAP)
                .reduce((first, last) -> last)
                .filter(last -> last.kind == Kind.INVERTED_TRAP)
                .isPresent();
    }

    /** Whether it says where the lines pass the wall. */
    public boolean passesWall() {
        return count(Kind.WALL) > 0;
    }

    /** Whether the lines come down to the hole outdoors, so that rain runs along them into it. */
    public boolean comesDownToHole() {
        return firstAfterWall(piece -> piece.lift() != 0)
                .filter(piece -> piece.lift() > 0)
                .isPresent();
    }

    /** Whether rain drips off below the hole before the lines rise. */
    public boolean dripsBeforeHole() {
        return firstAfterWall(piece -> piece.lift() > 0 || piece.kind == Kind.DRIP_LOOP)
                .filter(piece -> piece.kind == Kind.DRIP_LOOP)
                .isPresent();
    }

    private Optional<Piece> firstAfterWall(Predicate<Piece> wanted) {
        return pieces.stream()
                .dropWhile(piece -> piece.kind != Kind.WALL)
                .filter(wanted)
                .findFirst();
    }

    @Override
    public Text summary() {
        return Text.of(
                lift() < 0 ? "{length}, {lift} down" : "{length}, {lift} up",
                Length.ofMetres(length()),
                Length.ofMetres(Math.abs(lift())));
    }
}
