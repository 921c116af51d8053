package org.undanus.core.station.running;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.OperationPoints;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.SteadyRunning;
import org.undanus.core.plan.HoldableLine;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.rules.Bound;
import org.undanus.core.rules.Setting;

/** What station 13 asks and judges. */
public final class Running {
    private static final Setting WARM_ENOUGH =
            new Setting("running.cooling-weather", Dimension.TEMPERATURE, "Outdoor air from which cooling can be run");
    private static final Setting COLD_ENOUGH =
            new Setting("running.heating-weather", Dimension.TEMPERATURE, "Outdoor air up to which heating can be run");
    private static final Setting FROSTY_ENOUGH = new Setting(
            "running.defrost-weather", Dimension.TEMPERATURE, "Outdoor air up to which an outdoor coil ices over");

    private Running() {}

    public static StationPlan plan() {
        return new StationPlan(
                        Station.RUNNING,
                        Stream.concat(
                                        OperationPoints.all().stream(),
                                        Stream.of(
                                                AirPoints.OUTDOOR,
                                                AirPoints.RETURN_DRY_BULB,
                                                AirPoints.RETURN_WET_BULB,
                                                RunningPoints.SUPPLY_EARLIER,
                                                AirPoints.SUPPLY_DRY_BULB,
                                                RunningPoints.SUPPLY_LOG,
                                                AirPoints.SUPPLY_WET_BULB,
                                                AirPoints.HOOD,
                                                RunningPoints.BEFORE_VALVE,
                                                RunningPoints.AFTER_VALVE,
                                                AirPoints.OUTDOOR_LEAVING,
                                                RunningPoints.POWER,
                                                RunningPoints.GRILLE,
                                                RunningPoints.SPOT,
                                                RunningPoints.COOLING,
                                                RunningPoints.HEATING,
                                                RunningPoints.BACKUP,
                                                RunningPoints.FAN,
                                                RunningPoints.DEFROST,
                                                RunningPoints.ZONES,
                                                RunningPoints.STAGES,
                                                UnitPoints.SOUND_AT_BOUNDARY,
                                                UnitPoints.SOUND_AT_WINDOW,
                                                RunningPoints.FORECAST))
                                .toList(),
                        List.of(
                                new SteadyOperation(),
                                new TemperatureSplit(),
                                new CoolingCapacity(),
                                new HeatingRise(),
                                new HeatingCapacity(),
                                new HeatingEfficiency(),
                                new LeastPerformance(),
                                new ColdCapacity(),
                                new OutdoorDrop(),
                                new GrilleInfrared(),
                                new StagesSeen(),
                                new StripHeat(),
                                new ReversingValve(),
                                ModeSeen.of(RunningPoints.COOLING, new ModeSeen.Needed(Bound.AT_LEAST, WARM_ENOUGH)),
                                ModeSeen.of(RunningPoints.HEATING, new ModeSeen.Needed(Bound.AT_MOST, COLD_ENOUGH)),
                                ModeSeen.of(
                                        RunningPoints.BACKUP,
                                        "Call for it at the control: it is tested whatever the season."),
                                ModeSeen.of(RunningPoints.FAN, "Correct the control first, then run the fan alone."),
                                ModeSeen.of(RunningPoints.DEFROST, new ModeSeen.Needed(Bound.AT_MOST, FROSTY_ENOUGH)),
                                ModeSeen.of(RunningPoints.ZONES, "Come back when every zone can be called at once.")
                                        .where(Running::severalZones)))
                .holding(new HoldableLine(
                        OperationPoints.RUN_TIME,
                        Optional.empty(),
                        SteadyOperation.ABOUT,
                        x -> Optional.of(x.rules().number(SteadyRunning.DURATION)),
                        (x, seconds) -> Optional.empty()))
                .with(StationPlan.Aid.MACHINE)
                .drawnBy(PsychrometricFigure::draw, PerformanceFigure::draw)
                .after(Station.ELECTRICAL, "The machine runs on a circuit that has not been looked at in full.")
                .after(Station.AIRSIDE, "In starved air a split says nothing of the machine.");
    }

    private static boolean severalZones(Case facts) {
        return facts.subjects(Scope.COIL_UNIT).size()
                        + facts.subjects(Scope.ZONE).size()
                > 1;
    }
}
