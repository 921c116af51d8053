package org.undanus.core.station.mounting;

import static org.undanus.core.derived.LinePoints.INSULATION;
import static org.undanus.core.station.mounting.MountingPoints.CABLE_DIAMETER;
import static org.undanus.core.station.mounting.MountingPoints.DRAIN_DIAMETER;
import static org.undanus.core.station.mounting.MountingPoints.SECOND_CABLE;

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
 * What goes through one hole, packed: the insulated lines and a cable, a drain unless it goes elsewhere, and a second cable where there
 * is one. All lines wear the same insulation, so its uncertainty counts for them together.
 *
 * @param parts the drain first, if there is one
 * @param insulation thickness on the lines, m
 */
record LineBundle(List<Part> parts, Uncertain insulation) {

    /**
     * @param bare diameter without insulation, m
     * @param wrapped whether the lines' insulation is about it
     * @param outer outer diameter, m
     */
    record Part(String title, Uncertain bare, boolean wrapped, double outer) {}

    /** Empty where a size is not known; then {@link #missing} names it. */
    static Optional<LineBundle> of(Examination x) {
        Optional<Uncertain> around = insulation(x);
        if (!missing(x).isEmpty() || around.isEmpty()) {
            return Optional.empty();
        }
        List<Part> parts = new ArrayList<>();
        drain(x).filter(there -> there.value() > 0).ifPresent(drain -> parts.add(bare("Drain", drain)));
        parts.add(wrapped("Suction line, insulated", outdoor(x, PlatePoints.SUCTION_LINE), around.get()));
        parts.add(wrapped("Liquid line, insulated", outdoor(x, PlatePoints.LIQUID_LINE), around.get()));
        parts.add(bare("Cable", read(x, CABLE_DIAMETER).orElseThrow()));
        read(x, SECOND_CABLE)
                .filter(there -> there.value() > 0)
                .ifPresent(cable -> parts.add(bare("Cable, second", cable)));
        return Optional.of(new LineBundle(List.copyOf(parts), around.get()));
    }

    private static Part bare(String title, Uncertain diameter) {
        return new Part(title, diameter, false, diameter.value());
    }

    private static Part wrapped(String title, Optional<Uncertain> diameter, Uncertain around) {
        return new Part(title, diameter.orElseThrow(), true, diameter.get().value() + 2 * around.value());
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

    /** Nought where none goes through this hole. */
    private static Optional<Uncertain> drain(Examination x) {
        return read(x, DRAIN_DIAMETER).or(() -> x.sheet()
                .flatMap(s -> s.length(SheetValue.DRAIN_SIZE))
                .map(size -> Uncertain.exact(size.si())));
    }

    boolean hasDrain() {
        return !parts.get(0).wrapped;
    }

    /** The smallest circle about all, a drain lowest. */
    Bundle packed() {
        return hasDrain() ? packed(parts).withLowest(0) : packed(parts);
    }

    /** The smallest circle about all but the drain. */
    Bundle withoutDrain() {
        return packed(parts.stream().skip(hasDrain() ? 1 : 0).toList());
    }

    private static Bundle packed(List<Part> parts) {
        return Bundle.of(parts.stream().map(part -> part.outer / 2).toList());
    }

    /** Diameter of the smallest circle, m, with the uncertainty of what was measured of the parts. */
    Uncertain diameter() {
        Bundle packed = packed();
        double[] growth = packed.growth();
        double variance = 0;
        double wrapped = 0;
        for (int i = 0; i < parts.size(); i++) {
            Part part = parts.get(i);
            variance += Math.pow(growth[i] * part.bare.standardUncertainty(), 2);
            wrapped += part.wrapped ? growth[i] : 0;
        }
        variance += Math.pow(2 * wrapped * insulation.standardUncertainty(), 2);
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
