package org.undanus.server.siting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.walk.PlanView;

/** Draws a site's plan as SVG for paper and other programs: black on white, told apart by hatch and line. */
public final class PlanDrawing {
    private static final int LONGEST = 640;
    private static final double MARGIN = 0.6;
    private static final String INK = "#1C2B33";

    private PlanDrawing() {}

    /** @param words whether titles and dimensions are written in; without, it depends on no font */
    public static String svg(PlanView plan, boolean words) {
        double left = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        List<PlanView.PointView> all = new ArrayList<>();
        plan.features().forEach(f -> all.addAll(f.points()));
        plan.units().forEach(u -> all.addAll(corners(u.x(), u.y(), u.facing(), u.width(), u.depth())));
        for (PlanView.PointView p : all) {
            left = Math.min(left, p.x());
            right = Math.max(right, p.x());
            low = Math.min(low, p.y());
            high = Math.max(high, p.y());
        }
        if (all.isEmpty()) {
            return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"10\" height=\"10\"/>";
        }
        double across = right - left + 2 * MARGIN;
        double up = high - low + 2 * MARGIN;
        double scale = LONGEST / Math.max(across, up);
        Canvas canvas = new Canvas(left - MARGIN, high + MARGIN, scale);
        canvas.open(across * scale, up * scale);
        plan.features().forEach(f -> feature(canvas, f, words));
        plan.units().forEach(u -> {
            canvas.polygon(corners(u.x(), u.y(), u.facing(), u.width(), u.depth()), "#FFFFFF", 2, "");
            canvas.polygon(front(u.x(), u.y(), u.facing(), u.width(), u.depth()), INK, 1, "");
            if (words) {
                canvas.text(u.x(), u.y(), u.title());
            }
        });
        plan.distances().stream()
                .filter(d -> d.verdict() != Verdict.DOES_NOT_APPLY)
                .forEach(d -> {
                    canvas.line(List.of(d.from(), d.to()), d.verdict() == Verdict.MEETS ? 1 : 2, "");
                    if (words) {
                        canvas.text(
                                (d.from().x() + d.to().x()) / 2,
                                (d.from().y() + d.to().y()) / 2,
                                d.name() + " " + d.text());
                    }
                });
        plan.cure().moves().forEach(m -> plan.units().stream()
                .filter(u -> u.component().equals(m.component()))
                .forEach(u ->
                        canvas.polygon(corners(m.x(), m.y(), m.facing(), u.width(), u.depth()), "none", 1.4, "6 4")));
        return canvas.close();
    }

    private static void feature(Canvas canvas, PlanView.FeatureView f, boolean words) {
        if (f.points().size() == 1) {
            canvas.dot(f.points().get(0));
        } else if (f.closed()) {
            canvas.polygon(
                    f.points(), f.solid() ? "#C9D1D3" : "none", f.solid() ? 1.2 : 0.8, f.solid() ? "" : "10 5 2 5");
        } else {
            canvas.line(f.points(), f.solid() ? 2.4 : 3, "");
        }
        if (words && !f.title().isEmpty()) {
            double x = f.points().stream()
                    .mapToDouble(PlanView.PointView::x)
                    .average()
                    .orElse(0);
            double y = f.points().stream()
                    .mapToDouble(PlanView.PointView::y)
                    .average()
                    .orElse(0);
            canvas.text(x, y, f.title());
        }
    }

    /** The four corners of a cabinet; its front lies before the second pair. */
    private static List<PlanView.PointView> corners(double x, double y, double facing, double width, double depth) {
        return box(x, y, facing, width, -depth / 2, depth / 2);
    }

    /** A bar along the front. */
    private static List<PlanView.PointView> front(double x, double y, double facing, double width, double depth) {
        return box(x, y, facing, width, depth / 2 - depth / 8, depth / 2);
    }

    private static List<PlanView.PointView> box(
            double x, double y, double facing, double width, double behind, double ahead) {
        double angle = Math.toRadians(facing);
        double fx = Math.cos(angle);
        double fy = Math.sin(angle);
        List<PlanView.PointView> corners = new ArrayList<>();
        double[][] places = {{behind, -width / 2}, {behind, width / 2}, {ahead, width / 2}, {ahead, -width / 2}};
        for (double[] place : places) {
            corners.add(new PlanView.PointView(x + fx * place[0] - fy * place[1], y + fy * place[0] + fx * place[1]));
        }
        return corners;
    }

    /** Turns metres, y up, into the drawing's dots, y down. */
    private static final class Canvas {
        private final double left;
        private final double top;
        private final double scale;
        private final StringBuilder svg = new StringBuilder();

        Canvas(double left, double top, double scale) {
            this.left = left;
            this.top = top;
            this.scale = scale;
        }

        void open(double width, double height) {
            svg.append(format(
                    "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\" viewBox=\"0 0 %.0f %.0f\">",
                    width, height, width, height));
        }

        void polygon(List<PlanView.PointView> points, String fill, double width, String dashes) {
            shape("polygon", points, fill, width, dashes);
        }

        void line(List<PlanView.PointView> points, double width, String dashes) {
            shape("polyline", points, "none", width, dashes);
        }

        private void shape(String name, List<PlanView.PointView> points, String fill, double width, String dashes) {
            String places = points.stream()
                    .map(p -> format("%.1f,%.1f", (p.x() - left) * scale, (top - p.y()) * scale))
                    .collect(Collectors.joining(" "));
            svg.append(format(
                    "<%s points=\"%s\" fill=\"%s\" stroke=\"%s\" stroke-width=\"%.1f\"%s/>",
                    name, places, fill, INK, width, dashes.isEmpty() ? "" : " stroke-dasharray=\"" + dashes + "\""));
        }

        void dot(PlanView.PointView p) {
            svg.append(format(
                    "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"4\" fill=\"%s\"/>",
                    (p.x() - left) * scale, (top - p.y()) * scale, INK));
        }

        void text(double x, double y, String words) {
            svg.append(format(
                    "<text x=\"%.1f\" y=\"%.1f\" font-family=\"sans-serif\" font-size=\"11\" text-anchor=\"middle\" fill=\"%s\">%s</text>",
                    (x - left) * scale, (top - y) * scale + 4, INK, HtmlUtils.htmlEscape(words, "UTF-8")));
        }

        String close() {
            return svg.append("</svg>").toString();
        }

        private static String format(String pattern, Object... arguments) {
            return String.format(Locale.ROOT, pattern, arguments);
        }
    }
}
