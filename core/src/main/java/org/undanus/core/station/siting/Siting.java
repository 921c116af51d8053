package org.undanus.core.station.siting;

import java.util.ArrayList;
import java.util.List;
import org.undanus.core.derived.UnitPoints;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.Mounting;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 2 asks and judges. */
public final class Siting {
    private Siting() {}

    private static final String PRACTICE = "Data sheet, place of installation; common practice";

    static final List<HazardDistance> HAZARDS = List.of(
            new HazardDistance(
                    SitePlan.Kind.OPENING,
                    SitingPoints.OPENING_DISTANCE,
                    Severity.PERFORMANCE,
                    "Adopted mechanical code, location of equipment"),
            new HazardDistance(
                    SitePlan.Kind.VENT,
                    SitingPoints.VENT_DISTANCE,
                    Severity.SAFETY,
                    "Adopted fuel gas code, vent terminals"),
            new HazardDistance(
                    SitePlan.Kind.GAS_METER,
                    SitingPoints.GAS_METER_DISTANCE,
                    Severity.SAFETY,
                    "Adopted fuel gas code, meters and sources of ignition"),
            new HazardDistance(SitePlan.Kind.ANTENNA, SitingPoints.ANTENNA_DISTANCE, Severity.PERFORMANCE, PRACTICE));

    private static Observed seen(Point point, Severity severity, String good, String bad, String remedy) {
        return Observed.that(Station.SITING, point, severity, PRACTICE, good, bad, remedy);
    }

    public static StationPlan plan() {
        List<Point> points = new ArrayList<>();
        List<Requirement> requirements = new ArrayList<>();
        for (Face face : Face.OUTDOOR) {
            OutdoorClearance outdoor = OutdoorClearance.of(face);
            points.add(outdoor.point());
            requirements.add(outdoor);
        }
        points.addAll(List.of(
                SitingPoints.NEIGHBOUR_FACE,
                SitingPoints.NEIGHBOUR_DISTANCE,
                SitingPoints.DISCHARGE_FREE,
                UnitPoints.SUPPORT,
                SitingPoints.PAD_SOUND.asOptional(),
                SitingPoints.STAND_FIXED.asOptional(),
                SitingPoints.BRACKET_FIXED.asOptional(),
                SitingPoints.SUPPORT_CAPACITY.asOptional(),
                SitingPoints.BASE_HEIGHT,
                SitingPoints.HEATS,
                SitingPoints.FLOOD_LEVEL,
                SitingPoints.BASE_TILT,
                SitingPoints.ISOLATOR_COUNT,
                SitingPoints.ISOLATOR_LEAST_LOAD,
                SitingPoints.ISOLATOR_MOST_LOAD,
                SitingPoints.ISOLATOR_DEFLECTION,
                SitingPoints.WIND_SAFE,
                SitingPoints.SALT_AIR,
                SitingPoints.SUN_KEPT_OFF,
                SitingPoints.OPENING_DISTANCE,
                SitingPoints.VENT_DISTANCE,
                SitingPoints.GAS_METER_DISTANCE,
                SitingPoints.ANTENNA_DISTANCE,
                SitingPoints.SOUND_BOUNDARY_DISTANCE,
                SitingPoints.SOUND_WINDOW_DISTANCE,
                SitingPoints.REFLECTING_WALLS,
                UnitPoints.SOUND_AT_BOUNDARY,
                UnitPoints.SOUND_AT_WINDOW));
        requirements.addAll(outdoors());
        for (Face face : Face.ON_WALL) {
            IndoorClearance indoor = IndoorClearance.of(face);
            points.add(indoor.point());
            requirements.add(indoor);
        }
        points.addAll(List.of(
                IndoorHeight.HEIGHT,
                SitingPoints.THROW,
                SitingPoints.HEAT_DISTANCE,
                SitingPoints.ELECTRONICS_DISTANCE,
                SitingPoints.CURTAIN_DISTANCE,
                SitingPoints.NO_VAPOURS,
                SitingPoints.DRAIN_OUTLET,
                SitingPoints.DRAIN_EXIT,
                SitingPoints.DRAIN_RUN,
                UnitPoints.ROOM_AREA,
                UnitPoints.MOUNTING_PLACE,
                UnitPoints.ADDED_CHARGE,
                SitingPoints.ROOM_LED_BY));
        requirements.addAll(indoors());
        return new StationPlan(Station.SITING, points, requirements)
                .drawnBy(SiteFigure::draw, WallFigure::draw, UnitFigure::draw)
                .with(StationPlan.Aid.SITE_DRAWING);
    }

