package org.undanus.core.station.siting;

import static org.undanus.core.station.siting.SitingPoints.BASE_HEIGHT;
import static org.undanus.core.station.siting.SitingPoints.CURTAIN_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.DRAIN_OUTLET;
import static org.undanus.core.station.siting.SitingPoints.ELECTRONICS_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.HEAT_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.NEIGHBOUR_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.SOUND_BOUNDARY_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.SOUND_WINDOW_DISTANCE;
import static org.undanus.core.station.siting.SitingPoints.THROW;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Step;
import org.undanus.core.words.Text;
import org.undanus.core.words.Worded;

/** Tells which tape readings no longer hold when a unit is drawn in another place than before. */
public final class Retaping {
    private static final Set<String> OF_ITS_PLACE = Stream.of(
                    Face.OUTDOOR.stream().map(face -> OutdoorClearance.of(face).point()),
                    Face.ON_WALL.stream().map(face -> IndoorClearance.of(face).point()),
                    Siting.HAZARDS.stream().map(HazardDistance::point),
                    Stream.of(
                            BASE_HEIGHT,
                            SOUND_BOUNDARY_DISTANCE,
                            SOUND_WINDOW_DISTANCE,
                            IndoorHeight.HEIGHT,
                            THROW,
                            HEAT_DISTANCE,
                            ELECTRONICS_DISTANCE,
                            CURTAIN_DISTANCE,
                            DRAIN_OUTLET))
            .flatMap(points -> points)
            .map(Point::id)
            .collect(Collectors.toUnmodifiableSet());

    private Retaping() {}

    /**
     * The evidence without what was taped of units that stand, face or hang elsewhere in the new drawing, nor from any unit
     * to its neighbour.
     */
    public static Evidence awaited(Evidence evidence, SitePlan before, SitePlan now) {
        Set<String> moved = moved(before, now);
        return moved.isEmpty()
                ? evidence
                : Evidence.of(evidence.readings().stream()
                        .filter(reading -> !stale(reading.key(), moved))
                        .toList());
    }

    private static boolean stale(PointKey line, Set<String> moved) {
        return line.point().equals(NEIGHBOUR_DISTANCE.id())
                || (moved.contains(line.component()) && OF_ITS_PLACE.contains(line.point()));
    }

    /** What the drawing says of a length that is judged as taped; empty where both are the same. */
    public static Optional<Worded> besideTheTape(Judgement judgement) {
        return judgement.derivation().stream()
                .filter(step -> step.name().equals(Text.plain(TapedOrDrawn.IN_THE_DRAWING)))
                .map(Step::value)
                .findFirst();
    }

    /** Units that both drawings show, in different places. */
    private static Set<String> moved(SitePlan before, SitePlan now) {
        Set<String> moved = new HashSet<>();
        before.units().forEach(old -> now.units().stream()
                .filter(unit -> unit.component().equals(old.component()) && !unit.equals(old))
                .forEach(unit -> moved.add(unit.component())));
        before.walls().forEach(old -> now.walls().stream()
                .filter(wall -> wall.component().equals(old.component()) && !wall.equals(old))
                .forEach(wall -> moved.add(wall.component())));
        return moved;
    }
}
