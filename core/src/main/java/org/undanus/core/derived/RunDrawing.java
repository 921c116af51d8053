package org.undanus.core.derived;

import java.util.List;
import java.util.function.Function;
import org.undanus.core.derived.TubeRun.Corner;
import org.undanus.core.derived.TubeRun.Piece;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** A run unrolled as an elevation to scale: its beginning on the left, every piece a thing that can be taken in hand. */
public final class RunDrawing {
    /** Signs are drawn at this share of the run's extent, m at least. */
    private static final double SIGN_SHARE = 1.0 / 28;

    private static final double LEAST_SIGN = 0.08;
    private static final double ROOM = 3;

    private final TubeRun run;
    private final PointKey line;
    private final Function<Piece, Meaning> meaning;
    private final double sign;

    /**
     * @param line on which it is read
     * @param meaning what is judged of a piece
     */
    public RunDrawing(TubeRun run, PointKey line, Function<Piece, Meaning> meaning) {
        this.run = run;
        this.line = line;
        this.meaning = meaning;
        this.sign = Math.max(LEAST_SIGN, Math.max(run.span(), end().along()) * SIGN_SHARE);
    }

    /** Before anything is said of a run: where to begin. */
    public static Drawing open(String title, PointKey line) {
        Meaning first = Meaning.of(line).ofDrawn("0");
        return Drawing.of(title, Frame.toScale(0, 0, 6, 2))
                .box(Role.CABINET, 0.3, 1.1, 1.2, 1.5)
                .line(Role.ASKED, first, Place.of(1.2, 1.2), Place.of(5, 0.7))
                .words(Text.of("not read yet"), Place.of(3, 1), Weight.QUIET, first, Side.ABOVE)
                .spoken(Text.of("The run has not been read yet."));
    }

    /** How large a sign is, m. */
    public double sign() {
        return sign;
    }

    /** Where it ends. */
    public Corner end() {
        List<Corner> corners = run.corners();
        return corners.get(corners.size() - 1);
    }

    /** Begun, with the cabinet it comes from and every piece. */
    public Drawing.Builder begun(Text title) {
        List<Corner> corners = run.corners();
        double low = corners.stream().mapToDouble(Corner::height).min().orElse(0);
        double high = corners.stream().mapToDouble(Corner::height).max().orElse(0);
        double room = ROOM * sign;
        Drawing.Builder drawing = Drawing.of(
                        title, Frame.toScale(-4 * sign, low - room, end().along() + 5 * sign, high + room))
                .box(Role.CABINET, -3 * sign, -0.6 * sign, 0, 0.9 * sign);
        for (int i = 0; i < run.pieces().size(); i++) {
            piece(drawing, run.pieces().get(i), place(corners.get(i)), place(corners.get(i + 1)));
        }
        return drawing;
    }

    private static Place place(Corner corner) {
        return Place.of(corner.along(), corner.height());
    }

    private static void straight(Drawing.Builder drawing, Piece piece, Meaning own, Place from, Place to) {
        drawing.line(Role.RUN, own, from, to);
        Place middle = Place.of((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
        Text length = Text.of("{piece}", Length.ofMetres(piece.count() * piece.length()));
        if (piece.way() == TubeRun.Way.LEVEL) {
            drawing.aside(length, middle, own, Side.ABOVE, Side.BELOW);
        } else {
            drawing.aside(length, middle, own, Side.RIGHT, Side.LEFT);
        }
    }

    /** Down or up, along and back again. */
    private Drawing.Builder bow(Drawing.Builder drawing, Meaning own, Place from, double high) {
        return drawing.line(
                Role.RUN, own, from, from.plus(0, high), from.plus(sign * 0.8, high), from.plus(sign * 0.8, 0));
    }

    private static Drawing.Builder around(
            Drawing.Builder drawing, Role role, Meaning own, Place middle, double across, double high) {
        return drawing.box(role, own, middle.x() - across, middle.y() - high, middle.x() + across, middle.y() + high);
    }

    private void piece(Drawing.Builder drawing, Piece piece, Place from, Place to) {
        Meaning own = meaning.apply(piece).on(line).ofDrawn(Integer.toString(piece.part()));
        switch (piece.kind()) {
            case STRAIGHT -> straight(drawing, piece, own, from, to);
            case COIL ->
                drawing.disc(Role.RUN, own, from.plus(0, sign), sign)
                        .aside(
                                Text.of("coil {length}", Length.ofMetres(piece.length())),
                                from.plus(0, 2 * sign),
                                own,
                                Side.ABOVE,
                                Side.RIGHT);
            case ELBOW, LONG_ELBOW, HALF_ELBOW -> drawing.disc(Role.BODY, own, from, sign * 0.35);
            case TRAP, DRIP_LOOP ->
                bow(drawing, own, from, -sign)
                        .aside(
                                Text.of(piece.kind() == TubeRun.Kind.TRAP ? "trap" : "drip loop"),
                                from.plus(sign * 0.4, -sign),
                                own,
                                Side.BELOW);
            case INVERTED_TRAP ->
                bow(drawing, own, from, sign)
                        .aside(Text.of("inverted trap"), from.plus(sign * 0.4, sign), own, Side.ABOVE);
            case COUPLING -> around(drawing, Role.BODY, own, from, sign * 0.3, sign * 0.3);
            case DRIER ->
                around(drawing, Role.BODY, own, from, sign * 0.8, sign * 0.4)
                        .aside(Text.of("drier"), from.plus(0, sign * 0.4), own, Side.ABOVE);
            case WALL ->
                around(drawing, Role.WALL, own, from, sign * 0.2, 2 * sign)
                        .aside(Text.of("wall"), from.plus(0, 2 * sign), own, Side.ABOVE);
            case SAG ->
                drawing.line(Role.RUN, own, from, from.plus(sign, -sign), from.plus(2 * sign, 0))
                        .aside(
                                Text.of("sag {length}", Length.ofMetres(piece.length())),
                                from.plus(sign, -sign),
                                own,
                                Side.BELOW);
        }
    }
}
