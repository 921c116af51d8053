package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Face;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.StationPlan;

/** What station 2 asks and judges. */
public final class Siting {
    private Siting() {}

    public static StationPlan plan() {
        List<Point> points = new ArrayList<>();
        List<Requirement> requirements = new ArrayList<>();
        for (Face face : Face.values()) {
            OutdoorClearance outdoor = new OutdoorClearance(face);
            points.add(outdoor.point());
            requirements.add(outdoor);
        }
        for (Face face : List.of(Face.LEFT, Face.RIGHT, Face.ABOVE)) {
            IndoorClearance indoor = new IndoorClearance(face);
            points.add(indoor.point());
            requirements.add(indoor);
        }
        points.add(IndoorHeight.HEIGHT);
        requirements.add(new IndoorHeight());
        return new StationPlan(Station.SITING, points, requirements);
    }
}
