package org.undanus.server.report;

import java.util.Locale;
import org.springframework.web.util.HtmlUtils;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.walk.JudgementView;

/**
 * Draws margin bars and verdict marks as SVG for paper. Verdicts differ by shape first, so that they are told apart in
 * grey print; colours are those of the screen.
 */
public final class Drawing {
    private static final int WIDTH = 300;
    private static final int EDGE = 8;
    private static final int ROW = 12;
    private static final String INK = "#1C2B33";
    private static final String QUIET = "#6B777D";
    private static final String PERMITTED = "#D9E8E4";

    private Drawing() {}

    /** The bar with ticks above its axis and the reading below. */
    public static String bar(JudgementView.BarView bar, Verdict verdict) {
        int rows =
                bar.ticks().stream().mapToInt(JudgementView.TickView::row).max().orElse(0) + 1;
        int axis = rows * ROW + 12;
        StringBuilder svg = new StringBuilder();
        svg.append(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%d\" height=\"%d\" viewBox=\"0 0 %d %d\">",
                WIDTH,
                axis + 22,
                WIDTH,
                axis + 22));
        svg.append(String.format(
                Locale.ROOT,
                "<rect x=\"%.1f\" y=\"%d\" width=\"%.1f\" height=\"8\" fill=\"%s\"/>",
                at(bar.permittedFrom()),
                axis - 8,
                at(bar.permittedTo()) - at(bar.permittedFrom()),
                PERMITTED));
        line(svg, EDGE, axis, WIDTH - EDGE, axis, 1, INK);
        for (JudgementView.TickView tick : bar.ticks()) {
            double x = at(tick.position());
            line(svg, x, top(axis, tick), x, axis + 3, tick.binds() ? 1.8 : 0.8, INK);
        }
        for (JudgementView.TickView tick : bar.ticks()) {
            String ink = tick.defers() ? QUIET : INK;
            text(svg, at(tick.position()), top(axis, tick) - 2, anchor(tick.position()), 8, ink, tick.label());
        }
        String colour = colour(verdict);
        line(svg, at(bar.whiskerFrom()), axis, at(bar.whiskerTo()), axis, 3, colour);
        line(svg, at(bar.needle()), axis - 9, at(bar.needle()), axis + 6, 2, colour);
        svg.append(String.format(
                Locale.ROOT, "<circle cx=\"%.1f\" cy=\"%d\" r=\"3\" fill=\"%s\"/>", at(bar.needle()), axis, colour));
        text(svg, at(bar.needle()), axis + 18, anchor(bar.needle()), 9, colour, bar.reading());
        return svg.append("</svg>").toString();
    }

    /** The mark that stands before a verdict's word. */
    public static String mark(Verdict verdict) {
        String colour = colour(verdict);
        String shape =
                switch (verdict) {
                    case MEETS ->
                        "<circle cx=\"6\" cy=\"6\" r=\"5.5\" fill=\"" + colour
                                + "\"/><path d=\"M3.4 6.2 L5.2 8 L8.6 4.2\" fill=\"none\" stroke=\"#fff\" stroke-width=\"1.5\"/>";
                    case FAILS -> "<path d=\"M0.5 1 H11.5 L6 11.5 Z\" fill=\"" + colour + "\"/>";
                    case TOO_CLOSE ->
                        "<path d=\"M5 0.6 A5.5 5.5 0 0 0 5 11.4 Z M7 0.6 A5.5 5.5 0 0 1 7 11.4 Z\" fill=\"" + colour
                                + "\"/>";
                    case NOT_SHOWN ->
                        "<path d=\"M9.9 2.6 A5 5 0 1 0 10.9 6.6\" fill=\"none\" stroke=\"" + colour
                                + "\" stroke-width=\"1.6\"/>";
                    case DOES_NOT_APPLY -> "<path d=\"M2 6 H10\" stroke=\"" + colour + "\" stroke-width=\"1.6\"/>";
                    case REFER ->
                        "<path d=\"M2 0.5 V11.5 M2 1 H11 L8.4 4 L11 7 H2\" fill=\"" + colour + "\" stroke=\"" + colour
                                + "\" stroke-width=\"1.2\"/>";
                };
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"12\" height=\"12\" viewBox=\"0 0 12 12\">" + shape
                + "</svg>";
    }

    private static String colour(Verdict verdict) {
        return switch (verdict) {
            case MEETS -> "#1B7A57";
            case FAILS -> "#C23B22";
            case TOO_CLOSE -> "#A86F00";
            case NOT_SHOWN -> "#5B6B74";
            case DOES_NOT_APPLY -> "#7D878C";
            case REFER -> "#6B4FA0";
        };
    }

    private static double top(int axis, JudgementView.TickView tick) {
        return axis - 10.0 - tick.row() * ROW;
    }

    private static double at(double position) {
        return EDGE + Math.max(0, Math.min(1, position)) * (WIDTH - 2 * EDGE);
    }

    private static String anchor(double position) {
        return position < 0.2 ? "start" : position > 0.8 ? "end" : "middle";
    }

    private static void line(
            StringBuilder svg, double x1, double y1, double x2, double y2, double width, String colour) {
        svg.append(String.format(
                Locale.ROOT,
                "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"%s\" stroke-width=\"%.1f\"/>",
                x1,
                y1,
                x2,
                y2,
                colour,
                width));
    }

    private static void text(
            StringBuilder svg, double x, double y, String anchor, int size, String colour, String words) {
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\" font-size=\"%d\" font-family=\"Reading, Fallback\" fill=\"%s\">%s</text>",
                x,
                y,
                anchor,
                size,
                colour,
                HtmlUtils.htmlEscape(words, "UTF-8").replace("&deg;", "°")));
    }
}
