package org.undanus.core.judgement;

import java.util.List;
import org.undanus.core.evidence.Point;

/**
 * What one station asks and judges.
 *
 * @param points the lines in the order they are read
 */
public record StationPlan(Station station, List<Point> points, List<Requirement> requirements) {
    public StationPlan {
        points = List.copyOf(points);
        requirements = List.copyOf(requirements);
    }
}
