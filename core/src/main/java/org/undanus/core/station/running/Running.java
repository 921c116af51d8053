package org.undanus.core.station.running;

import java.util.List;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;

/** What station 13 asks and judges. */
public final class Running {
    private Running() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.RUNNING,
                        Stream.concat(
                                        OperationPoints.all().stream(),
                                        Stream.of(
                                                RunningPoints.OUTDOOR,
                                                AirPoints.RETURN_DRY_BULB,
                                                AirPoints.RETURN_WET_BULB,
                                                RunningPoints.SUPPLY_EARLIER,
                                                AirPoints.SUPPLY_DRY_BULB,
                                                RunningPoints.SUPPLY_LOG,
                                                AirPoints.SUPPLY_WET_BULB,
                                                AirPoints.HOOD))
                                .toList(),
                        List.of(new SteadyOperation(), new TemperatureSplit()))
                .drawnBy(PsychrometricFigure::draw)
                .after(Station.ELECTRICAL, "The machine runs on a circuit that has not been looked at in full.")
                .after(Station.AIRSIDE, "In starved air a split says nothing of the machine.");
    }
}
