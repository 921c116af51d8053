package org.undanus.core.plan;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Station;

/**
 * What one station asks, judges and draws.
 *
 * @param points the lines in the order they are read
 */
public record StationPlan(
        Station station, List<Point> points, List<Requirement> requirements, Optional<Figures> figures) {
    public StationPlan {
        points = List.copyOf(points);
        requirements = List.copyOf(requirements);
    }

    public StationPlan(Station station, List<Point> points, List<Requirement> requirements) {
        this(station, points, requirements, Optional.empty());
    }

    /** The same with its figures. */
    public StationPlan drawnBy(Figures drawn) {
        return new StationPlan(station, points, requirements, Optional.of(drawn));
    }
}