    private static List<Requirement> outdoors() {
        List<Requirement> requirements = new ArrayList<>(List.of(
                new NeighbourSpacing(),
                seen(
                        SitingPoints.DISCHARGE_FREE,
                        Severity.PERFORMANCE,
                        "It blows free.",
                        "It blows into a corner, a neighbour or another inlet.",
                        "Turn or move the unit so that it discharges freely."),
                new OnSupport(
                        seen(
                                SitingPoints.PAD_SOUND,
                                Severity.DAMAGE,
                                "The pad is sound.",
                                "The pad is not sound.",
                                "Lay a solid, drained pad."),
                        Mounting.GROUND_PAD),
                new OnSupport(
                        seen(
                                SitingPoints.STAND_FIXED,
                                Severity.SAFETY,
                                "Stand and unit are anchored.",
                                "The stand can tip or slide.",
                                "Anchor the stand and bolt the unit to it."),
                        Mounting.RAISED_STAND),
                new OnSupport(
                        seen(
                                SitingPoints.BRACKET_FIXED,
                                Severity.SAFETY,
                                "The bracket holds in sound material.",
                                "The bracket does not hold in sound material.",
                                "Keep clear below it; have it fixed to masonry or framing with rated anchors."),
                        Mounting.WALL_BRACKET),
                new OnSupport(new SupportLoad(), Mounting.RAISED_STAND, Mounting.WALL_BRACKET),
                new BaseHeight(),
                WithinLimits.of(
                                Station.SITING,
                                SitingPoints.BASE_TILT,
                                Severity.PERFORMANCE,
                                "Data sheet, installation",
                                "Level the base")
                        .sheet(SheetLimit.atMost(SheetValue.LEVEL_TOLERANCE)),
                new IsolatorLoad(),
                new IsolatorTransmission(),
                seen(
                        SitingPoints.WIND_SAFE,
                        Severity.SAFETY,
                        "It is safe in the wind.",
                        "The wind can shift it or stall its fan.",
                        "Anchor it, or turn or screen it against the wind."),
                new SaltAir(),
                seen(
                        SitingPoints.SUN_KEPT_OFF,
                        Severity.PERFORMANCE,
                        "It is out of the full afternoon sun.",
                        "It stands in the full afternoon sun and will lose capacity then.",
                        "Shade it without restricting its airflow, or move it.")));
        requirements.addAll(HAZARDS);
        requirements.add(new SoundAt(
                UnitPoints.SOUND_AT_BOUNDARY,
                SitingPoints.SOUND_BOUNDARY_DISTANCE,
                SitePlan.Kind.BOUNDARY,
                "Sound at the boundary"));
        requirements.add(new SoundAt(
                UnitPoints.SOUND_AT_WINDOW,
                SitingPoints.SOUND_WINDOW_DISTANCE,
                SitePlan.Kind.WINDOW,
                "Sound at the neighbour's window"));
        return requirements;
    }

    private static List<Requirement> indoors() {
        return List.of(
                new IndoorHeight(),
                new FreeThrow(),
                new WallDistance(SitePlan.ItemKind.HEAT_SOURCE, SitingPoints.HEAT_DISTANCE, Severity.PERFORMANCE),
                new WallDistance(
                        SitePlan.ItemKind.ELECTRONICS, SitingPoints.ELECTRONICS_DISTANCE, Severity.PERFORMANCE),
                new WallDistance(SitePlan.ItemKind.CURTAIN, SitingPoints.CURTAIN_DISTANCE, Severity.SAFETY),
                seen(
                        SitingPoints.NO_VAPOURS,
                        Severity.SAFETY,
                        "No such vapour is in the room.",
                        "Flammable or corrosive vapour can reach the unit.",
                        "Do not run it. Have the unit or the source moved."),
                new DrainFallAvailable(),
                new FlammableCharge(),
                new MountingAdvice());
    }
}
