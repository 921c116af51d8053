package org.undanus.core.station.mounting;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.SheetValue;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.SheetLimit;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 4 asks and judges. */
public final class MountingStation {
    private MountingStation() {}

    private static Observed seen(Point point, Severity severity, String good, String bad, String remedy) {
        return Observed.that(
                Station.MOUNTING, point, severity, "Data sheet, installation; common practice", good, bad, remedy);
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.MOUNTING,
                        MountingPoints.all(),
                        List.of(
                                WithinLimits.of(
                                        Station.MOUNTING,
                                        MountingPoints.PLATE_TILT,
                                        Severity.PERFORMANCE,
                                        "Data sheet, installation; common practice",
                                        "Level the plate"),
                                WithinLimits.of(
                                                Station.MOUNTING,
                                                MountingPoints.FIXINGS,
                                                Severity.SAFETY,
                                                "Data sheet, mounting plate",
                                                "Add fasteners in sound material: {limit} in all.")
                                        .sheet(SheetLimit.atLeast(SheetValue.LEAST_FIXINGS)),
                                seen(
                                        MountingPoints.FLAT,
                                        Severity.PERFORMANCE,
                                        "The plate lies flat.",
                                        "The plate is bowed; the cabinet will hum and sit askew.",
                                        "Shim the plate, or set it on even ground."),
                                seen(
                                        MountingPoints.SOUND_MATERIAL,
                                        Severity.SAFETY,
                                        "The fixings hold in sound material.",
                                        "The fixings do not hold in sound material.",
                                        "Keep clear below it; have it fixed to stud, joist, masonry or rated anchors."),
                                WithinLimits.of(
                                                Station.MOUNTING,
                                                MountingPoints.CABINET_TILT,
                                                Severity.DAMAGE,
                                                "Data sheet, installation",
                                                "Tilt the cabinet toward the drain")
                                        .sheet(
                                                SheetLimit.atLeast(SheetValue.LEAST_CABINET_TILT),
                                                SheetLimit.atMost(SheetValue.MOST_CABINET_TILT)),
                                new BundleFits(),
                                new HoleFall(),
                                seen(
                                        MountingPoints.SLEEVE,
                                        Severity.DAMAGE,
                                        "A sleeve lines the hole.",
                                        "The bundle lies bare in the wall.",
                                        "Put a sleeve in before the hole is sealed."),
                                seen(
                                        MountingPoints.DRAIN_LOWEST,
                                        Severity.DAMAGE,
                                        "The drain lies lowest and the cable highest.",
                                        "The drain does not lie lowest: water stands in it or meets the cable.",
                                        "Turn the bundle so that the drain lies lowest and the cable highest."),
                                seen(
                                        MountingPoints.SEALED_INSIDE,
                                        Severity.DAMAGE,
                                        "The hole is sealed inside.",
                                        "Air and vermin come in beside the bundle.",
                                        "Seal the hole inside."),
                                seen(
                                        MountingPoints.SEALED_OUTSIDE,
                                        Severity.DAMAGE,
                                        "The hole is sealed and covered outside.",
                                        "Weather and vermin come in from outside.",
                                        "Seal and cover the hole outside."),
                                Observed.that(
                                                Station.MOUNTING,
                                                MountingPoints.FIRE_RATED,
                                                Severity.SAFETY,
                                                "Adopted building code, penetrations of fire-rated construction",
                                                "The wall is not fire-rated.",
                                                "The hole goes through a fire-rated wall: its sealing is for the authority to judge.",
                                                "Ask the building authority which listed system seals this hole, and for its papers.")
                                        .not()
                                        .elseRefer()))
                .drawnBy(PenetrationFigure::draw);
    }
}
