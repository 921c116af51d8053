package org.undanus.view;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.station.Walk;
import org.undanus.core.words.Wording;

/**
 * A drawing laid out for a screen or a page, in dots: whoever shows it places nothing.
 *
 * @param spoken the drawing in a sentence
 * @param caption said under it
 * @param measure how dots become the drawing's own measure; of a site plan and a wall that is metres
 */
public record FigureView(
        String title,
        String spoken,
        List<String> caption,
        int width,
        int height,
        MeasureView measure,
        List<FigurePiece> pieces) {

    /** What is shown of it, and how: {@code dots = x0 + x · across} from the left, {@code y0 − y · up} from the top. */
    public record MeasureView(
            double left, double low, double right, double high, double x0, double y0, double across, double up) {
        private static MeasureView of(Sheet sheet) {
            Frame frame = sheet.frame();
            return new MeasureView(
                    frame.left(),
                    frame.low(),
                    frame.right(),
                    frame.high(),
                    sheet.scale().x0(),
                    sheet.scale().y0(),
                    sheet.scale().across(),
                    sheet.scale().up());
        }
    }

    /**
     * @param points {@code x,y} pairs parted by spaces: of a line or area its corners, of a circle its centre, of words where they
     *     begin, have their middle or end
     * @param judgement the key of the judgement it stands for
     * @param line the line it is read on, as {@code point@component}
     * @param thing the drawn thing, by its id in the site's plan
     */
    public record FigurePiece(
            Sheet.Kind kind,
            Role role,
            String points,
            double radius,
            String text,
            Element.Weight weight,
            Sheet.Anchor anchor,
            Optional<Verdict> verdict,
            Optional<String> judgement,
            Optional<String> line,
            Optional<String> thing) {}

    /** Every drawing of a station, as it now stands. */
    public static List<FigureView> of(CaseFile file, Station station, Wording wording, int width, int height) {
        return Walk.plan(station)
                .map(plan -> plan.draw(file.facts(), file.evidence(), file.rules(), file.judgements()))
                .orElse(List.of())
                .stream()
                .map(drawing -> of(drawing, wording, width, height))
                .toList();
    }

    /** One drawing. */
    public static FigureView of(Drawing drawing, Wording wording, int width, int height) {
        Sheet sheet = Sheet.of(drawing, width, height, wording);
        return new FigureView(
                drawing.title().in(wording),
                drawing.spoken().in(wording),
                drawing.caption().stream().map(said -> said.in(wording)).toList(),
                sheet.width(),
                sheet.height(),
                MeasureView.of(sheet),
                sheet.pieces().stream().map(FigureView::piece).toList());
    }

    private static FigurePiece piece(Sheet.Piece piece) {
        return new FigurePiece(
                piece.kind(),
                piece.role(),
                piece.points().stream().map(FigureView::pair).collect(Collectors.joining(" ")),
                piece.radius(),
                piece.text(),
                piece.weight(),
                piece.anchor(),
                piece.meaning().flatMap(Meaning::verdict),
                piece.meaning().flatMap(Meaning::judgement),
                piece.meaning().flatMap(Meaning::line).map(key -> key.point() + "@" + key.component()),
                piece.meaning().flatMap(Meaning::thing));
    }

    private static String pair(Place at) {
        return String.format(Locale.ROOT, "%.1f,%.1f", at.x(), at.y());
    }
}
