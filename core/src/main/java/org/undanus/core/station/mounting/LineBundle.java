package org.undanus.core.station.mounting;

import static org.undanus.core.station.mounting.MountingPoints.CABLE_DIAMETER;
import static org.undanus.core.station.mounting.MountingPoints.DRAIN_DIAMETER;
import static org.undanus.core.station.mounting.MountingPoints.INSULATION;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.installation.SheetFigure;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Length;

/**
 * The round things that share the hole: two insulated tubes, drain, cable. Tube sizes come from the outdoor unit's plate or
 * sheet; insulation and drain from a reading, else from the sheet.
 */
final class LineBundle {

    /** @param outer outer diameter, m */
    record Part(String title, double outer) {}

    private LineBundle() {}

    /** Empty where a size is not known; then {@link #missing} names it. */
    static Optional<List<Part>> parts(Examination x) {
        Optional<Double> liquid = outdoor(x, PlatePoints.LIQUID_LINE);
        Optional<Double> suction = outdoor(x, PlatePoints.SUCTION_LINE);
        Optional<Double> insulation = insulation(x);
        Optional<Double> drain = drain(x);
        Optional<Double> cable = x.number(CABLE_DIAMETER);
        if (liquid.isEmpty() || suction.isEmpty() || insulation.isEmpty() || drain.isEmpty() || cable.isEmpty()) {
            return Optional.empty();
        }
        double around = 2 * insulation.get();
        return Optional.of(List.of(
                new Part("Drain", drain.get()),
                new Part("Suction line, insulated", suction.get() + around),
                new Part("Liquid line, insulated", liquid.get() + around),
                new Part("Cable", cable.get())));
    }

    private static Optional<Double> outdoor(Examination x, Point point) {
        return x.facts().outdoorUnit().flatMap(unit -> x.at(unit).number(point));
    }

    private static Optional<Double> insulation(Examination x) {
        return x.number(INSULATION).or(() -> x.facts()
                .outdoorUnit()
                .flatMap(unit -> x.at(unit).sheet())
                .flatMap(s -> s.length(SheetFigure.LINE_INSULATION))
                .map(Length::si));
    }

    private static Optional<Double> drain(Examination x) {
        return x.number(DRAIN_DIAMETER)
                .or(() ->
                        x.sheet().flatMap(s -> s.length(SheetFigure.DRAIN_SIZE)).map(Length::si));
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

    static Bundle packed(List<Part> parts) {
        return Bundle.of(parts.stream().map(part -> part.outer / 2).toList()).withLowest(0);
    }
}
