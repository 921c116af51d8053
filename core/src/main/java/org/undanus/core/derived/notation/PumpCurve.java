package org.undanus.core.derived.notation;

import java.util.List;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.ListNotation;
import org.undanus.core.evidence.Notation;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.LiquidFlow;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

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
                "{firstFlow} at {firstLift} to {lastFlow} at {lastLift}",
                LiquidFlow.ofCubicMetresPerSecond(first.flow),
                Length.ofMetres(first.lift),
                LiquidFlow.ofCubicMetresPerSecond(last.flow),
                Length.ofMetres(last.lift));
    }

    private static final class Written extends ListNotation<Point, PumpCurve> {
        private Written() {
            super("0 m: 20 L/h, 2 m: 14 L/h, 4 m: 8 L/h", "No point is written.");
        }

        @Override
        public List<String> offered(UnitSystem units) {
            return units == UnitSystem.SI
                    ? List.of("0 m: 20 L/h", "2 m: 14 L/h")
                    : List.of("0 ft: 5 gal/h", "6 ft: 3.5 gal/h");
        }

        @Override
        protected Point part(Place place, List<Point> before) {
            int colon = place.text().indexOf(':');
            if (colon < 0) {
                throw place.wrong("write a lift and its flow, like 2 m: 14 L/h");
            }
            Point point = new Point(
                    place.si(place.text().substring(0, colon), Dimension.LENGTH),
                    place.si(place.text().substring(colon + 1), Dimension.LIQUID_FLOW));
            if (point.lift < 0 || point.flow < 0) {
                throw place.wrong("a pump neither lifts nor moves less than nothing");
            }
            if (!before.isEmpty() && point.lift <= before.get(before.size() - 1).lift) {
                throw place.wrong("lifts rise from one point to the next");
            }
            if (!before.isEmpty() && point.flow > before.get(before.size() - 1).flow) {
                throw place.wrong("a pump never moves more at a greater lift");
            }
            return point;
        }

        @Override
        protected PumpCurve of(List<Point> points) {
            if (points.size() < 2) {
                throw new Entry.Unsuitable("A curve has two points at least: {example}", example());
            }
            return new PumpCurve(points);
        }
    }
}
