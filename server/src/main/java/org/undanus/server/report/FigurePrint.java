package org.undanus.server.report;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.judgement.Verdict;
import org.undanus.view.FigureView;
import org.undanus.view.FigureView.FigurePiece;

/**
 * Prints any figure for paper: its lines as SVG, its words as HTML laid over them, so that they are set in the report's own fonts.
 * What fails or is not known has the heavier line, so that it is told apart in grey.
 */
public final class FigurePrint {
    private static final String INK = "#1C2B33";
    private static final String QUIET = "#6B777D";
    /** Room for any words, dots. */
    private static final int ROOM = 400;

    private FigurePrint() {}

    /** Lines as SVG under words as HTML. */
    static String html(FigureView figure) {
        return format("<div class=\"figure\" style=\"width:%dpx;height:%dpx\">", figure.width(), figure.height())
                + open(figure) + drawn(figure, piece -> "") + "</svg>"
                + figure.pieces().stream()
                        .filter(piece -> piece.kind() == Sheet.Kind.WORDS)
                        .map(FigurePrint::word)
                        .collect(Collectors.joining())
                + "</div>";
    }

    /** The whole as SVG, for other programs. */
    public static String svg(FigureView figure) {
        return open(figure) + drawn(figure, FigurePrint::text) + "</svg>";
    }

    private static String open(FigureView figure) {
        return format(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%d\" height=\"%d\" viewBox=\"0 0 %d %d\">",
                figure.width(), figure.height(), figure.width(), figure.height());
    }

    private static String drawn(FigureView figure, Function<FigurePiece, String> words) {
        return figure.pieces().stream()
                .map(piece -> switch (piece.kind()) {
                    case LINE -> format("<polyline points=\"%s\" %s/>", piece.points(), look(piece));
                    case AREA -> format("<polygon points=\"%s\" %s/>", piece.points(), look(piece));
                    case CIRCLE -> {
                        String[] at = piece.points().split(",");
                        yield format(
                                "<circle cx=\"%s\" cy=\"%s\" r=\"%.1f\" %s/>",
                                at[0], at[1], piece.radius(), look(piece));
                    }
                    case WORDS -> words.apply(piece);
                })
                .collect(Collectors.joining());
    }

    private static String text(FigurePiece piece) {
        String[] at = piece.points().split(",");
        return format(
                "<text x=\"%s\" y=\"%s\" font-family=\"sans-serif\" font-size=\"%d\" text-anchor=\"%s\" fill=\"%s\">%s</text>",
                at[0],
                at[1],
                Sheet.LETTERS,
                piece.anchor().name().toLowerCase(Locale.ROOT),
                colour(piece),
                HtmlUtils.htmlEscape(piece.text(), "UTF-8"));
    }

    private static String colour(FigurePiece piece) {
        return piece.verdict().map(VerdictPrint::colour).orElse(piece.weight() == Element.Weight.QUIET ? QUIET : INK);
    }

    private static String look(FigurePiece piece) {
        boolean line = piece.kind() == Sheet.Kind.LINE;
        String stroke = piece.verdict().map(VerdictPrint::colour).orElse(stroke(piece.role()));
        String fill = line ? "none" : fill(piece, stroke);
        double usual = width(piece.role(), line);
        double width = piece.verdict().filter(Verdict::open).isPresent() ? Math.max(2.2, usual) : usual;
        return format("fill=\"%s\" stroke=\"%s\" stroke-width=\"%.1f\"%s", fill, stroke, width, dashes(piece));
    }

    private static String stroke(Role role) {
        return switch (role) {
            case GRID, PERMITTED, GROUND -> "#D5CFC0";
            case WALL -> "#B9B2A2";
            case BOUNDARY, HAZARD -> QUIET;
            default -> INK;
        };
    }

    private static String fill(FigurePiece piece, String stroke) {
        return switch (piece.role()) {
            case BODY, CABINET -> "#FFFFFF";
            case WALL -> "#C9D1D3";
            case PERMITTED, ASKED -> "#E6F0ED";
            case READ, HAZARD -> piece.kind() == Sheet.Kind.CIRCLE ? stroke : "none";
            default -> "none";
        };
    }

    private static double width(Role role, boolean line) {
        return switch (role) {
            case WALL -> line ? 4 : 0.8;
            case RUN, CABINET -> 2;
            case FRONT, HAZARD -> 3;
            case GRID, PERMITTED, GROUND -> 0.6;
            default -> 1.1;
        };
    }

    private static String dashes(FigurePiece piece) {
        return switch (piece.role()) {
            case ASKED -> " stroke-dasharray=\"4 3\"";
            case GHOST -> " stroke-dasharray=\"6 4\"";
            case BOUNDARY -> " stroke-dasharray=\"10 4 2 4\"";
            default -> "";
        };
    }

    private static String word(FigurePiece piece) {
        String[] at = piece.points().split(",");
        double x = Double.parseDouble(at[0]);
        double left =
                switch (piece.anchor()) {
                    case START -> x;
                    case MIDDLE -> x - ROOM / 2.0;
                    case END -> x - ROOM;
                };
        String align = List.of("left", "center", "right").get(piece.anchor().ordinal());
        return format(
                "<div class=\"label\" style=\"left:%.1fpx;top:%.1fpx;width:%dpx;text-align:%s;color:%s;font-weight:%s\">%s</div>",
                left,
                Double.parseDouble(at[1]) - Sheet.LETTERS,
                ROOM,
                align,
                colour(piece),
                piece.weight() == Element.Weight.STRONG ? "bold" : "normal",
                HtmlUtils.htmlEscape(piece.text(), "UTF-8"));
    }

    private static String format(String pattern, Object... arguments) {
        return String.format(Locale.ROOT, pattern, arguments);
    }
}
