package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;

/** The clear distances that a sheet asks for about its unit, to scale: from above, of a wall unit from the front. */
public final class SheetFigure {
    private static final DataSheet.Size USUAL =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.3), Length.ofMetres(0.6));
    private static final double ROUND = 0.3;

    private SheetFigure() {}

    /** Empty where the sheet asks for none. */
    public static Optional<Drawing> of(DataSheet sheet) {
        Map<Face, Length> asked = sheet.clearances();
        if (asked.isEmpty()) {
            return Optional.empty();
        }
        boolean onWall =
                asked.containsKey(Face.BELOW) || !asked.containsKey(Face.FRONT) && !asked.containsKey(Face.BACK);
        DataSheet.Size size = sheet.size().orElse(USUAL);
        double wide = size.width().si() / 2;
        double high = (onWall ? size.height() : size.depth()).si() / 2;
        Face up = onWall ? Face.ABOVE : Face.BACK;
        Face down = onWall ? Face.BELOW : Face.FRONT;
        double left = wide + far(asked, Face.LEFT);
        double right = wide + far(asked, Face.RIGHT);
        double top = high + far(asked, up);
        double bottom = high + far(asked, down);
        Drawing.Builder drawing = Drawing.of(
                        "Clearances", Frame.toScale(-left - ROUND, -bottom - ROUND, right + ROUND, top + ROUND))
                .box(Role.ASKED, -left, -bottom, right, top)
                .box(Role.CABINET, -wide, -high, wide, high)
                .words(Text.of(onWall ? "front" : "from above"), Place.of(0, 0), Weight.QUIET, Side.CENTRE);
        measure(drawing, asked, Face.LEFT, Place.of(-left, 0), Place.of(-wide, 0));
        measure(drawing, asked, Face.RIGHT, Place.of(wide, 0), Place.of(right, 0));
        measure(drawing, asked, up, Place.of(0, high), Place.of(0, top));
        measure(drawing, asked, down, Place.of(0, -bottom), Place.of(0, -high));
        if (!onWall && asked.containsKey(Face.ABOVE)) {
            drawing.caption(Text.of("{asked} above it.", asked.get(Face.ABOVE)));
        }
        return Optional.of(drawing.spoken(spoken(asked)));
    }

    private static double far(Map<Face, Length> asked, Face face) {
        return Optional.ofNullable(asked.get(face)).map(Length::si).orElse(0.0);
    }

    private static void measure(Drawing.Builder drawing, Map<Face, Length> asked, Face face, Place from, Place to) {
        Optional.ofNullable(asked.get(face))
                .filter(length -> length.si() > 0)
                .ifPresent(length ->
                        drawing.add(new Element.Dimension(from, to, Text.of("{length}", length), Optional.empty())));
    }

    private static Text spoken(Map<Face, Length> asked) {
        List<Text> said = new ArrayList<>();
        asked.forEach((face, length) -> said.add(Text.of("{face} {length}", face.key(), length)));
        return Text.of("Clear distances: {distances}", Text.list(said));
    }
}
