package org.undanus.server.report;

import java.util.Locale;
import org.springframework.web.util.HtmlUtils;
import org.undanus.core.judgement.Verdict;
import org.undanus.view.JudgementView;

/**
 * Draws margin bars and verdict marks as SVG for paper. Verdicts differ by shape first, so that they are told apart in
 * grey print; colours are those of the screen.
 */
public final class VerdictPrint {
    private static final int WIDTH = 300;
    private static final int EDGE = 8;
    private static final int ROW = 12;
    private static final int LABEL = 180;
    private static final double NEAR_END = 0.2;
    private static final String INK = "#1C2B33";
    private static final String QUIET = "#6B777D";
    private static final String PERMITTED = "#D9E8E4";

    private VerdictPrint() {}

    /**
     * The bar with ticks above its axis and the reading below. Lines are SVG, words are HTML laid over them: so they are
     * set in the report's own fonts and nothing depends on those of the machine.
     */
    public static String bar(JudgementView.BarView bar, Verdict verdict) {
        int rows =
                bar.ticks().stream().mapToInt(JudgementView.TickView::row).max().orElse(0) + 1;
        int axis = rows * ROW + 12;
        int height = axis + 22;
        String colour = colour(verdict);
        StringBuilder svg = new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%d\" height=\"%d\" viewBox=\"0 0 %d %d\">",
                WIDTH,
                height,
                WIDTH,
                height));
        svg.append(String.format(
                Locale.ROOT,
                "<rect x=\"%.1f\" y=\"%d\" width=\"%.1f\" height=\"8\" fill=\"%s\"/>",
                at(bar.permittedFrom()),
                axis - 8,
                at(bar.permittedTo()) - at(bar.permittedFrom()),
                PERMITTED));
        line(svg, EDGE, axis, WIDTH - EDGE, axis, 1, INK);
        StringBuilder words = new StringBuilder();
        for (JudgementView.TickView tick : bar.ticks()) {
            double x = at(tick.position());
            int top = axis - 10 - tick.row() * ROW;
            line(svg, x, top, x, axis + 3, tick.binds() ? 1.8 : 0.8, INK);
            label(words, tick.position(), top - ROW, tick.defers() ? QUIET : INK, tick.label());
        }
        line(svg, at(bar.whiskerFrom()), axis, at(bar.whiskerTo()), axis, 3, colour);
        line(svg, at(bar.needle()), axis - 9, at(bar.needle()), axis + 6, 2, colour);
        svg.append(String.format(
                Locale.ROOT,
                "<circle cx=\"%.1f\" cy=\"%d\" r=\"3\" fill=\"%s\"/></svg>",
                at(bar.needle()),
                axis,
                colour));
        label(words, bar.needle(), axis + 7, colour, bar.reading());
        return "<div class=\"bar\" style=\"height:" + height + "px\">" + svg + words + "</div>";
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

    static String colour(Verdict verdict) {
        return switch (verdict) {
            case MEETS -> "#1B7A57";
            case FAILS -> "#C23B22";
            case TOO_CLOSE -> "#A86F00";
            case NOT_SHOWN -> "#5B6B74";
            case DOES_NOT_APPLY -> "#7D878C";
            case REFER -> "#6B4FA0";
        };
    }

    private static double at(double position) {
        return EDGE + Math.max(0, Math.min(1, position)) * (WIDTH - 2 * EDGE);
    }

    /** Words at a place of the axis: centred on it, or running inwards near an end. */
    private static void label(StringBuilder words, double position, int top, String colour, String text) {
        double x = at(position);
        double left = position < NEAR_END ? x : position > 1 - NEAR_END ? x - LABEL : x - LABEL / 2.0;
        String align = position < NEAR_END ? "left" : position > 1 - NEAR_END ? "right" : "center";
        words.append(String.format(
                Locale.ROOT,
                "<div class=\"label\" style=\"left:%.1fpx;top:%dpx;width:%dpx;text-align:%s;color:%s\">%s</div>",
                left,
                top,
                LABEL,
                align,
                colour,
                HtmlUtils.htmlEscape(text, "UTF-8")));
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
}
