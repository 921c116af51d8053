package org.undanus.core.derived;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.quantity.Text;
import org.undanus.core.quantity.UnitSystem;

/**
 * What a condensate pump moves at each lift, from its label or sheet: {@code 0 m: 20 L/h, 2 m: 14 L/h, 4 m: 8 L/h}.
 *
 * @param points lift, m, and flow, m³/s, from the lowest lift
 */
public record PumpCurve(List<Point> points) implements Notation.Listing {

    /** @param lift m */
    public record Point(double lift, double flow) {}

    public static final Notation NOTATION = new Written();

    public PumpCurve {
        points = List.copyOf(points);
    }

    /** Flow at a lift, m³/s, on straight lines between the points; 0 above the last one. */
    public double at(double lift) {
        if (lift <= points.get(0).lift) {
            return points.get(0).flow;
        }
        for (int i = 1; i < points.size(); i++) {
            Point low = points.get(i - 1);
            Point high = points.get(i);
            if (lift <= high.lift) {
                return low.flow + (high.flow - low.flow) * (lift - low.lift) / (high.lift - low.lift);
            }
        }
        return 0;
    }

    @Override
    public Text summary() {
        Point first = points.get(0);
        Point last = points.get(points.size() - 1);
        return Text.of(
                "{} at {} to {} at {}",
                LiquidFlow.ofCubicMetresPerSecond(first.flow),
                Length.ofMetres(first.lift),
                LiquidFlow.ofCubicMetresPerSecond(last.flow),
                Length.ofMetres(last.lift));
    }

    private static final class Written implements Notation {
        @Override
        public String example() {
            return "0 m: 20 L/h, 2 m: 14 L/h, 4 m: 8 L/h";
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI
                    ? List.of("0 m: 20 L/h", "2 m: 14 L/h")
                    : List.of("0 ft: 5 gal/h", "6 ft: 3.5 gal/h");
        }

        @Override
        public Editing editing() {
            return Editing.PARTS;
        }

        @Override
        public PumpCurve read(String typed) {
            List<Part> parts = Notation.parts(typed);
            List<Point> points = new ArrayList<>();
            for (int i = 0; i < parts.size(); i++) {
                int number = i;
                String text = parts.get(i).text();
                Function<String, Entry.Unsuitable> wrong = why -> Lengths.wrong(number, text, why);
                int colon = text.indexOf(':');
                if (colon < 0) {
                    throw wrong.apply("write a lift and its flow, like 2 m: 14 L/h");
                }
                Point point = new Point(
                        Lengths.metres(text.substring(0, colon), wrong),
                        Lengths.si(text.substring(colon + 1), Dimension.LIQUID_FLOW, wrong));
                if (point.lift < 0 || point.flow < 0) {
                    throw wrong.apply("a pump neither lifts nor moves less than nothing");
                }
                if (i > 0 && point.lift <= points.get(i - 1).lift) {
                    throw wrong.apply("lifts rise from one point to the next");
                }
                if (i > 0 && point.flow > points.get(i - 1).flow) {
                    throw wrong.apply("a pump never moves more at a greater lift");
                }
                points.add(point);
            }
            if (points.size() < 2) {
                throw new Entry.Unsuitable("A curve has two points at least: " + example());
            }
            return new PumpCurve(points);
        }
    }
}
