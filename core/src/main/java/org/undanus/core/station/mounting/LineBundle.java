package org.undanus.core.station.mounting;

import static org.undanus.core.derived.LinePoints.INSULATION;
import static org.undanus.core.station.mounting.MountingPoints.CABLE_DIAMETER;
import static org.undanus.core.station.mounting.MountingPoints.DRAIN_DIAMETER;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Value;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Uncertain;

/**
 * What goes through one hole: drain, both insulated lines and cable, packed. Both lines wear the same insulation, so its
 * uncertainty counts for both together.
 *
 * @param insulation thickness on the lines, m
 */
record LineBundle(Uncertain drain, Uncertain suction, Uncertain liquid, Uncertain insulation, Uncertain cable) {

    /** @param outer outer diameter, m */
    record Part(String title, double outer) {}

    /** Empty where a size is not known; then {@link #missing} names it. */
    static Optional<LineBundle> of(Examination x) {
        Optional<Uncertain> liquid = outdoor(x, PlatePoints.LIQUID_LINE);
        Optional<Uncertain> suction = outdoor(x, PlatePoints.SUCTION_LINE);
        Optional<Uncertain> insulation = insulation(x);
        Optional<Uncertain> drain = drain(x);
        Optional<Uncertain> cable = read(x, CABLE_DIAMETER);
        boolean known = liquid.isPresent()
                && suction.isPresent()
                && insulation.isPresent()
                && drain.isPresent()
                && cable.isPresent();
        return known
                ? Optional.of(new LineBundle(drain.get(), suction.get(), liquid.get(), insulation.get(), cable.get()))
                : Optional.empty();
    }

    private static Optional<Uncertain> read(Examination x, Point point) {
        return x.measured(point).map(Value.Measured::uncertain);
    }

    private static Optional<Uncertain> outdoor(Examination x, Point point) {
        return x.facts().outdoorUnit().flatMap(unit -> read(x.at(unit), point));
    }

    private static Optional<Uncertain> insulation(Examination x) {
        return read(x, INSULATION).or(() -> x.facts()
                .outdoorUnit()
                .flatMap(unit -> x.at(unit).sheet())
                .flatMap(s -> s.length(SheetValue.LINE_INSULATION))
                .map(thickness -> Uncertain.exact(thickness.si())));
    }

    private static Optional<Uncertain> drain(Examination x) {
        return read(x, DRAIN_DIAMETER).or(() -> x.sheet()
                .flatMap(s -> s.length(SheetValue.DRAIN_SIZE))
                .map(size -> Uncertain.exact(size.si())));
    }

    /** The drain first. */
    List<Part> parts() {
        double around = 2 * insulation.value();
        return List.of(
                new Part("Drain", drain.value()),
                new Part("Suction line, insulated", suction.value() + around),
                new Part("Liquid line, insulated", liquid.value() + around),
                new Part("Cable", cable.value()));
    }

    /** The smallest circle about all, the drain lowest. */
    Bundle packed() {
        return packed(parts()).withLowest(0);
    }

    /** The smallest circle about all but the drain. */
    Bundle withoutDrain() {
        return packed(parts().subList(1, parts().size()));
    }

    private static Bundle packed(List<Part> parts) {
        return Bundle.of(parts.stream().map(part -> part.outer / 2).toList());
    }

    /** Diameter of the smallest circle, m, with the uncertainty of what was measured of the parts. */
    Uncertain diameter() {
        Bundle packed = packed();
        double[] growth = packed.growth();
        double[] each = {
            growth[0] * drain.standardUncertainty(),
            growth[1] * suction.standardUncertainty(),
            growth[2] * liquid.standardUncertainty(),
            2 * (growth[1] + growth[2]) * insulation.standardUncertainty(),
            growth[3] * cable.standardUncertainty()
        };
        double variance = 0;
        for (double u : each) {
            variance += u * u;
        }
        return new Uncertain(2 * packed.radius(), Math.sqrt(variance));
    }

    /** The lines still to be read before the bundle is known. */
    static List<Point> missing(Examination x) {
        List<Point> points = new ArrayList<>(x.missing(CABLE_DIAMETER));
        if (insulation(x).isEmpty()) {
            points.add(INSULATION);
        }
        if (drain(x).isEmpty()) {
            points.add(DRAIN_DIAMETER);
        }
        if (outdoor(x, PlatePoints.LIQUID_LINE).isEmpty()) {
            points.add(PlatePoints.LIQUID_LINE);
        }
        if (outdoor(x, PlatePoints.SUCTION_LINE).isEmpty()) {
            points.add(PlatePoints.SUCTION_LINE);
        }
        return points;
    }
}
