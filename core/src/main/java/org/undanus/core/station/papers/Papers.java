package org.undanus.core.station.papers;

import java.util.List;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.StationPlan;

/** What station 1 asks and judges. */
public final class Papers {
    private Papers() {}

    public static StationPlan plan() {
        return new StationPlan(
                Station.PAPERS,
                PlatePoints.all(),
                List.of(new PlateComplete(), new ListedPair(), new SameRefrigerant(), new PlateAge()));
    }
}
