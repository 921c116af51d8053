package org.undanus.core.calculator;

import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.SoundLevel;
import org.undanus.core.words.Text;

/** What computations draw, to scale. */
final class Sketches {
    private static final double AROUND = 0.3;
    /** A unit's height and width as it is drawn, m. */
    private static final double UNIT = 0.6;

    private Sketches() {}

    /** @param hole radius of the hole to ask for, m */
    static Drawing bundle(Bundle packed, double hole) {
        double edge = hole * (1 + AROUND);
        Drawing.Builder drawing =
                Drawing.of("Bundle", Frame.toScale(-edge, -edge, edge, edge)).disc(Role.ASKED, Place.of(0, 0), hole);
        packed.circles().forEach(circle -> drawing.disc(Role.BODY, Place.of(circle.x(), circle.y()), circle.radius())
                .words(
                        Text.of("{radius}", Length.ofMetres(2 * circle.radius())),
                        Place.of(circle.x(), circle.y()),
                        Weight.QUIET,
                        Side.CENTRE));
        measured(drawing, Place.of(-hole, -edge * 0.93), Place.of(hole, -edge * 0.93), 2 * hole);
        return drawing.spoken(
                Text.of("{circles} tubes in a hole of {hole}", packed.circles().size(), Length.ofMetres(2 * hole)));
    }

    /** The opening, and over it the two shorter sides of the piece, which go through it. */
    static Drawing passage(double across, double up, double openingWidth, double openingHeight) {
        double wide = Math.max(across, openingWidth) / 2;
        double high = Math.max(up, openingHeight) / 2;
        double room = Math.max(wide, high) * AROUND;
        Drawing.Builder drawing = Drawing.of(
                        "Opening", Frame.toScale(-wide - 2 * room, -high - 2 * room, wide + room, high + room))
                .box(Role.OUTLINE, -openingWidth / 2, -openingHeight / 2, openingWidth / 2, openingHeight / 2)
                .box(Role.ASKED, -across / 2, -up / 2, across / 2, up / 2);
        measured(
                drawing,
                Place.of(-openingWidth / 2, -high - room),
                Place.of(openingWidth / 2, -high - room),
                openingWidth);
        measured(
                drawing,
                Place.of(-wide - room, -openingHeight / 2),
                Place.of(-wide - room, openingHeight / 2),
                openingHeight);
        return drawing.spoken(Text.of(
                "A piece of {across} by {up} before an opening of {openingWidth} by {openingHeight}",
                Length.ofMetres(across),
                Length.ofMetres(up),
                Length.ofMetres(openingWidth),
                Length.ofMetres(openingHeight)));
    }

    /** A line that falls from left to right under the level it began at. */
    static Drawing fall(double length, double fall) {
        double high = Math.max(Math.abs(fall), length / 10);
        double room = length * AROUND / 2;
        Drawing.Builder drawing = Drawing.of("Fall", Frame.toScale(-room, -high - room, length + room, high + room))
                .line(Role.GRID, Place.of(0, 0), Place.of(length, 0))
                .line(Role.RUN, Place.of(0, 0), Place.of(length, -fall));
        measured(drawing, Place.of(length, 0), Place.of(length, -fall), Math.abs(fall));
        measured(drawing, Place.of(0, high + room / 3), Place.of(length, high + room / 3), length);
        return drawing.spoken(Text.of(
                fall >= 0 ? "It falls {fall} over {length}" : "It rises {fall} over {length}",
                Length.ofMetres(Math.abs(fall)),
                Length.ofMetres(length)));
    }

    /** A unit on its base over the ground, with snow and flood as high as they come. */
    static Drawing base(double snow, double flood, double base) {
        double high = Math.max(Math.max(snow, flood), Math.max(base, UNIT)) + UNIT;
        Drawing.Builder drawing = Drawing.of("Base", Frame.toScale(-2 * UNIT, -UNIT / 4, 3 * UNIT, high + UNIT / 4))
                .line(Role.WALL, Place.of(-2 * UNIT, 0), Place.of(3 * UNIT, 0))
                .box(Role.CABINET, 0, base, UNIT, base + UNIT);
        level(drawing, "snow", snow);
        level(drawing, "flood", flood);
        measured(drawing, Place.of(1.5 * UNIT, 0), Place.of(1.5 * UNIT, base), base);
        return drawing.spoken(Text.of("The base {base} over the ground", Length.ofMetres(base)));
    }

    private static void level(Drawing.Builder drawing, String of, double high) {
        if (high > 0) {
            drawing.line(Role.ASKED, Place.of(-2 * UNIT, high), Place.of(3 * UNIT, high))
                    .words(Text.plain(of), Place.of(-1.5 * UNIT, high), Weight.QUIET, Side.ABOVE, Side.BELOW);
        }
    }

    /** Each unit with its level, as far from where it is heard as it stands. */
    static Drawing heard(List<Double> levels, List<Double> distances) {
        double farthest =
                distances.stream().mapToDouble(Double::doubleValue).max().orElse(1);
        double row = farthest / 5;
        Drawing.Builder drawing = Drawing.of(
                        "Heard", Frame.toScale(-row, -row, farthest + row, row * (levels.size() + 1)))
                .line(Role.BOUNDARY, Place.of(0, -row / 2), Place.of(0, row * (levels.size() + 0.5)));
        for (int i = 0; i < levels.size(); i++) {
            double far = distances.get(i);
            drawing.box(Role.CABINET, far, row * (i + 0.3), far + row / 2, row * (i + 0.7))
                    .words(
                            Text.of("{levels}", SoundLevel.ofDecibels(levels.get(i))),
                            Place.of(far + row / 4, row * (i + 0.7)),
                            Weight.QUIET,
                            Side.ABOVE);
            measured(drawing, Place.of(0, row * (i + 0.5)), Place.of(far, row * (i + 0.5)), far);
        }
        return drawing.spoken(
                Text.of("{levels} units, the farthest {farthest} away", levels.size(), Length.ofMetres(farthest)));
    }

    private static void measured(Drawing.Builder drawing, Place from, Place to, double metres) {
        if (from.equals(to)) {
            return;
        }
        drawing.add(new Element.Dimension(from, to, Text.of("{metres}", Length.ofMetres(metres)), Optional.empty()));
    }
}
