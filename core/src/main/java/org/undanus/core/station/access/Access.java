package org.undanus.core.station.access;

import java.util.List;
import org.undanus.core.evidence.Point;
import org.undanus.core.judgement.Observed;
import org.undanus.core.judgement.Severity;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.WithinLimits;
import org.undanus.core.plan.StationPlan;

/** What station 3 asks and judges. */
public final class Access {
    private Access() {}

    private static final String CODE = "Adopted mechanical code, access to equipment in attics and crawl spaces";

    private static WithinLimits tight(Point point, String remedy) {
        return WithinLimits.of(Station.ACCESS, point, Severity.SAFETY, CODE, remedy);
    }

    private static WithinLimits live(Point point) {
        return WithinLimits.of(
                Station.ACCESS,
                point,
                Severity.SAFETY,
                "NFPA 70, 110.26; check the adopted edition",
                "Clear the working space before the gear, or have a licensed electrician move the gear");
    }

    public static StationPlan plan() {
        return new StationPlan(
                        Station.ACCESS,
                        List.of(
                                AccessPoints.PLACE,
                                AccessPoints.OPENING_WIDTH,
                                AccessPoints.OPENING_HEIGHT,
                                AccessPoints.PASSAGE_LENGTH,
                                AccessPoints.PASSAGE_WIDTH,
                                AccessPoints.PASSAGE_HEIGHT,
                                AccessPoints.FLOOR_WIDTH,
                                AccessPoints.LADDER_SAFE,
                                AccessPoints.SERVICE_DEPTH,
                                AccessPoints.SERVICE_WIDTH,
                                AccessPoints.LIGHT,
                                AccessPoints.SWITCH,
                                AccessPoints.SOCKET,
                                AccessPoints.WORKING_DEPTH,
                                AccessPoints.WORKING_WIDTH,
                                AccessPoints.WORKING_HEIGHT),
                        List.of(
                                TightPlace.enclosed(tight(AccessPoints.OPENING_WIDTH, "Widen the opening")),
                                TightPlace.enclosed(tight(AccessPoints.OPENING_HEIGHT, "Enlarge the opening")),
                                TightPlace.enclosed(new LargestPiece()),
                                TightPlace.attic(
                                        tight(AccessPoints.PASSAGE_LENGTH, "Shorten the way, or make another opening")),
                                TightPlace.attic(tight(AccessPoints.PASSAGE_WIDTH, "Clear the passage")),
                                TightPlace.attic(tight(AccessPoints.PASSAGE_HEIGHT, "Clear the passage")),
                                TightPlace.attic(tight(
                                        AccessPoints.FLOOR_WIDTH,
                                        "Lay a continuous solid floor, {limit} wide or more.")),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.LADDER_SAFE,
                                        Severity.SAFETY,
                                        "Common rules for work at height",
                                        "One gets there safely.",
                                        "The way there is not safe.",
                                        "Do not go up until a safe ladder stands.")),
                                tight(AccessPoints.SERVICE_DEPTH, "Clear the service side"),
                                tight(AccessPoints.SERVICE_WIDTH, "Clear the service side"),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.LIGHT,
                                        Severity.SAFETY,
                                        CODE,
                                        "There is a fixed lamp.",
                                        "There is no fixed lamp at the equipment.",
                                        "Install a light that lights the service side.")),
                                TightPlace.attic(Observed.that(
                                        Station.ACCESS,
                                        AccessPoints.SWITCH,
                                        Severity.SAFETY,
                                        CODE,
                                        "The switch is at the opening.",
                                        "The switch is not within reach of the opening.",
                                        "Move the switch to the opening.")),
                                tight(AccessPoints.SOCKET, "Install a receptacle within {limit} on the same level."),
                                live(AccessPoints.WORKING_DEPTH),
                                live(AccessPoints.WORKING_WIDTH),
                                live(AccessPoints.WORKING_HEIGHT)))
                .drawnBy(WayFigure::draw);
    }
}
