package org.undanus.core.station.electrical;

import java.util.List;
import java.util.Map;
import java.util.Set;
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
                                SupplyVoltage.standing(),
                                SupplyVoltage.running(),
                                new RunningCurrent()))
                .drawnBy(CircuitFigure::draw);
    }

    /** The lists of standard sizes a rule book must give. */
    public static Map<String, Dimension> sizeLists() {
        return Map.of(CircuitFigures.DEVICE_SIZES, Dimension.CURRENT);
    }

    /** The tables a rule book chooses between. */
    public static Map<String, Set<String>> tables() {
        return InstalledConductor.tables();
    }
}
