package org.undanus.core.station.electrical;

import java.util.List;
import org.undanus.core.judgement.Station;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Dimension;

/** What station 7 asks and judges. */
public final class Electrical {
    private Electrical() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.ELECTRICAL,
                        CircuitPoints.all(),
                        List.of(
                                new OvercurrentDevice(),
                                new ConductorAmpacity(),
                                new DisconnectPresent(),
                                new DisconnectRating(),
                                new DisconnectInSight(),
                                new DisconnectReach(),
                                new FaultDisconnection(),
                                new ResidualCurrentDevice(),
                                SupplyVoltage.STANDING,
                                SupplyVoltage.RUNNING,
                                new RunningCurrent()))
                .drawnBy(CircuitFigure::draw)
                .sizes(CircuitCurrents.DEVICE_SIZES, Dimension.CURRENT)
                .tables(InstalledConductor.tables());
    }
}
